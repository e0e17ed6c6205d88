import { climb, outflow, outletFlow, waterUnderTrappedAir } from '.';

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

test('caught air obeys p·V = const', () => {
  const H = 0.1;
  const inside = waterUnderTrappedAir(H, 0.08);
  const head = 101_325 / (998.2 * 9.80665);
  expect((head + 0.08 - inside) * (H - inside)).toBeCloseTo(head * H, 9);
  expect(inside).toBeLessThan(0.002);
});
