import { z } from 'zod';
import { soldUpTo, VENT_IDS } from '../../../catalog';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { support, underPlatform } from '../../support';

const S = FIELDS.support;

/** Of the vessel’s width: what stands round it has room too. */
const WIDEST = 0.65;

export const ring = support({
  rank: 1,
  schema: z.strictObject({
    kind: z.literal('ring'),
    cutEnd: z.boolean().describe('The vessel’s own cut end, turned over'),
    diameter: number(S.diameter),
    wall: number(S.wall),
    vents: z.enum(VENT_IDS),
  }),
  bases: {
    ring: {
      name: 'Platform on a split ring',
      flat: true,
      like: () => true,
      usual: (width, _top, { ring: sizes }) =>
        soldUpTo(sizes, width * WIDEST).map((diameter) => ({
          ...underPlatform(),
          parts: [{ kind: 'ring', cutEnd: false, diameter, wall: 0.004, vents: 'both' }],
        })),
    },
  },
  more: () => [],
  ownEnd: ({ cutEnd }) => cutEnd,
  rigidPipe: ({ cutEnd }) => !cutEnd,
});
