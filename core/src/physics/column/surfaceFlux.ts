// By name: looked up once, this is asked millions of times.
const { log, max } = Math;

/** Suctions at the surface between which it dries, metres. Typical. */
const STILL_MOIST = 0.5;
const CRUST = 20;
const SPREAD = log(CRUST / STILL_MOIST);

/**
 * What a drying surface gives to the air: all that is asked while it is moist, less and less until it is a
 * crust. As a flux into the soil, m³/s, and its slope by head, m²/s, into `out`; the slope keeps a step calm.
 *
 * @param asked m³/s; @param head at the surface, metres
 */
export function surfaceGives(asked: number, head: number, out: Float64Array): void {
  const moist = -head <= STILL_MOIST ? 1 : max(1 - log(-head / STILL_MOIST) / SPREAD, 0);
  out[0] = -asked * moist;
  out[1] = moist > 0 && moist < 1 ? -asked / (SPREAD * -head) : 0;
}
