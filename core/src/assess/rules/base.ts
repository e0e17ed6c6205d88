import { aggregateOf, STANDING } from '../../catalog';
import { q, say } from '../../quantity';
import type { Remedy, Rule } from '../finding';
import { downToMm, set } from '../moves';
import { partName } from '../words';

/** Unsupported span that a platform bears, in times its thickness. Typical for lid plastic. */
const SPAN_PER_THICKNESS = 60;

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
