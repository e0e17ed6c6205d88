import { ROOTS_PLANTED, rootsTo, TOO_DRY_TO_GROW, warmthFor } from '../../physics/crop';
import { wayBrings } from '../../assembly';
import type { Model } from './model';
import type { State } from './state';

const { min, max } = Math;

/** Roots under water for long die back to its surface: a share of what is drowned each day. */
const DIES = 1 / 4;
/** How deep tips hang into the water, metres, without being drowned by it. */
const DIPS = 0.01;
/** Distance over which tips that the water has fallen away from lose it, metres. */
const LOSES = 0.03;

/** As deep as roots get that go so far down from the surface, metres. */
const deepestOf = ({ base, top, ways }: Model, limit: number): number =>
  max(
    top - limit,
    ways.reduce((low, { foot }) => min(low, foot), base),
  );

/** How far down roots are so many warm days after planting, over a reservoir at a level. Metres. */
export function rootsAfter(model: Model, days: number, level: number): number {
  const grown = model.top - ROOTS_PLANTED - model.rootPace * max(days, 0);
  return max(grown, deepestOf(model, model.rootLimit), min(level - DIPS, model.base));
}

/**
 * A day's growth of the roots: down through moist soil, and on by their ways to the water, which they
 * follow as it falls; what it drowns as it rises dies back.
 *
 * @param degrees mean temperature of the day, °C
 * @param standing how deep the roots of what stands there go, metres, and how many days they have had: when a
 *   crop is cleared, the next begins near the surface
 */
export function growRoots(
  model: Model,
  state: State,
  degrees: number,
  standing: { limit: number; days: number },
): void {
  const { base, top, rootPace, cells, count, depth } = model;
  const deepest = deepestOf(model, standing.limit);
  state.tip = max(state.tip, top - ROOTS_PLANTED - rootPace * max(standing.days, 0));
  const more = rootPace * warmthFor(degrees);
  const { tip, level } = state;
  if (tip > base) {
    const cell = min(max(Math.floor((tip - base) / cells.dz), 0), count - 1);
    const moist = -(state.h[cell] as number) < TOO_DRY_TO_GROW;
    if (moist) state.tip = max(tip - more, deepest, min(level, base) - DIPS);
  } else if (tip > level - DIPS) {
    state.tip = max(tip - more, deepest, level - DIPS);
  } else {
    state.tip = min(tip + (level - DIPS - tip) * DIES, base);
  }
  rootsTo(max(top - state.tip, 4 * model.half), depth, state.roots);
}

/** What roots that are at the water can bring up now, m³/s. */
export function rootsBring({ ways }: Model, { tip, level }: State): number {
  let sum = 0;
  for (const way of ways) {
    sum += wayBrings(way, level) * min(max(1 - (tip - level - way.near) / LOSES, 0), 1);
  }
  return sum;
}
