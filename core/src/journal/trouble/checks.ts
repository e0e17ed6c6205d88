import type { PlanterDesign } from '../../document';

/** What somebody can do to find out, with its answers and how often each is given where nothing bears on it. */

interface CheckRow {
  ask: string;
  answers: Readonly<Record<string, readonly [text: string, usual: number]>>;
  /** Whether a planter has what is looked at; all have where it is left out. */
  needs?(design: PlanterDesign): boolean;
}

const tubed = ({ fillTube, pipes }: PlanterDesign): boolean =>
  fillTube !== null || pipes.some(({ use, fills }) => use === 'inspection' || fills);
const opened = ({ overflow }: PlanterDesign): boolean =>
  overflow !== null && overflow.kind !== 'rim';

export const CHECKS = {
  stick: {
    ask: 'Put the dip stick down to the water. What does it read?',
    answers: { full: ['Nearly full', 0.35], half: ['About half', 0.4], low: ['Low or dry', 0.25] },
  },
  finger: {
    ask: 'Push a finger in, two joints deep. How does the soil feel?',
    answers: { dry: ['Dry', 0.2], moist: ['Moist', 0.65], wet: ['Wet', 0.15] },
  },
  base: {
    ask: 'Dig down by the wall as far as the base. How is the soil there?',
    answers: {
      dry: ['Dry', 0.08],
      moist: ['Moist', 0.72],
      wet: ['Dripping wet', 0.12],
      sour: ['Wet, and it smells', 0.08],
    },
  },
  pour: {
    ask: 'Pour a can in where it is filled. What happens?',
    answers: {
      takes: ['It goes in, and runs out of the overflow when it is full', 0.82],
      never: ['Nothing ever comes out of the overflow', 0.07],
      back: ['It comes back up', 0.05],
      once: ['The overflow runs almost at once', 0.06],
    },
    needs: (design) => tubed(design) && opened(design),
  },
  under: {
    ask: 'Look round and under it. Is there a wet spot or a crack?',
    answers: { no: ['No', 0.92], yes: ['Yes', 0.08] },
  },
  stands: {
    ask: 'Push at the rim. Does it stand firm and level?',
    answers: { firm: ['Firm and level', 0.88], rocks: ['It rocks or leans', 0.12] },
  },
  leaves: {
    ask: 'Which leaves are yellow?',
    answers: {
      none: ['None', 0.5],
      old: ['The old ones, from below', 0.25],
      young: ['The young ones, with green veins', 0.1],
      all: ['All of them', 0.15],
    },
  },
  marks: {
    ask: 'Rub a leaf that is marked. What is it?',
    answers: {
      none: ['No leaf is marked', 0.84],
      powder: ['White powder that wipes off', 0.06],
      rings: ['Brown or black spots or rings', 0.1],
    },
  },
  pests: {
    ask: 'Turn some leaves over, and tap the soil. What do you find?',
    answers: {
      none: ['Nothing', 0.8],
      suckers: ['Small insects, or it is sticky', 0.07],
      flies: ['Small dark flies that rise', 0.05],
      eaten: ['Holes, slime or droppings', 0.08],
    },
  },
  which: {
    ask: 'Which plants show it?',
    answers: {
      all: ['All of them', 0.65],
      one: ['One only', 0.18],
      side: ['Those on one side, or far from the wick', 0.17],
    },
  },
  stem: {
    ask: 'Look at its stem where it leaves the soil. How is it?',
    answers: { sound: ['Firm and whole', 0.9], hurt: ['Gnawed, soft or bored', 0.1] },
  },
  wick: {
    ask: 'Look at the wick where it comes up, or dig down to it. How is it?',
    answers: {
      sound: ['Firm, and wet all the way up', 0.8],
      dry: ['Firm, but dry above the water', 0.1],
      rotten: ['Slimy, thin, torn or sunken', 0.1],
    },
    needs: ({ wicks }) => wicks.length > 0,
  },
  top: {
    ask: 'Water it once from the top. How is it the next morning?',
    answers: { better: ['Much better', 0.3], same: ['No better', 0.7] },
  },
  closed: {
    ask: 'Are all openings shut: a cap or sponge in the tube, mesh over the overflow?',
    answers: { yes: ['Yes', 0.85], no: ['No', 0.15] },
    needs: (design) => tubed(design) || opened(design),
  },
  outlet: {
    ask: 'Look into the overflow with a light. What is in it?',
    answers: { clear: ['Nothing, it is clear', 0.88], shut: ['Roots, mix or slime', 0.12] },
    needs: opened,
  },
  light: {
    ask: 'Shade an opening with a hand. Does daylight reach the water, through the wall or elsewhere?',
    answers: { no: ['No', 0.8], yes: ['Yes', 0.2] },
  },
  lift: {
    ask: 'Lift a plant out with its soil, or look in from the side. How are its roots?',
    answers: {
      white: ['White and many', 0.8],
      few: ['Few, and short', 0.12],
      brown: ['Brown and soft', 0.08],
    },
  },
  nights: {
    ask: 'How were the nights of the last two weeks?',
    answers: {
      mild: ['Mild', 0.64],
      cold: ['Cold: one wants a coat', 0.18],
      hot: ['Hot: one sleeps badly', 0.18],
    },
  },
  sun: {
    ask: 'How long does the sun shine on it on a clear day?',
    answers: { much: ['Six hours or more', 0.72], little: ['Less', 0.28] },
  },
  bees: {
    ask: 'Do bees come to the flowers, or wind shake them?',
    answers: { yes: ['Yes', 0.75], no: ['Hardly: a screen, a porch, indoors', 0.25] },
  },
} as const satisfies Record<string, CheckRow>;
export type TroubleCheck = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as TroubleCheck[];
export type TroubleAnswer<C extends TroubleCheck = TroubleCheck> = C extends TroubleCheck
  ? keyof (typeof CHECKS)[C]['answers'] & string
  : never;

/** The checks that can be made on a planter: nobody pulls at a wick that is not there. */
export const checksFor = (design: PlanterDesign): TroubleCheck[] =>
  CHECK_IDS.filter((id) => (CHECKS[id] as CheckRow).needs?.(design) ?? true);
