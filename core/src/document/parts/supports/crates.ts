import { z } from 'zod';
import { CRATE_IDS } from '../../../catalog';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { spots } from '../../spots';
import { bare, support } from '../../support';

const S = FIELDS.support;

const schema = z.strictObject({
  kind: z.literal('crates'),
  what: z.enum(CRATE_IDS),
  count: number(S.count),
  length: number(S.length),
  width: number(S.width),
  height: number(S.height),
  voids: number(S.voids),
  cut: z.boolean().describe('Cut down to the base and round tube and wicks'),
  at: spots,
});

type Crates = z.infer<typeof schema>;

/** As many as can be asked for: what has no room is left out again. */
const MOST = S.count.max;

const of = (
  what: Crates['what'],
  count: number,
  [length, width, height]: readonly [number, number, number],
  voids: number,
): Crates => ({ kind: 'crates', what, count, length, width, height, voids, cut: true, at: null });

export const crates = support({
  rank: 3,
  schema,
  bases: {
    crates: {
      name: 'Crates as a false floor',
      flat: true,
      like: () => true,
      fills: true,
      usual: (_width, top, { crate }) => {
        const high = crate.filter(([, , height]) => height >= top - 1e-9);
        return [...(high.length > 0 ? high : crate)]
          .reverse()
          .map((size) => ({ ...bare(), parts: [of('crate', MOST, size, 0.93)] }));
      },
    },
  },
  more: () => [['boxes', of('former', 2, [0.1, 0.08, 0.1], 0.95)]],
});
