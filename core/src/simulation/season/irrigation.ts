import type { Model } from './model';
import type { Watering } from './plan';
import type { SeasonDay, SeasonOptions } from './run';
import type { State } from './state';

const { min, max } = Math;

/** How near its mark the stick must be to be filled, metres, and what share is left of a barrel that is empty. */
const NEAR_LOW = 0.002;
const EMPTY = 0.01;

/** What the gardener does in the morning of a day. */
export function waterInTheMorning(
  model: Model,
  state: State,
  { filling, refillAt, waterings }: SeasonOptions,
  day: SeasonDay,
): void {
  state.sinceFill += 1;
  const now =
    filling.kind === 'when-low'
      ? isLow(model, state, refillAt)
      : filling.kind === 'every' && state.sinceFill >= filling.days;
  if (now) {
    pourIn(model, state, Infinity, day);
    state.sinceFill = 0;
  }
  for (const one of waterings ?? []) if (one.date === day.date) give(model, state, one, day);
}

/** Whether the stick says to fill; with a supply barrel, once that is empty too. */
function isLow({ barrel, full }: Model, state: State, refillAt: number): boolean {
  if (barrel && state.barrel > barrel.volume * EMPTY) return false;
  return state.level <= refillAt + NEAR_LOW || state.water <= full * EMPTY;
}

/** Water through the tube, or into the supply barrel, until there is no more room. */
function pourIn(
  { barrel, full, reservoir }: Model,
  state: State,
  most: number,
  day: SeasonDay,
): void {
  const room = barrel ? barrel.volume - state.barrel : full - state.water;
  const more = min(max(room, 0), most);
  if (barrel) state.barrel += more;
  else state.water += more;
  day.filled += more;
  state.level = reservoir.level(state.water);
  day.crest = state.level;
}

/** A watering by hand; on the surface it stands until it has soaked in. */
function give(model: Model, state: State, { where, volume }: Watering, day: SeasonDay): void {
  if (where === 'tube') {
    pourIn(model, state, volume ?? Infinity, day);
    return;
  }
  state.pond += volume / model.surface;
  day.poured += volume;
}

/** What a float valve lets in from its barrel. */
export function topUp({ barrel, brim, reservoir }: Model, state: State): void {
  if (!barrel || state.barrel <= 0) return;
  const wanted = reservoir.holds(min(barrel.level, brim)) - state.water;
  const more = min(max(wanted, 0), state.barrel);
  if (more <= 0) return;
  state.barrel -= more;
  state.water += more;
  state.level = reservoir.level(state.water);
}
