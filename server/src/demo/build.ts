import { NEW_BOOK, type PriceBook, type ProgressEntry } from '@huerta/core/fabrication';
import { dayAfter } from '@huerta/core/physics/climate';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { Services } from '../services';
import { ONLY } from '../services/kinds';
import { DEMO_DAY } from './season';

/** A build that is half done on the kitchen step, its season’s plan, and a price book with a shed behind it. */

const HALF_BUILT = 'Peppers on the kitchen step';
/** Days before today on which it was begun, and planted; and after today on which a neighbour looks in. */
const BEGUN = 88;
const PLANTED = 68;
const LOOKS_IN = 4;

type Mark = readonly [minute: number, key: string, value: ProgressEntry['value']];
const mark = (...one: Mark): Mark => one;

const MARKS: readonly Mark[] = [
  mark(5, 'done/inspect', true),
  mark(5, 'check/inspect/sound', 'good'),
  mark(12, 'done/measure', true),
  mark(20, 'check/overflow/recheck', 'good'),
  mark(26, 'measure/overflow/centre', 0.084),
  mark(27, 'note/overflow', 'The drill slipped: 3 mm too high, still under the ring.'),
  mark(28, 'done/overflow', true),
  mark(45, 'check/supports/height', 'good'),
  mark(46, 'done/supports', true),
];

const BOOK: PriceBook = {
  ...NEW_BOOK,
  prices: {
    EUR: {
      'ingredient:coir': [
        { size: 0.02, price: 4.2 },
        { size: 0.05, price: 8.4 },
      ],
      'pipe:mm-32': [{ size: 2, price: 3.6 }],
    },
  },
  atHand: { straw: 0.04, clip: 4, 'dip-stick': 2 },
  offcuts: { 'pipe:mm-160': [0.35], 'pipe:mm-32': [0.52] },
};

/** Planted after the last cold night; watered in from the top, and a neighbour looks in once. */
const planOf = (today: string): SeasonPlan => ({
  planted: dayAfter(today, -PLANTED),
  filling: { kind: 'when-low' },
  waterings: [
    { where: 'top', date: dayAfter(today, -PLANTED), volume: 0.002 },
    { where: 'tube', date: dayAfter(today, LOOKS_IN), volume: 0.004 },
  ],
});

/** What was ticked and measured, minute by minute, on the morning of a day. */
const marksOn = (day: string): ProgressEntry[] =>
  MARKS.map(([minute, key, value]) => ({
    key,
    value,
    at: `${day}T09:${String(minute).padStart(2, '0')}:00.000Z`,
  }));

/** A document that was never written. */
const NEW = { revision: 0, saveId: null, after: [] };

/** Puts them into a garden where nothing is built yet. */
export async function loadDemoBuild(
  { planters, progress, prices, seasons }: Services,
  today = DEMO_DAY,
): Promise<void> {
  const planter = (await planters.list()).kept.find(({ name }) => name === HALF_BUILT);
  if (planter && (await progress.get(planter.id)).entries.length === 0) {
    await progress.send(planter.id, marksOn(dayAfter(today, -BEGUN)));
    await seasons.save(planter.id, NEW, {
      name: `Season of ${planter.name}`,
      value: planOf(today),
    });
  }
  const { revision } = await prices.get(ONLY);
  if (revision === 0) await prices.save(ONLY, NEW, { name: 'Price book', value: BOOK });
}
