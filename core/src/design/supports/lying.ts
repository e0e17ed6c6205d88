import { z } from 'zod';
import { RUN_IDS } from '../../catalog';
import { FIELDS } from '../fields';
import { number } from '../number';
import { inMix, mm, support } from '../support';

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

/** A pipe that is bent round is thin enough to lie in its turn. Metres. */
const bent = (lay: 'coil' | 'loop', width: number, top: number) => ({
  ...USUAL_LYING,
  lay,
  diameter: mm(Math.min(top * 0.9, width * 0.16)),
});

export const lying = support({
  rank: 4,
  schema,
  bases: {
    lying: {
      name: 'Lying pipes, soil between',
      flat: false,
      like: ({ lay }) => lay === 'runs',
      usual: (width, top) => ({
        ...inMix(),
        parts: [{ ...USUAL_LYING, count: 2, diameter: mm(Math.min(top * 0.92, width * 0.3, 0.1)) }],
      }),
    },
    coil: {
      name: 'Drain pipe coiled in sand',
      flat: false,
      like: ({ lay }) => lay === 'coil',
      usual: (width, top) => ({
        cover: 'none',
        fill: [{ medium: 'coarse-sand', upTo: 1 }],
        parts: [bent('coil', width, top)],
      }),
    },
    loop: {
      name: 'A loop of pipe in gravel',
      flat: false,
      like: ({ lay }) => lay === 'loop',
      usual: (width, top) => ({
        cover: 'none',
        fill: [
          { medium: 'gravel', upTo: 0.5 },
          { medium: 'mix', upTo: 1 },
        ],
        parts: [bent('loop', width, top)],
      }),
    },
  },
  more: [['a lying pipe', { ...USUAL_LYING, diameter: 0.05 }]],
  along: ({ lay }) => lay === 'runs',
});
