import { z } from 'zod';
import { VENT_IDS } from '../../../catalog';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { inMix, mm, support } from '../../support';

const S = FIELDS.support;

/** A panel is cut as wide as there is room for: shares of the vessel’s width. */
const SHARES = [0.75, 0.6, 0.45, 0.3];

export const arch = support({
  rank: 5,
  schema: z.strictObject({
    kind: z.literal('arch'),
    width: number(S.archWidth),
    own: z.boolean().describe('Cut from the vessel’s own wall, and curved as that is'),
    wall: number(S.wall),
    vents: z.enum(VENT_IDS),
  }),
  bases: {
    arch: {
      name: 'A curved panel laid in',
      flat: true,
      like: () => true,
      usual: (width) =>
        SHARES.map((share) => ({
          ...inMix(),
          parts: [
            {
              kind: 'arch',
              width: mm(width * share, S.archWidth.min),
              wall: 0.004,
              own: false,
              vents: 'both',
            },
          ],
        })),
    },
  },
  more: () => [],
  along: () => true,
});
