import fc from 'fast-check';
import { dayAfter, dayIn, noonIn, zoned, zonedTime } from '.';

const ZONES = ['America/Los_Angeles', 'Europe/Madrid', 'Australia/Sydney', 'Pacific/Auckland'];

test.each([
  // Planted in the evening in California; a morning in Australia that is still yesterday in Greenwich.
  ['America/Los_Angeles', '2026-07-15T03:30:00Z', '2026-07-14T20:30:00.000-07:00'],
  ['America/Los_Angeles', '2026-01-15T03:30:00Z', '2026-01-14T19:30:00.000-08:00'],
  ['Europe/Madrid', '2026-07-14T22:30:00Z', '2026-07-15T00:30:00.000+02:00'],
  ['Australia/Sydney', '2026-07-14T21:00:00Z', '2026-07-15T07:00:00.000+10:00'],
  ['Pacific/Auckland', '2026-01-14T18:00:00Z', '2026-01-15T07:00:00.000+13:00'],
  // Half an hour before and after the clock is put on, and put back, in Madrid.
  ['Europe/Madrid', '2026-03-29T00:30:00Z', '2026-03-29T01:30:00.000+01:00'],
  ['Europe/Madrid', '2026-03-29T01:30:00Z', '2026-03-29T03:30:00.000+02:00'],
  ['Europe/Madrid', '2026-10-25T00:30:00Z', '2026-10-25T02:30:00.000+02:00'],
  ['Europe/Madrid', '2026-10-25T01:30:00Z', '2026-10-25T02:30:00.000+01:00'],
])('in %s %s is %s', (zone, at, there) => {
  expect(zonedTime(at, zone)).toBe(there);
  expect(dayIn(zone, Date.parse(at))).toBe(there.slice(0, 10));
});

const instant = fc.integer({ min: Date.UTC(2024, 0, 1), max: Date.UTC(2030, 11, 31) });

test('a time written as its place has it is the same instant, and its day is that of its place', () => {
  fc.assert(
    fc.property(instant, fc.constantFrom(...ZONES), (now, zone) => {
      const at = zonedTime(now, zone);
      expect(Date.parse(at)).toBe(now);
      const told = new Intl.DateTimeFormat('sv-SE', { timeZone: zone }).format(now);
      expect(at.slice(0, 10)).toBe(told);
      expect(zoned([{ at }], 'Asia/Tokyo')).toEqual([{ at }]);
      expect(zoned([{ at: new Date(now).toISOString() }], zone)).toEqual([{ at }]);
    }),
  );
});

test('noon of each day of a year lies on that day, also when the clock is changed', () => {
  for (const zone of ZONES)
    for (let day = '2026-01-01'; day < '2027-01-01'; day = dayAfter(day, 1))
      expect(noonIn(zone, day).slice(0, 16)).toBe(`${day}T12:00`);
});
