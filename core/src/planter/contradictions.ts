import { PIPES } from '../catalog';
import {
  boreOf,
  depthOf,
  leastWidth,
  lipBelowMark,
  soilBaseHeight,
  type PlanterDesign,
} from '../design';
import { q, say } from '../quantity';
import { shapeOf, type Vessel } from '../vessel';
import { baseName } from './baseName';
import { found, type Contradiction } from './contradiction';
import { partSizes } from './partContradictions';
import { bedMeasures, vesselContradictions } from './vesselContradictions';

/** Share of the floor that one cloth wick’s legs may fill. */
const MOST_CLOTH = 0.1;
/** Least depth of soil that still makes a planter rather than a bucket of water, metres. */
export const LEAST_SOIL = 0.02;

/**
 * Measures that contradict each other, as against unwise ones, which are findings. A design with
 * contradictions is never saved; a design without any can always be resolved and drawn.
 */
export function contradictions(design: PlanterDesign): Contradiction[] {
  const vessel = vesselContradictions(design.vessel);
  // Nothing else can be asked of a vessel that cannot be.
  if (vessel.length > 0) return vessel;
  const shape = shapeOf(design.vessel);
  const bed = bedMeasures(design, shape);
  if (bed.length > 0) return bed;
  return [
    ...heights(design, shape),
    ...overflowHole(design, shape),
    ...supply(design),
    ...fills(design),
    ...partSizes(design, shape),
    ...wickSizes(design, shape),
    ...tubeSize(design),
    ...stripTests(design),
  ];
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function heights(design: PlanterDesign, shape: Vessel): Contradiction[] {
  const { soil, bed } = design;
  const base = soilBaseHeight(design);
  const own = bed && bed.kind !== 'nested';
  const rim = own ? base + bed.depth : bed ? base + shape.depth : shape.depth;
  const highest = rim - soil.freeboard - LEAST_SOIL;
  if (base <= highest + 1e-9) return [];
  const depth = rim - (bed ? base : 0);
  if (bed) {
    return [
      found(
        ['soil', 'freeboard'],
        say`${q(soil.freeboard, 'length')} of freeboard leaves no room for soil in ${q(depth, 'length')}. Leave ${q(Math.max(depth - LEAST_SOIL, 0), 'length')} or less.`,
      ),
    ];
  }
  return [
    found(
      ['reservoir', 'top'],
      say`${capital(baseName(design))} at ${q(design.reservoir.top, 'length')} leaves no room for soil: the vessel is ${q(depth, 'length')} deep, with ${q(soil.freeboard, 'length')} of freeboard. Keep it at ${q(Math.max(highest - (base - design.reservoir.top), 0), 'length')} or lower.`,
    ),
  ];
}

function overflowHole({ overflow }: PlanterDesign, shape: Vessel): Contradiction[] {
  if (!overflow || overflow.kind === 'rim') return [];
  const list: Contradiction[] = [];
  const radius = overflow.diameter / 2;
  const up = overflow.kind === 'rows' ? (overflow.rows - 1) * overflow.pitch : 0;
  const lip = overflow.centre - lipBelowMark(overflow);
  if (overflow.centre < radius - 1e-9) {
    list.push(
      found(
        ['overflow', 'centre'],
        say`A ${q(overflow.diameter, 'length')} hole centred ${q(overflow.centre, 'length')} up would cut through the floor. Mark it at ${q(radius, 'length')} or higher.`,
      ),
    );
  }
  if (overflow.centre + radius + up > shape.depth + 1e-9 || lip > shape.depth + 1e-9) {
    const over = Math.max(radius + up, -lipBelowMark(overflow));
    list.push(
      found(
        ['overflow', 'centre'],
        say`The overflow would cut through the rim, which is at ${q(shape.depth, 'length')}. Mark its centre at ${q(Math.max(shape.depth - over, 0), 'length')} or lower.`,
      ),
    );
  }
  if (overflow.kind === 'fitting' && boreOf(overflow) > overflow.diameter + 1e-9) {
    list.push(
      found(
        ['overflow', 'bore'],
        say`A bore of ${q(overflow.bore, 'length')} does not go into a hole of ${q(overflow.diameter, 'length')}. Give the clear width inside the fitting.`,
      ),
    );
  }
  const around = shape.perimeterAt(Math.min(overflow.centre, shape.depth));
  if (overflow.count * overflow.diameter > around / 2) {
    list.push(
      found(
        ['overflow', 'count'],
        say`${q(overflow.count, 'count')} holes of ${q(overflow.diameter, 'length')} would cut away more than half of the wall, which is ${q(around, 'length')} round. Use fewer or smaller holes.`,
      ),
    );
  }
  return list;
}

function supply(design: PlanterDesign): Contradiction[] {
  const { supply: barrel } = design.reservoir;
  const depth = depthOf(design.vessel);
  return barrel && barrel.level > depth + 1e-9
    ? [
        found(
          ['reservoir', 'supply', 'level'],
          say`The valve at ${q(barrel.level, 'length')} would let the water over the rim, which is at ${q(depth, 'length')}. Set it lower.`,
        ),
      ]
    : [];
}

function fills({ reservoir }: PlanterDesign): Contradiction[] {
  return reservoir.fill.flatMap((layer, i) => {
    const below = reservoir.fill[i - 1];
    return below && layer.upTo <= below.upTo + 1e-6
      ? [
          found(
            ['reservoir', 'fill', i, 'upTo'],
            say`This layer lies on one that reaches ${q(below.upTo, 'share')} of the base. Give more than that.`,
          ),
        ]
      : [];
  });
}

function wickSizes(design: PlanterDesign, shape: Vessel): Contradiction[] {
  const top = soilBaseHeight(design);
  const floor = shape.outlineAt(shape.flat ? 0 : shape.depth);
  const narrowest = 2 * Math.min(floor.a, floor.b);
  const noPlatform =
    design.bed === null &&
    design.reservoir.cover === 'none' &&
    design.reservoir.fill.some((layer) => layer.medium === 'mix' && layer.upTo >= 1);
  return design.wicks.flatMap((wick, i): Contradiction[] => {
    if (wick.kind === 'cup' && noPlatform) {
      return [
        found(
          ['wicks', i, 'kind'],
          say`A packed cup hangs in a platform, and this planter has none: the mix that goes down to the floor is its wick. Use cloth, or no extra wick.`,
        ),
      ];
    }
    if (wick.foot >= top - 1e-9) {
      return [
        found(
          ['wicks', i, 'foot'],
          say`The wick’s foot at ${q(wick.foot, 'length')} is not below the soil, which begins at ${q(top, 'length')}. Lower the foot.`,
        ),
      ];
    }
    if (
      wick.kind === 'cloth' &&
      wick.legs * wick.width * wick.thickness > shape.areaAt(top / 2) * MOST_CLOTH
    ) {
      return [
        found(
          ['wicks', i, 'legs'],
          say`${q(wick.legs, 'count')} legs of ${q(wick.width, 'length')} by ${q(wick.thickness, 'length')} would fill most of the reservoir. Use fewer, narrower or thinner legs.`,
        ),
      ];
    }
    if (wick.kind !== 'cloth' && wick.diameter > narrowest) {
      return [
        found(
          ['wicks', i, 'diameter'],
          say`One ${q(wick.diameter, 'length')} across does not go into a vessel that is ${q(narrowest, 'length')} across. Use a smaller one.`,
        ),
      ];
    }
    const curved = shape.outlineAt(wick.foot);
    if (wick.kind !== 'cloth' && !shape.flat && 2 * Math.min(curved.a, curved.b) < wick.diameter) {
      let foot = wick.foot;
      while (foot < shape.depth && 2 * shape.outlineAt(foot).b < wick.diameter) foot += 1e-3;
      return [
        found(
          ['wicks', i, 'foot'],
          say`The floor is curved: one ${q(wick.diameter, 'length')} across stands on its walls at about ${q(foot, 'length')}. Raise its foot to that, or use a thinner one.`,
        ),
      ];
    }
    return [];
  });
}

function tubeSize({ vessel, bed, fillTube, pipes }: PlanterDesign): Contradiction[] {
  const room = bed?.kind === 'neck' ? bed.neckDiameter : leastWidth(vessel);
  const most = bed?.kind === 'row' || bed?.kind === 'bag' ? room : room / 2;
  const wide = (path: Contradiction['path'], name: string, outside: number) =>
    outside > most + 1e-9
      ? [
          found(
            path,
            say`The ${name} is ${q(outside, 'length')} across and would take more than half of a floor ${q(room, 'length')} across. Choose a thinner pipe.`,
          ),
        ]
      : [];
  const tube = fillTube ? PIPES[fillTube.pipe] : null;
  return [
    ...(tube ? wide(['fillTube', 'pipe'], tube.name, tube.outside) : []),
    ...pipes.flatMap((pipe, i) =>
      wide(
        ['pipes', i, 'diameter'],
        pipe.use === 'worm' ? 'worm tube' : 'inspection pipe',
        pipe.diameter,
      ),
    ),
  ];
}

function stripTests({ wicks }: PlanterDesign): Contradiction[] {
  return wicks.flatMap((wick, i): Contradiction[] =>
    wick.kind === 'cloth' && wick.strip && wick.strip.day <= wick.strip.hour
      ? [
          found(
            ['wicks', i, 'strip', 'day'],
            say`A strip is wet higher after a day than after an hour, ${q(wick.strip.hour, 'length')}. Measure again, or leave the test out.`,
          ),
        ]
      : [],
  );
}
