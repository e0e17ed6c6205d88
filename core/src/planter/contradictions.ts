import { PIPES } from '../catalog';
import { q, say, type Message } from '../quantity';
import { insideDiameterAt } from '../vessel';
import { soilBaseHeight, type PlanterDesign } from '../design';

/** Something in a design that cannot exist, where it stands, and what to do. */
export interface Contradiction {
  path: readonly (string | number)[];
  message: Message;
}

/** Share of the floor that one cloth wick’s legs may fill. */
const MOST_CLOTH = 0.1;

/** Least depth of soil that still makes a planter rather than a bucket of water, metres. */
export const LEAST_SOIL = 0.02;

/**
 * Measures that contradict each other, as against unwise ones, which are findings. A design with
 * contradictions is never saved; a design without any can always be resolved and drawn.
 */
export function contradictions(design: PlanterDesign): Contradiction[] {
  return [
    ...heights(design),
    ...overflowHole(design),
    ...supportSizes(design),
    ...wickSizes(design),
    ...tubeSize(design),
    ...stripTests(design),
  ];
}

function heights({ vessel, reservoir, soil }: PlanterDesign): Contradiction[] {
  const base = soilBaseHeight(reservoir);
  const highest = vessel.depth - soil.freeboard - LEAST_SOIL;
  if (base <= highest + 1e-9) return [];
  const path = reservoir.kind === 'platform' ? ['reservoir', 'underside'] : ['reservoir', 'height'];
  const what = reservoir.kind === 'platform' ? 'The platform’s top' : 'The bottles’ top';
  return [
    {
      path,
      message: say`${what} at ${q(base, 'length')} leaves no room for soil: the vessel is ${q(vessel.depth, 'length')} deep, with ${q(soil.freeboard, 'length')} of freeboard. Keep it at ${q(Math.max(highest, 0), 'length')} or lower.`,
    },
  ];
}

function overflowHole({ vessel, overflow }: PlanterDesign): Contradiction[] {
  if (!overflow) return [];
  const found: Contradiction[] = [];
  const radius = overflow.diameter / 2;
  if (overflow.centre < radius - 1e-9) {
    found.push({
      path: ['overflow', 'centre'],
      message: say`A ${q(overflow.diameter, 'length')} hole centred ${q(overflow.centre, 'length')} up would cut through the floor. Mark it at ${q(radius, 'length')} or higher.`,
    });
  }
  if (overflow.centre + radius > vessel.depth + 1e-9) {
    found.push({
      path: ['overflow', 'centre'],
      message: say`The overflow would cut through the rim, which is at ${q(vessel.depth, 'length')}. Mark its centre at ${q(vessel.depth - radius, 'length')} or lower.`,
    });
  }
  const around = Math.PI * insideDiameterAt(vessel, Math.min(overflow.centre, vessel.depth));
  if (overflow.count * overflow.diameter > around / 2) {
    found.push({
      path: ['overflow', 'count'],
      message: say`${q(overflow.count, 'count')} holes of ${q(overflow.diameter, 'length')} would cut away more than half of the wall, which is ${q(around, 'length')} round. Use fewer or smaller holes.`,
    });
  }
  return found;
}

function supportSizes({ vessel, reservoir }: PlanterDesign): Contradiction[] {
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const at = reservoir.kind === 'platform' ? ['reservoir', 'supports'] : ['reservoir'];
  const top = reservoir.kind === 'platform' ? reservoir.underside : reservoir.height;
  const narrowest = Math.min(vessel.bottomDiameter, insideDiameterAt(vessel, top));
  const name = { ring: 'ring', tubs: 'tub', bottles: 'bottle' }[support.kind];
  const found: Contradiction[] = [];
  if (support.diameter > narrowest + 1e-9) {
    found.push({
      path: [...at, 'diameter'],
      message: say`A ${name} ${q(support.diameter, 'length')} across cannot stand in a vessel that is ${q(narrowest, 'length')} across there. Use one of ${q(narrowest, 'length')} or less.`,
    });
  }
  if (support.wall * 2 >= support.diameter) {
    found.push({
      path: [...at, 'wall'],
      message: say`Walls of ${q(support.wall, 'length')} fill the whole ${name}, which is ${q(support.diameter, 'length')} across. Give a thinner wall.`,
    });
  }
  return found;
}

function wickSizes({ vessel, reservoir, wicks }: PlanterDesign): Contradiction[] {
  const top = soilBaseHeight(reservoir);
  return wicks.flatMap((wick, i): Contradiction[] => {
    if (wick.kind === 'cup' && reservoir.kind === 'bottles') {
      return [
        {
          path: ['wicks', i, 'kind'],
          message: say`A packed cup hangs in a platform, and this planter has none: the mix between the bottles is its wick. Use cloth, or no extra wick.`,
        },
      ];
    }
    if (wick.foot >= top - 1e-9) {
      return [
        {
          path: ['wicks', i, 'foot'],
          message: say`The wick’s foot at ${q(wick.foot, 'length')} is not below the soil, which begins at ${q(top, 'length')}. Lower the foot.`,
        },
      ];
    }
    const floor = (Math.PI / 4) * vessel.bottomDiameter ** 2;
    if (wick.kind === 'cloth' && wick.legs * wick.width * wick.thickness > floor * MOST_CLOTH) {
      return [
        {
          path: ['wicks', i, 'legs'],
          message: say`${q(wick.legs, 'count')} legs of ${q(wick.width, 'length')} by ${q(wick.thickness, 'length')} would fill most of the reservoir. Use fewer, narrower or thinner legs.`,
        },
      ];
    }
    if (wick.kind === 'cup' && wick.diameter > vessel.bottomDiameter) {
      return [
        {
          path: ['wicks', i, 'diameter'],
          message: say`A cup ${q(wick.diameter, 'length')} across does not go into a vessel that is ${q(vessel.bottomDiameter, 'length')} across. Use a smaller cup.`,
        },
      ];
    }
    return [];
  });
}

function tubeSize({ vessel, fillTube }: PlanterDesign): Contradiction[] {
  if (!fillTube) return [];
  const { outside, name } = PIPES[fillTube.pipe];
  if (outside <= vessel.bottomDiameter / 2) return [];
  return [
    {
      path: ['fillTube', 'pipe'],
      message: say`The ${name} is ${q(outside, 'length')} across and would take more than half of a floor ${q(vessel.bottomDiameter, 'length')} across. Choose a thinner pipe.`,
    },
  ];
}

function stripTests({ wicks }: PlanterDesign): Contradiction[] {
  return wicks.flatMap((wick, i): Contradiction[] =>
    wick.kind === 'cloth' && wick.strip && wick.strip.day <= wick.strip.hour
      ? [
          {
            path: ['wicks', i, 'strip', 'day'],
            message: say`A strip is wet higher after a day than after an hour, ${q(wick.strip.hour, 'length')}. Measure again, or leave the test out.`,
          },
        ]
      : [],
  );
}
