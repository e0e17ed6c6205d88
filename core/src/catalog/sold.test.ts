import { INCH } from '../units';
import { SOLD, soldUpTo } from '.';

const systems = ['metric', 'us'] as const;

test.each(systems)('sizes go up from the smallest, %s', (units) => {
  const { crate, ...round } = SOLD[units];
  for (const [name, sizes] of Object.entries(round)) {
    expect([name, sizes]).toEqual([name, [...sizes].sort((a, b) => a - b)]);
    expect(new Set(sizes).size).toBe(sizes.length);
  }
  const rooms = crate.map(([l, w, h]) => l * w * h);
  expect(rooms).toEqual([...rooms].sort((a, b) => a - b));
  for (const [l, w] of crate) expect(l).toBeGreaterThanOrEqual(w);
});

test('each is on a mark of the rule that it is measured with', () => {
  const all = (units: (typeof systems)[number]): number[] => Object.values(SOLD[units]).flat(2);
  for (const size of all('metric')) expect(size * 1000).toBeCloseTo(Math.round(size * 1000), 9);
  const { pipe, drain, ring, ...others } = SOLD.us;
  for (const size of Object.values(others).flat(2)) {
    expect((size / INCH) * 16).toBeCloseTo(Math.round((size / INCH) * 16), 9);
  }
  expect([...pipe, ...drain, ...ring].every((size) => size > INCH)).toBe(true);
});

test('sizes up to one are the largest first, and where all are larger the smallest', () => {
  expect(soldUpTo([1, 2, 3], 2.5)).toEqual([2, 1]);
  expect(soldUpTo([1, 2, 3], 3)).toEqual([3, 2, 1]);
  expect(soldUpTo([1, 2, 3], 0.5)).toEqual([1]);
});
