import fc from 'fast-check';
import { spread } from './spread';

test('labels keep their distance, their order and the margins', () => {
  const labels = fc.array(fc.double({ min: 0, max: 500, noNaN: true }), {
    minLength: 1,
    maxLength: 6,
  });
  fc.assert(
    fc.property(labels, (wanted) => {
      const placed = spread(wanted, 46, 0, 500);
      const order = wanted.map((_, i) => i).sort((a, b) => wanted[a]! - wanted[b]!);
      order.forEach((i, k) => {
        expect(placed[i]).toBeGreaterThanOrEqual(-1e-9);
        expect(placed[i]).toBeLessThanOrEqual(500 + 1e-9);
        const next = order[k + 1];
        if (next !== undefined) expect(placed[next]! - placed[i]!).toBeGreaterThan(45.9);
      });
    }),
  );
});

test('labels that are far apart stay where they belong', () => {
  expect(spread([300, 100, 200], 46, 0, 500)).toEqual([300, 100, 200]);
});
