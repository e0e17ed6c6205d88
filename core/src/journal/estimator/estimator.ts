import { randomSource, type RandomSource } from '../../numerics';
import { dayAfter, daysBetween } from '../../physics/climate';
import type { LogEntry } from '../entry';
import { leakBegun, advanceDay, wickTorn, type FilterSetting } from './daily';
import { bayesUpdate, freeVolume, type Observed, type FaultEvidence } from './measurement';
import {
  BANKS,
  copyParticles,
  PARTICLE_COUNT,
  emptyParticles,
  quantilesAt,
  reweigh,
  quantilesOf,
  weightOf,
  type Particles,
  type Quantiles,
} from './particles';
import { randomOnDay, WEATHERS } from './weathers';

/** Follows a planter through its log, evening by evening. */

/** Spread of the logarithm of the thirst factor before anything is known. */
const PRIOR_THIRST = 0.3;
/** Spread of what comes up of the water that is reckoned to stay below, and the share of planters where that is far off. */
const PRIOR_REACH = 0.15;
const FAR_OFF = 0.2;
/** Spread of the share of rain that gets in. */
const PRIOR_RAIN = 0.2;
/** Share of logs in which now and then something is forgotten. */
const CARELESS = 0.4;
/** Chances that something is amiss from the beginning. */
const LEAKS = 0.02;
const TORN = 0.02;
/** Days after planting within which a first note shows that somebody has kept it since. */
const TRUSTED = 8;
/** Steps through the particles in which each bank gets all of a range. */
const STRIDE = 119;
/** Fillings that tell at which level it is usually filled, and the share of that below which it is due. */
const FEW = 5;
const OFTEN = 0.8;
/** An hour of the day from which on a reading is that of the evening. */
const EVENING = 13;
/**
 * Evidence from which on a fault is named, as the logarithm of how much likelier readings are with it than without, added
 * up from reading to reading and never below nothing (Page 1954); and the most that is kept of it. Set by the calibration
 * to name something in at most one in twenty of the gardens in which all is well.
 */
const NAMED = { leak: 1.3, torn: 1.75 } as const;
const MOST_EVIDENCE = 4;
/** Share of what is believed from which on a fault is named in any case, and that it takes to name one by evidence. */
const CERTAIN = 0.9;
const SUSPECTED = { leak: 0.2, torn: 0.05 } as const;
/** Share of what is believed below which a fault that no evidence is left of is no longer told. */
const DOUBTFUL = 0.5;
/** The most that one reading can say, of who is careful and of who is not: theirs alone names nothing. */
const OF_ONE = [2, 1.2] as const;
/** Share of the evidence that is left at the next reading. */
const REMEMBERED = 0.6;

/** A reading that nothing which is usual explains. */
export interface UnexplainedReading {
  kind: 'falls-fast' | 'stays' | 'rises' | 'at-once';
  entry: LogEntry;
  /** What was read and what was to be expected: m³ for fillings, metres for levels. */
  read: number;
  expected: number;
}

/** How a planter stood on an evening. */
interface Evening {
  date: string;
  /** Level that half of what is believed lies below, metres. */
  level: number;
  /** What was poured in on the day, m³. */
  filled: number;
}

type Fault = keyof FaultEvidence;
/** Faults, likeliest first, and the kind of reading that shows each. */
const FAULTS: readonly Fault[] = ['leak', 'torn'];
const SHOWN_BY = { leak: 'falls-fast', torn: 'stays' } as const satisfies Record<
  Fault,
  UnexplainedReading['kind']
>;

/** A planter's story so far. */
export interface Estimate {
  particles: Particles;
  /** The evening before the day that is next. */
  until: string;
  evenings: Evening[];
  readings: number;
  surprises: UnexplainedReading[];
  /** Whether it is followed from its planting on, when it was filled. */
  begun: boolean;
  /** The day of the last filling that ran; null where none is noted. */
  fullOn: string | null;
  /** Level at which it is usually filled, metres, and fillings that this comes from. */
  usual: { level: number; fillings: number };
  /** The last dip. */
  dip: { day: string; depth: number } | null;
  /** Evidence that speaks for a fault. */
  evidence: FaultEvidence;
}

/** Particles of a planter of which nothing is known, or that was just planted and filled. */
function begin(setting: FilterSetting, filled: boolean, luck: RandomSource): Particles {
  const { table, model } = setting;
  const particles = emptyParticles();
  const wet = table.suction(table.rested);
  const moist = Math.max(wet, 0) + 1;
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    // Evenly spread: chance would leave gaps where few particles are.
    const share = ((i * STRIDE + luck.uniform()) / PARTICLE_COUNT) % 1;
    particles.water[i] = filled ? table.full : table.holds(share * model.brim);
    particles.barrel[i] = (model.barrel?.volume ?? 0) * (filled ? 1 : luck.uniform());
    const rests = filled ? 1 : 1 - 0.7 * luck.uniform() * (1 - share);
    particles.soil[i] = filled
      ? table.rested
      : table.rested * rests + (1 - rests) * soilAt(setting, moist);
    particles.thirst[i] = PRIOR_THIRST * luck.normal();
    particles.leak[i] = i >= BANKS.leak.from && i < BANKS.leak.to ? leakBegun(luck) : 0;
    particles.wick[i] = i >= BANKS.torn.from ? wickTorn(luck) : 1;
    particles.reach[i] = luck.uniform() < FAR_OFF ? luck.uniform() : PRIOR_REACH * luck.normal();
    particles.rain[i] = Math.max(1 + PRIOR_RAIN * luck.normal(), 0.1);
    particles.careless[i] = luck.uniform() < CARELESS ? 1 : 0;
    particles.weather[i] = Math.floor(luck.uniform() * WEATHERS);
  }
  reweigh(particles, 'leak', LEAKS);
  reweigh(particles, 'torn', TORN);
  reweigh(particles, 'well', 1 - LEAKS - TORN);
  return particles;
}

/** Water in the soil by the suction at its base, m³. */
function soilAt({ table }: FilterSetting, suction: number): number {
  let [low, high] = [table.least, table.most];
  for (let k = 0; k < 30; k += 1) {
    const middle = (low + high) / 2;
    if (table.suction(middle) > suction) low = middle;
    else high = middle;
  }
  return low;
}

export const copyEstimate = (story: Estimate): Estimate => ({
  ...story,
  particles: copyParticles(story.particles),
  evenings: [...story.evenings],
  surprises: [...story.surprises],
});

const dayOf = ({ at }: LogEntry): string => at.slice(0, 10);
const isEvening = ({ at }: LogEntry): boolean => Number(at.slice(11, 13)) >= EVENING;

/** Whether an entry tells of the water: what a planter can be followed from. */
const tells = ({ did }: LogEntry): boolean =>
  did.kind === 'level' || did.kind === 'finger' || did.kind === 'filled';

/** Days back from which on a log is followed; older notes say little that newer ones do not. */
const REACHES = 45;

/** The first day that is followed: of a month, so that it stays the same from day to day. */
const followedSince = (today: string): string => `${dayAfter(today, -REACHES).slice(0, 7)}-01`;

/** The day from which on a planter is followed, and whether it was full then. */
export function initialEstimate(
  planted: string,
  today: string,
  entries: readonly LogEntry[],
): { date: string; full: boolean } {
  const since = followedSince(today);
  if (planted >= since) {
    const first = entries.find(tells);
    if (daysBetween(planted, first ? dayOf(first) : today) <= TRUSTED)
      return { date: planted, full: true };
  }
  // Somebody has kept it without a note, or long: what it is like is known from the first filling that ran.
  const later = entries.filter((entry) => dayOf(entry) >= since && tells(entry));
  const ran = later.find(isFull);
  const [first] = later;
  if (ran && first && daysBetween(dayOf(first), dayOf(ran)) <= TRUSTED)
    return { date: dayOf(ran), full: true };
  return { date: first ? dayOf(first) : today, full: false };
}

const isFull = ({ did }: LogEntry): boolean =>
  did.kind === 'filled' && did.where === 'tube' && did.ran;

/**
 * Follows a planter until the morning of a day.
 *
 * @param entries those that hold, in the order in which they were made
 * @param kept a story to go on from, of the same planter with the same beginning
 * @param evening is told how it stands each evening
 */
export function runFilter(
  setting: FilterSetting,
  entries: readonly LogEntry[],
  today: string,
  seed: number,
  kept?: Estimate,
  evening?: (story: Estimate) => void,
): Estimate {
  const { date, full } = initialEstimate(setting.planted, today, entries);
  const planted = full && date === setting.planted;
  const story: Estimate = kept
    ? copyEstimate(kept)
    : {
        particles: begin(setting, full, randomSource(seed)),
        until: dayAfter(date, -1),
        evenings: [],
        begun: planted,
        readings: 0,
        surprises: [],
        fullOn: null,
        usual: { level: 0, fillings: 0 },
        dip: null,
        evidence: { leak: 0, torn: 0 },
      };
  let at = entries.findIndex((entry) => dayOf(entry) > story.until);
  if (at < 0) at = entries.length;
  for (let day = dayAfter(story.until, 1); day <= today; day = dayAfter(day, 1)) {
    const luck = randomOnDay(seed, day);
    let filled = 0;
    const take = (evening: boolean): void => {
      for (let entry = entries[at]; entry && dayOf(entry) === day; entry = entries[at]) {
        // Today's are all known, and its evening is yet to come.
        if (!evening && day < today && isEvening(entry)) return;
        filled += heed(setting, story, entry, luck);
        at += 1;
      }
    };
    take(false);
    if (day === today) break;
    advanceDay(setting, story.particles, day, luck, { usual: OFTEN * story.usual.level });
    take(true);
    story.until = day;
    story.evenings.push({ date: day, level: middling(setting, story.particles), filled });
    evening?.(story);
  }
  return story;
}

/** An entry of the log. @returns what was poured in, m³ */
function heed(
  setting: FilterSetting,
  story: Estimate,
  entry: LogEntry,
  luck: RandomSource,
): number {
  const { did } = entry;
  const { particles } = story;
  const filling = did.kind === 'filled' && did.where === 'tube';
  let filled = 0;
  if (filling && did.volume === null && did.ran)
    filled = quantilesAt(
      Float64Array.from({ length: PARTICLE_COUNT }, (_, i) => freeVolume(setting, particles, i)),
      particles.weight,
      [0.5],
    )[0] as number;
  if (did.kind === 'filled' && did.volume !== null) filled = did.volume;
  if (filling) {
    const { level, fillings } = story.usual;
    const before = middling(setting, particles);
    const counts = Math.min(fillings, FEW);
    story.usual = { level: (level * counts + before) / (counts + 1), fillings: fillings + 1 };
  }
  const heard = bayesUpdate(setting, particles, entry, luck);
  if (filling && did.ran) story.fullOn = dayOf(entry);
  if (did.kind === 'level') story.dip = { day: dayOf(entry), depth: did.depth };
  const blocked = heard && ranAtOnce(setting, story, entry, heard);
  if (filling) story.dip = null;
  if (blocked) story.surprises.push(blocked);
  if (heard) {
    story.readings += 1;
    const found = named(story, entry, heard);
    if (found) story.surprises.push(found);
  }
  return filled;
}

/** How likely whoever writes the log is careless. */
const carelessnessOf = ({ careless, weight }: Particles): number =>
  careless.reduce((sum, is, i) => sum + is * (weight[i] as number), 0);

/** Days before a filling for which a dip still tells how it stood, and the share of the room at most that ran in. */
const DIPPED = 1;
const AT_ONCE = 0.3;

/** A filling that ran almost at once though the stick was low: the water does not get in. */
function ranAtOnce(
  { table, model }: FilterSetting,
  { dip }: Estimate,
  entry: LogEntry,
  heard: Observed,
): UnexplainedReading | null {
  const { did } = entry;
  if (!dip || did.kind !== 'filled' || did.volume === null || !did.ran) return null;
  const room = table.full - table.holds(Math.min(dip.depth, model.brim));
  const lately = daysBetween(dip.day, dayOf(entry)) <= DIPPED;
  if (!lately || dip.depth > 0.5 * model.brim || did.volume > AT_ONCE * room) return null;
  return { kind: 'at-once', entry, read: heard.read, expected: room };
}

/** Adds what a reading says to the evidence, and takes back what was named where readings contradict it since. */
function weighEvidence(story: Estimate, speaks: FaultEvidence): void {
  const { particles } = story;
  const most = OF_ONE[0] + (OF_ONE[1] - OF_ONE[0]) * carelessnessOf(particles);
  const added = (fault: Fault): number => {
    const all = REMEMBERED * story.evidence[fault] + Math.min(speaks[fault], most);
    return Math.min(Math.max(all, 0), MOST_EVIDENCE);
  };
  story.evidence = { leak: added('leak'), torn: added('torn') };
  const contradicted = (fault: Fault): boolean =>
    story.evidence[fault] === 0 && weightOf(particles, fault) < DOUBTFUL;
  const kinds: UnexplainedReading['kind'][] = FAULTS.flatMap((fault) =>
    contradicted(fault) ? [SHOWN_BY[fault]] : [],
  );
  story.surprises = story.surprises.filter(({ kind }) => !kinds.includes(kind));
}

/** What a reading shows to be amiss, where that is likelier than not. */
function named(story: Estimate, entry: LogEntry, heard: Observed): UnexplainedReading | null {
  const { read, expected } = heard;
  if (!heard.possible) return { kind: 'rises', entry, read, expected };
  // A finger tells of the soil alone.
  if (entry.did.kind === 'finger') return null;
  weighEvidence(story, heard.speaks);
  const fault = FAULTS.find((one) => {
    const least = story.evidence[one] > NAMED[one] ? SUSPECTED[one] : CERTAIN;
    return weightOf(story.particles, one) > least;
  });
  return fault ? { kind: SHOWN_BY[fault], entry, read, expected } : null;
}

/** Steps of the water in which its middle is told. */
const BINS = 240;
const bins = new Float64Array(BINS + 1);

/** The level that half of what is believed lies below, metres, to a part of what the reservoir holds. */
function middling({ table }: FilterSetting, { water, weight }: Particles): number {
  const full = Math.max(table.full, 1e-9);
  bins.fill(0);
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    const at = Math.round(((water[i] as number) / full) * BINS);
    const bin = Math.min(Math.max(at, 0), BINS);
    bins[bin] = (bins[bin] as number) + (weight[i] as number);
  }
  let sum = 0;
  let bin = -1;
  while (sum < 0.5 && bin < BINS) sum += bins[(bin += 1)] as number;
  return table.level((full * Math.max(bin, 0)) / BINS);
}

/** The level over the particles, metres. */
export const levelSpreadOf = ({ table }: FilterSetting, particles: Particles): Quantiles =>
  quantilesOf(particles, (i) => table.level(particles.water[i] as number));
