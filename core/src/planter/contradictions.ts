import { PIPES, STANDING } from '../catalog';
import {
  airCeiling,
  boreOf,
  depthOf,
  leastWidth,
  lipBelowMark,
  soilBaseHeight,
  type PlanterDesign,
  type VesselDesign,
} from '../design';
import { q, say, type Message } from '../quantity';
import { clearBetween, shapeOf, type Vessel } from '../vessel';

/** Something in a design that cannot exist, where it stands, and what to do. */
export interface Contradiction {
  path: readonly (string | number)[];
  message: Message;
}

/** Share of the floor that one cloth wick’s legs may fill. */
const MOST_CLOTH = 0.1;
/** Least depth of soil that still makes a planter rather than a bucket of water, metres. */
export const LEAST_SOIL = 0.02;
/** A nested vessel may stand this far above the rim of the lower one, metres. */
const MOST_LIFT = 0.1;

const found = (path: Contradiction['path'], message: Message): Contradiction => ({ path, message });

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

/** What in a vessel's own measures cannot be; paths begin with `vessel`. */
export function vesselContradictions(vessel: VesselDesign): Contradiction[] {
  const list: Contradiction[] = [];
  if (vessel.kind === 'box') {
    const half =
      Math.min(vessel.topWidth, vessel.bottomWidth, vessel.topLength, vessel.bottomLength) / 2;
    if (vessel.corner > half + 1e-9) {
      list.push(
        found(
          ['vessel', 'corner'],
          say`A corner radius of ${q(vessel.corner, 'length')} is more than half of the width. Give ${q(half, 'length')} or less.`,
        ),
      );
    }
  }
  if (vessel.kind === 'lying' && vessel.depth > vessel.diameter * 0.95 + 1e-9) {
    list.push(
      found(
        ['vessel', 'depth'],
        say`Cut at ${q(vessel.depth, 'length')} a round of ${q(vessel.diameter, 'length')} has no opening to plant in. Cut it at ${q(vessel.diameter * 0.95, 'length')} or lower.`,
      ),
    );
  }
  if (vessel.kind === 'stations') {
    vessel.stations.forEach(({ height }, i) => {
      const before = vessel.stations[i - 1]?.height;
      if (i === 0 && height !== 0) {
        list.push(
          found(
            ['vessel', 'stations', 0, 'height'],
            say`The first size is taken at the floor. Give a height of 0 there.`,
          ),
        );
      } else if (before !== undefined && height < before + 1e-3) {
        list.push(
          found(
            ['vessel', 'stations', i, 'height'],
            say`Sizes go up from the floor: this one must stand higher than ${q(before, 'length')}.`,
          ),
        );
      }
    });
  }
  if (vessel.kind === 'poured') {
    vessel.readings.forEach((reading, i) => {
      const before = vessel.readings[i - 1] ?? { volume: 0, height: 0 };
      if (reading.volume <= before.volume || reading.height < before.height + 1e-3) {
        list.push(
          found(
            ['vessel', 'readings', i, reading.volume <= before.volume ? 'volume' : 'height'],
            say`Water only rises as more is poured in: after ${q(before.volume, 'volume')} at ${q(before.height, 'length')} both must be more.`,
          ),
        );
      }
    });
    const last = vessel.readings[vessel.readings.length - 1];
    if (last && last.height > vessel.depth + 1e-9) {
      list.push(
        found(
          ['vessel', 'depth'],
          say`Water stood at ${q(last.height, 'length')}, so the vessel is at least that deep. Measure floor to rim again.`,
        ),
      );
    }
  }
  if (depthOf(vessel) < 0.03) {
    list.push(
      found(
        vessel.kind === 'stations'
          ? ['vessel', 'stations', vessel.stations.length - 1, 'height']
          : ['vessel', 'depth'],
        say`A vessel needs at least ${q(0.03, 'length')} of depth.`,
      ),
    );
  }
  return list;
}

function bedMeasures({ bed, vessel, reservoir }: PlanterDesign, shape: Vessel): Contradiction[] {
  if (!bed) return [];
  const list: Contradiction[] = [];
  const rim = shape.outlineAt(shape.depth);
  const narrow = 2 * Math.min(rim.a, rim.b);
  if (bed.kind === 'neck') {
    if (vessel.kind !== 'round') {
      list.push(found(['bed'], say`Only a round bottle can be turned over into its own base.`));
    } else if (bed.neckDiameter > narrow * 0.9) {
      list.push(
        found(
          ['bed', 'neckDiameter'],
          say`A neck of ${q(bed.neckDiameter, 'length')} is no neck on a bottle ${q(narrow, 'length')} across. Measure the opening under the cap.`,
        ),
      );
    }
    if (bed.shoulder > bed.depth * 0.9) {
      list.push(
        found(
          ['bed', 'shoulder'],
          say`The shoulder takes all of the ${q(bed.depth, 'length')} that the upper part has. Give ${q(bed.depth * 0.9, 'length')} or less.`,
        ),
      );
    }
  }
  if (bed.kind === 'bag') {
    const floor = shape.outlineAt(0);
    const room = 2 * Math.min(floor.a, floor.b);
    const across = Math.max(bed.topDiameter, bed.bottomDiameter) + 2 * bed.wall;
    if (across > room + 1e-9) {
      list.push(
        found(
          ['bed', bed.topDiameter >= bed.bottomDiameter ? 'topDiameter' : 'bottomDiameter'],
          say`A bag ${q(across, 'length')} across does not stand in a tray that is ${q(room, 'length')} wide. Use one of ${q(room, 'length')} or less.`,
        ),
      );
    }
  }
  if (bed.kind === 'row') {
    const across = Math.max(bed.topDiameter, bed.bottomDiameter) + 2 * bed.wall;
    const room = (2 * rim.a) / bed.count;
    if (across > room + 1e-9) {
      list.push(
        found(
          ['bed', 'count'],
          say`${q(bed.count, 'count')} pails of ${q(across, 'length')} do not stand side by side on ${q(2 * rim.a, 'length')}. There is room for ${q(Math.floor((2 * rim.a) / across + 1e-9), 'count')}.`,
        ),
      );
    }
  }
  const most =
    bed.kind === 'row'
      ? shape.depth
      : bed.kind === 'nested'
        ? shape.depth + MOST_LIFT
        : shape.depth;
  if (bed.kind !== 'bag' && reservoir.top > most + 1e-9) {
    list.push(
      found(
        ['reservoir', 'top'],
        say`At ${q(reservoir.top, 'length')} it would stand above the ${q(shape.depth, 'length')} deep vessel that holds its water. Lower it to ${q(most, 'length')}.`,
      ),
    );
  }
  return list;
}

/** How the top of the base is spoken of. */
export function baseName({ reservoir, bed }: PlanterDesign): string {
  if (bed?.kind === 'nested') return 'the upper vessel’s floor';
  if (bed?.kind === 'neck') return 'the cap';
  if (bed?.kind === 'row') return 'the pails’ floor';
  if (bed?.kind === 'bag') return 'the tray’s rim';
  if (reservoir.cover === 'platform') return 'the platform';
  const part = reservoir.parts[0];
  if (reservoir.fill.some((layer) => layer.medium !== 'mix')) return 'the top of the base';
  if (part?.kind === 'standing') return `the ${STANDING[part.what].one}s’ tops`;
  if (part?.kind === 'crates') return 'the crates’ tops';
  if (part?.kind === 'arch') return 'the top of the panel';
  return 'the top of the base';
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

function partSizes(design: PlanterDesign, shape: Vessel): Contradiction[] {
  const { reservoir } = design;
  const top = Math.min(airCeiling(design), reservoir.top, shape.depth);
  const floor = clearBetween(shape, 0, top);
  const narrowest = 2 * Math.min(floor.a, floor.b);
  const widest = 2 * Math.max(floor.a, floor.b);
  return reservoir.parts.flatMap((part, i): Contradiction[] => {
    const at = (key: string) => ['reservoir', 'parts', i, key];
    const list: Contradiction[] = [];
    const flatOnly = part.kind !== 'lying' && part.kind !== 'sticks';
    if (flatOnly && !shape.flat) {
      return [
        found(
          at('kind'),
          say`The floor is curved, and what stands needs a flat one. Lay pipes or stone in it instead.`,
        ),
      ];
    }
    if (part.kind === 'ring' || part.kind === 'standing') {
      const name =
        part.kind === 'ring' ? (part.cutEnd ? 'cut end' : 'ring') : STANDING[part.what].one;
      if (part.diameter > narrowest + 1e-9) {
        list.push(
          found(
            at('diameter'),
            say`A ${name} ${q(part.diameter, 'length')} across cannot stand in a vessel that is ${q(narrowest, 'length')} across there. Use one of ${q(narrowest, 'length')} or less.`,
          ),
        );
      }
    }
    if ('wall' in part && 'diameter' in part && part.wall * 2 >= part.diameter) {
      list.push(
        found(
          at('wall'),
          say`Walls of ${q(part.wall, 'length')} fill all of something ${q(part.diameter, 'length')} across. Give a thinner wall.`,
        ),
      );
    }
    if (part.kind === 'lying') {
      if (part.diameter > top + 1e-9) {
        list.push(
          found(
            at('diameter'),
            say`A pipe ${q(part.diameter, 'length')} across stands out of a base that is ${q(top, 'length')} high. Use one of ${q(top, 'length')} or less, or raise the base.`,
          ),
        );
      } else if (part.diameter > leastWidth(design.vessel) * 0.95) {
        list.push(
          found(
            at('diameter'),
            say`A pipe ${q(part.diameter, 'length')} across does not lie in a vessel ${q(leastWidth(design.vessel), 'length')} wide. Use a thinner one.`,
          ),
        );
      }
    }
    if (part.kind === 'crates') {
      const [long, short] = [Math.max(part.length, part.width), Math.min(part.length, part.width)];
      if (long > widest + 1e-9 || short > narrowest + 1e-9) {
        list.push(
          found(
            at(
              long > widest
                ? part.length >= part.width
                  ? 'length'
                  : 'width'
                : part.length < part.width
                  ? 'length'
                  : 'width',
            ),
            say`One of ${q(part.length, 'length')} by ${q(part.width, 'length')} does not go into ${q(widest, 'length')} by ${q(narrowest, 'length')}. Give a smaller one, or one cut down.`,
          ),
        );
      }
    }
    if (part.kind === 'arch' && part.width > narrowest + 1e-9) {
      list.push(
        found(
          at('width'),
          say`A panel ${q(part.width, 'length')} wide does not lie in a vessel ${q(narrowest, 'length')} across there. Cut it to ${q(narrowest, 'length')} or less.`,
        ),
      );
    }
    if (part.kind === 'sticks' && part.spacing < part.diameter - 1e-9) {
      list.push(
        found(
          at('spacing'),
          say`Sticks of ${q(part.diameter, 'length')} lie at least that far apart. Give their spacing from middle to middle.`,
        ),
      );
    }
    return list;
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
