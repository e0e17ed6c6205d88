import { aggregateOf, grainOf, LAYERS, SOLD, STANDING } from '../../catalog';
import { baseStyle, measuredIn, USUAL_LYING, type PlanterDesign, type Vents } from '../../document';
import {
  baseName,
  drilledSheet,
  platformOpenings,
  sizeOf,
  tightest,
  type PartGroup,
  type PartSize,
} from '../../assembly';
import { plural, q, say, type Message, type UnitSystem } from '../../units';
import type { Remedy, Rule } from '../finding';
import { downToMm, gapToKeep, moveBase, set } from '../patches';
import { partName } from '../words';
import { misplaced } from './places';

/** Unsupported span that a platform bears, in times its thickness. Typical for lid plastic. */
const SPAN_PER_THICKNESS = 60;

/** Stone leaves less than this share of the space to the water: a third of what it looks like. */
const MUCH_STONE = 0.5;

export const fullOfStone: Rule = ({ design, planter }) => {
  const { vessel, heights, storage, floor } = planter;
  const looks = vessel.volumeBelow(heights.brim);
  const holds = storage.volumeBelow(heights.brim);
  const stony = design.reservoir.fill.some(
    (layer) => aggregateOf(layer.medium)?.grain !== undefined,
  );
  const pipes = (): Remedy[] => {
    const roomy = SOLD[measuredIn(design)].drain.filter((size) => size <= heights.ceiling * 0.9);
    const diameter = roomy.filter((size) => size < 0.12).at(-1) ?? 0;
    const count = Math.floor((2 * Math.min(floor.a, floor.b)) / (diameter * 1.6));
    if (design.reservoir.parts.length > 0 || count < 1 || diameter < 0.03) return [];
    const part = { ...USUAL_LYING, count: Math.min(count, 24), diameter };
    return [
      {
        label:
          part.count === 1
            ? say`Lay a pipe of ${q(diameter, 'length')} in it`
            : say`Lay ${q(part.count, 'count')} pipes of ${q(diameter, 'length')} in it`,
        patch: [set(['reservoir', 'parts'], [part])],
      },
    ];
  };
  return stony && looks > 0 && holds < MUCH_STONE * looks
    ? [
        {
          id: 'full-of-stone',
          severity: 'note',
          panel: 'water',
          text: say`Lay pipes, boxes or bottles in the stone: the base looks like ${q(looks, 'volume')} and holds ${q(holds, 'volume')}.`,
          propose: pipes,
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
          panel: 'water',
          text: say`Plan to renew the chip in some seasons: it rots, and the bed sinks by a hand’s width.`,
        },
      ]
    : [];

/** Lots of the base that may be shut, by how their air gets out. */
const ventsOf = (group: PartGroup): Vents | null =>
  'vents' in group.spec ? group.spec.vents : null;

export const partsVented: Rule = ({ planter }) =>
  planter.partGroups.flatMap((group) => {
    const vents = ventsOf(group);
    if (vents === null || vents === 'both' || group.parts.length === 0) return [];
    const brim = planter.heights.brim;
    const caught = group.hollowBelow(brim) - group.waterBelow(brim);
    if (caught <= 0) return [];
    const name = partName(group);
    const split = group.kind === 'ring' && !group.spec.cutEnd;
    const propose = () => [
      {
        label: split ? say`Split the ring open` : say`Drill the ${name} at top and bottom`,
        patch: [set(['reservoir', 'parts', group.index, 'vents'], 'both')],
      },
    ];
    const many = group.parts.length > 1;
    return [
      vents === 'foot'
        ? {
            id: `supports-airlock-${group.index}`,
            severity: 'fault' as const,
            panel: 'water' as const,
            text: say`Give the ${name} a hole at the top: ${many ? 'they catch' : 'it catches'} air, and ${q(caught, 'volume')} stay empty.`,
            propose,
          }
        : {
            id: `supports-sealed-${group.index}`,
            severity: 'fault' as const,
            panel: 'water' as const,
            text: say`Open the ${name}: shut all round, ${q(caught, 'volume')} hold no water and push up with ${q(caught * 998, 'mass')}.`,
            propose,
          },
    ];
  });

/** A smaller one of something that is cut as one likes, as a share of its size. */
const SMALLER = [0.8, 0.65, 0.5, 0.3];
/** So many smaller sizes that are sold are tried. */
const MOST_SMALLER = 4;

type Sizes = Readonly<Record<string, number>>;

/** Smaller sizes of something that has no room, the largest first: such as are sold, or else shares of it. */
function smallerThan(size: PartSize, spec: Sizes, units: UnitSystem): Sizes[] {
  const { fields, sold } = size;
  if (!sold) {
    return SMALLER.map((share) =>
      Object.fromEntries(
        fields.map((key) => [key, Math.max(downToMm((spec[key] ?? 0) * share), 0.03)]),
      ),
    );
  }
  const across = (sizes: Sizes) => fields.reduce((all, key) => all * (sizes[key] ?? 0), 1);
  return sold(SOLD[units])
    .filter((one) => across(one) < across(spec) - 1e-9)
    .sort((a, b) => across(b) - across(a))
    .slice(0, MOST_SMALLER);
}

/** A part of a group with its article, or several without. */
const anyOf = (group: PartGroup): string => {
  const name = partName(group, group.wanted);
  return group.wanted > 1 ? name : `${/^[aeiou]/.test(name) ? 'an' : 'a'} ${name}`;
};

export const partsFit: Rule = ({ design, planter }) =>
  planter.partGroups.flatMap((group) => {
    const size = sizeOf(group);
    if (!size || group.parts.length >= group.wanted) return [];
    if (misplaced(planter, group).length > 0) return [];
    const spec = group.spec as unknown as Record<string, number>;
    const path = (key: string) => ['reservoir', 'parts', group.index, key];
    const placed = group.parts.length;
    const smaller = smallerThan(size, spec, measuredIn(design)).map((sizes): Remedy => {
      const [one, other] = size.fields.map((key) => sizes[key]) as [number, number | undefined];
      return {
        label:
          other === undefined
            ? say`Use ${anyOf(group)} of ${q(one, 'length')}`
            : say`Use ${anyOf(group)} of ${q(one, 'length')} by ${q(other, 'length')}`,
        patch: Object.entries(sizes).map(([key, value]) => set(path(key), value)),
      };
    });
    const turn = bentTooTight(group, smaller.length > 0);
    const stand =
      placed === 0
        ? say`none has room`
        : say`${q(placed, 'count')} ${placed === 1 ? 'has' : 'have'} room`;
    return [
      {
        id: `supports-crowded-${group.index}`,
        severity: 'fault' as const,
        panel: 'water' as const,
        text: turn
          ? say`${turn} ${placed === 0 ? 'None lies there.' : say`${q(placed, 'count')} of ${q(group.wanted, 'count')} lie there.`}`
          : group.wanted === 1
            ? say`Make room for the ${partName(group, 1)} of ${size.says}, or take a smaller one: what stands there is in its way.`
            : say`Use fewer or smaller ones: of ${q(group.wanted, 'count')} ${partName(group, group.wanted)} of ${size.says}, ${stand}.`,
        propose: () => {
          const room = group.capacity();
          return [
            ...(room > 0 && 'count' in spec
              ? [{ label: say`Use ${q(room, 'count')}`, patch: [set(path('count'), room)] }]
              : []),
            ...smaller,
            ...(turn ? [{ label: say`Lay it straight`, patch: [set(path('lay'), 'runs')] }] : []),
            ...(placed === 0 ? withoutCloth(design) : []),
          ];
        },
      },
    ];
  });

/** Where the mix itself stands in the water, cloth only takes the room of what is laid there. */
function withoutCloth({ reservoir, wicks }: PlanterDesign): Remedy[] {
  const [lowest] = reservoir.fill;
  const others = wicks.filter(({ kind }) => kind !== 'cloth');
  if (reservoir.cover !== 'none' || lowest?.medium !== 'mix' || others.length === wicks.length)
    return [];
  return [
    {
      label: say`Leave the cloth out: the mix stands in the water itself`,
      patch: [set(['wicks'], others)],
    },
  ];
}

/** What is said of a pipe that would have to bend tighter than it can. */
function bentTooTight(group: PartGroup, thinner: boolean): Message | null {
  if (group.kind !== 'lying') return null;
  const { spec } = group;
  if (spec.lay === 'runs' || spec.stiff) return null;
  const across = 2 * tightest(spec);
  return say`${thinner ? 'Take thinner pipe' : 'Lay it straight'}: this coils no tighter than ${q(across, 'length')} across.`;
}

/** How far a crate's height may be from the base it bears before that is said, metres. */
const HEIGHT_NEAR = 0.003;

export const crateHeight: Rule = ({ design, planter }) =>
  planter.of('crates').flatMap(({ spec, index, parts }) => {
    const { top, fill } = design.reservoir;
    const over = spec.height - top;
    const covered = fill.length > 0 && over < 0;
    if (parts.length === 0 || covered || Math.abs(over) <= HEIGHT_NEAR) return [];
    if (over > 0 && spec.cut) return [];
    const gap = gapToKeep(design);
    const move = {
      label: say`${over > 0 ? 'Raise' : 'Lower'} ${baseName(design)} to ${q(spec.height, 'length')}, lip with it`,
      patch: moveBase(design, spec.height, gap),
    };
    const cut = {
      label: say`Cut the crates down to ${q(top, 'length')}`,
      patch: [set(['reservoir', 'parts', index, 'cut'], true)],
    };
    return [
      {
        id: `crate-height-${index}`,
        severity: 'fault' as const,
        panel: 'water' as const,
        text:
          over > 0
            ? say`Cut the crates down, or raise ${baseName(design)}: they are ${q(spec.height, 'length')} high, and it is at ${q(top, 'length')}.`
            : say`Lower ${baseName(design)} onto the crates: they are ${q(spec.height, 'length')} high, and it is at ${q(top, 'length')}.`,
        propose: () => (over > 0 ? [move, cut] : [move]),
      },
    ];
  });

/** Whether water stands open under the soil, with nothing that sand would lie on. */
const openBelow = (design: PlanterDesign): boolean =>
  design.bed === null && design.reservoir.cover === 'none' && baseStyle(design) === 'gap';

const FABRIC = { what: 'fabric', thickness: 0.001, up: true };

export const looseOverVoids: Rule = ({ design }) => {
  const [first] = design.layers;
  if (!first || !openBelow(design) || !grainOf(first.what)) return [];
  return [
    {
      id: 'loose-over-voids',
      severity: 'fault',
      panel: 'soil',
      text: say`Lay cloth or mesh under the ${LAYERS[first.what].name.toLowerCase()}: it lies on open ${design.reservoir.parts.length > 0 ? 'supports' : 'water'} and falls through.`,
      propose: () => [
        {
          label: say`Lay woven fabric under it`,
          patch: [set(['layers'], [FABRIC, ...design.layers])],
        },
      ],
    },
  ];
};

/** No holes at all where rain falls on it. A mix over wide holes is told of its missing cloth elsewhere. */
export const platformDrains: Rule = ({ design, planter }) => {
  const { drains } = design.reservoir;
  const sheet = drilledSheet(planter);
  if (drains?.count !== 0 || sheet === null || design.place.rain !== 'open') return [];
  // Through a cup, a column or a bunch of cloth it drains, too.
  if (platformOpenings(planter).some(({ group }) => group.kind !== 'tube')) return [];
  return [
    {
      id: 'no-drains',
      severity: 'watch',
      panel: 'water',
      text: say`Give ${baseName(design)} some holes: rain and water from the top stand on it.`,
      propose: () =>
        [12, 5, 1].map((count) => ({
          label: say`Drill ${q(count, 'count')} ${plural(count, 'hole')} for rain`,
          patch: [set(['reservoir', 'drains', 'count'], count)],
        })),
    },
  ];
};

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
  const { sheet } = SOLD[measuredIn(design)];
  const name = part?.kind === 'standing' ? `${STANDING[part.what].one}s` : 'supports';
  if (reservoir.cover !== 'platform') {
    return figures.span > FABRIC_SPAN
      ? [
          {
            id: 'fabric-sags',
            severity: 'watch',
            panel: 'water',
            text: say`Put something under the fabric: it spans ${q(figures.span, 'length')} and sags beyond about ${q(FABRIC_SPAN, 'length')}.`,
            propose: () => [
              ...more(name),
              // A thin one, and one that boards are as thick as.
              ...[sheet[2], sheet.at(-1)].flatMap((thickness) =>
                thickness === undefined
                  ? []
                  : [
                      {
                        label: say`Lay a platform ${q(thickness, 'length')} thick`,
                        patch: [
                          set(['reservoir', 'cover'], 'platform'),
                          set(['reservoir', 'thickness'], thickness),
                        ],
                      },
                    ],
              ),
            ],
          },
        ]
      : [];
  }
  const bears = reservoir.thickness * SPAN_PER_THICKNESS;
  if (figures.span <= bears || planter.bed.separate) return [];
  const thicker = sheet.filter((thickness) => thickness > reservoir.thickness + 1e-9);
  return [
    {
      id: 'platform-sags',
      severity: 'watch',
      panel: 'water',
      text: say`Stand more under the platform: it spans ${q(figures.span, 'length')} and sags beyond ${q(bears, 'length')}.`,
      propose: () => [
        ...more(name),
        // On a large floor neither a sheet nor a few more would do alone.
        ...thicker.flatMap((thickness) =>
          more(name)
            .filter((_, i) => i % 3 === 1)
            .map(({ label, patch }) => ({
              label: say`${label}, and use a platform ${q(thickness, 'length')} thick`,
              patch: [...patch, set(['reservoir', 'thickness'], thickness)],
            })),
        ),
        ...thicker.map((thickness) => ({
          label: say`Use a platform ${q(thickness, 'length')} thick`,
          patch: [set(['reservoir', 'thickness'], thickness)],
        })),
      ],
    },
  ];
};
