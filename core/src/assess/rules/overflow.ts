import { METRIC_BITS } from '../../catalog';
import {
  baseStyle,
  lipBelowMark,
  standsOnStone,
  USUAL_AIR_GAP,
  usualOverflow,
  type OverflowDesign,
} from '../../design';
import { baseName } from '../../planter';
import { q, say } from '../../quantity';
import { outletFlow, outletOf, outflow } from '../../reservoir';
import type { Remedy, Rule } from '../finding';
import { downToMm, LEAST_AIR_GAP, moveBase, moveLip, set, upToMm } from '../moves';

/** An air gap wider than this, and than this share of the platform's height, wastes reservoir. */
const WIDE_AIR_GAP = 0.045;
const WIDE_AIR_SHARE = 0.25;
/** Openings wider than this let mosquitoes in, metres. */
const MOSQUITO = 0.0015;
/** An indoor vessel up to this size may go without an overflow, m³. */
const SMALL_INDOORS = 0.01;
/** Widest overflow that a remedy asks for, metres. */
const WIDEST_OVERFLOW = 0.051;

export const overflowHeight: Rule = ({ design, planter: { heights }, figures }) => {
  const { overflow } = design;
  if (!overflow || heights.invert === null || figures.airGap === null) return [];
  // A bag stands in its water, and a rim is where it is.
  if (baseStyle(design) === 'bag') return [];
  const gap = figures.airGap;
  const what = baseName(design);
  const stone = standsOnStone(design);
  const invert = heights.invert;
  const lowerTo = (target: number): Remedy[] => {
    if (overflow.kind === 'rim') return [];
    const below = lipBelowMark(overflow);
    const centre = downToMm(heights.ceiling - target + below);
    return [
      {
        label: say`Move the mark to ${q(centre, 'length')}, lip ${q(centre - below, 'length')}`,
        patch: moveLip(design, centre - below),
      },
    ];
  };
  const raiseBase = (): Remedy => {
    const ceiling = upToMm(invert + USUAL_AIR_GAP);
    return {
      label: say`Raise ${what} to ${q(ceiling, 'length')}`,
      patch: moveBase(design, ceiling, ceiling - invert),
    };
  };
  const propose = () => [
    ...lowerTo(USUAL_AIR_GAP),
    raiseBase(),
    ...lowerTo(0.015),
    ...lowerTo(LEAST_AIR_GAP + 0.001),
  ];
  if (gap < -1e-9) {
    return [
      {
        id: 'overflow-above',
        severity: 'fault',
        room: 'water',
        text: say`The overflow’s lip is ${q(-gap, 'length')} above ${what === 'the platform' ? 'the platform’s underside' : what}: roots will stand in water. Keep the lip ${stone ? 'at it or below' : say`${q(USUAL_AIR_GAP, 'length')} below`}.`,
        propose,
      },
    ];
  }
  if (gap < LEAST_AIR_GAP - 1e-9 && !stone) {
    return [
      {
        id: 'air-gap-small',
        severity: 'watch',
        room: 'water',
        text: say`Only ${q(gap, 'length')} of air between the lip and ${what}: roots get little air and grow into the water. Usual is ${q(USUAL_AIR_GAP, 'length')}.`,
        propose,
      },
    ];
  }
  // Behind a valve the level is the valve's, and the overflow may stand where it likes.
  if (design.reservoir.supply) return [];
  if (gap > WIDE_AIR_GAP && gap > WIDE_AIR_SHARE * heights.ceiling) {
    return [
      {
        id: 'air-gap-wide',
        severity: 'watch',
        room: 'water',
        text: say`The air gap of ${q(gap, 'length')} wastes reservoir: ${q(USUAL_AIR_GAP, 'length')} is enough for air.`,
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
      ? say`There is no overflow, and rain falls in: nothing stops the water below the roots.`
      : rain === 'covered' || !small
        ? say`There is no overflow: one fill too many and the roots stand in water.`
        : say`There is no overflow. Indoors that is a choice for a small vessel, but fill it by the gauge and never to the soil.`;
  return [
    {
      id: 'overflow-missing',
      severity: rain === 'open' ? 'fault' : rain === 'covered' || !small ? 'watch' : 'note',
      room: 'water',
      text,
      propose: () =>
        [0.012, 0.02, 0.006].map((diameter) => {
          const hole = usualOverflow(heights.ceiling, diameter);
          return {
            label: say`Drill one of ${q(diameter, 'length')} at ${q(hole.centre, 'length')}`,
            patch: [set(['overflow'], hole)],
          };
        }),
    },
  ];
};

type Hole = Extract<OverflowDesign, { kind: 'hole' }>;

/** Holes of usual sizes with the same lip that carry `inflow` before water is `head` above the lip. */
function holesThatCarry(overflow: OverflowDesign, inflow: number, head: number): Remedy[] {
  if (overflow.kind === 'rim') return [];
  const lip = overflow.centre - lipBelowMark(overflow);
  const from: Hole =
    overflow.kind === 'hole'
      ? overflow
      : {
          kind: 'hole',
          centre: overflow.centre,
          diameter: overflow.diameter,
          count: overflow.count,
          screened: overflow.screened,
        };
  const widest = METRIC_BITS.filter((bit) => bit > from.diameter && bit <= WIDEST_OVERFLOW);
  return [from.count, from.count + 1, from.count + 2].flatMap((count) => {
    const bits = count === from.count ? widest : [from.diameter, ...widest];
    const diameter = bits.find((bit) => outflow({ ...from, diameter: bit, count }, head) > inflow);
    if (diameter === undefined) return [];
    const centre = lip + diameter / 2;
    return [
      {
        label: say`${count === 1 ? 'One hole' : `${count} holes`} of ${q(diameter, 'length')}, marked at ${q(centre, 'length')}`,
        patch: [set(['overflow'], { ...from, diameter, count, centre })],
      },
    ];
  });
}

export const overflowCapacity: Rule = ({ design, planter: { heights, vessel }, figures }) => {
  const { overflow, place } = design;
  if (!overflow || heights.invert === null || heights.invert > heights.ceiling) return [];
  if (baseStyle(design) === 'bag') return [];
  const outlet = outletOf(overflow, vessel.perimeterAt(heights.waterRim));
  const head = heights.base - heights.invert;
  const carries = outletFlow(outlet, head);
  if (figures.rainIn > 0 && carries < figures.rainIn) {
    return [
      {
        id: 'overflow-storm',
        severity: 'fault',
        room: 'water',
        text: say`In rain of ${q(place.storm, 'rainfall')} the water climbs ${q(figures.stormClimb ?? 0, 'length')} above the lip, into the soil: the overflow cannot keep up.`,
        propose: () => holesThatCarry(overflow, figures.rainIn, head),
      },
    ];
  }
  if (carries < place.hose) {
    return [
      {
        id: 'overflow-hose',
        severity: 'note',
        room: 'water',
        text: say`The overflow carries ${q(carries, 'flow')} before water gets into the soil, and a hose gives ${q(place.hose, 'flow')}. Fill slowly and stop when it runs, or give it more opening.`,
        propose: () => holesThatCarry(overflow, place.hose, head),
      },
    ];
  }
  return [];
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
          room: 'water',
          text: say`The overflow of ${q(overflow.diameter, 'length')} is open to mosquitoes: standing water breeds them in a week.`,
          propose: () => [
            { label: say`Put a fine screen on it`, patch: [set(['overflow', 'screened'], true)] },
          ],
        },
      ]
    : [];
