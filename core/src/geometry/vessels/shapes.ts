import type { BedDesign, VesselDesign } from '../../document';
import { monotoneCurve } from '../../numerics/monotoneCurve';
import type { Outline } from './outline';
import { stacked, vesselOf, type Vessel } from './vessel';

const circle = (diameter: number): Outline => ({
  a: diameter / 2,
  b: diameter / 2,
  c: diameter / 2,
});

const rectangle = (length: number, width: number, corner: number): Outline => ({
  a: length / 2,
  b: width / 2,
  c: Math.min(corner, length / 2, width / 2),
});

const stadium = (length: number, width: number): Outline =>
  rectangle(length, width, Math.min(length, width) / 2);

/** A vessel that tapers evenly from floor to rim. */
const tapered = (floor: Outline, rim: Outline, depth: number, wall: number): Vessel =>
  stacked(
    [
      { z: 0, ...floor },
      { z: depth, ...rim },
    ],
    wall,
  );

/** The geometry of what a design says of its vessel; x runs along its length. */
export function shapeOf(design: VesselDesign): Vessel {
  switch (design.kind) {
    case 'round':
      return tapered(
        circle(design.bottomDiameter),
        circle(design.topDiameter),
        design.depth,
        design.wall,
      );
    case 'box':
      return tapered(
        rectangle(design.bottomLength, design.bottomWidth, design.corner),
        rectangle(design.topLength, design.topWidth, design.corner),
        design.depth,
        design.wall,
      );
    case 'stadium':
      return tapered(
        stadium(design.bottomLength, design.bottomWidth),
        stadium(design.topLength, design.topWidth),
        design.depth,
        design.wall,
      );
    case 'frame': {
      const outline = rectangle(design.length, design.width, 0);
      return tapered(outline, outline, design.depth, design.wall);
    }
    case 'lying':
      return lyingCylinder(design.diameter / 2, design.length, design.depth, design.wall);
    case 'stations':
      return stacked(
        design.stations.map(({ height, length, width }) => ({
          z: height,
          ...(design.plan === 'round' ? circle(length) : rectangle(length, width, 0)),
        })),
        design.wall,
      );
    case 'poured':
      return fromPour(design);
  }
}

/** Straight pieces that a curved side is drawn in. */
const PIECES = 24;

/**
 * A cylinder on its side, open at the height where it was cut. The volume to height z is that of the
 * circular segment: L·[R²·acos((R − z)/R) − (R − z)·√(2Rz − z²)].
 *
 * @param R inside radius; @param length inside; @param depth height of the cut, up to 2R. Metres.
 */
export function lyingCylinder(R: number, length: number, depth: number, wall: number): Vessel {
  const half = (z: number) => Math.sqrt(Math.max(2 * R * z - z * z, 0));
  const end = Math.acos(Math.min(Math.max((R - depth) / R, -1), 1));
  return vesselOf({
    depth,
    wall,
    flat: false,
    bends: Array.from({ length: PIECES + 1 }, (_, i) =>
      i === PIECES ? depth : R - R * Math.cos((end * i) / PIECES),
    ),
    outlineAt: (z) => ({ a: length / 2, b: half(z), c: 0 }),
    volumeBelow: (z) => length * segmentArea(R, z),
  });
}

/** Area of a circle of radius R below height z over its lowest point, m². */
export function segmentArea(R: number, z: number): number {
  if (z <= 0) return 0;
  if (z >= 2 * R) return Math.PI * R * R;
  return R * R * Math.acos((R - z) / R) - (R - z) * Math.sqrt(2 * R * z - z * z);
}

type Poured = Extract<VesselDesign, { kind: 'poured' }>;

/** Least half width that a poured vessel is taken to have, metres; keeps flat readings finite. */
const LEAST_AREA = 1e-5;

/** A vessel whose litres by height were poured in and read off. */
function fromPour({ plan, ratio, depth, readings, wall }: Poured): Vessel {
  const curve = monotoneCurve(
    [0, ...readings.map((reading) => reading.height)],
    [0, ...readings.map((reading) => reading.volume)],
  );
  const outlineAt = (z: number): Outline => {
    const area = Math.max(curve.slopeAt(z), LEAST_AREA);
    if (plan === 'round') return circle(2 * Math.sqrt(area / Math.PI));
    const length = Math.sqrt(area / ratio);
    return rectangle(length, length * ratio, 0);
  };
  return vesselOf({
    depth,
    wall,
    bends: Array.from({ length: PIECES + 1 }, (_, i) => (depth * i) / PIECES),
    outlineAt,
    volumeBelow: (z) => curve.at(z),
  });
}

/** A bed of its own for the soil: the space that one of it gives, above its own floor. */
export function bedShape(bed: BedDesign, vessel: VesselDesign, outer: Vessel): Vessel {
  switch (bed.kind) {
    case 'nested':
      return outer;
    case 'row':
    case 'bag':
      return tapered(circle(bed.bottomDiameter), circle(bed.topDiameter), bed.depth, bed.wall);
    case 'neck': {
      const body = circle(2 * outer.halfAt(outer.depth) - 2 * vessel.wall);
      return stacked(
        [
          { z: 0, ...circle(bed.neckDiameter) },
          { z: Math.min(bed.shoulder, bed.depth * 0.9), ...body },
          { z: bed.depth, ...body },
        ],
        vessel.wall,
      );
    }
  }
}
