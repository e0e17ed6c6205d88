import fc from 'fast-check';
import { planCuts, type Cut, type Stock } from '.';

/** Fewest bars by dynamic programming over all subsets: no search, no order, no bound. */
function fewest(lengths: readonly number[], bar: number, kerf: number): number {
  const n = lengths.length;
  const all = 1 << n;
  const fitsOne = Array.from({ length: all }, (_, set) => {
    const chosen = lengths.filter((_length, i) => set & (1 << i));
    const sum = chosen.reduce((total, length) => total + length, 0);
    return chosen.length > 0 && sum + (chosen.length - 1) * kerf <= bar;
  });
  const least = Array<number>(all).fill(Infinity);
  least[0] = 0;
  for (let set = 1; set < all; set += 1) {
    for (let part = set; part > 0; part = (part - 1) & set) {
      if (fitsOne[part]) least[set] = Math.min(least[set]!, least[set ^ part]! + 1);
    }
  }
  return least[all - 1]!;
}

const stock: Stock = { length: 2, kerf: 0.003 };
const mm = (value: number) => value / 1000;
const pieces = (lengths: readonly number[]): Cut[] =>
  lengths.map((length, i) => ({ label: `piece ${i + 1}`, length: mm(length), count: 1 }));

test.each(Array.from({ length: 40 }, (_, i) => i))(
  'small case %d takes as few lengths as can be, which another method proves',
  (i) => {
    const [lengths] = fc.sample(
      fc.array(fc.integer({ min: 120, max: 1400 }), { minLength: 4, maxLength: 10 }),
      { numRuns: 1, seed: 400 + i },
    );
    const plan = planCuts(pieces(lengths!), stock);
    expect(plan.proven).toBe(true);
    expect(plan.bought).toBe(fewest(lengths!, 2000, 3));
    expect(plan.bound).toBeLessThanOrEqual(plan.bought);
  },
);

test('the kerf counts: four pieces of 500 mm do not come out of 2 m with a saw of 3 mm', () => {
  const four = [{ label: 'leg', length: 0.5, count: 4 }];
  expect(planCuts(four, stock).bought).toBe(2);
  expect(planCuts(four, { length: 2, kerf: 0 }).bought).toBe(1);
  expect(planCuts(four, { length: 2.009, kerf: 0.003 }).bought).toBe(1);
});

test('what first fit wastes is found by looking further', () => {
  // Longest first into the first bar takes three; 6 + 4 and 5 + 3 + 2 take two.
  const lengths = [600, 500, 400, 300, 200];
  expect(planCuts(pieces(lengths), { length: 1, kerf: 0 }).bought).toBe(2);
});

test('of plans with as many lengths, the longest single offcut is left', () => {
  const plan = planCuts(pieces([700, 700, 600, 500, 400]), stock);
  expect(plan.bought).toBe(2);
  // 700 + 700 + 600 is more than a bar with its kerfs; 700 + 700 + 500 leaves 900 for the other.
  expect(Math.max(...plan.bars.map(({ left }) => left))).toBeGreaterThan(0.98);
});

test('offcuts at hand are used before anything is bought', () => {
  const plan = planCuts(pieces([450, 300, 300]), { ...stock, offcuts: [0.31, 0.8, 0.2] });
  expect(plan.bought).toBe(0);
  expect(plan.bars.every(({ atHand }) => atHand)).toBe(true);
  const more = planCuts(pieces([450, 300, 300, 900]), { ...stock, offcuts: [0.31, 0.8] });
  expect(more.bought).toBe(1);
});

test('a piece longer than any length is said, and the others are still planned', () => {
  const plan = planCuts(pieces([2400, 300]), stock);
  expect(plan.tooLong.map(({ length }) => length)).toEqual([2.4]);
  expect(plan.bars).toHaveLength(1);
  expect(planCuts([], stock)).toMatchObject({ bars: [], bought: 0, proven: true });
});

test('every piece is there once, kerfs between them, and no length is exceeded', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 40, max: 1900 }), { minLength: 1, maxLength: 24 }),
      fc.integer({ min: 0, max: 6 }),
      fc.array(fc.integer({ min: 100, max: 1500 }), { maxLength: 3 }),
      (lengths, kerf, offcuts) => {
        const plan = planCuts(pieces(lengths), {
          length: 2,
          kerf: mm(kerf),
          offcuts: offcuts.map(mm),
        });
        const cut = plan.bars.flatMap((bar) => bar.pieces.map(({ label }) => label));
        expect(cut.sort()).toEqual(
          pieces(lengths)
            .map(({ label }) => label)
            .sort(),
        );
        for (const bar of plan.bars) {
          bar.pieces.forEach((piece, i) => {
            const before = bar.pieces[i - 1];
            const from = before ? before.at + before.length + mm(kerf) : 0;
            expect(piece.at).toBeCloseTo(from, 9);
          });
          const last = bar.pieces[bar.pieces.length - 1]!;
          expect(last.at + last.length).toBeLessThanOrEqual(bar.length + 1e-5);
          expect(bar.left).toBeGreaterThanOrEqual(0);
        }
        expect(plan.bought).toBeGreaterThanOrEqual(plan.bound);
      },
    ),
    { numRuns: 120 },
  );
});
