import { row } from './cause';

/** Food, salts and the soil’s acidity. */

export const FOOD = {
  hungry: row({
    at: 'plants',
    name: 'It is hungry',
    prior: 0.07,
    brings: { yellow: 0.8, slow: 0.6 },
    finds: {
      leaves: { old: 0.75, all: 0.2, young: 0.04, none: 0.01 },
      base: { moist: 0.93, dry: 0.03, wet: 0.03, sour: 0.01 },
      nights: { mild: 0.75, cold: 0.05, hot: 0.2 },
      lift: { white: 0.9, few: 0.08, brown: 0.02 },
    },
    mend: 'Feed it on top, a strip away from the stems, and water that in once from above.',
    deed: 'note',
    room: 'soil',
    speaks: ['feed-dose', 'feed-unusual'],
  }),
  salts: row({
    at: 'surface',
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
    at: 'soil',
    name: 'The soil is too sour or too limy for it',
    prior: 0.03,
    brings: { yellow: 0.7, 'end-rot': 0.1, slow: 0.2 },
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
    at: 'plants',
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
} as const;
