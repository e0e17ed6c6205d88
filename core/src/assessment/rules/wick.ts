import { CLOTHS } from '../../catalog';
import { clothProperties } from '../../physics/wick';
import {
  cupOf,
  usualFor,
  type ClothWickDesign,
  type ColumnWickDesign,
  type CupWickDesign,
  type PlanterDesign,
} from '../../document';
import { baseName } from '../../assembly';
import { q, say } from '../../units';
import type { RuleInput, Remedy, Rule } from '../finding';
import { cautiousDays, lastDropLevel } from '../daysOfWater';
import { downToMm, gapToKeep, moveBase, set, upToMm } from '../patches';

/** A wick's foot may hang this far above the floor before it is worth saying, metres. */
const FOOT_NEAR_FLOOR = 0.005;
/** Remedies aim this far above a bare sufficiency. */
const MARGIN = 1.25;
/** Share of its reach within which a wick still brings much. */
const WELL_WITHIN = 0.6;
/** Share of the reservoir that may be stranded before it is a weakness. */
const MUCH_STRANDED = 0.4;

export const wickMissing: Rule = ({ design, planter }) => {
  const { largeCup } = usualFor(design);
  return planter.wicks.length > 0
    ? []
    : [
        {
          id: 'wick-missing',
          severity: 'fault',
          panel: 'wick',
          text: say`Add a wick: without one the reservoir stays full while the plants dry out.`,
          propose: () => [
            {
              label: say`Add four legs of cotton cloth`,
              patch: [set(['wicks'], [clothFor(design, 4)])],
            },
            {
              label: say`Add four wide legs of cotton cloth`,
              patch: [set(['wicks'], [{ ...clothFor(design, 4), width: largeCup }])],
            },
            ...(design.reservoir.fill.length === 0
              ? [
                  {
                    label: say`Hang in a packed cup of ${q(largeCup, 'length')}`,
                    patch: [
                      set(
                        ['wicks'],
                        [cupOf(largeCup, design.bed?.kind === 'row' ? design.bed.count : 1)],
                      ),
                    ],
                  },
                ]
              : []),
          ],
        },
      ];
};

export const wickFoot: Rule = ({ design, planter }) =>
  design.wicks.flatMap((wick, i) =>
    wick.foot <= FOOT_NEAR_FLOOR
      ? []
      : [
          {
            id: `wick-foot-${i}`,
            severity: 'watch' as const,
            panel: 'wick' as const,
            text: say`Let the wick down to the floor: the ${q(planter.storage.volumeBelow(Math.min(wick.foot, planter.heights.brim)), 'volume')} below its foot stay there.`,
            propose: () => [
              { label: say`Let it down to the floor`, patch: [set(['wicks', i, 'foot'], 0)] },
            ],
          },
        ],
  );

export const wickReach: Rule = (bench) => {
  const { design, planter, figures } = bench;
  // Where another wick goes all the way down, one that does not strands nothing.
  const lowest = lastDropLevel(planter);
  return planter.wicks.flatMap((wick) => {
    if (wick.kind === 'bag' || wick.lastDrop <= wick.foot + 1e-9) return [];
    const atBrim = wick.top - planter.heights.brim;
    const nothing = wick.lastDrop >= planter.heights.brim - 1e-9;
    if (wick.index === null && lowest < wick.lastDrop - 0.005) return [];
    // Where roots go down to the water themselves, its reach matters for the first weeks only.
    if (figures.beforeRoots && wick.throat > 0) return [];
    const id = `wick-reach-${wick.index ?? 'between'}`;
    const beyond = planter.storage.volumeBelow(Math.min(wick.lastDrop, planter.heights.brim));
    const lower = (): Remedy[] => {
      if (design.bed && design.bed.kind !== 'nested') return [];
      const slab = planter.heights.base - planter.heights.ceiling;
      return [1, WELL_WITHIN].map((share) => {
        const ceiling = downToMm(wick.reach * share - slab - 0.001);
        return {
          label: say`Lower ${baseName(design)} to ${q(ceiling, 'length')}`,
          patch: moveBase(design, ceiling, gapToKeep(design)),
        };
      });
    };
    const index = wick.index;
    const other = (): Remedy[] =>
      wick.kind === 'cloth' && index !== null
        ? (['cotton-cloth', 'cotton-rope'] as const)
            .filter((id2) => clothProperties(CLOTHS[id2]).reach > wick.reach)
            .map((material) => ({
              label: say`Use ${CLOTHS[material].name.toLowerCase()}, which lifts ${q(clothProperties(CLOTHS[material]).reach, 'length')}`,
              patch: [
                set(['wicks', index, 'material'], material),
                set(['wicks', index, 'strip'], null),
              ],
            }))
        : [];
    const legs = (): Remedy[] => (index === null ? [addCloth(bench, 4), addCloth(bench, 8)] : []);
    const what = wick.index === null ? wick.name : 'The wick';
    return [
      {
        id,
        severity: nothing ? ('fault' as const) : ('watch' as const),
        panel: 'wick' as const,
        text: nothing
          ? say`Shorten the way up: ${what.toLowerCase()} lifts water ${q(wick.reach, 'length')} and has ${q(atBrim, 'length')} to go, even when full.`
          : wick.index === null
            ? say`Let a wick down to the floor: ${what.toLowerCase()} lifts ${q(wick.reach, 'length')}, and ${q(beyond, 'volume')} stay below.`
            : say`Shorten the way up: the wick lifts ${q(wick.reach, 'length')} of ${q(wick.top, 'length')}, and ${q(beyond, 'volume')} stay below.`,
        propose: () => [...other(), ...legs(), ...lower()],
      },
    ];
  });
};

/** A wick made stronger by `factor`: more legs or wider for cloth, more or wider cups. */
function stronger(bench: RuleInput, factor: number): Remedy[] {
  const { design } = bench;
  return design.wicks.flatMap((wick, i): Remedy[] =>
    wick.kind === 'cloth' ? strongerCloth(wick, i, factor) : strongerColumn(wick, i, factor),
  );
}

/** Legs that people hang in one wick, and how wide they tear them, at the most. */
const MOST_LEGS = 8;
const WIDEST_LEG = 0.2;

function strongerCloth(wick: ClothWickDesign, i: number, factor: number): Remedy[] {
  const legs = Math.ceil(wick.legs * factor);
  const width = upToMm(wick.width * factor);
  const { rope } = CLOTHS[wick.material];
  const holes = (now: number) => Math.max(wick.holes, Math.ceil(now / LEGS_A_HOLE));
  const both = Math.max(upToMm((wick.width * factor) / 1.5), wick.width);
  const half = Math.min(Math.ceil(wick.legs * 1.5), MOST_LEGS);
  return [
    ...(legs <= MOST_LEGS
      ? [
          {
            label: say`Use ${q(legs, 'count')} ${rope ? 'strands' : 'legs'} instead of ${q(wick.legs, 'count')}`,
            patch: [set(['wicks', i, 'legs'], legs), set(['wicks', i, 'holes'], holes(legs))],
          },
        ]
      : []),
    ...(!rope && width <= WIDEST_LEG
      ? [
          {
            label: say`Cut the cloth ${q(width, 'length')} wide`,
            patch: [set(['wicks', i, 'width'], width)],
          },
        ]
      : []),
    ...(!rope && both <= WIDEST_LEG && half > wick.legs
      ? [
          {
            label: say`Use ${q(half, 'count')} legs, each ${q(both, 'length')} wide`,
            patch: [
              set(['wicks', i, 'legs'], half),
              set(['wicks', i, 'width'], both),
              set(['wicks', i, 'holes'], holes(half)),
            ],
          },
        ]
      : []),
  ];
}

/** Legs of cloth that usually share a hole. */
const LEGS_A_HOLE = 4;
/** Cups and columns beyond what there are that a remedy asks for at the most. */
const MORE_CUPS = 3;

function strongerColumn(
  wick: CupWickDesign | ColumnWickDesign,
  i: number,
  factor: number,
): Remedy[] {
  const name = wick.kind === 'cup' ? 'cup' : 'column';
  const wider = upToMm(wick.diameter * Math.sqrt(factor));
  const count = Math.ceil(wick.count * factor);
  const sizes =
    wick.kind === 'cup'
      ? [
          set(['wicks', i, 'diameter'], wider),
          set(['wicks', i, 'bottom'], upToMm((wick.bottom * wider) / wick.diameter)),
          set(['wicks', i, 'rim'], upToMm(wick.rim + wider - wick.diameter)),
        ]
      : [set(['wicks', i, 'diameter'], wider)];
  return [
    ...(count > wick.count && count <= wick.count + MORE_CUPS
      ? [
          {
            label: say`Use ${q(count, 'count')} ${name}s`,
            patch: [set(['wicks', i, 'count'], count), set(['wicks', i, 'at'], null)],
          },
        ]
      : []),
    {
      label: say`Make ${wick.count === 1 ? `the ${name}` : `each ${name}`} ${q(wider, 'length')} across`,
      patch: sizes,
    },
  ];
}

/** Numbers of legs that are hung instead of strands that are too thin. */
const LEGS_INSTEAD = [4, 5, 6, 8];

/** Cloth where strands of rope hang now: what no number of strands brings, some legs do. */
const clothInstead = ({ design }: RuleInput): Remedy[] =>
  design.wicks.flatMap((wick, i) =>
    wick.kind === 'cloth' && CLOTHS[wick.material].rope
      ? LEGS_INSTEAD.map((legs) => ({
          label: say`Hang ${q(legs, 'count')} legs of cotton cloth instead, each ${q(usualFor(design).cloth.width, 'length')} wide`,
          patch: [set(['wicks', i], { ...usualFor(design).cloth, legs, foot: wick.foot })],
        }))
      : [],
  );

/** Adding cloth legs beside whatever is there. */
const addCloth = (bench: RuleInput, legs: number): Remedy => ({
  label: say`Add ${q(legs, 'count')} legs of cotton cloth, ${q(usualFor(bench.design).cloth.width, 'length')} wide`,
  patch: [set(['wicks'], [...bench.design.wicks.slice(0, 5), clothFor(bench.design, legs)])],
});

/** So many legs of cloth, shared over the pails of a row where there is one. */
const clothFor = (design: PlanterDesign, legs: number): ClothWickDesign => {
  const { bed } = design;
  const places = bed?.kind === 'row' || bed?.kind === 'bag' ? bed.count : 1;
  const holes = Math.min(Math.max(places, Math.ceil(legs / LEGS_A_HOLE)), 12);
  return { ...usualFor(design).cloth, legs: Math.min(legs * places, 24), holes };
};

/** Seconds. */
const DAY = 86_400;
/** Days that the soil's reserve must carry for a wick that falls behind to be a weakness and no fault. */
const CARRIES = 3;
/** Share of a hot day's thirst that must come up for that. */
const NEARLY = 0.5;

export const wickWeak: Rule = (bench) => {
  const { planter, figures } = bench;
  if (planter.wicks.length === 0 || figures.duty >= 1 || figures.delivery <= 0) return [];
  const days = figures.lastsHot.short;
  const carries = days >= CARRIES && figures.duty >= NEARLY;
  const asks = say`Give it more wick: a hot day takes ${q(DAY * figures.hot.total, 'volume')}`;
  const comes = q(DAY * figures.delivery, 'volume');
  return [
    {
      id: 'wick-weak',
      severity: carries ? 'watch' : 'fault',
      panel: 'wick',
      text: carries
        ? say`${asks}, ${comes} come up. The soil helps for ${q(cautiousDays(days), 'days')}.`
        : say`${asks}, and ${comes} come up. Plants wilt over water.`,
      propose: () => [
        ...stronger(bench, MARGIN / figures.duty),
        ...stronger(bench, 1.6 * (MARGIN / figures.duty)),
        ...clothInstead(bench),
        addCloth(bench, 4),
        addCloth(bench, 8),
      ],
    },
  ];
};

/** Share of the water that must be of use before roots are down for it not to be worth a word. */
const MUCH_FROM_THE_START = 0.6;
/** Below this share of it nothing worth a word comes up. */
const NEXT_TO_NONE = 0.01;

/** What only roots bring up has to be given from the top until they are there. */
export const rootsFirst: Rule = (bench) => {
  const { figures } = bench;
  const { beforeRoots, usable } = figures;
  if (!beforeRoots || usable <= 0 || beforeRoots.usable >= MUCH_FROM_THE_START * usable) return [];
  const weeks = Math.max(Math.ceil(beforeRoots.days / 7), 1);
  const first = weeks === 1 ? say`the first week` : say`the first ${q(weeks, 'count')} weeks`;
  return [
    {
      id: 'roots-first',
      severity: 'note',
      panel: 'wick',
      text: say`Water from the top for ${first}: until roots are down, ${beforeRoots.usable < NEXT_TO_NONE * usable ? 'none' : say`${q(beforeRoots.usable, 'volume')}`} of ${q(usable, 'volume')} come up.`,
      propose: () => [addCloth(bench, 4), addColumns(bench, 4, 0.15), addColumns(bench, 8, 0.2)],
    },
  ];
};

/** Columns of the mix beside whatever is there. */
const addColumns = (bench: RuleInput, count: number, diameter: number): Remedy => ({
  label: say`Stand in ${q(count, 'count')} columns of mix, ${q(diameter, 'length')} across, to the floor`,
  patch: [
    set(
      ['wicks'],
      [
        ...bench.design.wicks.slice(0, 5),
        { kind: 'column', medium: 'mix', count, diameter, foot: 0, at: null },
      ],
    ),
  ],
});

export const wickStrands: Rule = (bench) => {
  const { planter, figures } = bench;
  if (figures.duty < 1 || figures.gross <= 0) return [];
  if (figures.stranded <= MUCH_STRANDED * figures.gross) return [];
  return [
    {
      id: 'stranded',
      severity: 'watch',
      panel: 'wick',
      text: say`Fill it at ${q(figures.usableLevel, 'length')}: the last ${q(figures.stranded, 'volume')} of ${q(figures.gross, 'volume')} come up too slowly in heat.`,
      propose: () => [
        ...stronger(bench, 1.5),
        ...stronger(bench, 2),
        ...stronger(bench, 3),
        addCloth(bench, 4),
        addCloth(bench, 8),
        {
          label: say`Lower ${baseName(bench.design)} to ${q(downToMm(planter.heights.ceiling * 0.75), 'length')}`,
          patch: moveBase(
            bench.design,
            downToMm(planter.heights.ceiling * 0.75),
            gapToKeep(bench.design),
          ),
        },
      ],
    },
  ];
};
