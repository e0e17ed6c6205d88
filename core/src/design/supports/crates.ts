import { z } from 'zod';
import { CRATE_IDS } from '../../catalog';
import { FIELDS } from '../fields';
import { number } from '../number';
import { spots } from '../spots';
import { bare, mm, support } from '../support';

const S = FIELDS.support;

/** A crate is no longer than this, metres. */
const CRATE = 0.3;

export const crates = support({
  rank: 3,
  schema: z.strictObject({
    kind: z.literal('crates'),
    what: z.enum(CRATE_IDS),
    count: number(S.count),
    length: number(S.length),
    width: number(S.width),
    height: number(S.height),
    voids: number(S.voids),
    cut: z.boolean().describe('Cut down to the base and round tube and wicks'),
    at: spots,
  }),
  bases: {
    crates: {
      name: 'Crates as a false floor',
      flat: true,
      like: () => true,
      usual: (width, top) => {
        const side = mm(Math.min(CRATE, width * 0.5));
        return {
          ...bare(),
          parts: [
            {
              kind: 'crates',
              what: 'crate',
              // As many as there is room for.
              count: 60,
              length: side,
              width: side,
              height: mm(top),
              voids: 0.93,
              cut: true,
              at: null,
            },
          ],
        };
      },
    },
  },
  more: [
    [
      'boxes',
      {
        kind: 'crates',
        what: 'former',
        count: 2,
        length: 0.1,
        width: 0.08,
        height: 0.1,
        voids: 0.95,
        cut: true,
        at: null,
      },
    ],
  ],
});
