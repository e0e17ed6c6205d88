import type { GoodInUse, PriceBook, ShoppingList } from '@huerta/core/fabrication';
import type { LineContext, PlanterDesign } from '@huerta/core/document';
import type { UnitSystem } from '@huerta/core/units';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';

/** Designs as one question: the same ones ask nothing new, whatever list they lie in. */
const named = (designs: readonly PlanterDesign[]): string => designs.map(idOf).join(' ');
const NONE: readonly LineContext[] = [];
const linesIn = (joined: readonly LineContext[]): string =>
  JSON.stringify(joined.map(({ line }) => line));

/** The shopping list of some designs, and of hoses that join some, with its packs and cuts. */
export const useShopping = (
  designs: readonly PlanterDesign[],
  units: UnitSystem,
  book: PriceBook | undefined,
  joined = NONE,
): Known<ShoppingList> =>
  useWorkerQuery({
    key: book ? ['shopping', named(designs), units, idOf(book), linesIn(joined)] : null,
    broke: 'Packs and cuts could not be worked out. Load the page again to try once more.',
    ask: (signal) =>
      runInWorker(signal, (work) => work.shopping(designs, units, book as PriceBook, joined)),
  });

/** Every good that some designs take, and who takes it. */
export const useGoods = (
  designs: readonly PlanterDesign[],
  units: UnitSystem,
  joined = NONE,
): Known<GoodInUse[]> =>
  useWorkerQuery({
    key: ['goods', named(designs), units, linesIn(joined)],
    broke: 'What your planters take could not be worked out. Load the page again to try once more.',
    ask: (signal) => runInWorker(signal, (work) => work.goods(designs, units, joined)),
  });
