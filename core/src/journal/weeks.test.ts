import fc from 'fast-check';
import { dayAfter, daysBetween } from '../physics/climate';
import { say } from '../units';
import type { CalendarEvent } from './calendar';
import { partedAt, WEEK_STARTS, weekOf, weeksOf } from './weeks';

const anyDay = fc.integer({ min: 0, max: 4000 }).map((days) => dayAfter('2020-01-01', days));
const anyStart = fc.constantFrom(...WEEK_STARTS);
const event = (uid: string, from: string, days: number, likely: string | null): CalendarEvent => ({
  ...{ uid, kind: 'fill', planter: null, from, until: dayAfter(from, days), likely, volume: null },
  ...{ task: say`Fill`, title: say`Fill`, about: say`Fill it` },
});

test('a week begins on the day that people begin it on', () => {
  // 15 July 2026 is a Wednesday.
  expect(weekOf('2026-07-15', 'monday')).toBe('2026-07-13');
  expect(weekOf('2026-07-15', 'sunday')).toBe('2026-07-12');
  expect(weekOf('2026-07-15', 'saturday')).toBe('2026-07-11');
  expect(weekOf('2026-07-13', 'monday')).toBe('2026-07-13');
});

test('today lies in the first week, weeks follow one another, and no day is left out', () => {
  fc.assert(
    fc.property(anyDay, anyStart, fc.integer({ min: 1, max: 8 }), (today, starts, count) => {
      const days = weeksOf([], today, starts, count).flat();
      expect(days).toHaveLength(7 * count);
      expect(daysBetween(days[0]!.date, today)).toBeGreaterThanOrEqual(0);
      expect(daysBetween(days[0]!.date, today)).toBeLessThan(7);
      days.forEach(({ date }, i) => expect(date).toBe(dayAfter(days[0]!.date, i)));
      const weekday = new Date(`${days[0]!.date}T12:00:00Z`).toLocaleDateString('en-GB', {
        ...{ weekday: 'long', timeZone: 'UTC' },
      });
      expect(weekday.toLowerCase()).toBe(starts);
    }),
  );
});

test('what takes several days stands once, on its likely day; what goes on stands on each', () => {
  fc.assert(
    fc.property(
      ...[anyDay, anyStart],
      fc.integer({ min: 0, max: 27 }),
      fc.integer({ min: 1, max: 9 }),
      (today, starts, on, days) => {
        const from = dayAfter(today, on);
        const likely = dayAfter(from, Math.floor(days / 2));
        const list = [event('fill', from, days, likely), event('away', from, days, null)];
        const shown = weeksOf(list, today, starts, 7).flat();
        const datesOf = (uid: string) =>
          shown.flatMap(({ date, events }) =>
            events.some((one) => one.uid === uid) ? [date] : [],
          );
        expect(datesOf('fill')).toEqual([likely]);
        expect(datesOf('away')).toEqual(Array.from({ length: days }, (_, i) => dayAfter(from, i)));
      },
    ),
  );
});

test('what is due by today and has no day of its own stands apart; a filling never does', () => {
  const today = '2026-07-15';
  const of = (kind: CalendarEvent['kind'], ago: number): CalendarEvent => ({
    ...event(`${kind} ${ago}`, dayAfter(today, -ago), 1, dayAfter(today, -ago)),
    kind,
  });
  const events = [
    ...[of('fill', 0), of('duty', 0), of('duty', -3), of('pick', 5), of('plant', -1)],
    ...[of('away', 2), of('visit', 0)],
  ];
  const [now, ahead] = partedAt(events, today);
  expect(now.map(({ uid }) => uid)).toEqual(['duty 0', 'pick 5']);
  expect([...now, ...ahead]).toHaveLength(events.length);
  expect(ahead.map(({ kind }) => kind)).toEqual(['fill', 'duty', 'plant', 'away', 'visit']);
});
