import { randomSource } from '../../numerics';
import { dayAfter } from '../../physics/climate';
import { advanceDay, dayBuffers, fillUp, type FilterSetting } from './daily';
import { freeVolume } from './measurement';
import { copyParticles, evenly, quantilesOf, type Particles } from './particles';

/** The fillings ahead of a planter that is filled to the brim whenever it reads low. */

/** Particles that go ahead. */
const GO = 160;

/** A filling to come. ISO dates; `late` may lie beyond the days that are looked at. */
export interface FillingAhead {
  early: string;
  likely: string;
  late: string;
  /** What it likely takes, m³. */
  volume: number;
}

/**
 * The fillings of the days ahead, each on the day on which it is likely due, counted from what is believed on a morning.
 *
 * @param days that are looked ahead
 * @param seed of the weathers and of chance, as for the forecast
 */
export function fillingsAhead(
  setting: FilterSetting,
  all: Particles,
  today: string,
  days: number,
  seed: number,
): FillingAhead[] {
  const particles = copyParticles(evenly(all, GO, randomSource(seed)));
  const count = particles.weight.length;
  const { table, figures, model } = setting;
  const mark = figures.usableLevel + 1e-4;
  const emptyBarrel = 0.01 * (model.barrel?.volume ?? 0);
  const out = dayBuffers(count);
  const full = copyParticles(particles);
  fillUp(setting, full);
  /** Days and litres of each particle's fillings, in their order. */
  const filled: { day: number; volume: number }[][] = Array.from({ length: count }, () => []);
  for (let d = 0; d < days; d += 1) {
    for (let i = 0; i < count; i += 1) {
      const low =
        table.level(particles.water[i] as number) <= mark &&
        (particles.barrel[i] as number) <= emptyBarrel;
      if (!low) continue;
      (filled[i] as { day: number; volume: number }[]).push({
        // It came to read low in the course of the day before, as the forecast says it.
        day: Math.max(d - 1, 0),
        volume: freeVolume(setting, particles, i),
      });
      particles.water[i] = full.water[i] as number;
      particles.barrel[i] = full.barrel[i] as number;
    }
    advanceDay(
      setting,
      particles,
      dayAfter(today, d),
      randomSource(seed + 7919 * (d + 1)),
      null,
      out,
    );
  }
  return nthFillings(particles, filled, today, days);
}

/** Each filling by its number, as long as half of the particles have it within the days. */
function nthFillings(
  particles: Particles,
  filled: readonly (readonly { day: number; volume: number }[])[],
  today: string,
  days: number,
): FillingAhead[] {
  const fillings: FillingAhead[] = [];
  for (let n = 0; ; n += 1) {
    const on = quantilesOf(particles, (i) => filled[i]?.[n]?.day ?? days);
    if (on.middle >= days) return fillings;
    const date = (day: number): string => dayAfter(today, Math.floor(day));
    const known = filled.flatMap((of) => of[n]?.volume ?? []).sort((a, b) => a - b);
    fillings.push({
      early: date(on.low),
      likely: date(on.middle),
      late: date(on.high),
      volume: known[Math.floor(known.length / 2)] ?? 0,
    });
  }
}
