import { z } from 'zod';
import { soldUpTo, STANDING_IDS, VENT_IDS, type Sold } from '../../../catalog';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { bare, inMix, support, underPlatform, type Around } from '../../support';

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
  diameter,
  wall: WALLS[what] ?? 0.0006,
  vents: 'both',
});

/** So many of each size that is sold up to a width. */
const upTo = (
  what: 'tub' | 'pipe' | 'bottle',
  count: number,
  most: number,
  sold: Sold,
): [Standing][] => soldUpTo(sold[what], most).map((diameter) => [some(what, count, diameter)]);

/** A pot is about as high as it is wide at its rim; and so far from the base it may be, as a share of that. Typical. */
const POT_HEIGHT = 0.95;
const NEAR = 0.2;

/** Pots that are about as high as the base, the nearest first; at least one. They cannot be trimmed. */
function asHighAs(top: number, sizes: readonly number[]): number[] {
  const off = (size: number) => Math.abs(POT_HEIGHT * size - top);
  const [nearest, ...others] = [...sizes].sort((a, b) => off(a) - off(b));
  return nearest === undefined
    ? []
    : [nearest, ...others.filter((size) => off(size) <= NEAR * top)];
}

const inAMix = ({ fill }: Around): boolean => fill.some(({ medium }) => medium === 'mix');

export const standing = support({
  rank: 2,
  schema,
  bases: {
    tubs: {
      name: 'Platform on drilled tubs',
      flat: true,
      like: ({ what }, { cover }) => cover === 'platform' && what !== 'pipe',
      usual: (width, _top, sold) =>
        upTo('tub', 4, width * 0.27, sold).map((parts) => ({ ...underPlatform(), parts })),
    },
    pipes: {
      name: 'Platform on short pipes',
      flat: true,
      like: ({ what }, { cover }) => cover === 'platform' && what === 'pipe',
      usual: (width, _top, sold) =>
        upTo('pipe', 6, Math.min(width * 0.16, 0.05), sold).map((parts) => ({
          ...underPlatform(),
          parts,
        })),
    },
    bottles: {
      name: 'Drilled bottles in the mix',
      flat: true,
      like: (_part, around) => around.cover === 'none' && inAMix(around),
      usual: (_width, _top, sold) =>
        upTo('bottle', 5, 0, sold).map((parts) => ({ ...inMix(), parts })),
    },
    pots: {
      name: 'Fabric over small pots',
      flat: true,
      like: (_part, around) => around.cover === 'none' && !inAMix(around),
      usual: (_width, top, { pot }) =>
        asHighAs(top, pot).map((size) => ({ ...bare(), parts: [some('pot', 6, size)] })),
    },
  },
  more: ({ bottle: [small = 0.065], pipe }) => [
    ['bottles', { ...some('bottle', 3, small), wall: 0.0004 }],
    ['short pipes', { ...some('pipe', 4, soldUpTo(pipe, 0.05)[0] ?? 0.05), wall: 0.0024 }],
  ],
  rigidPipe: ({ what }) => what === 'pipe',
});
