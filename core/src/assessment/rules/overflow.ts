import {
  baseStyle,
  lipBelowMark,
  lipHeight,
  standsOnStone,
  USUAL_AIR_GAP,
  usualFor,
  type OverflowDesign,
  type PlanterDesign,
} from '../../document';
import { baseName } from '../../assembly';
import { q, say } from '../../units';
import { outflow } from '../../physics/overflow';
import { overflowCapacity } from '../overflowCapacity';
import { mixBelow } from '../figures';
import type { Remedy, Rule } from '../finding';
import {
  downToMm,
  LEAST_AIR_GAP,
  markRemedies,
  moveBase,
  moveLip,
  openingAboveLip,
  set,
  upToMm,
} from '../patches';

/** An air gap wider than this, and than this share of the platform's height, wastes reservoir. */
const WIDE_AIR_GAP = 0.045;
const WIDE_AIR_SHARE = 0.25;
/** Openings wider than this let mosquitoes in, metres. */
const MOSQUITO = 0.0015;
/** How well a height can be marked and drilled, metres. */
const MARKED_WITHIN = 0.002;
/** Rain that climbs so far over the lip for some minutes is good to know, or to be watched. Metres. */
const LITTLE_CLIMB = 0.01;
const SOME_CLIMB = 0.03;
/** An indoor vessel up to this size may go without an overflow, m³. */
const SMALL_INDOORS = 0.01;
/** Widest overflow that a remedy asks for, metres. */
const WIDEST_OVERFLOW = 0.051;

export const overflowHeight: Rule = ({ design, planter: { heights, share }, figures }) => {
  const { overflow } = design;
  if (!overflow || heights.invert === null || figures.airGap === null) return [];
  // A bag stands in its water, and a rim is where it is.
  if (baseStyle(design) === 'bag') return [];
  const gap = figures.airGap;
  const what = baseName(design);
  const stone = standsOnStone(design);
  const invert = heights.invert;
  const opening = openingAboveLip(design);
  const lowerTo = (target: number): Remedy[] => {
    if (overflow.kind === 'rim') return [];
    // The mark is what one measures: it stands in whole millimetres.
    const below = lipBelowMark(overflow);
    const mark = downToMm(heights.ceiling - Math.max(target, opening) + below);
    return markRemedies(design, mark - below);
  };
  const raiseBase = (): Remedy[] => {
    // What stands on things of their own height, or hangs in a rim, does not go up by itself.
    if (overflow.kind === 'rim' || design.bed) return [];
    const ceiling = upToMm(invert + Math.max(USUAL_AIR_GAP, opening));
    return [
      {
        label: say`Raise ${what} to ${q(ceiling, 'length')}`,
        patch: moveBase(design, ceiling, ceiling - invert),
      },
    ];
  };
  const drilled = (): Remedy[] =>
    overflow.kind === 'rim'
      ? [0.016, 0.012].map((diameter) => drillOne(design, heights.ceiling, diameter))
      : [];
  const propose = () => [
    ...drilled(),
    ...lowerTo(USUAL_AIR_GAP),
    ...raiseBase(),
    ...lowerTo(0.015),
    ...lowerTo(LEAST_AIR_GAP + 0.001),
  ];
  // Less than one can mark by is no fault, and is told as no air at all.
  if (gap < -MARKED_WITHIN) {
    return [
      {
        id: 'overflow-above',
        severity: 'fault',
        panel: 'water',
        text: say`Lower the overflow’s lip: ${q(-gap, 'length')} above ${what === 'the platform' ? 'the platform’s underside' : what}, roots stand in water.`,
        propose,
      },
    ];
  }
  // Where the mix itself goes down into the water, roots follow it, and no gap is left on purpose.
  if (mixBelow(design)) return [];
  if (gap < LEAST_AIR_GAP - 1e-9 && !stone) {
    return [
      {
        id: 'air-gap-small',
        severity: 'watch',
        panel: 'water',
        text: say`Leave ${q(USUAL_AIR_GAP, 'length')} of air above the lip: with ${q(Math.max(gap, 0), 'length')} roots get little air and grow into the water.`,
        propose,
      },
    ];
  }
  // Behind a valve the level is the valve's, and the overflow may stand where it likes.
  if (design.reservoir.supply || share) return [];
  if (gap > WIDE_AIR_GAP && gap > WIDE_AIR_SHARE * heights.ceiling) {
    return [
      {
        id: 'air-gap-wide',
        severity: 'watch',
        panel: 'water',
        text: say`Raise the lip: ${q(gap, 'length')} of air gap waste reservoir, and ${q(USUAL_AIR_GAP, 'length')} are enough.`,
        propose: () => [...lowerTo(USUAL_AIR_GAP), ...lowerTo(0.03)],
      },
    ];
  }
  return [];
};

export const overflowMissing: Rule = ({ design, planter: { heights, vessel } }) => {
  if (design.overflow) return [];
  const { rain } = design.place;
  const small = vessel.volumeBelow(heights.waterRim) <= SMALL_INDOORS;
  const text =
    rain === 'open'
      ? say`Add an overflow: rain falls in, and nothing stops the water below the roots.`
      : rain === 'covered' || !small
        ? say`Add an overflow: one fill too many and the roots stand in water.`
        : say`Fill it by the gauge and never to the soil: without an overflow nothing else stops the water.`;
  return [
    {
      id: 'overflow-missing',
      severity: rain === 'open' ? 'fault' : rain === 'covered' || !small ? 'watch' : 'note',
      panel: 'water',
      text,
      propose: () =>
        [0.012, 0.02, 0.006].map((diameter) => drillOne(design, heights.ceiling, diameter)),
    },
  ];
};

/** One hole in the usual place under the top of the base. */
function drillOne(design: PlanterDesign, ceiling: number, wanted: number): Remedy {
  const hole = usualFor(design).hole(ceiling, wanted);
  return {
    label: say`Drill one hole of ${q(hole.diameter, 'length')}, marked at ${q(hole.centre, 'length')}`,
    patch: [set(['overflow'], hole)],
  };
}

/** An opening that reaches into what the soil stands on, or that cuts into the bend of the floor. */
export const overflowEdges: Rule = ({ design, planter: { heights } }) => {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim' || overflow.kind === 'rows') return [];
  if (baseStyle(design) === 'bag' || (heights.invert ?? 0) > heights.ceiling) return [];
  const radius = overflow.diameter / 2;
  const over = lipHeight(overflow) + openingAboveLip(design) - heights.ceiling;
  if (over <= 1e-6) return [];
  const lip = lipHeight(overflow);
  const lower = downToMm(lip - over);
  const ceiling = upToMm(heights.ceiling + over);
  const raised: Remedy = {
    label: say`Raise ${baseName(design)} to ${q(ceiling, 'length')}`,
    patch: [set(['reservoir', 'top'], ceiling)],
  };
  const smaller = usualFor(design)
    .bits.filter((bit) => bit <= overflow.diameter - over + 1e-9 && bit >= 0.008)
    .reverse()
    .flatMap((bit): Remedy[] => {
      const count = Math.ceil(overflow.count * (overflow.diameter / bit) ** 2);
      return overflow.kind === 'hole' && count <= MOST_HOLES
        ? [
            {
              label: say`Drill ${q(count, 'count')} of ${q(bit, 'length')} instead, marked at ${q(lip + bit / 2, 'length')}`,
              patch: [
                set(['overflow', 'diameter'], bit),
                set(['overflow', 'count'], count),
                set(['overflow', 'centre'], lip + bit / 2),
              ],
            },
          ]
        : [];
    });
  // A sheet or a floor stands in the way; a mix over fabric does not, it has no air there.
  const rigid = design.reservoir.cover === 'platform' || design.bed !== null;
  const under = baseStyle(design) === 'gap' && rigid;
  // It ends just under the sheet.
  if (under && over <= MARKED_WITHIN) return [];
  const blocked = under;
  const reaches = overflow.centre + radius;
  return [
    {
      id: 'overflow-edge',
      severity: blocked ? 'fault' : 'watch',
      panel: 'water',
      text: blocked
        ? say`Mark the overflow lower: its hole reaches ${q(reaches, 'length')}, into ${baseName(design)} at ${q(heights.ceiling, 'length')}.`
        : say`Lay fabric over the overflow inside: it opens to ${q(reaches, 'length')}, over ${baseName(design)} at ${q(heights.ceiling, 'length')}, and leaves roots no air.`,
      propose: () => [
        ...smaller.slice(0, 3),
        {
          label: say`Move the mark to ${q(lower + lipBelowMark(overflow), 'length')}`,
          patch: moveLip(design, lower),
        },
        ...(design.bed ? [] : [raised]),
      ],
    },
  ];
};

/** A valve that keeps the water above the overflow empties the barrel onto the ground. */
export const valveHigh: Rule = ({ design, planter: { heights } }) => {
  const { supply } = design.reservoir;
  const { invert } = heights;
  if (!supply || invert === null || supply.level < invert - 1e-9) return [];
  const level = Math.max(downToMm(invert - VALVE_UNDER), 0.005);
  return [
    {
      id: 'valve-high',
      severity: 'fault',
      panel: 'water',
      text: say`Set the valve below the lip at ${q(invert, 'length')}: at ${q(supply.level, 'length')} it lets the barrel’s ${q(supply.volume, 'volume')} run out.`,
      propose: () => [
        {
          label: say`Set the valve to ${q(level, 'length')}`,
          patch: [set(['reservoir', 'supply', 'level'], level)],
        },
      ],
    },
  ];
};

/** A valve's level is set so far under the lip, metres. */
const VALVE_UNDER = 0.015;
/** Overflow holes at the most that a remedy asks for. */
const MOST_HOLES = 5;

type Hole = Extract<OverflowDesign, { kind: 'hole' }>;

/**
 * Holes of `bits` with the same lip that carry `inflow` before water is `head` above the lip: first more of the same
 * size, then wider ones.
 */
function holesThatCarry(
  overflow: OverflowDesign,
  bits: readonly number[],
  inflow: number,
  head: number,
): Remedy[] {
  if (overflow.kind === 'rim') return [];
  const lip = lipHeight(overflow);
  const { centre, diameter: now, count: many, screened, bearing } = overflow;
  const from: Hole =
    overflow.kind === 'hole'
      ? overflow
      : { kind: 'hole', centre, diameter: now, count: many, bearing, screened };
  const carries = (diameter: number, count: number) =>
    outflow({ ...from, diameter, count }, head) > inflow;
  const counts = Array.from({ length: MOST_HOLES }, (_, i) => i + 1);
  const more = counts.filter((count) => count > from.count && carries(from.diameter, count));
  const wider = bits
    .filter((bit) => bit > from.diameter && bit <= WIDEST_OVERFLOW)
    .flatMap((diameter) =>
      counts
        .filter((count) => count >= from.count && carries(diameter, count))
        .slice(0, 1)
        .map((count) => ({ diameter, count })),
    );
  const same = more.slice(0, 1).map((count) => ({ diameter: from.diameter, count }));
  return [...same, ...wider].map(({ diameter, count }) => {
    const mark = lip + diameter / 2;
    return {
      label:
        diameter === from.diameter && overflow.kind === 'hole'
          ? say`Drill ${q(count, 'count')} holes of the same size at the same height`
          : say`Drill ${count === 1 ? 'one hole' : say`${q(count, 'count')} holes`} of ${q(diameter, 'length')}, marked at ${q(mark, 'length')}`,
      patch: [set(['overflow'], { ...from, diameter, count, centre: mark })],
    };
  });
}

export const overflowCapacityShort: Rule = ({ design, planter, figures }) => {
  const { overflow, place } = design;
  const { heights } = planter;
  const carries = overflowCapacity(planter);
  if (!overflow || carries === null || heights.invert === null) return [];
  if (figures.rainIn <= 0 || carries >= figures.rainIn) return [];
  const head = heights.base - heights.invert;
  const climb = figures.stormClimb ?? 0;
  return [
    {
      id: 'overflow-storm',
      severity: climb <= LITTLE_CLIMB ? 'note' : climb <= SOME_CLIMB ? 'watch' : 'fault',
      panel: 'water',
      text: say`Widen the overflow: in rain of ${q(place.storm, 'rainfall')} water climbs ${q(climb, 'length')} over the lip.`,
      propose: () => holesThatCarry(overflow, usualFor(design).bits, figures.rainIn, head),
    },
  ];
};

export const overflowOpen: Rule = ({ design: { overflow, place } }) =>
  overflow &&
  overflow.kind !== 'rim' &&
  !overflow.screened &&
  overflow.diameter > MOSQUITO &&
  place.rain !== 'indoors'
    ? [
        {
          id: 'overflow-unscreened',
          severity: 'watch',
          panel: 'water',
          text: say`Put a screen on the overflow of ${q(overflow.diameter, 'length')}: standing water breeds mosquitoes in a week.`,
          propose: () => [
            { label: say`Put a fine screen on it`, patch: [set(['overflow', 'screened'], true)] },
          ],
        },
      ]
    : [];
