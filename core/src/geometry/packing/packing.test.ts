import fc from 'fast-check';
import { apart, arrange, beside, fullest, within } from '.';

describe('arrangements', () => {
  const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });

  test('nothing overlaps or sticks out', () => {
    fc.assert(
      fc.property(
        length(0.05, 0.5),
        length(0.01, 0.2),
        fc.integer({ min: 1, max: 20 }),
        length(0.005, 0.04),
        (R, r, count, tubeRadius) => {
          const tube = { x: R - tubeRadius, y: 0, r: tubeRadius };
          const floor = { a: R, b: R, c: R };
          const placed = arrange(floor, r, count, beside([tube]));
          expect(placed.length).toBeLessThanOrEqual(count);
          placed.forEach((circle, i) => {
            expect(within(circle, floor)).toBe(true);
            expect(apart(circle, tube)).toBe(true);
            placed.slice(i + 1).forEach((other) => expect(apart(circle, other)).toBe(true));
          });
        },
      ),
    );
  });

  /** Farthest that any place of an oblong floor is from the middle of what stands nearest, by looking. */
  const farthest = (a: number, b: number, placed: readonly { x: number; y: number }[]) => {
    const places = Array.from({ length: 41 }, (_, i) => i / 20 - 1);
    return Math.max(
      ...places.flatMap((x) =>
        places.map((y) =>
          Math.min(...placed.map((one) => Math.hypot(one.x - x * a, one.y - y * b))),
        ),
      ),
    );
  };

  test('what bears a sheet on an oblong floor stands evenly under it, and not in one line', () => {
    const floor = { a: 0.6, b: 0.25, c: 0 };
    const placed = arrange(floor, 0.05, 4, beside([]), true);
    const at = placed.map(({ x, y }) => `${x.toFixed(3)} ${y.toFixed(3)}`).sort();
    expect(at).toEqual(['-0.300 -0.125', '-0.300 0.125', '0.300 -0.125', '0.300 0.125']);
    expect(farthest(0.6, 0.25, placed)).toBeCloseTo(Math.hypot(0.3, 0.125), 9);
    // What grows, or draws water, may stand in a row: each has the less to reach.
    const row = arrange(floor, 0.05, 4, beside([]));
    expect(row.every(({ y }) => y === 0)).toBe(true);
    expect(farthest(0.6, 0.25, row)).toBeLessThan(farthest(0.6, 0.25, placed));
  });

  test('on an oblong floor no place is farther from what stands there than in rows as square as they come', () => {
    fc.assert(
      fc.property(
        length(0.2, 1),
        length(0.3, 1),
        fc.integer({ min: 2, max: 12 }),
        (a, share, n) => {
          const b = Math.max(a * share, 0.1);
          const placed = arrange({ a, b, c: 0 }, 0.02, n, beside([]));
          expect(placed).toHaveLength(n);
          const columns = Math.ceil(Math.sqrt((n * a) / b));
          const rows = Math.ceil(n / columns);
          const last = n - columns * (rows - 1);
          const worst = Math.hypot(a / Math.min(columns, Math.max(last, 1)), b / rows);
          expect(farthest(a, b, placed)).toBeLessThanOrEqual(worst + 1e-9);
        },
      ),
    );
  });

  test.each([
    [3.001, 7],
    [2.001, 2],
    [1.5, 1],
    [0.9, 0],
  ])('a circle of radius %d takes %d of radius 1', (R, count) =>
    expect(fullest({ a: R, b: R, c: R }, 1, beside([]))).toHaveLength(count),
  );
});
