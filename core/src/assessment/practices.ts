import { CLOTHS, FEED_DOSES, grainOf, type ClothId } from '../catalog';
import {
  baseStyle,
  USUAL_AIR_GAP,
  usualFor,
  type LayerDesign,
  type Patch,
  type PlanterDesign,
} from '../document';
import { changeBase, type Planter } from '../assembly';
import type { Message } from '../units';
import { rank, SEVERITIES, type BenchPanel, type Severity } from './finding';
import { settled } from './remedyCheck';
import { downToMm, gapToKeep, moveBase, moveLip, set } from './patches';

/** One way of answering a question on which practitioners differ. */
export interface Practice {
  id: string;
  name: string;
  /** What those say who do it so. */
  says: string;
  /** Makes this design so. */
  patch: Patch;
}

/** A question on which practitioners differ, at the room where it is decided. */
export interface PracticeQuestion {
  id: string;
  room: BenchPanel;
  title: string;
  schools: Practice[];
}

/** What a school comes to on this very design. */
export interface PracticeOutcome {
  usable: number;
  stranded: number;
  days: number;
  /** Warm days until roots are at the water; null where they never are. */
  roots: number | null;
  growingDepth: number;
  weight: number;
  /** The worst that is then found, or null for nothing to mend. */
  worst: Severity | null;
  /** The school's change with what it takes beside it, so that it brings no fault. */
  patch: Patch;
  /** The fault that it brings all the same, so that it is not to be had here; or null. */
  brings: Message | null;
}

/** The disputed questions that this design can answer either way, in the order of the work. */
export function practicesFor(planter: Planter): PracticeQuestion[] {
  return [
    reservoirShare(planter),
    voidOrStone(planter),
    gapOrContact(planter),
    overflowCount(planter),
    rain(planter),
    bottleOverflow(planter),
    wickMaterial(planter),
    separator(planter),
    fillTube(planter),
    feed(planter),
  ].filter(
    (question): question is PracticeQuestion => question !== null && question.schools.length > 1,
  );
}

/** Works a school out on a design; null where its measures cannot be. */
export function practiceOutcome(design: PlanterDesign, school: Practice): PracticeOutcome | null {
  const done = settled(design, school.patch);
  if (!done) return null;
  const { figures, drafts } = done.after;
  const ranks = drafts.map(({ severity }) => rank(severity)).filter((one) => one < rank('note'));
  return {
    usable: figures.usable,
    stranded: figures.stranded,
    days: figures.lastsHot.days,
    roots: figures.beforeRoots?.days ?? null,
    growingDepth: figures.growingDepth,
    weight: figures.weight.full,
    worst: ranks.length > 0 ? (SEVERITIES[Math.min(...ranks)] ?? null) : null,
    patch: done.patch,
    brings: done.brings,
  };
}

const question = (
  id: string,
  room: BenchPanel,
  title: string,
  schools: Practice[],
): PracticeQuestion => ({
  id,
  room,
  title,
  schools,
});

function reservoirShare({ design, heights }: Planter): PracticeQuestion | null {
  if (design.bed) return null;
  const gap = gapToKeep(design);
  const at = (share: number): Patch => moveBase(design, downToMm(heights.rim * share + gap), gap);
  const equal = (heights.surface - gap - (heights.base - heights.ceiling)) / 2;
  const roots = downToMm(heights.surface - (heights.base - heights.ceiling) - 0.2);
  return question('share', 'water', 'How much of the height is water?', [
    {
      id: 'quarter',
      name: 'A quarter to a third',
      says: 'Roots come first: soil that is deep enough forgives a missed fill.',
      patch: at(0.28),
    },
    {
      id: 'equal',
      name: 'As much water as soil',
      says: 'Half and half lasts a summer week, and most leaf crops do not mind.',
      patch: moveBase(design, downToMm(equal + gap), gap),
    },
    {
      id: 'deepest',
      name: 'As deep as the roots allow',
      says: 'Every litre counts in August: leave a hand and a half of soil and fill the rest.',
      patch: moveBase(design, roots, gap),
    },
  ]);
}

function voidOrStone({ design }: Planter): PracticeQuestion | null {
  if (design.bed || design.vessel.kind === 'lying') return null;
  const column = {
    kind: 'column' as const,
    medium: 'mix' as const,
    count: 4,
    diameter: 0.1,
    foot: 0,
    at: null,
  };
  const columns = design.wicks.filter(({ kind }) => kind === 'column');
  const legs = design.wicks.length > 0 ? design.wicks : [column];
  return question('voids', 'water', 'Hollow or full of stone?', [
    {
      id: 'voids',
      name: 'Large voids',
      says: 'Crates and pipes hold nearly what they look like, and weigh nothing.',
      patch: [...changeBase(design, 'crates'), set(['wicks'], legs)],
    },
    {
      id: 'stone',
      name: 'Stone throughout',
      says: 'Stone is cheap, bears anything and never sags. Put a leg of mix to the floor, or it strands the water.',
      patch: changeBase(design, 'stone'),
    },
    {
      id: 'stone-leg',
      name: 'Stone, with legs of mix to the floor',
      says: 'The same, and the columns of mix bring up what the stone cannot.',
      patch: [
        ...changeBase(design, 'stone'),
        set(['wicks'], columns.length > 0 ? columns : [column]),
      ],
    },
  ]);
}

/** Wall that is left between a hole and the base above it, metres. */
const UNDER_BASE = 0.002;

function gapOrContact({ design, heights }: Planter): PracticeQuestion | null {
  if (!design.overflow || design.overflow.kind === 'rim' || baseStyle(design) === 'bag')
    return null;
  const at = (gap: number): Patch => moveLip(design, heights.ceiling - gap);
  return question('gap', 'water', 'Air under the soil, or contact?', [
    {
      id: 'gap',
      name: 'A finger of air',
      says: 'Roots stop at the air, but for those that follow a packed cup or column down.',
      // The whole hole stays under the base.
      patch: at(Math.max(USUAL_AIR_GAP, design.overflow.diameter + UNDER_BASE)),
    },
    {
      id: 'contact',
      name: 'Water up to the base',
      says: 'Contact makes the wick sure and the reservoir larger; roots find the water themselves.',
      patch: at(0),
    },
  ]);
}

function overflowCount({ design }: Planter): PracticeQuestion | null {
  const { overflow } = design;
  if (!overflow || overflow.kind !== 'hole') return null;
  return question('holes', 'water', 'One overflow, or several?', [
    {
      id: 'one',
      name: 'One hole',
      says: 'One mark, one screen, one place that shows that it is full.',
      patch: [set(['overflow', 'count'], 1)],
    },
    {
      id: 'three',
      name: 'Two or three',
      says: 'A leaf stops one hole sooner or later, and seldom three.',
      patch: [set(['overflow', 'count'], 3)],
    },
  ]);
}

function rain({ design }: Planter): PracticeQuestion | null {
  if (design.place.rain === 'indoors') return null;
  return question('rain', 'water', 'Open to the rain, or covered?', [
    {
      id: 'open',
      name: 'Open',
      says: 'Rain fills it for nothing and washes salts down.',
      patch: [set(['place', 'rain'], 'open')],
    },
    {
      id: 'covered',
      name: 'A cover with plant holes',
      says: 'The surface stays dry, nothing leaches, and it can never drown.',
      patch: [set(['place', 'rain'], 'covered'), set(['soil', 'mulch'], 'cover')],
    },
  ]);
}

function bottleOverflow({ design, heights }: Planter): PracticeQuestion | null {
  if (design.bed?.kind !== 'neck' || design.place.rain !== 'indoors') return null;
  const centre = Math.max(downToMm(heights.ceiling - 0.008), 0.004);
  return question('bottle', 'water', 'A hole in a bottle indoors?', [
    {
      id: 'none',
      name: 'None',
      says: 'One sees the water; pour to the mark, and the sill stays dry.',
      patch: [set(['overflow'], null)],
    },
    {
      id: 'hole',
      name: 'A small hole, and a saucer',
      says: 'Somebody always pours too much.',
      patch: [
        set(['overflow'], {
          kind: 'hole',
          centre,
          diameter: 0.006,
          count: 1,
          bearing: 0,
          screened: false,
        }),
      ],
    },
  ]);
}

function wickMaterial({ design }: Planter): PracticeQuestion | null {
  const i = design.wicks.findIndex((wick) => wick.kind === 'cloth');
  const now = design.wicks[i];
  if (now?.kind !== 'cloth') return null;
  const { cloth } = usualFor(design);
  // Strands of a rope are not as wide as legs of a cloth.
  const usualSizes = (material: ClothId): Patch =>
    CLOTHS[material].rope
      ? [
          set(['wicks', i, 'legs'], 6),
          set(['wicks', i, 'width'], 0.012),
          set(['wicks', i, 'thickness'], 0.012),
        ]
      : [
          set(['wicks', i, 'legs'], cloth.legs),
          set(['wicks', i, 'width'], cloth.width),
          set(['wicks', i, 'thickness'], cloth.thickness),
        ];
  const says: Partial<Record<ClothId, string>> = {
    'cotton-cloth': 'The strongest wick there is, and an old shirt costs nothing. It rots.',
    'cotton-rope': 'Goes through a small hole and lifts high. It rots too.',
    'synthetic-felt': 'Lasts for years. Test a strip first: some felts lift nothing.',
    'wool-felt': 'Between the two: lifts well, rots slowly.',
  };
  return question(
    'wick',
    'wick',
    'Which wick?',
    (Object.keys(says) as ClothId[]).map((material) => ({
      id: material,
      name: CLOTHS[material].name,
      says: says[material] ?? '',
      patch: [
        set(['wicks', i, 'material'], material),
        set(['wicks', i, 'strip'], null),
        ...(CLOTHS[material].rope === CLOTHS[now.material].rope ? [] : usualSizes(material)),
      ],
    })),
  );
}

function separator({ design }: Planter): PracticeQuestion | null {
  if (design.bed?.kind === 'bag' || design.bed?.kind === 'neck') return null;
  const grains = design.layers.filter(({ what }) => grainOf(what) !== null);
  // Cloth goes under sand where that would fall through; straw and nothing leave the sand as it is.
  const to = (what: LayerDesign['what'] | null, thickness = 0.001): Patch => [
    set(['layers'], [...(what ? [{ what, thickness, up: what !== 'straw' }] : []), ...grains]),
  ];
  return question('separator', 'soil', 'What between soil and water?', [
    {
      id: 'fabric',
      name: 'Woven fabric',
      says: 'Keeps every crumb up and lasts.',
      patch: to('fabric'),
    },
    {
      id: 'mesh',
      name: 'Fine mesh',
      says: 'Does not clog, and roots may go where they like.',
      patch: to('mesh'),
    },
    {
      id: 'straw',
      name: 'Straw or coarse mulch',
      says: 'Free, and gone in two seasons, when the soil comes out anyway.',
      patch: to('straw', 0.05),
    },
    {
      id: 'none',
      name: 'Nothing',
      says: 'What falls through becomes a wick.',
      patch: to(null),
    },
  ]);
}

function fillTube({ design, heights }: Planter): PracticeQuestion | null {
  if (design.bed?.kind === 'bag' || design.reservoir.supply) return null;
  return question('tube', 'tube', 'A fill tube, or water from the top?', [
    {
      id: 'tube',
      name: 'A fill tube',
      says: 'Water goes where it belongs, and a stick in the tube tells how much is left.',
      patch: design.fillTube ? [] : [set(['fillTube'], usualFor(design).tube(heights.rim))],
    },
    {
      id: 'top',
      name: 'Top watering only',
      says: 'One hole less, and every watering flushes the salts down.',
      patch: [set(['fillTube'], null)],
    },
  ]);
}

function feed({ design }: Planter): PracticeQuestion | null {
  if (design.bed?.kind === 'neck') return null;
  const to = (kind: string, dose: number): Patch => [
    set(['soil', 'feed'], kind),
    set(['soil', 'feedDose'], dose),
  ];
  return question('feed', 'soil', 'How is it fed?', [
    {
      id: 'strip',
      name: 'Granules in a strip',
      says: 'Dry, away from the stems, and plants take what they want.',
      patch: to('organic', FEED_DOSES.organic),
    },
    {
      id: 'liquid',
      name: 'Liquid through the tube',
      says: 'Quick and even. It also feeds algae, and salts stay in the water.',
      patch: to('liquid', 0),
    },
    {
      id: 'worms',
      name: 'A worm tube',
      says: 'Kitchen scraps go in at the top, and worms carry them out.',
      patch: [
        ...to('none', 0),
        ...(design.pipes.some((pipe) => pipe.use === 'worm')
          ? []
          : [
              set(
                ['pipes'],
                [
                  ...design.pipes,
                  { use: 'worm', diameter: 0.09, capped: true, fills: false, at: null },
                ],
              ),
            ]),
      ],
    },
  ]);
}

/** Whether a design already does as a school says: its patch changes nothing. */
export function followsPractice(
  design: PlanterDesign,
  { patch }: Pick<Practice, 'patch'>,
): boolean {
  return patch.every(({ path, value }) => {
    const now = path.reduce<unknown>(
      (at, key) => (at as Record<string | number, unknown> | null)?.[key],
      design,
    );
    return typeof value === 'number' && typeof now === 'number'
      ? Math.abs(value - now) < 5e-4
      : JSON.stringify(now) === JSON.stringify(value);
  });
}
