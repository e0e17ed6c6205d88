import { z } from 'zod';
import { RUN_IDS, soldUpTo, type Sold } from '../../../catalog';
import { FIELDS } from '../../fields';
import { number } from '../../number';
import { inMix, support } from '../../support';

const S = FIELDS.support;

const schema = z.strictObject({
  kind: z.literal('lying'),
  lay: z.enum(RUN_IDS),
  count: number(S.runs),
  diameter: number(S.diameter),
  wall: number(S.wall),
  sock: z.boolean().describe('In a fabric sock'),
  stiff: z.boolean().describe('Rigid: turns corners by elbows, not by bending'),
  length: number(S.runLength),
});

/** The pipe that comes out of the ground of most sheds, for laying on a floor. */
export const USUAL_LYING: z.infer<typeof schema> = {
  kind: 'lying',
  lay: 'runs',
  count: 1,
  diameter: 0.08,
  wall: 0.0015,
  sock: true,
  stiff: false,
  length: 0,
};

/** Lying pipe as it is sold, up to a width. Metres. */
const pipes = (
  lay: (typeof USUAL_LYING)['lay'],
  count: number,
  most: number,
  { drain }: Sold,
): [typeof USUAL_LYING][] =>
  soldUpTo(drain, most).map((diameter) => [{ ...USUAL_LYING, lay, count, diameter }]);

/** A pipe that is bent round is thin enough to lie in its turn. Metres. */
const bent = (width: number, top: number): number => Math.min(top * 0.92, width * 0.16);

export const lying = support({
  rank: 4,
  schema,
  bases: {
    lying: {
      name: 'Lying pipes, soil between',
      flat: false,
      like: ({ lay }) => lay === 'runs',
      usual: (width, top, sold) =>
        pipes('runs', 2, Math.min(top * 0.92, width * 0.3, 0.11), sold).map((parts) => ({
          ...inMix(),
          parts,
        })),
    },
    coil: {
      name: 'Drain pipe coiled in sand',
      flat: false,
      like: ({ lay }) => lay === 'coil',
      usual: (width, top, sold) =>
        pipes('coil', 1, bent(width, top), sold).map((parts) => ({
          cover: 'none',
          fill: [{ medium: 'coarse-sand', upTo: 1 }],
          parts,
        })),
    },
    loop: {
      name: 'A loop of pipe in gravel',
      flat: false,
      like: ({ lay }) => lay === 'loop',
      usual: (width, top, sold) =>
        pipes('loop', 1, bent(width, top), sold).map((parts) => ({
          cover: 'none',
          fill: [
            { medium: 'gravel', upTo: 0.5 },
            { medium: 'mix', upTo: 1 },
          ],
          parts,
        })),
    },
  },
  more: ({ drain: [thinnest = 0.05] }) => [
    ['a lying pipe', { ...USUAL_LYING, diameter: thinnest }],
  ],
  along: ({ lay }) => lay === 'runs',
  rigidPipe: ({ stiff }) => stiff,
});
