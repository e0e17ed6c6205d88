import fc from 'fast-check';
import {
  COLOUR_IDS,
  FLAW_IDS,
  FORMER_CONTENT_IDS,
  LINER_IDS,
  MATERIAL_IDS,
  SAWING_IDS,
} from '../catalog';
import type { VesselDesign } from '../document';
import { between, just, oneOf } from './arbitrary';

const inspected = {
  wall: between(0.001, 0.004),
  formerContents: oneOf(FORMER_CONTENT_IDS),
  material: oneOf(MATERIAL_IDS),
  colour: oneOf(COLOUR_IDS),
  rigid: fc.boolean(),
  cracked: oneOf(FLAW_IDS),
  drainHole: oneOf(FLAW_IDS),
  sawing: oneOf(SAWING_IDS),
  bungs: oneOf([0, 0, 2]),
};

type Stations = Extract<VesselDesign, { kind: 'stations' }>['stations'];
type Readings = Extract<VesselDesign, { kind: 'poured' }>['readings'];

/** Any vessel that can exist. */
export const anyVessel: fc.Arbitrary<VesselDesign> = fc
  .tuple(between(0.12, 1), between(0.7, 1.1), between(0.4, 1), between(0.12, 0.9))
  .chain(([size, taper, shape, depth]): fc.Arbitrary<VesselDesign> => {
    const width = size * shape;
    const kinds: fc.Arbitrary<VesselDesign>[] = [
      fc.record({
        kind: just('round'),
        topDiameter: fc.constant(size),
        bottomDiameter: fc.constant(size * taper),
        depth: fc.constant(depth),
        ...inspected,
      }),
      fc.record({
        kind: just('box'),
        topLength: fc.constant(size),
        topWidth: fc.constant(width),
        bottomLength: fc.constant(size * taper),
        bottomWidth: fc.constant(width * taper),
        corner: between(0, (width * Math.min(taper, 1)) / 2),
        depth: fc.constant(depth),
        ...inspected,
      }),
      fc.record({
        kind: just('stadium'),
        topLength: fc.constant(size),
        topWidth: fc.constant(width),
        bottomLength: fc.constant(size * taper),
        bottomWidth: fc.constant(width * taper),
        depth: fc.constant(depth),
        ...inspected,
      }),
      fc.record({
        kind: just('lying'),
        diameter: fc.constant(width),
        length: fc.constant(size),
        depth: between(width * 0.4, width * 0.8),
        ...inspected,
      }),
      fc.record({
        kind: just('frame'),
        length: fc.constant(size),
        width: fc.constant(width),
        depth: fc.constant(depth),
        liner: oneOf(LINER_IDS),
        legs: oneOf([0, 0.4]),
        fall: oneOf([0, 0.01]),
        stands: fc.boolean(),
        ...inspected,
      }),
      fc.record({
        kind: just('stations'),
        plan: oneOf(['round', 'box'] as const),
        stations: fc.constant<Stations>([
          { height: 0, length: size * taper, width: width * taper },
          { height: depth * 0.4, length: size * 1.05, width: width * 1.05 },
          { height: depth, length: size, width },
        ]),
        ...inspected,
      }),
      fc.record({
        kind: just('poured'),
        plan: oneOf(['round', 'box'] as const),
        ratio: fc.constant(shape),
        depth: fc.constant(depth),
        readings: fc.constant<Readings>([
          { volume: size * width * depth * 0.3, height: depth * 0.35 },
          { volume: size * width * depth * 0.62, height: depth * 0.65 },
          { volume: size * width * depth * 0.95, height: depth },
        ]),
        ...inspected,
      }),
    ];
    return fc.oneof(...kinds);
  });
