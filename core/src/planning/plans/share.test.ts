import fc from 'fast-check';
import { SCATTERED, shareCrops, type ShareCrop, type ShareVessel } from './share';

/** What a share is worth, worked out from its counts alone; null where something has no room. */
function worthOf(
  vessels: readonly ShareVessel[],
  crops: readonly ShareCrop[],
  counts: readonly (readonly number[])[],
): { placed: number; worth: number } | null {
  let days = Infinity;
  for (const [v, vessel] of vessels.entries()) {
    const row = counts[v]!;
    const room = row.reduce((sum, n, c) => sum + (n > 0 ? n / vessel.most[c]! : 0), 0);
    const apart = crops.some(({ apart: not }, c) => row[c]! > 0 && not.some((k) => row[k]! > 0));
    if (room > 1 + 1e-6 || apart) return null;
    const thirst = row.reduce((sum, n, c) => sum + n * crops[c]!.thirst, 0);
    if (thirst > 0) days = Math.min(days, vessel.water / thirst);
  }
  const scattered = crops.reduce(
    (sum, _, c) => sum + Math.max(counts.filter((row) => row[c]! > 0).length - 1, 0),
    0,
  );
  const placed = counts.flat().reduce((sum, n) => sum + n, 0);
  return { placed, worth: days * SCATTERED.tidy ** scattered };
}

/** Every way to hand a number out to some vessels, with some left over. */
function* handouts(count: number, vessels: number): Generator<number[]> {
  if (vessels === 0) {
    yield [];
    return;
  }
  for (let n = 0; n <= count; n += 1)
    for (const rest of handouts(count - n, vessels - 1)) yield [n, ...rest];
}

/** The best of all shares that there are. */
function enumerated(vessels: readonly ShareVessel[], crops: readonly ShareCrop[]) {
  let best = { placed: 0, worth: Infinity };
  const look = (c: number, counts: number[][]): void => {
    if (c === crops.length) {
      const found = worthOf(vessels, crops, counts);
      if (!found) return;
      if (
        found.placed > best.placed ||
        (found.placed === best.placed && found.placed > 0 && found.worth > best.worth)
      )
        best = found;
      return;
    }
    for (const handout of handouts(crops[c]!.count, vessels.length))
      look(
        c + 1,
        counts.map((row, v) => [...row, handout[v]!]),
      );
  };
  look(
    0,
    vessels.map(() => []),
  );
  return best;
}

const crop = fc.record({
  count: fc.integer({ min: 1, max: 4 }),
  thirst: fc.double({ min: 0.1, max: 2, noNaN: true }),
});
const small = fc
  .record({
    crops: fc.array(crop, { minLength: 1, maxLength: 2 }),
    vessels: fc.array(
      fc.record({
        kind: fc.constantFrom('pail', 'tote'),
        most: fc.tuple(fc.integer({ min: 0, max: 4 }), fc.integer({ min: 0, max: 6 })),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    apart: fc.boolean(),
  })
  .map(({ crops, vessels, apart }) => {
    // Vessels of one kind are alike.
    const kinds = new Map(vessels.map((one) => [one.kind, one]));
    return {
      crops: crops.map((one, c): ShareCrop => ({
        ...one,
        apart: apart && crops.length > 1 ? [1 - c] : [],
      })),
      vessels: vessels
        .map(({ kind }): ShareVessel => ({
          kind,
          water: kind === 'pail' ? 5 : 18,
          most: kinds.get(kind)!.most.slice(0, crops.length),
        }))
        .sort((a, b) => a.kind.localeCompare(b.kind)),
    };
  });

test('as many plants find room as of all shares that there are, and it is worth within five percent as much', () => {
  fc.assert(
    fc.property(small, ({ vessels, crops }) => {
      const found = shareCrops(vessels, crops, SCATTERED.tidy);
      const best = enumerated(vessels, crops);
      expect(worthOf(vessels, crops, found.counts)?.placed).toBe(found.placed);
      expect(found.placed).toBe(best.placed);
      if (best.placed > 0) expect(found.worth).toBeGreaterThanOrEqual(0.95 * best.worth);
    }),
    { numRuns: 300 },
  );
});

test('crops that do not go together stand apart, and what has no room is left over', () => {
  const crops = [
    { count: 2, thirst: 1, apart: [1] },
    { count: 3, thirst: 1, apart: [0] },
  ];
  const pail = { kind: 'pail', water: 10, most: [2, 2] };
  expect(shareCrops([pail], crops)).toMatchObject({ placed: 2 });
  const two = shareCrops([pail, pail], crops);
  expect(two.placed).toBe(4);
  for (const row of two.counts) expect(Math.min(...row)).toBe(0);
});
