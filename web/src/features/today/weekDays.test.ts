import type { CalendarEvent, WaterAhead } from '@huerta/core/journal';
import { say } from '@huerta/core/units';
import { eventsOn, fullDays, waterByDay, waterOutline } from './weekDays';

const water = (...fills: [day: number, volume: number][]): WaterAhead => ({
  path: [
    { day: 0, share: 0.5 },
    { day: 2.5, share: 0 },
    { day: 2.5, share: 1 },
    { day: 30, share: 0.25 },
  ],
  low: 0.1,
  fillings: fills.map(([day, volume]) => ({ day, from: day, until: day + 1, volume })),
});

test('what all take on a day is the sum of those that are filled then', () => {
  const byDay = waterByDay({ a: water([0, 2], [5, 3]), b: water([5, 4]), c: null }, 7);
  expect(byDay[0]).toEqual({ planters: 1, volume: 2 });
  expect(byDay[5]).toEqual({ planters: 2, volume: 7 });
  expect(fullDays(byDay)).toEqual({ next: 5, most: 5 });
  expect(fullDays(waterByDay({ a: water([0, 2]) }, 7))).toBeNull();
  expect(fullDays(waterByDay({ a: water([1, 2], [4, 9], [6, 1]) }, 7))).toEqual({
    next: 1,
    most: 4,
  });
});

test('the outline of the water steps up at a filling, and ends with what is shown', () => {
  expect(waterOutline(water(), 28)).toBe('M0 100L0 50L2.5 100L2.5 0L2.5 100Z');
  expect(waterOutline(water(), 30)).toBe('M0 100L0 50L2.5 100L2.5 0L30 75L30 100Z');
});

test('what goes on for days stands on each, what may be on any of several on its likely one', () => {
  const event = (uid: string, likely: string | null): CalendarEvent => ({
    ...{ uid, kind: 'fill', planter: null, from: '2026-07-15', until: '2026-07-18', likely },
    ...{ volume: null, task: say`Fill`, title: say`Fill`, about: say`Fill` },
  });
  const events = [event('all', null), event('one', '2026-07-16')];
  const on = (date: string) => eventsOn(events, date).map(({ uid }) => uid);
  expect(on('2026-07-14')).toEqual([]);
  expect(on('2026-07-15')).toEqual(['all']);
  expect(on('2026-07-16')).toEqual(['all', 'one']);
  expect(on('2026-07-18')).toEqual([]);
});
