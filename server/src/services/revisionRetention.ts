const HOUR = 3_600_000;
const DAY = 24 * HOUR;

/** How long revisions are kept how close: all of the last hour, then one an hour, a day, a week. */
const STEPS: readonly (readonly [age: number, apart: number])[] = [
  [HOUR, 0],
  [2 * DAY, HOUR],
  [60 * DAY, DAY],
  [Infinity, 7 * DAY],
];

/**
 * The revisions of one planter that are too close to a newer one for their age.
 *
 * @param times when each was written, in milliseconds, oldest first
 * @returns which of them to drop, by their place in the list
 */
export function expiredRevisions(times: readonly number[], now: number): number[] {
  const drop: number[] = [];
  let newer = Infinity;
  for (let i = times.length - 1; i >= 0; i -= 1) {
    const at = times[i] as number;
    const apart = STEPS.find(([age]) => now - at <= age)?.[1] ?? 0;
    if (newer - at < apart) drop.push(i);
    else newer = at;
  }
  return drop.reverse();
}
