import { MIXES } from '../../catalog';
import { waterContent, type Hydraulics } from '../soil';
import { steadyRise } from '../wick';
import { conductivity } from '../soil';
import { fixedHead, runColumn, hydraulicTableFor, solver, steady, uniform } from '.';

const CM_PER_DAY = 0.01 / 86_400;
const DAY = 86_400;
/** Carsel and Parrish (1988), and a growing mix. */
const SOILS: readonly (readonly [string, Hydraulics])[] = [
  ['sand', { thetaR: 0.045, thetaS: 0.43, alpha: 14.5, n: 2.68, Ks: 712.8 * CM_PER_DAY }],
  ['sandy loam', { thetaR: 0.065, thetaS: 0.41, alpha: 7.5, n: 1.89, Ks: 106.1 * CM_PER_DAY }],
  ['loam', { thetaR: 0.078, thetaS: 0.43, alpha: 3.6, n: 1.56, Ks: 24.96 * CM_PER_DAY }],
  ['coir mix', MIXES['coir-perlite']],
];

test('hydrostatic equilibrium stays as it is for 30 days, to a micrometre', () => {
  for (const [, soil] of SOILS) {
    const cells = uniform(hydraulicTableFor(soil), 0.3, 60);
    const h = Float64Array.from({ length: 60 }, (_, i) => -(i + 0.5) * cells.dz);
    const before = Float64Array.from(h);
    runColumn(cells, h, 30 * DAY, { bottom: fixedHead(cells, 0, 'bottom'), top: steady(0) });
    h.forEach((head, i) => expect(Math.abs(head - before[i]!)).toBeLessThan(1e-6));
  }
});

test.each(SOILS)(
  '%s: steady evaporation over a water table agrees with the integral',
  (_name, soil) => {
    // The suction at which the integral reaches the top under this flux, against the column's own.
    for (const lift of [0.1, 0.2, 0.3]) {
      const flux = Math.min(2e-3 / DAY, conductivity(soil, lift * 1.6) * 0.5);
      const count = 240;
      const cells = uniform(hydraulicTableFor(soil), lift, count);
      const h = Float64Array.from({ length: count }, (_, i) => -(i + 0.5) * cells.dz);
      runColumn(
        cells,
        h,
        400 * DAY,
        { bottom: fixedHead(cells, 0, 'bottom'), top: steady(-flux) },
        { most: 20 * DAY },
      );
      const top = -h[count - 1]!;
      const K = (s: number) => conductivity(soil, s);
      const height = steadyRise(K, flux, top);
      expect(Math.abs(height - (count - 0.5) * cells.dz) / lift).toBeLessThan(0.01);
    }
  },
);

test('infiltration of Celia and others (1990): the front of a fine grid, within one cell', () => {
  const soil = { thetaR: 0.102, thetaS: 0.368, alpha: 3.35, n: 2, Ks: 9.22e-5 };
  const front = (count: number, most: number): { depth: number; stored: number } => {
    const cells = uniform(hydraulicTableFor(soil), 1, count);
    const h = new Float64Array(count).fill(-10);
    const before = solver(cells, h).stored();
    const sum = runColumn(
      cells,
      h,
      DAY,
      { bottom: fixedHead(cells, -10, 'bottom'), top: fixedHead(cells, -0.75, 'top') },
      { first: 1, most },
    );
    const gained = solver(cells, h).stored() - before;
    expect(Math.abs(gained - sum.bottom - sum.top) / Math.abs(sum.top)).toBeLessThan(1e-4);
    // Where the head passes −5 m, from the top, in a straight line between two cells.
    const at = h.findIndex((head) => head > -5);
    const [low, high] = [h[at - 1]!, h[at]!];
    const z = (at - 0.5 + (-5 - low) / (high - low)) * cells.dz;
    return { depth: 1 - z, stored: gained };
  };
  const coarse = front(40, 240);
  const fine = front(400, 240);
  expect(Math.abs(coarse.depth - fine.depth)).toBeLessThanOrEqual(1 / 40 + 1e-9);
  expect(Math.abs(coarse.stored - fine.stored) / fine.stored).toBeLessThan(0.03);
  // Their figure 4 and 5 show the front of a dense grid about 0.6 m down after a day.
  expect(fine.depth).toBeGreaterThan(0.55);
  expect(fine.depth).toBeLessThan(0.65);
});

test('water that stands on a very dry mix soaks in, on a coarse grid as on one four times finer', () => {
  const [, soil] = SOILS[3]!;
  const soaked = (count: number): number => {
    const cells = uniform(hydraulicTableFor(soil), 0.25, count);
    const h = new Float64Array(count).fill(-17);
    const before = solver(cells, h).stored();
    const ends = { bottom: steady(0), top: fixedHead(cells, 0.05, 'top') };
    const sum = runColumn(cells, h, 600, ends, { first: 0.01, most: 60 });
    const gained = solver(cells, h).stored() - before;
    expect(Math.abs(gained - sum.top) / gained).toBeLessThan(1e-3);
    return gained;
  };
  const coarse = soaked(60);
  expect(Math.abs(coarse - soaked(240)) / coarse).toBeLessThan(0.05);
  // Ten minutes of Ks alone would be 35 mm; suction and the pond's head draw more.
  expect(coarse).toBeGreaterThan(600 * soil.Ks);
});

test('a saturated column drains to what hangs above its foot, and loses just that', () => {
  const [, soil] = SOILS[3]!;
  const cells = uniform(hydraulicTableFor(soil), 0.25, 50, 0.06);
  const h = Float64Array.from({ length: 50 }, (_, i) => 0.25 - (i + 0.5) * cells.dz);
  const before = solver(cells, h).stored();
  const sum = runColumn(cells, h, 60 * DAY, {
    bottom: fixedHead(cells, 0, 'bottom'),
    top: steady(0),
  });
  const after = solver(cells, h).stored();
  expect(Math.abs(before - after + sum.bottom) / (before - after)).toBeLessThan(1e-4);
  h.forEach((head, i) => expect(head).toBeCloseTo(-(i + 0.5) * cells.dz, 3));
  const hanging = h.reduce(
    (total, _, i) => total + waterContent(soil, (i + 0.5) * cells.dz) * 0.06 * cells.dz,
    0,
  );
  expect(Math.abs(after - hanging) / hanging).toBeLessThan(1e-4);
});
