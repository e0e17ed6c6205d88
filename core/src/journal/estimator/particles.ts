import type { RandomSource } from '../../numerics';

/**
 * What may be the case with a planter, as some hundred particles with weights: each one whole story of its water, its
 * thirst and its faults. A bootstrap filter (Gordon, Salmond and Smith 1993) with systematic resampling, and jitter
 * that keeps the spread (Liu and West 2001).
 */

export const PARTICLE_COUNT = 320;

/**
 * Particles in which all is well, in which it leaks, and in which the wick is torn: so many each, whatever they weigh,
 * because what is rare at first must be there when a reading speaks for it.
 */
export const BANKS = {
  well: { from: 0, to: 180 },
  leak: { from: 180, to: 265 },
  torn: { from: 265, to: PARTICLE_COUNT },
} as const;
export type Bank = keyof typeof BANKS;
const BANK_NAMES = Object.keys(BANKS) as Bank[];

/** Weight of all particles of a bank. */
export function weightOf({ weight }: Particles, bank: Bank): number {
  const { from, to } = BANKS[bank];
  let sum = 0;
  for (let i = from; i < to; i += 1) sum += weight[i] as number;
  return sum;
}

/** Gives a bank another weight in all. */
export function reweigh(particles: Particles, bank: Bank, weight: number): void {
  const { from, to } = BANKS[bank];
  const has = weightOf(particles, bank);
  for (let i = from; i < to; i += 1)
    particles.weight[i] =
      has > 0 ? ((particles.weight[i] as number) * weight) / has : weight / (to - from);
}

/** Copies a particle over another one; its weight stays. */
export function copyParticle(particles: Particles, from: number, to: number): void {
  for (const part of PARTICLE_FIELDS) particles[part][to] = particles[part][from] as number;
}

/** A particle of a bank by chance, as likely as its weight. @param total of the bank */
export function sampleByWeight(
  particles: Particles,
  bank: Bank,
  total: number,
  luck: RandomSource,
): number {
  const { from, to } = BANKS[bank];
  let left = luck.uniform() * total;
  for (let i = from; i < to - 1; i += 1) {
    left -= particles.weight[i] as number;
    if (left <= 0) return i;
  }
  return to - 1;
}

/** The numbers of a particle, each an array over all particles. */
const WATER = ['water', 'barrel', 'soil', 'low'] as const;
const TRAITS = ['thirst', 'leak', 'wick', 'reach', 'rain', 'weather', 'careless'] as const;
const PARTICLE_FIELDS = [...WATER, ...TRAITS];
type ParticleField = (typeof PARTICLE_FIELDS)[number];

/**
 * Particles: `water` in the reservoir and `barrel` beside it, m³; `soil`, what it holds, m³; `thirst`, logarithm of
 * the factor; `leak`, share of the full reservoir that is lost a day; `wick`, share of what it should bring; `reach`,
 * share of what is reckoned to stay below that comes up; `rain`, share that gets in; `weather`, the made-up one it is
 * in; `low`, days for which it has been low; `careless`, 1 where whoever writes the log forgets a filling now and then
 * and reads by eye, else 0.
 */
export type Particles = Record<ParticleField, Float64Array> & { weight: Float64Array };

export function emptyParticles(): Particles {
  const made = { weight: new Float64Array(PARTICLE_COUNT).fill(1 / PARTICLE_COUNT) } as Particles;
  for (const part of PARTICLE_FIELDS) made[part] = new Float64Array(PARTICLE_COUNT);
  return made;
}

export function copyParticles(particles: Particles): Particles {
  const copy = { weight: Float64Array.from(particles.weight) } as Particles;
  for (const part of PARTICLE_FIELDS) copy[part] = Float64Array.from(particles[part]);
  return copy;
}

/** Makes weights sum to 1. @returns false where all of them are nothing */
export function normalise({ weight }: Particles): boolean {
  let sum = 0;
  for (const one of weight) sum += one;
  if (!(sum > 0)) {
    weight.fill(1 / PARTICLE_COUNT);
    return false;
  }
  for (let i = 0; i < PARTICLE_COUNT; i += 1) weight[i] = (weight[i] as number) / sum;
  return true;
}

/** Shrinkage of the jitter, and what a thirst, a reach or the logarithm of a leak is moved at least. */
const SHRINK = 0.985;
const LEAST = 0.01;
const OF_LEAK = 0.05;

/** Draws particles anew by their weights in each bank of which few are left, and moves copies apart. */
export function resample(particles: Particles, luck: RandomSource): void {
  const before = copyParticles(particles);
  for (const bank of BANK_NAMES) {
    const { from, to } = BANKS[bank];
    const total = weightOf(before, bank);
    let squares = 0;
    for (let i = from; i < to; i += 1) squares += (before.weight[i] as number) ** 2;
    const few = total > 0 && (total * total) / squares < (to - from) / 2;
    if (!few) continue;
    drawAnew(particles, before, bank, total, luck);
    const spread = Math.sqrt(1 - SHRINK * SHRINK);
    jitter(particles.thirst, bank, spread, luck);
    jitter(particles.reach, bank, spread, luck);
    if (bank === 'leak')
      for (let i = from; i < to; i += 1)
        particles.leak[i] = (particles.leak[i] as number) * Math.exp(OF_LEAK * luck.normal());
  }
}

/** Systematic resampling of a bank. */
function drawAnew(
  into: Particles,
  before: Particles,
  bank: Bank,
  total: number,
  luck: RandomSource,
): void {
  const { from, to } = BANKS[bank];
  const each = total / (to - from);
  let source = from;
  let sum = before.weight[from] as number;
  const start = luck.uniform();
  for (let i = from; i < to; i += 1) {
    const at = (start + i - from) * each;
    while (sum < at && source < to - 1) sum += before.weight[(source += 1)] as number;
    for (const part of PARTICLE_FIELDS) into[part][i] = before[part][source] as number;
    into.weight[i] = each;
  }
}

function jitter(values: Float64Array, bank: Bank, spread: number, luck: RandomSource): void {
  const { from, to } = BANKS[bank];
  let mean = 0;
  let squares = 0;
  for (let i = from; i < to; i += 1) {
    mean += (values[i] as number) / (to - from);
    squares += (values[i] as number) ** 2 / (to - from);
  }
  const sd = Math.max(spread * Math.sqrt(Math.max(squares - mean * mean, 0)), LEAST);
  for (let i = from; i < to; i += 1)
    values[i] = mean + SHRINK * ((values[i] as number) - mean) + sd * luck.normal();
}

/** Values below which given shares of the weight lie, in rising order of shares. */
export function quantilesAt(
  values: ArrayLike<number>,
  weight: ArrayLike<number>,
  shares: readonly number[],
): number[] {
  const order = Array.from({ length: values.length }, (_, i) => i).sort(
    (a, b) => (values[a] as number) - (values[b] as number),
  );
  const out: number[] = [];
  let sum = 0;
  for (const i of order) {
    sum += weight[i] as number;
    while (out.length < shares.length && sum >= (shares[out.length] as number) - 1e-12)
      out.push(values[i] as number);
  }
  while (out.length < shares.length) out.push(values[order.at(-1) as number] as number);
  return out;
}

/** So many particles of the same weight, drawn from all of them; banks are of no meaning then. */
export function evenly(particles: Particles, count: number, luck: RandomSource): Particles {
  const drawn = { weight: new Float64Array(count).fill(1 / count) } as Particles;
  for (const part of PARTICLE_FIELDS) drawn[part] = new Float64Array(count);
  const start = luck.uniform() / count;
  let source = 0;
  let sum = particles.weight[0] as number;
  for (let i = 0; i < count; i += 1) {
    const at = start + i / count;
    while (sum < at && source < PARTICLE_COUNT - 1)
      sum += particles.weight[(source += 1)] as number;
    for (const part of PARTICLE_FIELDS) drawn[part][i] = particles[part][source] as number;
  }
  return drawn;
}

/** A value below which a tenth, half and nine tenths of what is believed lie. */
export interface Quantiles {
  low: number;
  middle: number;
  high: number;
}

const TENTHS = [0.1, 0.5, 0.9] as const;

/** Spread of something over the particles. */
export function quantilesOf(particles: Particles, of: (i: number) => number): Quantiles {
  const count = particles.weight.length;
  const values = new Float64Array(count);
  for (let i = 0; i < count; i += 1) values[i] = of(i);
  if (count < PARTICLE_COUNT) {
    // Drawn evenly, all weigh the same.
    values.sort();
    const at = (share: number): number => values[Math.ceil(share * count) - 1] as number;
    return { low: at(TENTHS[0]), middle: at(TENTHS[1]), high: at(TENTHS[2]) };
  }
  const [low, middle, high] = quantilesAt(values, particles.weight, TENTHS);
  return { low: low as number, middle: middle as number, high: high as number };
}
