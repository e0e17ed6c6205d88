import type { RandomSource } from '../../numerics';
import { mixOf, waterContent } from '../../physics/soil';
import type { LogEntry } from '../entry';
import { fillUp, topUp, type FilterSetting } from './daily';
import {
  BANKS,
  PARTICLE_COUNT,
  normalise,
  resample,
  reweigh,
  weightOf,
  type Bank,
  type Particles,
} from './particles';

/**
 * What somebody saw or gave, as the particles hear it. Every reading has a spread with heavy tails (Student's t of four
 * degrees), so that one wrong note moves little and two that agree move all.
 */

/** Errors of readings: of a stick in metres and as a share; of a measured filling as a share and in m³. */
const OF_STICK = 0.003;
const OF_CAN = 1.5e-4;
/** By one who is careful, and by one who is not. */
const OF_DEPTH = [0.03, 0.12] as const;
const OF_FILLING = [0.08, 0.15] as const;
/** Chances that something happened to the water of which nobody wrote: more of it, or less. */
const MORE = 0.06;
const LESS = 0.03;
/** Share of the way to a dip that a level goes which agrees with it: the stick is believed above the model. */
const BELIEVED = 0.6;
/** Chance that a volume is noted wrongly altogether. */
const MISTAKEN = 0.04;
/** So many times a reading's spread above the overflow a stick cannot read. */
const ABOVE = 3;
/** Suctions from which on a finger says moist, and dry; below, wet. Metres. */
const FEELS_MOIST = 0.08;
const FEELS_DRY = 2.5;
/** How likely a finger says what it said where the soil is so moist. */
const SAYS = { same: 0.85, near: 0.12, far: 0.03 } as const;
const FEEL_ORDER = ['dry', 'moist', 'wet'] as const;
/** Somebody who pours and does not write how much, nor that it ran, mostly fills it. */
const FILLS_WHOLLY = 0.7;

/** How a reading compares with what was believed before it. m³ for fillings, metres for levels. */
export interface Observed {
  read: number;
  expected: number;
  /** Whether it can be at all. */
  possible: boolean;
  /** How much likelier it is where it leaks, and where the wick is torn, than where all is well: logarithms. */
  speaks: FaultEvidence;
}

/** Logarithms of how much likelier a reading is with a fault than without. */
export interface FaultEvidence {
  leak: number;
  torn: number;
}
const NO_EVIDENCE: FaultEvidence = { leak: 0, torn: 0 };

/** Weights of the banks, to compare with those after a reading. */
const banksOf = (particles: Particles): Record<Bank, number> => ({
  well: weightOf(particles, 'well'),
  leak: weightOf(particles, 'leak'),
  torn: weightOf(particles, 'torn'),
});

/** What a reading speaks for, by what it did to the weights of the banks. */
function evidenceOf(before: Record<Bank, number>, after: Record<Bank, number>): FaultEvidence {
  const gain = (bank: Bank): number =>
    Math.log(Math.max(after[bank], 1e-300) / Math.max(before[bank], 1e-300));
  return { leak: gain('leak') - gain('well'), torn: gain('torn') - gain('well') };
}

const student = (z: number): number => (1 + (z * z) / 4) ** -2.5;

/** What is to be expected in the mean where all is well. */
function expectedOf({ weight }: Particles, of: (i: number) => number): number {
  const { from, to } = BANKS.well;
  let all = 0;
  let sum = 0;
  for (let i = from; i < to; i += 1) {
    all += weight[i] as number;
    sum += (weight[i] as number) * of(i);
  }
  return all > 0 ? sum / all : of(from);
}

/** Weighs the particles, and draws them anew where few of them are left. */
function normaliseAndResample(particles: Particles, luck: RandomSource): void {
  normalise(particles);
  resample(particles, luck);
}

/** A dip: the level within some millimetres, or else something happened since that nobody wrote. */
function updateByDip(
  setting: FilterSetting,
  particles: Particles,
  depth: number,
  luck: RandomSource,
): Observed {
  const { table, model } = setting;
  const { water, weight, careless } = particles;
  const brim = Math.max(model.brim, 1e-3);
  const spreads = OF_DEPTH.map((share) => OF_STICK + share * depth);
  const level = (i: number): number => table.level(water[i] as number);
  const expected = expectedOf(particles, level);
  // What stands above the overflow is asked about and not believed.
  if (depth > brim + ABOVE * (spreads[0] as number))
    return { read: depth, expected: brim, possible: false, speaks: NO_EVIDENCE };
  const before = banksOf(particles);
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    const stands = level(i);
    const sd = spreads[careless[i] as number] as number;
    const near = ((1 - MORE - LESS) * student((depth - stands) / sd)) / (2.67 * sd);
    const other = depth > stands ? MORE / Math.max(brim - stands, sd) : LESS / Math.max(stands, sd);
    weight[i] = (weight[i] as number) * (near + other);
    const elsewhere = luck.uniform() < other / (near + other);
    const goes = elsewhere ? 1 : BELIEVED;
    const seen = stands + goes * (depth + sd * luck.normal() - stands);
    water[i] = table.holds(Math.min(Math.max(seen, 0), brim));
  }
  const speaks = evidenceOf(before, banksOf(particles));
  normaliseAndResample(particles, luck);
  return { read: depth, expected, possible: true, speaks };
}

/** Room for water in a particle, m³. */
export const freeVolume = (
  { table, model }: FilterSetting,
  { water, barrel }: Particles,
  i: number,
): number =>
  Math.max(table.full - (water[i] as number), 0) +
  Math.max((model.barrel?.volume ?? 0) - (barrel[i] as number), 0);

/** Filled until it ran: full, and what went in says what was missing. */
function updateByOverflow(
  setting: FilterSetting,
  particles: Particles,
  volume: number | null,
  luck: RandomSource,
): Observed | null {
  const { table } = setting;
  const { weight, low } = particles;
  let heard: Observed | null = null;
  if (volume !== null) {
    const room = (i: number): number => freeVolume(setting, particles, i);
    const spreads = OF_FILLING.map((share) => Math.hypot(share * volume, OF_CAN));
    const expected = expectedOf(particles, room);
    const before = banksOf(particles);
    const flat = MISTAKEN / Math.max(1.5 * table.full, volume);
    for (let i = 0; i < PARTICLE_COUNT; i += 1) {
      const sd = spreads[particles.careless[i] as number] as number;
      const near = ((1 - MISTAKEN) * student((volume - room(i)) / sd)) / (2.67 * sd);
      weight[i] = (weight[i] as number) * (near + flat);
    }
    const speaks = evidenceOf(before, banksOf(particles));
    heard = { read: volume, expected, possible: true, speaks };
  }
  fillUp(setting, particles);
  low.fill(0);
  normaliseAndResample(particles, luck);
  return heard;
}

/** Water through the tube that did not run, or nobody saw whether it did. */
function poured(
  setting: FilterSetting,
  particles: Particles,
  volume: number | null,
  luck: RandomSource,
): void {
  const { model } = setting;
  const { water, barrel, weight } = particles;
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    const room = freeVolume(setting, particles, i);
    const given =
      volume === null
        ? luck.uniform() < FILLS_WHOLLY
          ? room
          : luck.uniform() * room
        : volume * (1 + OF_FILLING[0] * luck.normal());
    // More than there was room for would have run.
    if (volume !== null && given > 1.1 * room + OF_CAN) weight[i] = 0.3 * (weight[i] as number);
    const into = Math.min(Math.max(given, 0), room);
    if (model.barrel) {
      barrel[i] = Math.min((barrel[i] as number) + into, model.barrel.volume);
      topUp(setting, particles, i);
    } else water[i] = (water[i] as number) + into;
  }
  normaliseAndResample(particles, luck);
}

function onTop({ table }: FilterSetting, { soil, water }: Particles, volume: number): void {
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    const more = (soil[i] as number) + volume;
    const over = Math.max(more - table.most, 0);
    soil[i] = more - over;
    water[i] = Math.min((water[i] as number) + over, table.full);
  }
}

/** A finger: how moist the soil is at a depth, by what hangs above the suction at its base. */
function felt(
  { planter, table, model }: FilterSetting,
  particles: Particles,
  { depth, feels }: { depth: number; feels: (typeof FEEL_ORDER)[number] },
  luck: RandomSource,
): void {
  const mix = mixOf(planter.design.soil);
  const [dry, wet] = [waterContent(mix, FEELS_DRY), waterContent(mix, FEELS_MOIST)];
  const above = Math.max(model.top - model.base - depth, 0);
  for (let i = 0; i < PARTICLE_COUNT; i += 1) {
    const suction = table.suction(particles.soil[i] as number) + above;
    const held = waterContent(mix, Math.max(suction, 0));
    const is = held <= dry ? 0 : held >= wet ? 2 : 1;
    const off = Math.abs(is - FEEL_ORDER.indexOf(feels));
    const says = off === 0 ? SAYS.same : off === 1 ? SAYS.near : SAYS.far;
    particles.weight[i] = (particles.weight[i] as number) * says;
  }
  normaliseAndResample(particles, luck);
}

/**
 * What an entry does to the particles.
 *
 * @returns how it compares with what was believed; null where it says nothing of it
 */
export function bayesUpdate(
  setting: FilterSetting,
  particles: Particles,
  { did }: LogEntry,
  luck: RandomSource,
): Observed | null {
  switch (did.kind) {
    case 'level':
      return updateByDip(setting, particles, did.depth, luck);
    case 'finger':
      felt(setting, particles, did, luck);
      return { read: did.depth, expected: did.depth, possible: true, speaks: NO_EVIDENCE };
    case 'filled':
      if (did.where === 'top') {
        if (did.volume !== null) onTop(setting, particles, did.volume);
        return null;
      }
      if (did.ran) return updateByOverflow(setting, particles, did.volume, luck);
      poured(setting, particles, did.volume, luck);
      return null;
    case 'did':
      if (did.what === 'wick') reweigh(particles, 'torn', 1e-6);
      if (did.what === 'emptied') particles.water.fill(0);
      return null;
    default:
      return null;
  }
}
