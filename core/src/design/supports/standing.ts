import { z } from 'zod';
import { STANDING_IDS, VENT_IDS } from '../../catalog';
import { FIELDS } from '../fields';
import { number } from '../number';
import { bare, inMix, mm, support, underPlatform, type Around } from '../support';

const S = FIELDS.support;

const schema = z.strictObject({
  kind: z.literal('standing'),
  what: z.enum(STANDING_IDS),
  count: number(S.count),
  diameter: number(S.diameter),
  wall: number(S.wall),
  vents: z.enum(VENT_IDS),
});

type Standing = z.infer<typeof schema>;

/** Usual walls of what stands there, metres. */
const WALLS: Partial<Record<Standing['what'], number>> = { pipe: 0.002, pot: 0.004 };

const some = (what: Standing['what'], count: number, diameter: number): Standing => ({
  kind: 'standing',
  what,
  count,
  diameter: mm(diameter),
  wall: WALLS[what] ?? 0.0006,
  vents: 'both',
});

/** Across a bottle of a litre and a half, metres. */
const BOTTLE = 0.065;

const inAMix = ({ fill }: Around): boolean => fill.some(({ medium }) => medium === 'mix');

export const standing = support({
  rank: 2,
  schema,
  bases: {
    tubs: {
      name: 'Platform on drilled tubs',
      flat: true,
      like: ({ what }, { cover }) => cover === 'platform' && what !== 'pipe',
      usual: (width) => ({ ...underPlatform(), parts: [some('tub', 4, width * 0.25)] }),
    },
    pipes: {
      name: 'Platform on short pipes',
      flat: true,
      like: ({ what }, { cover }) => cover === 'platform' && what === 'pipe',
      usual: (width) => ({
        ...underPlatform(),
        parts: [some('pipe', 6, Math.min(width * 0.15, 0.05))],
      }),
    },
    bottles: {
      name: 'Drilled bottles in the mix',
      flat: true,
      like: (_part, around) => around.cover === 'none' && inAMix(around),
      usual: (width) => ({ ...inMix(), parts: [some('bottle', 5, Math.min(BOTTLE, width / 3))] }),
    },
    pots: {
      name: 'Fabric over small pots',
      flat: true,
      like: (_part, around) => around.cover === 'none' && !inAMix(around),
      usual: (width) => ({ ...bare(), parts: [some('pot', 6, Math.min(0.09, width / 4))] }),
    },
  },
  more: [
    ['bottles', { ...some('bottle', 3, BOTTLE), wall: 0.0004 }],
    ['short pipes', { ...some('pipe', 4, 0.05), wall: 0.0024 }],
  ],
});
