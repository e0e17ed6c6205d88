import { SITES } from '@huerta/core/catalog';
import { weatherOf } from '@huerta/core/physics/climate';
import { DEMO_DAY, demoSite } from './season';

const days = Array.from({ length: 365 }, (_, i) =>
  new Date(Date.UTC(2026, 0, 1 + i)).toISOString().slice(0, 10),
);

test('on any day of a year the demo garden lies where it is warm', () => {
  for (const day of days.filter((_, i) => i % 10 === 0)) {
    const week = weatherOf(SITES[demoSite(day)], day, 7, 3);
    const warm = week.reduce((sum, { tMax }) => sum + tMax / week.length, 0);
    expect([day, warm > 17]).toEqual([day, true]);
    expect(Math.min(...week.map(({ tMin }) => tMin))).toBeGreaterThan(2);
  }
  expect(demoSite(DEMO_DAY)).toBe('vallesol');
});
