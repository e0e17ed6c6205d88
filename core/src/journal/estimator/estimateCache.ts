import { dayAfter } from '../../physics/climate';
import type { LogEntry } from '../entry';
import type { FilterSetting } from './daily';
import { copyEstimate, runFilter, type Estimate } from './estimator';

/**
 * Stories kept from evening to evening, so that a new entry costs the days since and not a season. A story holds for as
 * long as all that it comes from does: planter, weather and entries up to its evening.
 */

/** Evenings before today whose stories are kept. */
const KEPT_BEFORE = [1, 2, 4, 8, 16];
/** Planters whose stories are kept at most. */
const MOST = 250;

interface Kept {
  mark: string;
  story: Estimate;
}

/** Keeps the stories of planters. */
export interface EstimateCache {
  get(planter: string): readonly Kept[];
  set(planter: string, kept: readonly Kept[]): void;
}

export function estimateCache(): EstimateCache {
  const all = new Map<string, readonly Kept[]>();
  return {
    get: (planter) => all.get(planter) ?? [],
    set(planter, kept) {
      all.delete(planter);
      all.set(planter, kept);
      const [oldest] = all.keys();
      if (all.size > MOST && oldest !== undefined) all.delete(oldest);
    },
  };
}

/**
 * Follows a planter from the latest evening whose story still holds.
 *
 * @param markOf what a story of an evening comes from
 */
export function runFilterCached(
  keeper: EstimateCache,
  planter: string,
  setting: FilterSetting,
  entries: readonly LogEntry[],
  today: string,
  seed: number,
  markOf: (evening: string) => string,
): Estimate {
  const marks = new Map<string, string>();
  const mark = (evening: string): string => {
    const known = marks.get(evening) ?? markOf(evening);
    marks.set(evening, known);
    return known;
  };
  const holds = keeper
    .get(planter)
    .filter(({ mark: was, story }) => story.until < today && was === mark(story.until));
  const latest = holds.reduce<Kept | null>(
    (best, one) => (best && best.story.until >= one.story.until ? best : one),
    null,
  );
  const wanted = new Set(KEPT_BEFORE.map((ago) => dayAfter(today, -ago)));
  const kept = holds.filter(({ story }) => wanted.has(story.until));
  const story = runFilter(setting, entries, today, seed, latest?.story, (now) => {
    if (wanted.has(now.until)) kept.push({ mark: mark(now.until), story: copyEstimate(now) });
  });
  keeper.set(planter, kept);
  return story;
}
