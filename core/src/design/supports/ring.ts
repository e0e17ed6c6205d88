import { z } from 'zod';
import { VENT_IDS } from '../../catalog';
import { FIELDS } from '../fields';
import { number } from '../number';
import { mm, support, underPlatform } from '../support';

const S = FIELDS.support;

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
      usual: (width) => ({
        ...underPlatform(),
        parts: [
          { kind: 'ring', cutEnd: false, diameter: mm(width * 0.6), wall: 0.004, vents: 'both' },
        ],
      }),
    },
  },
  more: [],
  ownEnd: ({ cutEnd }) => cutEnd,
});
