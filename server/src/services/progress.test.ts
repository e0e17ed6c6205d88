import fc from 'fast-check';
import { orderedAt } from './progress';

const time = (minutes: number) => new Date(Date.UTC(2026, 4, 1, 8, minutes));
const iso = (minutes: number) => time(minutes).toISOString();

test('a mark counts as made when its device says, but never later than the server’s own clock', () => {
  expect(orderedAt(iso(5), null, time(10))).toBe(iso(5));
  expect(orderedAt(iso(50), null, time(10))).toBe(iso(10));
});

test('what was made after a mark stays after it, also where the server’s clock went back', () => {
  // Stored at 30 past; then the server's clock was put back to 10 past.
  const later = orderedAt(iso(40), iso(30), time(10));
  expect(Date.parse(later)).toBe(Date.parse(iso(30)) + 1);
  fc.assert(
    fc.property(fc.nat(100), fc.nat(100), fc.nat(100), (made, stands, now) => {
      const at = Date.parse(orderedAt(iso(made), iso(stands), time(now)));
      const before = Date.parse(iso(stands));
      expect(at > before).toBe(made > stands);
      expect(at).toBeLessThanOrEqual(Math.max(Date.parse(iso(now)), before + 1));
    }),
  );
});
