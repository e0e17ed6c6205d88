import fc from 'fast-check';
import { anyDesign } from '../../testing/designs';
import { applyPatch, STARTING_POINTS, type PlanterDesign } from '../../document';
import { assemble } from '../../assembly';
import { apart, arrange, beside, fullest, within } from './';
import { climb, outflow, outletFlow, waterUnderTrappedAir } from '../../physics/overflow';

const start = (id: string): PlanterDesign => {
  const found = STARTING_POINTS.find((point) => point.id === id);
  if (!found) throw new Error(id);
  return found.design;
};
const bare = (patch: Parameters<typeof applyPatch>[1]) =>
  assemble(applyPatch({ ...start('cloth-pail'), wicks: [], fillTube: null }, patch));

describe('litres by height', () => {
  const ring = { kind: 'ring', cutEnd: false, diameter: 0.16, wall: 0.004 };
  const withRing = (vents: string) =>
    bare([{ path: ['reservoir', 'parts', 0], value: { ...ring, vents } }]);

  test('a split ring takes out its own wall and no more', () => {
    const planter = withRing('both');
    const wall = (Math.PI / 4) * (0.16 ** 2 - 0.152 ** 2) * 0.08;
    expect(planter.storage.volumeBelow(0.08)).toBeCloseTo(
      planter.vessel.volumeBelow(0.08) - wall,
      12,
    );
  });

  test('a closed ring keeps its whole bore dry, but for what Boyle lets in', () => {
    const split = withRing('both').storage;
    const airlocked = withRing('foot').storage;
    const sealed = withRing('sealed').storage;
    const bore = (Math.PI / 4) * 0.152 ** 2;
    expect(split.volumeBelow(0.08) - sealed.volumeBelow(0.08)).toBeCloseTo(bore * 0.08, 12);
    const inside = waterUnderTrappedAir(0.1, 0.08);
    expect(split.volumeBelow(0.08) - airlocked.volumeBelow(0.08)).toBeCloseTo(
      bore * (0.08 - inside),
      12,
    );
    expect(airlocked.caughtAir(0.08)).toBeCloseTo(bore * (0.08 - inside), 12);
  });

  test('caught air obeys p·V = const', () => {
    const H = 0.1;
    const inside = waterUnderTrappedAir(H, 0.08);
    const head = 101_325 / (998.2 * 9.80665);
    expect((head + 0.08 - inside) * (H - inside)).toBeCloseTo(head * H, 9);
    expect(inside).toBeLessThan(0.002);
  });

  test('between bottles only what the mix gives back counts', () => {
    const planter = assemble({ ...start('bottle-pail'), fillTube: null });
    const bottles = 5 * (Math.PI / 4) * 0.065 ** 2;
    const inside = 5 * (Math.PI / 4) * (0.065 - 0.0008) ** 2;
    const z = 0.1;
    const around = planter.vessel.volumeBelow(z) - bottles * z;
    const inMix = (planter.storage.volumeBelow(z) - inside * z) / around;
    // θs − θ(0.5 m) of the coir mix: 0.76·(1 − (1 + 5^1.5)^(−1/3))
    expect(inMix).toBeCloseTo(0.76 * (1 - (1 + 5 ** 1.5) ** (-1 / 3)), 9);
  });

  test('never falls with height, and the height for a volume gives it back', () => {
    fc.assert(
      fc.property(anyDesign, fc.double({ min: 0, max: 1, noNaN: true }), (design, t) => {
        const { storage, vessel, heights, bed } = assemble(design);
        const z = Math.max(heights.rim, heights.waterRim) * t;
        const volume = storage.volumeBelow(z);
        expect(storage.volumeBelow(z + 0.001)).toBeGreaterThanOrEqual(volume - 1e-15);
        expect(storage.volumeBelow(storage.heightFor(volume))).toBeCloseTo(volume, 9);
        const most = bed.separate ? bed.places.length * bed.inside.volumeBelow(9) : 0;
        expect(volume).toBeLessThanOrEqual(vessel.volumeBelow(z) + most + 1e-9);
      }),
    );
  });
});

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

describe('an overflow', () => {
  const hole = { diameter: 0.02, count: 1, screened: false };

  test('drowned deep it is an orifice: Cd·A·√(2gh)', () => {
    const orifice = 0.6 * (Math.PI / 4) * 0.02 ** 2 * Math.sqrt(2 * 9.80665 * 0.19);
    expect(outflow(hole, 0.2) / orifice).toBeCloseTo(1, 3);
  });

  test('half full it carries less than half of what it carries just drowned', () => {
    expect(outflow(hole, 0.01)).toBeLessThan(outflow(hole, 0.02) / 2);
    expect(outflow(hole, 0)).toBe(0);
  });

  test('a rim is Poleni’s weir: ⅔·Cd·b·√(2g)·h^1.5, half of it in use', () => {
    const weir = (2 / 3) * 0.6 * 0.5 * Math.sqrt(2 * 9.80665) * 0.01 ** 1.5;
    expect(outletFlow({ rim: 1 }, 0.01)).toBeCloseTo(weir, 12);
    expect(outletFlow({ rim: 1 }, -1)).toBe(0);
  });

  test('the climb is the head at which outflow meets inflow', () => {
    const head = climb({ ...hole, count: 2, screened: true }, 1e-4);
    expect(outflow({ ...hole, count: 2, screened: true }, head)).toBeCloseTo(1e-4, 7);
  });
});
