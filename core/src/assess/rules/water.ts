import { aggregateOf, METRIC_BITS, STANDING } from '../../catalog';
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
import {
  downToMm,
  gapToKeep,
  highestCeiling,
  LEAST_AIR_GAP,
  moveBase,
  moveLip,
  set,
  upToMm,
} from '../moves';
import { rootRoom } from '../figures';
import { partName } from '../words';

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

/** Water that lies open in a tray breeds mosquitoes and can drown a toddler. */
export const openWater: Rule = ({ design, figures }) => {
  if (design.bed?.kind !== 'bag' || design.place.rain === 'indoors') return [];
  return [
    {
      id: 'open-tray',
      severity: design.place.children ? 'danger' : 'watch',
      room: 'water',
      text: design.place.children
        ? say`${q(figures.standing, 'volume')} lie open in the tray, and small children or animals come near. Cover the water around the bags, and empty the tray when nobody tends it.`
        : say`${q(figures.standing, 'volume')} lie open in the tray: mosquitoes breed in it within a week. Cover the water around the bags or let the tray run dry between fills.`,
    },
  ];
};

export const valveOnMains: Rule = ({ design }) =>
  design.reservoir.supply
    ? [
        {
          id: 'valve-mains',
          severity: 'note',
          room: 'water',
          text: say`The float valve is fed from a barrel. On the mains it needs protection against backflow under the local plumbing rules, by a licensed plumber.`,
        },
      ]
    : [];

export const waterShare: Rule = ({ design, planter: { heights }, figures }) => {
  if (figures.waterShare <= MUCH_WATER || baseStyle(design) === 'bag') return [];
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
            label: say`Lower ${baseName(design)} to ${q(ceiling, 'length')}`,
            patch: moveBase(design, ceiling, gap),
          },
        ];
      },
    },
  ];
};

/** Stone leaves less than this share of the space to the water: a third of what it looks like. */
const MUCH_STONE = 0.5;

export const fullOfStone: Rule = ({ design, planter: { vessel, heights, storage } }) => {
  const looks = vessel.volumeBelow(heights.brim);
  const holds = storage.volumeBelow(heights.brim);
  const stony = design.reservoir.fill.some(
    (layer) => aggregateOf(layer.medium)?.grain !== undefined,
  );
  const first = design.reservoir.fill.findIndex((layer) => layer.medium !== 'mix');
  return stony && looks > 0 && holds < MUCH_STONE * looks
    ? [
        {
          id: 'full-of-stone',
          severity: 'note',
          room: 'water',
          text: say`To the overflow the base looks like ${q(looks, 'volume')} and holds ${q(holds, 'volume')}: stone takes the rest. Pipes, boxes or bottles in it hold more.`,
          propose: () =>
            first < 0 || design.reservoir.parts.length > 0
              ? []
              : [
                  {
                    label: say`Lay pipes of ${q(downToMm(heights.ceiling * 0.9), 'length')} in it`,
                    patch: [
                      set(
                        ['reservoir', 'parts'],
                        [
                          {
                            kind: 'lying',
                            lay: 'runs',
                            count: 24,
                            diameter: Math.max(downToMm(heights.ceiling * 0.9), 0.02),
                            wall: 0.002,
                            sock: true,
                          },
                        ],
                      ),
                    ],
                  },
                ],
        },
      ]
    : [];
};

export const rottingFill: Rule = ({ design: { reservoir } }) =>
  reservoir.fill.some((layer) => aggregateOf(layer.medium)?.rots ?? false)
    ? [
        {
          id: 'fill-rots',
          severity: 'note',
          room: 'water',
          text: say`Wood chip rots and sinks by a hand’s width over some seasons: plan to top the bed up, and to renew the chip.`,
        },
      ]
    : [];

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
        const highest = Math.min(
          highestCeiling(design, planter.heights.rim, roots),
          planter.heights.rim * 0.5 + gap,
        );
        const raised =
          design.bed === null
            ? [0.35, 0.7, 1].map((t): Remedy => {
                const ceiling = downToMm(lowest + (highest - lowest) * t);
                return {
                  label: say`Raise ${baseName(design)} to ${q(ceiling, 'length')}, lip with it`,
                  patch: moveBase(design, ceiling, gap),
                };
              })
            : [];
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

export const partsVented: Rule = ({ planter }) =>
  planter.layout.parts.flatMap((part) => {
    const { design, index } = part;
    if (!('vents' in design) || design.vents === 'both' || part.placed === 0) return [];
    if (design.kind === 'standing' && design.what === 'brick') return [];
    const name = partName(part);
    const brim = planter.heights.brim;
    const caught = part.hollowBelow(brim) - part.waterBelow(brim);
    const propose = () => [
      {
        label:
          design.kind === 'ring' && !design.cutEnd
            ? say`Split the ring open`
            : say`Drill the ${name} at top and bottom`,
        patch: [set(['reservoir', 'parts', index, 'vents'], 'both')],
      },
    ];
    const many = design.kind === 'standing' && part.placed > 1;
    return [
      design.vents === 'foot'
        ? {
            id: `supports-airlock-${index}`,
            severity: 'fault' as const,
            room: 'water' as const,
            text: say`The ${name} ${many ? 'catch' : 'catches'} air: water cannot rise inside, and ${q(caught, 'volume')} of the reservoir stays empty. ${many ? 'They need' : 'It needs'} a hole at the top to breathe.`,
            propose,
          }
        : {
            id: `supports-sealed-${index}`,
            severity: 'fault' as const,
            room: 'water' as const,
            text: say`The ${name} ${many ? 'are' : 'is'} shut all round: ${q(caught, 'volume')} holds no water, and pushes up with ${q(caught * 998, 'mass')} when the reservoir fills.`,
            propose,
          },
    ];
  });

export const partsFit: Rule = ({ planter: { layout } }) =>
  layout.parts.flatMap((part) => {
    const { design, index } = part;
    if (part.placed >= part.wanted || design.kind === 'sticks') return [];
    const path = (key: string) => ['reservoir', 'parts', index, key];
    const room = part.room();
    const name = partName({ design, placed: 2 });
    const size =
      design.kind === 'crates'
        ? say`${q(design.length, 'length')} by ${q(design.width, 'length')}`
        : q('diameter' in design ? design.diameter : design.width, 'length');
    const smaller = [0.75, 0.5, 0.3].map((share): Remedy => {
      if (design.kind === 'crates') {
        const sides = [design.length, design.width].map((side) =>
          Math.max(downToMm(side * share), 0.02),
        ) as [number, number];
        return {
          label: say`Use ones of ${q(sides[0], 'length')} by ${q(sides[1], 'length')}`,
          patch: [set(path('length'), sides[0]), set(path('width'), sides[1])],
        };
      }
      const key = design.kind === 'arch' ? 'width' : 'diameter';
      const now = design.kind === 'arch' ? design.width : design.diameter;
      const least = design.kind === 'arch' ? 0.03 : 0.02;
      const next = Math.max(downToMm(now * share), least);
      return { label: say`Use ones of ${q(next, 'length')}`, patch: [set(path(key), next)] };
    });
    return [
      {
        id: `supports-crowded-${index}`,
        severity: 'fault' as const,
        room: 'water' as const,
        text: say`${q(part.wanted, 'count')} ${name} of ${size} do not fit on the floor: there is room for ${q(room, 'count')} beside the tube and wicks.`,
        propose: () => [
          ...(room > 0 && 'count' in design
            ? [{ label: say`Use ${q(room, 'count')}`, patch: [set(path('count'), room)] }]
            : []),
          ...smaller,
        ],
      },
    ];
  });

/** The widest that fabric spans from pot to pot without sinking to the floor, metres. Typical. */
const FABRIC_SPAN = 0.12;

export const platformSpan: Rule = ({ design, planter, figures }) => {
  const { reservoir } = design;
  const at = reservoir.parts.findIndex((part) => part.kind === 'standing');
  const part = reservoir.parts[at];
  const more = (name: string): Remedy[] =>
    part?.kind === 'standing'
      ? [1, 2, 3, 4, 6, 9].map((extra) => ({
          label: say`Stand ${q(part.count + extra, 'count')} ${name} under it`,
          patch: [set(['reservoir', 'parts', at, 'count'], part.count + extra)],
        }))
      : [];
  const name = part?.kind === 'standing' ? `${STANDING[part.what].one}s` : 'supports';
  if (reservoir.cover !== 'platform') {
    return figures.span > FABRIC_SPAN
      ? [
          {
            id: 'fabric-sags',
            severity: 'watch',
            room: 'water',
            text: say`Fabric alone spans ${q(figures.span, 'length')} with nothing under it and sinks into the water: ${q(FABRIC_SPAN, 'length')} is about what it bears.`,
            propose: () => [
              ...more(name),
              {
                label: say`Lay a platform ${q(0.006, 'length')} thick`,
                patch: [
                  set(['reservoir', 'cover'], 'platform'),
                  set(['reservoir', 'thickness'], 0.006),
                ],
              },
              {
                label: say`Lay a platform ${q(0.018, 'length')} thick`,
                patch: [
                  set(['reservoir', 'cover'], 'platform'),
                  set(['reservoir', 'thickness'], 0.018),
                ],
              },
            ],
          },
        ]
      : [];
  }
  const bears = reservoir.thickness * SPAN_PER_THICKNESS;
  if (figures.span <= bears || planter.bed.separate) return [];
  return [
    {
      id: 'platform-sags',
      severity: 'watch',
      room: 'water',
      text: say`The platform spans ${q(figures.span, 'length')} with nothing under it. At ${q(reservoir.thickness, 'length')} thick it will sag beyond about ${q(bears, 'length')}.`,
      propose: () => [
        ...more(name),
        ...[0.003, 0.004, 0.006, 0.01, 0.015, 0.02]
          .filter((thickness) => thickness > reservoir.thickness)
          .map((thickness) => ({
            label: say`Use a platform ${q(thickness, 'length')} thick`,
            patch: [set(['reservoir', 'thickness'], thickness)],
          })),
      ],
    },
  ];
};
