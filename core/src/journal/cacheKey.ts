import { hash32 } from '../numerics';
import { daysThatCount, siteOf, type MeasuredDay, type WeatherChoice } from '../physics/climate';
import type { LineContext, PlanterDesign } from '../document';
import type { LogEntry } from './entry';
import type { TendedQuestion } from './state';

/** Short keys of what something hangs on, the same wherever it says the same. */

const keys = new WeakMap<object, string>();

/** A short key of what something says (FNV-1a over its JSON, with its length). */
export function cacheKeyOf(what: object | string): string {
  const known = typeof what === 'object' ? keys.get(what) : undefined;
  if (known) return known;
  const text = JSON.stringify(what);
  const key = `${text.length}-${hash32(text).toString(36)}`;
  if (typeof what === 'object') keys.set(what, key);
  return key;
}

/** A planter's own id with the line that it is joined to. */
export interface JoinedTo extends LineContext {
  planter: string;
}

/** What it hangs on how a planter stands. */
export interface PlanterStateInputs {
  design: PlanterDesign;
  /** The line that it is joined to, and its place there. */
  joined?: JoinedTo | null;
  planted: string | null;
  /** Entries of its log that hold, in any order. */
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  measured: readonly MeasuredDay[];
  /** ISO date. */
  today: string;
}

/** A key of all that it hangs on how a planter stands: where it is the same, so is that. */
export function planterStateKey(asked: PlanterStateInputs): string {
  const { design, planted, entries, choice, measured, today } = asked;
  const logged = entries
    .map(({ id }) => id)
    .sort()
    .join();
  const hangsOn = [choice, measured, design, logged].map(cacheKeyOf);
  if (asked.joined) {
    const { line, designs, planter } = asked.joined;
    const others = line.members.flatMap((one) => designs[one.planter] ?? []);
    hangsOn.push(planter, ...[line, ...others].map(cacheKeyOf));
  }
  return [today, planted ?? 'never', ...hangsOn].join(' ');
}

/** What core is asked of it: the site of the weather, with days of one's own and of a station. */
export function tendedQuestionOf(asked: PlanterStateInputs): TendedQuestion {
  const { design, planted, entries, choice, measured, today } = asked;
  const days = [...(choice.days?.days ?? []), ...daysThatCount(measured, today)];
  return { design, ...joinedOf(asked), planted, entries, site: siteOf(choice), days, today };
}

const joinedOf = ({ joined }: PlanterStateInputs): { joined?: JoinedTo } =>
  joined ? { joined } : {};
