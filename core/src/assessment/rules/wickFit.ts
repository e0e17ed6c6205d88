import {
  BRIDGE,
  bunchAcross,
  cupHole,
  platformOpenings,
  drilledSheet,
  drilledTo,
  RIM_GRIP,
} from '../../assembly';
import type { ClothWickDesign } from '../../document';
import { q, say } from '../../units';
import { grown, type Outline } from '../../geometry/vessels';
import type { Draft, Remedy, Rule } from '../finding';
import { downToMm, set, upToMm } from '../patches';
import { partName } from '../words';
import { misplaced } from './places';

/** Whether wicks have room, hang in what they go through, and are where they feed. */

export const wicksFit: Rule = ({ planter }) =>
  planter.partGroups.flatMap((group) => {
    if (group.kind !== 'cup' && group.kind !== 'column' && group.kind !== 'cloth') return [];
    const placed = group.parts.length;
    if (placed >= group.wanted || misplaced(planter, group).length > 0) return [];
    const { index: i } = group;
    const cloth = group.kind === 'cloth';
    const name = cloth ? 'bunches of cloth' : group.kind === 'cup' ? 'cups' : 'columns';
    const across = cloth ? bunchAcross(group.spec) : group.spec.diameter;
    const field = cloth ? 'holes' : 'count';
    const thinner = (diameter: number): Remedy => ({
      label: say`Use one ${group.kind === 'cup' ? 'cup' : group.kind === 'column' ? 'column' : 'bunch'} of ${q(diameter, 'length')}`,
      patch: [
        set(['wicks', i, 'diameter'], diameter),
        ...(group.kind === 'cup'
          ? [
              set(['wicks', i, 'bottom'], diameter * 0.8),
              set(['wicks', i, 'rim'], diameter + 0.016),
            ]
          : []),
        set(['wicks', i, 'count'], 1),
      ],
    });
    return [
      {
        id: `wicks-crowded-${i}`,
        severity: 'fault' as const,
        panel: 'wick' as const,
        text:
          placed === 0
            ? say`Use smaller ones: no ${partName(group, group.wanted)} of ${q(across, 'length')} has room beside what else stands there.`
            : say`Use fewer or smaller ones: only ${q(placed, 'count')} of ${q(group.wanted, 'count')} ${name} of ${q(across, 'length')} ${placed === 1 ? 'has' : 'have'} room.`,
        propose: () => {
          const room = group.capacity();
          return [
            ...(room > 0
              ? [
                  {
                    label: say`Use ${q(room, 'count')}`,
                    patch: [set(['wicks', i, field], room), set(['wicks', i, 'at'], null)],
                  },
                ]
              : []),
            ...(cloth ? [] : [0.06, 0.03].map(thinner)),
          ];
        },
      },
    ];
  });

/** Every pail of a row drinks by a wick of its own. */
export const pailsWithout: Rule = ({ design, planter }) => {
  const { bed } = planter;
  if (design.bed?.kind !== 'row' || planter.wicks.length === 0) return [];
  const half = bed.inside.outlineAt(0).a;
  const wicks = planter.partGroups
    .filter(({ kind }) => kind === 'cup' || kind === 'column' || kind === 'cloth')
    .flatMap(({ parts }) => parts);
  const dry = bed.places.filter(
    ({ x }) => !wicks.some((one) => Math.abs(one.x - x) <= half),
  ).length;
  if (dry === 0) return [];
  const first = design.wicks[0];
  const field = first?.kind === 'cloth' ? 'holes' : 'count';
  const all = bed.places.length;
  return [
    {
      id: 'pail-without-wick',
      severity: 'fault',
      panel: 'wick',
      text: say`Give every pail a wick: ${q(dry, 'count')} of ${q(all, 'count')} ${dry === 1 ? 'has' : 'have'} none and ${dry === 1 ? 'gets' : 'get'} no water from below.`,
      propose: () => [
        {
          label: say`Give every pail one: ${q(all, 'count')}`,
          patch: [
            set(['wicks', 0, field], all),
            ...(first?.kind === 'cloth'
              ? [set(['wicks', 0, 'legs'], Math.max(first.legs, all))]
              : []),
            set(['wicks', 0, 'at'], null),
          ],
        },
      ],
    },
  ];
};

/** The widest hole for a bunch of cloth that soil does not fall through. */
const WIDE_BUNCH = 0.04;
/** Legs that anybody gives a hole each. */
const MOST_OWN_HOLES = 12;

/** The same cloth in more and narrower legs, each through a hole of its own. */
function narrower(spec: ClothWickDesign, index: number, wide: number): Remedy[] {
  const legs = Math.ceil(spec.holes * wide ** 2);
  if (legs <= spec.legs || legs > MOST_OWN_HOLES) return [];
  const width = downToMm((spec.width * spec.legs) / legs);
  return [
    {
      label: say`Cut it into ${q(legs, 'count')} legs ${q(width, 'length')} wide, each through its own hole`,
      patch: [
        set(['wicks', index, 'legs'], legs),
        set(['wicks', index, 'width'], width),
        set(['wicks', index, 'holes'], legs),
      ],
    },
  ];
}

/** Cloth as it goes through its hole, and as it lies under the soil. */
export const clothFits: Rule = ({ design, planter }) =>
  planter.of('cloth').flatMap(({ spec, index }): Draft[] => {
    const { platformOutline, bed } = planter;
    const across = bunchAcross(spec);
    const drafts: Draft[] = [];
    const neck = design.bed?.kind === 'neck' ? design.bed.neckDiameter * NECK_SHARE : null;
    const most = neck ?? (platformOutline ? WIDE_BUNCH : Infinity);
    if (across > most + 1e-6) {
      const holes = Math.min(Math.ceil(spec.holes * (across / most) ** 2), spec.legs, 12);
      const legs = Math.max(Math.floor(spec.legs * (most / across) ** 2), 1);
      drafts.push({
        id: `cloth-bunch-${index}`,
        severity: neck ? 'fault' : 'watch',
        panel: 'wick',
        text: neck
          ? say`Use fewer or thinner strands: bunched they are ${q(across, 'length')} across, and the neck takes ${q(neck, 'length')}.`
          : say`Share the cloth over more holes: soil falls past a bunch ${q(across, 'length')} thick.`,
        propose: () =>
          neck
            ? [
                {
                  label: say`Use ${q(legs, 'count')} of them`,
                  patch: [set(['wicks', index, 'legs'], legs)],
                },
              ]
            : [
                {
                  label: say`Share it over ${q(holes, 'count')} holes`,
                  patch: [set(['wicks', index, 'holes'], holes)],
                },
                ...narrower(spec, index, across / most),
              ],
      });
    }
    const half = Math.max(
      bed.inside.halfAt(planter.heights.base - bed.floor),
      bed.inside.halfAt(planter.heights.surface - bed.floor),
    );
    if (spec.spread > half + 1e-6) {
      const fits = Math.max(downToMm(half - 0.005), 0);
      drafts.push({
        id: `cloth-spread-${index}`,
        severity: 'watch',
        panel: 'wick',
        text: say`Spread the cloth less than ${q(spec.spread, 'length')}: the wall is ${q(half, 'length')} from the middle.`,
        propose: () => [
          {
            label: say`Spread it ${q(fits, 'length')}`,
            patch: [set(['wicks', index, 'spread'], fits)],
          },
        ],
      });
    }
    return drafts;
  });

/** Share of a bottle's neck that a bunch may fill. */
const NECK_SHARE = 0.85;

/** A cup hangs by its rim, so its hole must be narrower than that. */
export const cupHangs: Rule = ({ planter }) =>
  planter.of('cup').flatMap(({ spec, index }): Draft[] => {
    if (cupHole(spec).least <= spec.rim - RIM_GRIP + 1e-6) return [];
    const rim = upToMm(cupHole(spec).least + RIM_GRIP);
    const narrower = downToMm(spec.rim - RIM_GRIP - (cupHole(spec).least - spec.diameter));
    return [
      {
        id: `cup-rim-${index}`,
        severity: 'fault',
        panel: 'wick',
        text: say`Take a cup with a rim of ${q(rim, 'length')}: its hole is ${q(cupHole(spec).least, 'length')}, and a rim of ${q(spec.rim, 'length')} falls through.`,
        propose: () => [
          ...(narrower > 0.02
            ? [
                {
                  label: say`Use a cup ${q(narrower, 'length')} across inside, with that rim`,
                  patch: [
                    set(['wicks', index, 'diameter'], narrower),
                    set(['wicks', index, 'bottom'], Math.min(spec.bottom, narrower)),
                  ],
                },
              ]
            : []),
          {
            label: say`Use a cup with a rim of ${q(rim, 'length')}`,
            patch: [set(['wicks', index, 'rim'], rim)],
          },
        ],
      },
    ];
  });

/** The least by which one can move a hole, metres. */
const CAN_BE_MOVED = 0.002;

/** Holes in the sheet that leave too little of it to each other or to its edge. */
export const bridges: Rule = ({ planter }) => {
  const sheet = drilledSheet(planter);
  if (!sheet) return [];
  const holes = platformOpenings(planter).map((one) => ({ ...one, r: drilledTo(one) / 2 }));
  let least = Infinity;
  let who: string[] = [];
  holes.forEach((one, i) => {
    const inner = grown(sheet, -one.r);
    const edge = edgeOf(inner, one);
    if (edge < least) [least, who] = [edge, [`the ${partName(one.group, 1)}`, 'the edge']];
    holes.slice(i + 1).forEach((other) => {
      const bridge = Math.hypot(one.x - other.x, one.y - other.y) - one.r - other.r;
      if (bridge < least)
        [least, who] = [
          bridge,
          [
            `the ${partName(one.group, 1)}`,
            one.group === other.group ? 'the next one' : `the ${partName(other.group, 1)}`,
          ],
        ];
    });
  });
  if (least >= BRIDGE - 1e-4) return [];
  const moved = [...new Set(holes.map(({ group }) => group))].flatMap((group) =>
    group.kind === 'tube'
      ? [set(['fillTube', 'at'], null)]
      : group.kind === 'cup' || group.kind === 'column' || group.kind === 'cloth'
        ? [set(['wicks', group.index, 'at'], null)]
        : [set(['pipes', group.index, 'at'], null)],
  );
  return [
    {
      id: 'hole-bridge',
      severity: 'fault',
      panel: 'wick',
      text: say`Move ${who[0] ?? ''} ${q(Math.max(upToMm(BRIDGE - least), CAN_BE_MOVED), 'length')} away from ${who[1] ?? ''}: the sheet tears where less than ${q(BRIDGE, 'length')} of it is left.`,
      propose: () => [{ label: say`Let Huerta place them`, patch: moved }],
    },
  ];
};

/** How far a place is from the edge of an outline, negative outside. Metres. */
function edgeOf({ a, b, c }: Outline, { x, y }: { x: number; y: number }): number {
  const dx = Math.abs(x) - (a - c);
  const dy = Math.abs(y) - (b - c);
  return c - (dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy));
}
