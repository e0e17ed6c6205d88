import { hash32 } from '../numerics';
import { siteOf, type MeasuredDay, type WeatherChoice } from '../physics/climate';
import type { PlanterDesign } from '../document';
import type { LogEntry } from './entry';
import type { TendedQuestion } from './state';

/** Short marks of what something hangs on, the same wherever it says the same. */

const marks = new WeakMap<object, string>();

/** A short mark of what something says (FNV-1a over its JSON, with its length). */
export function cacheKeyOf(what: object | string): string {
  const known = typeof what === 'object' ? marks.get(what) : undefined;
  if (known) return known;
  const text = JSON.stringify(what);
  const mark = `${text.length}-${hash32(text).toString(36)}`;
  if (typeof what === 'object') marks.set(what, mark);
  return mark;
}

/** What a planter's standing hangs on. */
export interface PlanterStateInputs {
  design: PlanterDesign;
  planted: string | null;
  /** Entries of its log that hold, in any order. */
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  measured: readonly MeasuredDay[];
  /** ISO date. */
  today: string;
}

/** A mark of all that a planter's standing hangs on: where it is the same, so is how the planter stands. */
export function planterStateKey(asked: PlanterStateInputs): string {
  const { design, planted, entries, choice, measured, today } = asked;
  const logged = entries
    .map(({ id }) => id)
    .sort()
    .join();
  const hangsOn = [choice, measured, design, logged].map(cacheKeyOf);
  return [today, planted ?? 'never', ...hangsOn].join(' ');
}

/** What core is asked of it: the site of the weather, with days of one's own and of a station. */
export function tendedQuestionOf(asked: PlanterStateInputs): TendedQuestion {
  const { design, planted, entries, choice, measured, today } = asked;
  const days = [...(choice.days?.days ?? []), ...measured];
  return { design, planted, entries, site: siteOf(choice), days, today };
}
