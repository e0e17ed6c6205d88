import fc from 'fast-check';
import { ENOUGH, rootsTo, SHORT, SHORT_SUCTION, shareOf, slopeOf, takeUp, type Uptake } from '.';

const head = fc.double({ min: -30, max: 0.3, noNaN: true });
const none = (): Uptake => ({ share: 0, air: 0, moist: 0 });

describe('what roots take at a suction (Feddes 1978)', () => {
  test.each([
    // No air in what is flooded, full from 50 mm to a metre, nothing at twelve.
    [0.2, 0],
    [-0.01, 0],
    [-0.03, 0.5],
    [-0.05, 1],
    [-0.3, 1],
    [-1, 1],
    [-Math.sqrt(12), 0.5],
    [-12, 0],
    [-150, 0],
  ])('at %d m of head it is %d of what is asked', (h, share) =>
    expect(shareOf(h)).toBeCloseTo(share, 9),
  );

  test('is between nothing and all, and its slope is that of its dry side', () => {
    fc.assert(
      fc.property(head, (h) => {
        const share = shareOf(h);
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
        const by = 1e-6;
        // Away from the corners, where it has none.
        if (h < -1.001 && h > -11.99)
          expect(slopeOf(h)).toBeCloseTo((shareOf(h + by) - shareOf(h - by)) / (2 * by), 4);
        else if (h > -0.999 || h < -12.01) expect(slopeOf(h)).toBe(0);
      }),
    );
  });

  test('soil as dry everywhere as plants go short in leaves them just short', () => {
    const into = none();
    const h = new Float64Array(8).fill(-SHORT_SUCTION);
    takeUp(h, new Float64Array(8).fill(1 / 8), 1, new Float64Array(8), into);
    expect(into.share).toBeCloseTo(SHORT, 9);
  });
});

describe('roots of a plant together (Jarvis 1989)', () => {
  const cells = fc.array(fc.tuple(head, fc.double({ min: 0, max: 1, noNaN: true })), {
    minLength: 1,
    maxLength: 20,
  });

  test('take what is asked or less, each cell in proportion, none where there are none', () => {
    fc.assert(
      fc.property(cells, fc.double({ min: 1e-9, max: 1e-3, noNaN: true }), (list, asked) => {
        const all = list.reduce((sum, [, root]) => sum + root, 0);
        fc.pre(all > 1e-6);
        const h = Float64Array.from(list, ([one]) => one);
        const density = Float64Array.from(list, ([, root]) => root / all);
        const sink = new Float64Array(list.length);
        const into = none();
        takeUp(h, density, asked, sink, into);
        const taken = sink.reduce((sum, one) => sum + one, 0);
        expect(taken / asked).toBeCloseTo(into.share, 9);
        expect(into.share).toBeLessThanOrEqual(1);
        sink.forEach((one, i) => {
          expect(one).toBeGreaterThanOrEqual(0);
          if (density[i] === 0) expect(one).toBe(0);
        });
        const both = h.reduce((sum, one, i) => sum + density[i]! * shareOf(one), 0);
        expect(into.share).toBeCloseTo(Math.min(both / ENOUGH, 1), 9);
      }),
    );
  });

  test('half of them in easy soil drink for all', () => {
    const h = Float64Array.from([-0.2, -0.2, -40, -40]);
    const sink = new Float64Array(4);
    const into = none();
    takeUp(h, new Float64Array(4).fill(0.25), 2, sink, into);
    expect([...sink]).toEqual([1, 1, 0, 0]);
    expect(into).toMatchObject({ share: 1, air: 1, moist: 0.5 });
  });

  test('a third of them do not: what is missing is said to be want of water', () => {
    const into = none();
    takeUp(
      Float64Array.from([-0.2, -40, -40]),
      new Float64Array(3).fill(1 / 3),
      1,
      new Float64Array(3),
      into,
    );
    expect(into.share).toBeCloseTo(2 / 3, 9);
    expect(into.moist).toBeLessThan(into.air);
  });
});

test('roots are most near the surface, none below their depth, and always all of them', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.001, max: 1, noNaN: true }),
      fc.double({ min: 0.05, max: 0.6, noNaN: true }),
      fc.integer({ min: 1, max: 60 }),
      (depth, height, count) => {
        const density = new Float64Array(count);
        rootsTo(depth, height, density);
        expect(density.reduce((sum, one) => sum + one, 0)).toBeCloseTo(1, 9);
        density.forEach((one, i) => {
          if (i > 0) expect(one).toBeGreaterThanOrEqual(density[i - 1]! - 1e-12);
          const below = height - ((i + 0.5) / count) * height;
          if (below >= depth && i < count - 1) expect(one).toBe(0);
        });
      },
    ),
  );
});
