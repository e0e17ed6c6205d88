import { NEW_BOOK, type PriceBook, type ProgressEntry } from '@huerta/core/fabrication';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { Services } from '../services';
import { ONLY } from '../services/kinds';

/** A build that is half done on the kitchen step, its season’s plan, and a price book with a shed behind it. */

const HALF_BUILT = 'Peppers on the kitchen step';
const at = (minute: number): string => new Date(Date.UTC(2026, 3, 18, 9, minute)).toISOString();
const mark = (minute: number, key: string, value: ProgressEntry['value']): ProgressEntry => ({
  key,
  value,
  at: at(minute),
});

const MARKS: readonly ProgressEntry[] = [
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
const PLAN: SeasonPlan = {
  planted: '2026-05-08',
  filling: { kind: 'when-low' },
  waterings: [
    { where: 'top', date: '2026-05-08', volume: 0.002 },
    { where: 'tube', date: '2026-07-19', volume: 0.004 },
  ],
};

/** A document that was never written. */
const NEW = { revision: 0, saveId: null, after: [] };

/** Puts them into a garden where nothing is built yet. */
export async function loadDemoBuild({
  planters,
  progress,
  prices,
  seasons,
}: Services): Promise<void> {
  const planter = (await planters.list()).kept.find(({ name }) => name === HALF_BUILT);
  if (planter && (await progress.get(planter.id)).entries.length === 0) {
    await progress.send(planter.id, MARKS);
    await seasons.save(planter.id, NEW, { name: `Season of ${planter.name}`, value: PLAN });
  }
  const { revision } = await prices.get(ONLY);
  if (revision === 0) await prices.save(ONLY, NEW, { name: 'Price book', value: BOOK });
}
