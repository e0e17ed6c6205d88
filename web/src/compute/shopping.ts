import type { GoodInUse, PriceBook, ShoppingList } from '@huerta/core/fabrication';
import type { PlanterDesign } from '@huerta/core/document';
import type { UnitSystem } from '@huerta/core/units';
import { runInWorker } from './workerPool';
import { idOf, useWorkerQuery, type Known } from './useWorkerQuery';

/** Designs as one question: the same ones ask nothing new, whatever list they lie in. */
const named = (designs: readonly PlanterDesign[]): string => designs.map(idOf).join(' ');

/** The shopping list of some designs with its packs and cuts. */
export const useShopping = (
  designs: readonly PlanterDesign[],
  units: UnitSystem,
  book: PriceBook | undefined,
): Known<ShoppingList> =>
  useWorkerQuery({
    key: book ? ['shopping', named(designs), units, idOf(book)] : null,
    broke: 'Packs and cuts could not be worked out. Load the page again to try once more.',
    ask: (signal) =>
      runInWorker(signal, (work) => work.shopping(designs, units, book as PriceBook)),
  });

/** Every good that some designs take, and who takes it. */
export const useGoods = (
  designs: readonly PlanterDesign[],
  units: UnitSystem,
): Known<GoodInUse[]> =>
  useWorkerQuery({
    key: ['goods', named(designs), units],
    broke: 'What your planters take could not be worked out. Load the page again to try once more.',
    ask: (signal) => runInWorker(signal, (work) => work.goods(designs, units)),
  });
