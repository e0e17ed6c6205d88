import { randomSource } from '../numerics';
import { dayAfter, daysBetween } from '../physics/climate';
import { applyPatch, type Patch } from '../document';
import { contradictions } from '../assembly';
import type { Message } from '../units';
import { changesOf, spreadOf } from '../simulation/season';
import {
  copyParticles,
  dayBuffers,
  evenly,
  fillUp,
  goesShort,
  freeVolume,
  advanceDay,
  type FilterSetting,
  type Particles,
} from './estimator';
import { estimateOf, suppliedQuestion, tendedOf, type TendedQuestion } from './state';

/**
 * A whole garden while nobody is at home: what lasts, for how sure, and the fewest visits of a neighbour that keep all
 * alive. All is full on the morning of leaving, and filled on each visit; a run is one of the stories that a planter's log
 * leaves open, in a weather of its own.
 */

/** Runs of each planter. */
const RUNS = 160;
/** Most visits that a neighbour is asked for; what wants more is not kept by visits. */
const MOST_VISITS = 14;
/** A planter counts as lasting so long as it does in all runs but this share of them. */
const SURE = 0.1;

/** What is asked of a garden. ISO dates; `from` is the day of leaving, `until` that of coming back. */
export interface GardenAwayQuestion {
  planters: readonly { id: string; question: TendedQuestion }[];
  from: string;
  until: string;
}

/** How one planter fares alone. */
export interface AloneAnswer {
  id: string;
  /** Days for which it is safe, and for which it likely lasts, from the day of leaving. */
  safe: number;
  likely: number;
  /** Share of the runs in which it lasts until they are back. */
  chance: number;
}

/** One filling of a visit, m³: likely, and at most. */
interface VisitFill {
  id: string;
  volume: number;
  most: number;
}
export interface Visit {
  date: string;
  fills: VisitFill[];
}

/** How the water of one planter likely goes while nobody is at home, with the visits that it is filled on. */
export interface AwayCourse {
  id: string;
  /** Levels at which it is full and reads low, metres. */
  brim: number;
  low: number;
  /** The level that half of the runs are below on each evening, metres. */
  levels: number[];
  /** Days after leaving on which it is filled, that of leaving first. */
  fills: number[];
  /** Days after leaving on which plants go short in more than one run of ten. */
  short: number[];
}

export interface GardenAwayAnswer {
  /** Days between leaving and coming back. */
  days: number;
  alone: AloneAnswer[];
  courses: AwayCourse[];
  /** The fewest visits that keep all alive, in order; none where all last. */
  visits: Visit[];
  /** Planters that no visits keep alive: they go short within a day or two. */
  beyond: string[];
  /** Water for the leaving day and all visits, m³. */
  water: { leaving: number; visits: number };
}

/** A planter ready to be run through the absence with fillings on some days. */
interface Alone {
  id: string;
  brim: number;
  low: number;
  /** Runs with fillings so many days after leaving. */
  runs(fills: readonly number[]): Stretch[];
}
/** A run from the day of leaving on. */
interface Stretch {
  /** Whether plants go short on each day. */
  short: boolean[];
  /** Filled on each day, m³. */
  filled: number[];
  /** The level on each evening, metres. */
  level: number[];
}

/** Days before leaving on which it is kept full, so that the soil is as wet as it is then. */
const KEPT = 2;

/** Fills all particles to the brim. @returns what went into each, m³ */
function fill(setting: FilterSetting, particles: Particles): Float64Array {
  const given = Float64Array.from({ length: RUNS }, (_, i) => freeVolume(setting, particles, i));
  fillUp(setting, particles);
  return given;
}

/** What a planter's log leaves open; null where nothing grows yet. */
function learnedOf(question: TendedQuestion): Particles | null {
  const made = tendedOf(question);
  return made && estimateOf(question, made).particles;
}

/**
 * @param learned of the planter as its log knows it, also where another design is tried
 * @returns null where nothing grows yet
 */
function aloneOf(
  id: string,
  question: TendedQuestion,
  from: string,
  until: string,
  learned = learnedOf(question),
): Alone | null {
  const made = tendedOf(question);
  if (!made || !learned) return null;
  const { setting, seed } = made;
  const kept = evenly(learned, RUNS, randomSource(seed));
  kept.soil.fill(setting.table.rested);
  for (let day = -KEPT; day < 0; day += 1) {
    fill(setting, kept);
    advanceDay(setting, kept, dayAfter(from, day), randomSource(seed + day + KEPT), null);
  }
  const days = daysBetween(from, until);
  return {
    id,
    brim: setting.model.brim,
    low: setting.figures.usableLevel,
    runs(fills) {
      const now = copyParticles(kept);
      const out = dayBuffers(RUNS);
      const runs = Array.from({ length: RUNS }, (): Stretch => ({
        short: [],
        filled: [],
        level: [],
      }));
      for (let day = 0; day < days; day += 1) {
        const given = day === 0 || fills.includes(day) ? fill(setting, now) : null;
        // The same weather whatever is filled, so that what a visit does is seen.
        advanceDay(
          setting,
          now,
          dayAfter(from, day),
          randomSource(seed + 7919 * (day + 1)),
          null,
          out,
        );
        runs.forEach(({ short, filled, level }, i) => {
          level.push(setting.table.level(now.water[i] as number));
          short.push(goesShort(setting, now, out, i));
          filled.push(given?.[i] ?? 0);
        });
      }
      return runs;
    },
  };
}

/** Days from a day on, of those of the absence, until plants go short: in each run; all that are left where they never do. */
function lasting(runs: readonly Stretch[], since: number): number[] {
  return runs.map(({ short }) => {
    const at = short.findIndex((is, i) => is && i >= since);
    return (at < 0 ? short.length : at) - since;
  });
}

const safeOf = (lasted: readonly number[]): number => {
  const sorted = [...lasted].sort((a, b) => a - b);
  return sorted[Math.floor(SURE * sorted.length)] ?? 0;
};

/** How a garden fares while nobody is at home. */
export function gardenAway({ planters, from, until }: GardenAwayQuestion): GardenAwayAnswer {
  const days = daysBetween(from, until);
  const ready = planters.flatMap(({ id, question }) => aloneOf(id, question, from, until) ?? []);
  const first = ready.map((one) => ({ one, runs: one.runs([]) }));
  const alone = first.map(({ one: { id }, runs }): AloneAnswer => {
    const lasted = lasting(runs, 0);
    return {
      id,
      safe: safeOf(lasted),
      likely: Math.round(spreadOf(lasted).middle),
      chance: lasted.filter((lasts) => lasts >= days).length / lasted.length,
    };
  });
  const beyond = alone.filter(({ safe }) => safe < 2 && safe < days).map(({ id }) => id);
  const kept = ready.filter(({ id }) => !beyond.includes(id));
  const { visits, gone, visited } = fewestVisits(kept, days);
  const leaving = first.reduce((sum, { runs }) => sum + spreadOf(runs.map(filledOn(0))).middle, 0);
  const named = visits.map(({ day, fills }) => ({ date: dayAfter(from, day), fills }));
  return {
    days,
    alone,
    courses: first.map(({ one, runs }) => {
      const own = visited.get(one.id);
      return own && own.days.length > 0
        ? courseOf(one, own.runs, own.days)
        : courseOf(one, runs, []);
    }),
    visits: named,
    beyond: [...beyond, ...gone],
    water: {
      leaving,
      visits: named.reduce(
        (sum, { fills }) => sum + fills.reduce((all, { volume }) => all + volume, 0),
        0,
      ),
    },
  };
}

/** How the water goes in runs with fillings so many days after leaving. */
function courseOf(
  { id, brim, low }: Alone,
  runs: readonly Stretch[],
  own: readonly number[],
): AwayCourse {
  const days = runs[0]?.short.length ?? 0;
  const all = Array.from({ length: days }, (_, day) => day);
  return {
    ...{ id, brim, low },
    levels: all.map((day) => spreadOf(runs.map(({ level }) => level[day] ?? 0)).middle),
    fills: [0, ...own],
    short: all.filter((day) => runs.filter(({ short }) => short[day]).length > SURE * runs.length),
  };
}

const filledOn =
  (day: number) =>
  ({ filled }: Stretch): number =>
    filled[day] ?? 0;

/** The visits that a planter is filled on, so many days after leaving, and its runs with them. */
interface Visited {
  days: readonly number[];
  runs: readonly Stretch[];
}

interface DayOfVisit {
  day: number;
  fills: VisitFill[];
}

/**
 * The fewest days on which somebody comes. Each visit is as late as the thirstiest planter allows, and fills all:
 * nobody can come later for the first time, and whoever came earlier could as well have come then. Afterwards each
 * planter leaves out the visits that it does not need.
 */
function fewestVisits(
  planters: readonly Alone[],
  days: number,
): { visits: DayOfVisit[]; gone: string[]; visited: Map<string, Visited> } {
  const gone: string[] = [];
  const all: number[] = [];
  let left = [...planters];
  // Days that each lasts from each visit on, and from the day of leaving.
  const lasts = new Map(planters.map(({ id }) => [id, [] as number[]]));
  for (let since = 0; ;) {
    for (const one of left) lasts.get(one.id)?.push(safeOf(lasting(one.runs(all), since)));
    const wilts = left.filter(({ id }) => (lasts.get(id)?.at(-1) ?? 0) < 1 && since < days);
    gone.push(...wilts.map(({ id }) => id));
    left = left.filter((one) => !wilts.includes(one));
    const least = Math.min(...left.map(({ id }) => lasts.get(id)?.at(-1) ?? days), days - since);
    if (since + least >= days || left.length === 0 || all.length >= MOST_VISITS) break;
    // On the morning before the first would go short.
    since += Math.max(least - 1, 1);
    all.push(since);
  }
  const visits = all.map((day): DayOfVisit => ({ day, fills: [] }));
  const visited = new Map<string, Visited>();
  for (const one of left) {
    const own = ownVisits(one, all, days);
    visited.set(one.id, own);
    for (const day of own.days) {
      const { middle, high } = spreadOf(own.runs.map(filledOn(day)));
      visits[all.indexOf(day)]?.fills.push({ id: one.id, volume: middle, most: high });
    }
  }
  return { visits: visits.filter(({ fills }) => fills.length > 0), gone, visited };
}

/**
 * Those visits of all that a planter needs: each as late as it lasts with the ones before it. Where one that is left out
 * makes it too dry for the next, it is filled on all.
 */
function ownVisits(one: Alone, all: readonly number[], days: number): Visited {
  const own: number[] = [];
  for (;;) {
    const last = own.at(-1) ?? 0;
    const runs = one.runs(own);
    const reaches = last + safeOf(lasting(runs, last));
    if (reaches >= days) return { days: own, runs };
    const later = all.filter((day) => day > last);
    const next = later.findLast((day) => day < reaches) ?? later[0];
    if (next === undefined) return { days: own, runs };
    if (next > reaches && own.length > 0) return { days: all, runs: one.runs(all) };
    own.push(next);
  }
}

/** A change of one planter with which it lasts longer. */
export interface AwayChange {
  label: Message;
  patch: Patch;
  safe: number;
}

/**
 * The first change of the design with which a planter lasts the whole absence, or else the one that helps most.
 *
 * @returns null where nothing helps
 */
export function oneChange(asked: TendedQuestion, from: string, until: string): AwayChange | null {
  const question = suppliedQuestion(asked);
  const days = daysBetween(from, until);
  const learned = learnedOf(question);
  const safeWith = (design: TendedQuestion['design']): number => {
    const one = aloneOf('', { ...question, design }, from, until, learned);
    return one ? safeOf(lasting(one.runs([]), 0)) : 0;
  };
  const now = safeWith(question.design);
  let best: AwayChange | null = null;
  for (const { label, patch } of changesOf(question.design)) {
    const design = applyPatch(question.design, patch);
    if (contradictions(design).length > 0) continue;
    const safe = safeWith(design);
    if (safe >= days) return { label, patch, safe };
    if (safe > (best?.safe ?? now)) best = { label, patch, safe };
  }
  return best;
}
