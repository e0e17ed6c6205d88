import type { BenchPanel } from '../../../assessment';
import type { Activity } from '../../entry';
import type { TroubleAnswer, TroubleCheck } from '../checks';
import type { Symptom } from '../symptoms';

/** Where on a planter a cause sits: what is marked on its section. */
export type TroublePlace =
  'plants' | 'surface' | 'soil' | 'base' | 'wick' | 'water' | 'overflow' | 'tube' | 'vessel';

/**
 * A cause: how often it is behind any trouble before anything is known, how often it brings each symptom, what checks
 * find then, and what to do. All typical: what practice says, in tenths. A symptom or an answer that is not named has
 * its usual chance.
 */
export interface CauseRow {
  name: string;
  at: TroublePlace;
  /** Nothing is wrong: it looks so, and passes or does no harm. */
  normal?: true;
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

export const row = (row: CauseRow): CauseRow => row;
