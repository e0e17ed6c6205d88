import { MIXES } from '../../catalog';
import { bagsFor, conductivity, drainable, looseVolume, meanWaterContent, waterContent } from '.';

/** The loam of Carsel and Parrish (1988), in SI. */
const LOAM = MIXES['ground-soil'];

describe('van Genuchten and Mualem', () => {
  test('a loam at suctions worked out by hand', () => {
    // αh = 3.6, (3.6)^1.56 = 7.3764, Se = 8.3764^(−0.358974) = 0.46635
    expect(waterContent(LOAM, 1)).toBeCloseTo(0.078 + 0.352 * 0.46635, 4);
    // Se^(1/m) = 1/8.3764; K/Ks = √Se·[1 − (1 − 0.119383)^0.358974]² = 0.0013556
    expect(conductivity(LOAM, 1) / LOAM.Ks).toBeCloseTo(0.0013556, 5);
  });

  test('saturated soil holds θs and conducts Ks', () => {
    expect(waterContent(LOAM, 0)).toBe(0.43);
    expect(conductivity(LOAM, 0)).toBe(LOAM.Ks);
    expect(drainable(LOAM, 0)).toBe(0);
  });

  test('a hanging layer’s mean lies on the fine sum', () => {
    let sum = 0;
    for (let i = 0; i < 20_000; i += 1)
      sum += waterContent(LOAM, 0.05 + (0.3 * (i + 0.5)) / 20_000);
    expect(meanWaterContent(LOAM, 0.05, 0.35)).toBeCloseTo(sum / 20_000, 6);
  });
});

test('bags cover the loose volume that settles to what is wanted', () => {
  const loose = looseVolume(0.0176, 0.12);
  expect(loose).toBeCloseTo(0.02, 12);
  expect(bagsFor(loose, 0.02)).toBe(1);
  expect(bagsFor(0.0201, 0.02)).toBe(2);
});
