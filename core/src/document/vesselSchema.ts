import { z } from 'zod';
import {
  COLOUR_IDS,
  FLAW_IDS,
  FORMER_CONTENT_IDS,
  LINER_IDS,
  MATERIAL_IDS,
  SAWING_IDS,
} from '../catalog';
import { FIELDS } from './fields';
import { number } from './number';

const V = FIELDS.vessel;

/** What inspecting any vessel tells. */
const inspected = {
  wall: number(V.wall),
  formerContents: z.enum(FORMER_CONTENT_IDS),
  material: z.enum(MATERIAL_IDS),
  colour: z.enum(COLOUR_IDS),
  rigid: z.boolean().describe('Keeps its shape when full of water'),
  cracked: z.enum(FLAW_IDS).describe('A crack'),
  drainHole: z.enum(FLAW_IDS).describe('An old hole in the floor'),
  sawing: z.enum(SAWING_IDS).describe('What is sawn on the vessel itself first'),
  bungs: number(V.bungs),
};

const plan = z.enum(['round', 'box']).describe('Outline seen from above');

/** A vessel of any shape, as it was measured and inspected. */
export const vesselDesignSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('round'),
    topDiameter: number(V.topDiameter),
    bottomDiameter: number(V.bottomDiameter),
    depth: number(V.depth),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('box'),
    topLength: number(V.topLength),
    topWidth: number(V.topWidth),
    bottomLength: number(V.bottomLength),
    bottomWidth: number(V.bottomWidth),
    corner: number(V.corner),
    depth: number(V.depth),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('stadium'),
    topLength: number(V.topLength),
    topWidth: number(V.topWidth),
    bottomLength: number(V.bottomLength),
    bottomWidth: number(V.bottomWidth),
    depth: number(V.depth),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('lying'),
    diameter: number(V.diameter),
    length: number(V.length),
    depth: number(V.depth),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('frame'),
    length: number(V.length),
    width: number(V.width),
    depth: number(V.depth),
    liner: z.enum(LINER_IDS),
    legs: number(V.legs),
    fall: number(V.fall),
    stands: z.boolean().describe('It stands already and is dug out'),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('stations'),
    plan,
    stations: z
      .array(
        z.strictObject({
          height: number(V.stationHeight),
          length: number(V.stationLength),
          width: number(V.stationWidth),
        }),
      )
      .min(2)
      .max(12)
      .describe('Inside sizes from the floor (height 0) to the rim'),
    ...inspected,
  }),
  z.strictObject({
    kind: z.literal('poured'),
    plan,
    ratio: number(V.ratio),
    depth: number(V.depth),
    readings: z
      .array(z.strictObject({ volume: number(V.poured), height: number(V.pouredHeight) }))
      .min(2)
      .max(20)
      .describe('Water poured in so far, and how high it stood'),
    ...inspected,
  }),
]);

const B = FIELDS.bed;
/** What holds the soil, where it is not the vessel itself. */
export const bedSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('nested') }).describe('An equal vessel set into this one'),
  z
    .strictObject({
      kind: z.literal('neck'),
      neckDiameter: number(B.neckDiameter),
      shoulder: number(B.shoulder),
      depth: number(B.depth),
    })
    .describe('The bottle’s own upper part, turned over'),
  z
    .strictObject({
      kind: z.literal('row'),
      count: number(B.count),
      topDiameter: number(B.topDiameter),
      bottomDiameter: number(B.bottomDiameter),
      depth: number(B.depth),
      wall: number(B.wall),
    })
    .describe('Pails side by side on top of the channel'),
  z
    .strictObject({
      kind: z.literal('bag'),
      count: number(B.count),
      topDiameter: number(B.topDiameter),
      bottomDiameter: number(B.bottomDiameter),
      depth: number(B.depth),
      wall: number(B.wall),
    })
    .describe('Bags or pots standing in the tray'),
]);
