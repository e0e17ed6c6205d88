import fc from 'fast-check';
import { expiredRevisions } from './revisionRetention';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;
const NOW = Date.parse('2026-07-15T08:00:00Z');

const kept = (times: readonly number[], now = NOW): number[] => {
  const drop = new Set(expiredRevisions(times, now));
  return times.filter((_, i) => !drop.has(i));
};
const ages = (times: readonly number[], now = NOW): number[] => times.map((at) => now - at);
/** Times by how long ago, the oldest first. */
const ago = (...list: number[]): number[] => list.map((age) => NOW - age).sort((a, b) => a - b);

test('all of the last hour stay, then one an hour, a day, a week', () => {
  const lastHour = ago(50 * MINUTE, 40 * MINUTE, 2 * MINUTE, MINUTE);
  expect(expiredRevisions(lastHour, NOW)).toEqual([]);
  const hours = ago(5 * HOUR, 5 * HOUR + 20 * MINUTE, 5 * HOUR + 40 * MINUTE, 7 * HOUR);
  expect(ages(kept(hours))).toEqual([7 * HOUR, 5 * HOUR]);
  const days = ago(4 * DAY, 4 * DAY + 6 * HOUR, 4 * DAY + 23 * HOUR, 5 * DAY);
  expect(ages(kept(days))).toEqual([5 * DAY, 4 * DAY]);
  const weeks = ago(100 * DAY, 103 * DAY, 106 * DAY, 107 * DAY);
  expect(ages(kept(weeks))).toEqual([107 * DAY, 100 * DAY]);
});

test('nothing of nothing, and the newest stays however old it is', () => {
  expect(expiredRevisions([], NOW)).toEqual([]);
  expect(expiredRevisions(ago(900 * DAY), NOW)).toEqual([]);
  expect(ages(kept(ago(900 * DAY, 901 * DAY)))).toEqual([900 * DAY]);
});

const someTimes = fc
  .array(fc.integer({ min: 0, max: 200 * DAY }), { maxLength: 80 })
  .map((list) => ago(...list));

test('what stays is thinned no further, the newest stays, and each dropped one has a newer near it', () => {
  fc.assert(
    fc.property(someTimes, (times) => {
      const left = kept(times);
      expect(expiredRevisions(left, NOW)).toEqual([]);
      if (times.length > 0) expect(left.at(-1)).toBe(times.at(-1));
      for (const at of times.filter((one) => !left.includes(one))) {
        const age = NOW - at;
        const apart = age <= 2 * DAY ? HOUR : age <= 60 * DAY ? DAY : 7 * DAY;
        expect(age).toBeGreaterThan(HOUR);
        expect(left.some((one) => one >= at && one - at < apart)).toBe(true);
      }
    }),
  );
});

test('a month of saving every ten minutes, thinned each time, leaves no gap twice as long as it may be', () => {
  let times: number[] = [];
  const start = NOW - 30 * DAY;
  for (let at = start; at <= NOW; at += 10 * MINUTE) times = kept([...times, at], at);
  const gaps = times.slice(1).map((at, i) => [NOW - at, at - (times[i] as number)] as const);
  expect(times.length).toBeLessThan(7 + 48 + 31);
  for (const [age, gap] of gaps) {
    const apart = age <= HOUR ? 10 * MINUTE : age <= 2 * DAY ? HOUR : DAY;
    expect(gap).toBeLessThanOrEqual(2 * apart);
  }
});
