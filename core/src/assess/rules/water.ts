import { METRIC_BITS } from '../../catalog';
import { invertOf, USUAL_AIR_GAP, usualOverflow, type OverflowDesign } from '../../design';
import { q, say } from '../../quantity';
import { outflow } from '../../reservoir';
import type { Remedy, Rule } from '../finding';
import {
  downToMm,
  gapToKeep,
  highestCeiling,
  LEAST_AIR_GAP,
  moveBase,
  set,
  upToMm,
} from '../moves';
import { rootRoom } from '../figures';

/** An air gap wider than this, and than this share of the platform's height, wastes reservoir. */
const WIDE_AIR_GAP = 0.045;
const WIDE_AIR_SHARE = 0.25;
/** Openings wider than this let mosquitoes in, metres. */
const MOSQUITO = 0.0015;
/** An indoor vessel up to this size may go without an overflow, m³. */
const SMALL_INDOORS = 0.01;
/** Widest overflow that a remedy asks for, metres. */
const WIDEST_OVERFLOW = 0.051;
/** Share of the height above which the soil gets short, whatever the school. */
const MUCH_WATER = 0.55;
/** Unsupported span that a platform bears, in times its thickness. Typical for lid plastic. */
const SPAN_PER_THICKNESS = 60;

const lipPhrase = (build: 'platform' | 'bottles') =>
  build === 'platform' ? 'the platform' : 'the bottles’ tops';

export const overflowHeight: Rule = ({ design, planter: { heights }, figures }) => {
  const { overflow } = design;
  if (!overflow || heights.invert === null || figures.airGap === null) return [];
  const gap = figures.airGap;
  const r = overflow.diameter / 2;
  const what = lipPhrase(design.reservoir.kind);
  const lowerTo = (target: number): Remedy => {
    const centre = downToMm(heights.ceiling - target + r);
    return {
      label: say`Move the mark to ${q(centre, 'length')}, lip ${q(centre - r, 'length')}`,
      patch: [set(['overflow', 'centre'], centre)],
    };
  };
  const raiseBase = (): Remedy => {
    const ceiling = upToMm((heights.invert ?? 0) + USUAL_AIR_GAP);
    return {
      label: say`Raise ${what} to ${q(ceiling, 'length')}`,
      patch: moveBase(design, ceiling, ceiling - (heights.invert ?? 0)),
    };
  };
  const propose = () => [
    lowerTo(USUAL_AIR_GAP),
    raiseBase(),
    lowerTo(0.015),
    lowerTo(LEAST_AIR_GAP + 0.001),
  ];
  if (gap < 0) {
    return [
      {
        id: 'overflow-above',
        severity: 'fault',
        room: 'water',
        text: say`The overflow’s lip is ${q(-gap, 'length')} above ${what === 'the platform' ? 'the platform’s underside' : what}: roots will stand in water. Keep the lip ${q(USUAL_AIR_GAP, 'length')} below.`,
        propose,
      },
    ];
  }
  if (gap < LEAST_AIR_GAP - 1e-9) {
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
  if (gap > WIDE_AIR_GAP && gap > WIDE_AIR_SHARE * heights.ceiling) {
    return [
      {
        id: 'air-gap-wide',
        severity: 'watch',
        room: 'water',
        text: say`The air gap of ${q(gap, 'length')} wastes reservoir: ${q(USUAL_AIR_GAP, 'length')} is enough for air.`,
        propose: () => [lowerTo(USUAL_AIR_GAP), lowerTo(0.03)],
      },
    ];
  }
  return [];
};

export const overflowMissing: Rule = ({ design, planter: { heights, vessel } }) => {
  if (design.overflow) return [];
  const { rain } = design.place;
  const small = vessel.volumeBelow(heights.rim) <= SMALL_INDOORS;
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
        [0.012, 0.02].map((diameter) => {
          const hole = usualOverflow(heights.ceiling, diameter);
          return {
            label: say`Drill one of ${q(diameter, 'length')} at ${q(hole.centre, 'length')}`,
            patch: [set(['overflow'], hole)],
          };
        }),
    },
  ];
};

/** Holes of usual sizes with the same lip that carry `inflow` before water is `head` above the lip. */
function holesThatCarry(overflow: OverflowDesign, inflow: number, head: number): Remedy[] {
  const invert = invertOf(overflow);
  const widest = METRIC_BITS.filter((bit) => bit > overflow.diameter && bit <= WIDEST_OVERFLOW);
  return [overflow.count, overflow.count + 1, overflow.count + 2].flatMap((count) => {
    const bits = count === overflow.count ? widest : [overflow.diameter, ...widest];
    const diameter = bits.find(
      (bit) => outflow({ ...overflow, diameter: bit, count }, head) > inflow,
    );
    if (diameter === undefined) return [];
    const centre = invert + diameter / 2;
    return [
      {
        label: say`${count === 1 ? 'One hole' : `${count} holes`} of ${q(diameter, 'length')}, marked at ${q(centre, 'length')}`,
        patch: [
          set(['overflow', 'diameter'], diameter),
          set(['overflow', 'count'], count),
          set(['overflow', 'centre'], centre),
        ],
      },
    ];
  });
}

export const overflowCapacity: Rule = ({ design, planter: { heights }, figures }) => {
  const { overflow, place } = design;
  if (!overflow || heights.invert === null || heights.invert > heights.ceiling) return [];
  const head = heights.base - heights.invert;
  if (figures.rainIn > 0 && outflow(overflow, head) < figures.rainIn) {
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
  if (outflow(overflow, head) < place.hose) {
    return [
      {
        id: 'overflow-hose',
        severity: 'note',
        room: 'water',
        text: say`The overflow carries ${q(outflow(overflow, head), 'flow')} before water gets into the soil, and a hose gives ${q(place.hose, 'flow')}. Fill slowly and stop when it runs, or give it more opening.`,
        propose: () => holesThatCarry(overflow, place.hose, head),
      },
    ];
  }
  return [];
};

export const overflowOpen: Rule = ({ design: { overflow, place } }) =>
  overflow && !overflow.screened && overflow.diameter > MOSQUITO && place.rain !== 'indoors'
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

export const waterShare: Rule = ({ design, planter: { heights }, figures }) => {
  if (figures.waterShare <= MUCH_WATER) return [];
  return [
    {
      id: 'water-share',
      severity: 'watch',
      room: 'water',
      text: say`The reservoir takes ${q(heights.brim, 'length')} of ${q(heights.rim, 'length')}: more than half of the height, and the soil gets ${q(figures.growingDepth, 'length')}.`,
      propose: () => {
        const gap = gapToKeep(design);
        const ceiling = downToMm(heights.rim * 0.4 + gap);
        return [
          {
            label: say`Lower ${lipPhrase(design.reservoir.kind)} to ${q(ceiling, 'length')}`,
            patch: moveBase(design, ceiling, gap),
          },
        ];
      },
    },
  ];
};

export const lasting: Rule = ({ design, planter, figures }) => {
  const { place } = design;
  const lasts = figures.lastsHot;
  if (place.daysAway <= lasts.days) return [];
  const roots = rootRoom(planter);
  return [
    {
      id: 'days-short',
      severity: lasts.days < place.daysAway * 0.6 ? 'fault' : 'watch',
      room: 'water',
      text: say`In hot weather it lasts ${q(lasts.days, 'days')} (${q(figures.hot.total, 'daily')} leave it), and you asked for ${q(place.daysAway, 'days')}.`,
      propose: () => {
        const gap = gapToKeep(design);
        const lowest = planter.heights.ceiling;
        const highest = Math.min(highestCeiling(design, roots), planter.heights.rim * 0.5 + gap);
        const raised = [0.35, 0.7, 1].map((t): Remedy => {
          const ceiling = downToMm(lowest + (highest - lowest) * t);
          return {
            label: say`Raise ${lipPhrase(design.reservoir.kind)} to ${q(ceiling, 'length')}, lip with it`,
            patch: moveBase(design, ceiling, gap),
          };
        });
        const mulch: Remedy = {
          label: say`Lay straw mulch`,
          patch: [set(['soil', 'mulch'], 'straw')],
        };
        const fewer: Remedy[] =
          design.planting.count > 1
            ? [
                {
                  label: say`Plant ${q(design.planting.count - 1, 'count')} instead of ${q(design.planting.count, 'count')}`,
                  patch: [set(['planting', 'count'], design.planting.count - 1)],
                },
              ]
            : [];
        return [
          ...(design.soil.mulch === 'none' ? [mulch] : []),
          ...(highest > lowest + 0.002 ? raised : []),
          ...fewer,
        ];
      },
    },
  ];
};

export const supportsVented: Rule = ({ design: { reservoir }, planter, figures }) => {
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  if (support.vents === 'both' || planter.layout.supports.length === 0) return [];
  const name = { ring: 'ring', tubs: 'tubs', bottles: 'bottles' }[support.kind];
  const path =
    reservoir.kind === 'platform' ? ['reservoir', 'supports', 'vents'] : ['reservoir', 'vents'];
  const propose = () => [
    {
      label:
        support.kind === 'ring'
          ? say`Split the ring open`
          : say`Drill the ${name} at top and bottom`,
      patch: [set(path, 'both')],
    },
  ];
  return [
    support.vents === 'foot'
      ? {
          id: 'supports-airlock',
          severity: 'fault',
          room: 'water',
          text: say`The ${name} catch air: water cannot rise inside, and ${q(figures.caughtAir, 'volume')} of the reservoir stays empty. They need a hole at the top to breathe.`,
          propose,
        }
      : {
          id: 'supports-sealed',
          severity: 'fault',
          room: 'water',
          text: say`The ${name} are shut all round: ${q(figures.caughtAir, 'volume')} holds no water, and they push up with ${q(figures.caughtAir * 998, 'mass')} when the reservoir fills.`,
          propose,
        },
  ];
};

export const supportsFit: Rule = ({ design, planter: { layout } }) => {
  const { reservoir } = design;
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  if (support.kind === 'ring' || layout.supports.length >= support.count) return [];
  const room = layout.supportRoom();
  const path = reservoir.kind === 'platform' ? ['reservoir', 'supports'] : ['reservoir'];
  const name = support.kind === 'tubs' ? 'tubs' : 'bottles';
  return [
    {
      id: 'supports-crowded',
      severity: 'fault',
      room: 'water',
      text: say`${q(support.count, 'count')} ${name} of ${q(support.diameter, 'length')} do not fit on the floor: there is room for ${q(room, 'count')} beside the tube and wicks.`,
      propose: () => [
        ...(room > 0
          ? [{ label: say`Use ${q(room, 'count')}`, patch: [set([...path, 'count'], room)] }]
          : []),
        ...[0.75, 0.5, 0.3].map((share): Remedy => {
          const diameter = Math.max(downToMm(support.diameter * share), 0.02);
          return {
            label: say`Use ones of ${q(diameter, 'length')}`,
            patch: [set([...path, 'diameter'], diameter)],
          };
        }),
      ],
    },
  ];
};

export const platformSpan: Rule = ({ design: { reservoir }, figures }) => {
  if (reservoir.kind !== 'platform') return [];
  const bears = reservoir.thickness * SPAN_PER_THICKNESS;
  if (figures.span <= bears) return [];
  const { supports } = reservoir;
  return [
    {
      id: 'platform-sags',
      severity: 'watch',
      room: 'water',
      text: say`The platform spans ${q(figures.span, 'length')} with nothing under it. At ${q(reservoir.thickness, 'length')} thick it will sag beyond about ${q(bears, 'length')}.`,
      propose: () => {
        const more: Remedy[] =
          supports.kind === 'tubs'
            ? [1, 2, 3, 4].map((extra) => ({
                label: say`Stand ${q(supports.count + extra, 'count')} tubs under it`,
                patch: [set(['reservoir', 'supports', 'count'], supports.count + extra)],
              }))
            : [];
        const thicker = [0.003, 0.004, 0.006, 0.01, 0.015].map((thickness): Remedy => ({
          label: say`Use a platform ${q(thickness, 'length')} thick`,
          patch: [set(['reservoir', 'thickness'], thickness)],
        }));
        return [
          ...more,
          ...thicker.filter((_, i) => [0.003, 0.004, 0.006, 0.01, 0.015][i]! > reservoir.thickness),
        ];
      },
    },
  ];
};
