import type { BenchPanel } from '../../assessment';
import type { Activity } from '../entry';

/**
 * What may be wrong with a planter, in one table: how often each cause is behind a trouble before anything is known
 * (its prior), how often each symptom comes of it, and what each check finds then. All typical: what practice says,
 * in tenths. A symptom or an answer that is not named for a cause has its usual chance.
 */

export const SYMPTOMS = {
  'limp-noon': { name: 'Limp at noon, well again in the evening' },
  'limp-dawn': { name: 'Limp in the morning as well' },
  yellow: { name: 'Leaves turn yellow' },
  sour: { name: 'It smells sour' },
  'wet-top': { name: 'The surface stays wet' },
  'dry-top': { name: 'The surface is dry, and there is water below' },
  stays: { name: 'The level does not fall' },
  fast: { name: 'The level falls too fast' },
  algae: { name: 'Green water or green slime' },
  larvae: { name: 'Larvae in the water' },
  crust: { name: 'A white crust' },
  seedlings: { name: 'Seedlings dry out' },
  roots: { name: 'Roots in the water' },
  'end-rot': { name: 'Fruit with a dark, sunken end' },
  bitter: { name: 'Bitter leaves or fruit' },
} as const;
export type Symptom = keyof typeof SYMPTOMS;
export const SYMPTOM_IDS = Object.keys(SYMPTOMS) as Symptom[];

/** Chance of a symptom where its cause is not known to bring it. */
export const SELDOM = 0.02;

/** What somebody can do to find out, with its answers and how often each is given where nothing bears on it. */
export const CHECKS = {
  stick: {
    ask: 'Put the dip stick down the tube. What does it read?',
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
    ask: 'Pour a can into the tube. What happens?',
    answers: {
      takes: ['It goes in, and runs out of the overflow when it is full', 0.82],
      never: ['Nothing ever comes out of the overflow', 0.07],
      back: ['It comes back up the tube', 0.05],
      once: ['The overflow runs almost at once', 0.06],
    },
  },
  under: {
    ask: 'Look round and under it. Is there a wet spot, a crack, or does it lean?',
    answers: { no: ['No', 0.92], yes: ['Yes', 0.08] },
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
  wick: {
    ask: 'Pull the wick out a little, or look at it through the tube. How is it?',
    answers: {
      sound: ['Firm, and wet all the way up', 0.8],
      dry: ['Firm, but dry above the water', 0.1],
      rotten: ['Slimy, thin or torn', 0.1],
    },
  },
  top: {
    ask: 'Water it once from the top. How is it the next morning?',
    answers: { better: ['Much better', 0.3], same: ['No better', 0.7] },
  },
  closed: {
    ask: 'Are the tube’s cap and the screen of the overflow in their places?',
    answers: { yes: ['Yes', 0.85], no: ['No', 0.15] },
  },
  light: {
    ask: 'Hold a hand over the open tube. Does daylight reach the water, through the wall or an opening?',
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
} as const;
export type TroubleCheck = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as TroubleCheck[];
export type TroubleAnswer<C extends TroubleCheck = TroubleCheck> = C extends TroubleCheck
  ? keyof (typeof CHECKS)[C]['answers'] & string
  : never;

/** A cause: how often it is behind any trouble, what it brings, what checks find then, and what to do. */
interface CauseRow {
  name: string;
  prior: number;
  brings: Partial<Record<Symptom, number>>;
  finds: { [C in TroubleCheck]?: Partial<Record<TroubleAnswer<C>, number>> };
  /** What to do, in one or two sentences. */
  mend: string;
  /** What is noted when it is done. */
  deed: Activity;
  /** Where on the bench the design is looked at for it, and findings there that speak of it. */
  room: BenchPanel;
  speaks: readonly string[];
}

const row = (row: CauseRow): CauseRow => row;

export const CAUSES = {
  heat: row({
    name: 'Only the midday heat',
    prior: 0.12,
    brings: { 'limp-noon': 0.8 },
    finds: {
      finger: { moist: 0.9, dry: 0.04, wet: 0.06 },
      base: { moist: 0.95, dry: 0.02, wet: 0.02, sour: 0.01 },
      stick: { low: 0.05, half: 0.5, full: 0.45 },
    },
    mend: 'Nothing is wrong: large leaves hang in the hottest hours and stand again by evening. Shade it from noon if it goes on.',
    deed: 'note',
    room: 'vessel',
    speaks: [],
  }),
  empty: row({
    name: 'It has run dry',
    prior: 0.13,
    brings: { 'limp-noon': 0.5, 'limp-dawn': 0.75, 'end-rot': 0.2, bitter: 0.2, seedlings: 0.2 },
    finds: {
      stick: { low: 0.94, half: 0.05, full: 0.01 },
      finger: { dry: 0.7, moist: 0.28, wet: 0.02 },
      base: { dry: 0.6, moist: 0.38, wet: 0.01, sour: 0.01 },
      top: { better: 0.85, same: 0.15 },
    },
    mend: 'Fill it until the overflow runs, and water once from the top so that the soil takes hold of the water again.',
    deed: 'flushed',
    room: 'water',
    speaks: ['days-short'],
  }),
  column: row({
    name: 'The soil has dried and no longer draws water up',
    prior: 0.08,
    brings: {
      'limp-noon': 0.4,
      'limp-dawn': 0.6,
      'dry-top': 0.85,
      stays: 0.6,
      seedlings: 0.3,
    },
    finds: {
      stick: { full: 0.75, half: 0.22, low: 0.03 },
      finger: { dry: 0.9, moist: 0.09, wet: 0.01 },
      base: { dry: 0.8, moist: 0.18, wet: 0.01, sour: 0.01 },
      wick: { sound: 0.55, dry: 0.42, rotten: 0.03 },
      top: { better: 0.9, same: 0.1 },
      pour: { once: 0.5, takes: 0.48, never: 0.01, back: 0.01 },
    },
    mend: 'Water once from the top, slowly, until the overflow runs. If the surface dries again within a week, look at the wick.',
    deed: 'flushed',
    room: 'soil',
    speaks: ['dry-fill', 'mix-poor'],
  }),
  wick: row({
    name: 'The wick has worn out or has slipped',
    prior: 0.08,
    brings: { 'limp-noon': 0.4, 'limp-dawn': 0.5, 'dry-top': 0.75, stays: 0.7, seedlings: 0.2 },
    finds: {
      stick: { full: 0.7, half: 0.25, low: 0.05 },
      finger: { dry: 0.75, moist: 0.23, wet: 0.02 },
      base: { dry: 0.7, moist: 0.28, wet: 0.01, sour: 0.01 },
      wick: { rotten: 0.75, dry: 0.2, sound: 0.05 },
      top: { better: 0.7, same: 0.3 },
      pour: { once: 0.45, takes: 0.53, never: 0.01, back: 0.01 },
    },
    mend: 'Water from the top until it can be opened, then renew the wick and see that its foot lies on the floor.',
    deed: 'wick',
    room: 'wick',
    speaks: ['wick-foot', 'wick-missing'],
  }),
  weak: row({
    name: 'The wick brings up less than it drinks',
    prior: 0.07,
    brings: { 'limp-noon': 0.6, 'limp-dawn': 0.25, 'dry-top': 0.5, 'end-rot': 0.3, bitter: 0.2 },
    finds: {
      stick: { full: 0.35, half: 0.5, low: 0.15 },
      finger: { dry: 0.45, moist: 0.53, wet: 0.02 },
      base: { moist: 0.8, dry: 0.17, wet: 0.02, sour: 0.01 },
      wick: { sound: 0.85, dry: 0.13, rotten: 0.02 },
      top: { better: 0.7, same: 0.3 },
    },
    mend: 'Add wick, or shade it and mulch it, so that it asks for less. Water from the top in hot weeks until then.',
    deed: 'wick',
    room: 'wick',
    speaks: ['wick-weak', 'soil-deep', 'roots-first'],
  }),
  drowned: row({
    name: 'Roots stand in water',
    prior: 0.07,
    brings: {
      'limp-noon': 0.4,
      'limp-dawn': 0.5,
      yellow: 0.6,
      sour: 0.75,
      'wet-top': 0.6,
      stays: 0.4,
    },
    finds: {
      stick: { full: 0.9, half: 0.08, low: 0.02 },
      finger: { wet: 0.75, moist: 0.24, dry: 0.01 },
      base: { sour: 0.55, wet: 0.42, moist: 0.02, dry: 0.01 },
      leaves: { all: 0.5, old: 0.3, young: 0.05, none: 0.15 },
      pour: { never: 0.35, once: 0.35, takes: 0.25, back: 0.05 },
      lift: { brown: 0.75, few: 0.15, white: 0.1 },
      top: { same: 0.97, better: 0.03 },
    },
    mend: 'Let it run down: fill nothing until the dip stick reads low, and clear the overflow. Cut off what is brown and soft.',
    deed: 'overflow',
    room: 'water',
    speaks: ['overflow-above', 'air-gap-small', 'level-wet', 'roots-short', 'overflow-missing'],
  }),
  blocked: row({
    name: 'The overflow is blocked',
    prior: 0.06,
    brings: { sour: 0.35, 'wet-top': 0.7, yellow: 0.3, stays: 0.3 },
    finds: {
      stick: { full: 0.93, half: 0.05, low: 0.02 },
      finger: { wet: 0.65, moist: 0.34, dry: 0.01 },
      base: { wet: 0.6, sour: 0.25, moist: 0.14, dry: 0.01 },
      pour: { never: 0.85, back: 0.1, takes: 0.04, once: 0.01 },
      top: { same: 0.95, better: 0.05 },
    },
    mend: 'Clear the overflow with a stick or a bottle brush until water runs out of it, and look at its screen.',
    deed: 'overflow',
    room: 'water',
    speaks: ['overflow-storm', 'overflow-unscreened'],
  }),
  rain: row({
    name: 'Rain has soaked it',
    prior: 0.05,
    brings: { 'wet-top': 0.75, sour: 0.15, stays: 0.55, yellow: 0.15 },
    finds: {
      stick: { full: 0.9, half: 0.09, low: 0.01 },
      finger: { wet: 0.6, moist: 0.39, dry: 0.01 },
      pour: { once: 0.6, takes: 0.38, never: 0.01, back: 0.01 },
      top: { same: 0.97, better: 0.03 },
    },
    mend: 'Leave it alone for some days, or cover it until the rain is over; lift a bag out of its tray.',
    deed: 'note',
    room: 'vessel',
    speaks: [],
  }),
  leak: row({
    name: 'It leaks, or leans',
    prior: 0.06,
    brings: { fast: 0.9, 'limp-dawn': 0.2, 'limp-noon': 0.15 },
    finds: {
      under: { yes: 0.85, no: 0.15 },
      stick: { low: 0.8, half: 0.18, full: 0.02 },
      pour: { takes: 0.5, never: 0.47, back: 0.01, once: 0.02 },
    },
    mend: 'Find the crack or the joint: fill it, and see where it gets wet. Seal it from inside, let that cure, and set it level.',
    deed: 'note',
    room: 'vessel',
    speaks: ['cracked', 'level-loss', 'liner-sharp', 'liner-none'],
  }),
  thirsty: row({
    name: 'The plants have grown and drink more',
    prior: 0.08,
    brings: { fast: 0.75, 'limp-noon': 0.4, 'limp-dawn': 0.15, 'end-rot': 0.15 },
    finds: {
      stick: { low: 0.6, half: 0.36, full: 0.04 },
      under: { no: 0.97, yes: 0.03 },
      finger: { moist: 0.6, dry: 0.38, wet: 0.02 },
      lift: { white: 0.97, few: 0.02, brown: 0.01 },
    },
    mend: 'Fill it more often, mulch it, or take a plant out. The log learns the new thirst from the next fillings.',
    deed: 'topped',
    room: 'soil',
    speaks: ['plants-crowded', 'days-short'],
  }),
  still: row({
    name: 'Little drinks there: small, sick or sleeping plants',
    prior: 0.05,
    brings: { stays: 0.7, yellow: 0.2, 'wet-top': 0.2 },
    finds: {
      stick: { full: 0.75, half: 0.23, low: 0.02 },
      finger: { moist: 0.85, wet: 0.13, dry: 0.02 },
      base: { moist: 0.9, wet: 0.08, dry: 0.01, sour: 0.01 },
      lift: { few: 0.6, white: 0.3, brown: 0.1 },
      top: { same: 0.95, better: 0.05 },
    },
    mend: 'Wait: fill it only when the dip stick reads low. Where roots are few, set stronger plants in.',
    deed: 'note',
    room: 'soil',
    speaks: [],
  }),
  hungry: row({
    name: 'It is hungry',
    prior: 0.07,
    brings: { yellow: 0.8 },
    finds: {
      leaves: { old: 0.75, all: 0.2, young: 0.04, none: 0.01 },
      base: { moist: 0.93, dry: 0.03, wet: 0.03, sour: 0.01 },
      lift: { white: 0.9, few: 0.08, brown: 0.02 },
    },
    mend: 'Feed it on top, a strip away from the stems, and water that in once from above.',
    deed: 'note',
    room: 'soil',
    speaks: ['feed-dose', 'feed-unusual'],
  }),
  salts: row({
    name: 'Salts have gathered',
    prior: 0.05,
    brings: { crust: 0.9, yellow: 0.25, 'limp-noon': 0.15, seedlings: 0.1 },
    finds: {
      leaves: { old: 0.4, all: 0.2, young: 0.05, none: 0.35 },
      finger: { moist: 0.85, dry: 0.1, wet: 0.05 },
      lift: { white: 0.65, few: 0.25, brown: 0.1 },
    },
    mend: 'Scrape the crust off, and water from the top until the overflow has run well. Feed half as much next time.',
    deed: 'flushed',
    room: 'soil',
    speaks: ['feed-dose', 'feed-liquid'],
  }),
  lime: row({
    name: 'The soil is too sour or too limy for it',
    prior: 0.03,
    brings: { yellow: 0.7, 'end-rot': 0.25 },
    finds: {
      leaves: { young: 0.8, all: 0.15, old: 0.04, none: 0.01 },
      lift: { white: 0.85, few: 0.13, brown: 0.02 },
    },
    mend: 'Test the soil’s acidity with a strip. Lime what is too sour; give acid-loving plants a mix without lime.',
    deed: 'limed',
    room: 'soil',
    speaks: ['lime-acid', 'lime-both'],
  }),
  calcium: row({
    name: 'Uneven water, so that lime does not reach the fruit',
    prior: 0.04,
    brings: { 'end-rot': 0.9, 'limp-noon': 0.2 },
    finds: {
      stick: { low: 0.5, half: 0.4, full: 0.1 },
      finger: { dry: 0.4, moist: 0.58, wet: 0.02 },
      leaves: { none: 0.8, old: 0.1, young: 0.05, all: 0.05 },
    },
    mend: 'Never let it run dry, mulch it, and mix a spoon of dolomitic lime into the top where none was given. Pick the bad fruit off.',
    deed: 'limed',
    room: 'soil',
    speaks: ['days-short', 'wick-weak'],
  }),
  bolting: row({
    name: 'Heat and thirst made it bitter',
    prior: 0.04,
    brings: { bitter: 0.9, 'limp-noon': 0.2 },
    finds: {
      finger: { dry: 0.35, moist: 0.62, wet: 0.03 },
      stick: { low: 0.35, half: 0.45, full: 0.2 },
    },
    mend: 'Pick young and in the morning, shade it at noon, and sow again for a cooler month.',
    deed: 'note',
    room: 'soil',
    speaks: ['days-short'],
  }),
  light: row({
    name: 'Light reaches the water',
    prior: 0.04,
    brings: { algae: 0.95 },
    finds: { light: { yes: 0.93, no: 0.07 }, closed: { no: 0.5, yes: 0.5 } },
    mend: 'Keep the light out: paint or wrap the wall, close the tube. Algae take feed but do no other harm.',
    deed: 'note',
    room: 'vessel',
    speaks: ['clear-wall', 'tube-open', 'feed-liquid'],
  }),
  open: row({
    name: 'An opening lets mosquitoes in',
    prior: 0.04,
    brings: { larvae: 0.95 },
    finds: { closed: { no: 0.9, yes: 0.1 }, light: { yes: 0.35, no: 0.65 } },
    mend: 'Let the water run out once, close the tube with a cap or a sponge, and screen the overflow with fine mesh.',
    deed: 'overflow',
    room: 'water',
    speaks: ['tube-open', 'overflow-unscreened', 'open-tray', 'pipe-open'],
  }),
  shallow: row({
    name: 'Water from below does not reach the seedlings yet',
    prior: 0.06,
    brings: { seedlings: 0.9, 'dry-top': 0.35 },
    finds: {
      finger: { dry: 0.4, moist: 0.58, wet: 0.02 },
      base: { moist: 0.93, dry: 0.04, wet: 0.02, sour: 0.01 },
      stick: { full: 0.55, half: 0.4, low: 0.05 },
      wick: { sound: 0.93, dry: 0.05, rotten: 0.02 },
      top: { better: 0.9, same: 0.1 },
      lift: { few: 0.7, white: 0.29, brown: 0.01 },
    },
    mend: 'Water from the top every second day until their roots are as deep as a hand is long.',
    deed: 'flushed',
    room: 'soil',
    speaks: ['soil-deep', 'roots-first'],
  }),
  reach: row({
    name: 'Roots have grown down to the water',
    prior: 0.04,
    brings: { roots: 0.95 },
    finds: {
      lift: { white: 0.93, few: 0.04, brown: 0.03 },
      base: { moist: 0.85, wet: 0.12, sour: 0.02, dry: 0.01 },
    },
    mend: 'White roots in the water drink and do no harm. Cut out those that grow into the overflow or the tube.',
    deed: 'overflow',
    room: 'water',
    speaks: ['air-gap-small'],
  }),
  airlock: row({
    name: 'Caught air, or a blocked tube, keeps water out',
    prior: 0.03,
    brings: { fast: 0.5, 'limp-dawn': 0.2 },
    finds: {
      pour: { back: 0.7, once: 0.25, takes: 0.04, never: 0.01 },
      stick: { low: 0.55, half: 0.35, full: 0.1 },
      under: { no: 0.97, yes: 0.03 },
    },
    mend: 'Rod the tube through, and let the air out: drill a small hole at the top of closed supports, under the base.',
    deed: 'note',
    room: 'water',
    speaks: ['supports-airlock', 'supports-sealed', 'tube-foot'],
  }),
} as const satisfies Record<string, CauseRow>;
export type Cause = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as Cause[];
