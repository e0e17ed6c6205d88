import { SITES, type Site } from '../../catalog';
import {
  altitudeUnit,
  MONTHS,
  normalName,
  NORMALS,
  plainNumber,
  readNormal,
  shownAltitude,
  extremeMonths,
  shownNormal,
} from './averages';

const site: Site = SITES.vallesol;

test.each([
  // 18 and 33 °C, 10 mm, 2 m/s: by their definitions, to the decimals that are shown.
  ['tMin', '18', '64'],
  ['tMax', '33', '91'],
  ['rain', '10', '0.4'],
  ['wind', '2', '4.5'],
  ['wetDays', '1', '1'],
  ['humidity', '41', '41'],
  ['sun', '80', '80'],
] as const)('August’s %s is %s, or %s in US units', (key, metric, us) => {
  expect(shownNormal(site, key, 7, 'metric')).toBe(metric);
  expect(shownNormal(site, key, 7, 'us')).toBe(us);
});

test('what is shown reads back as what is kept, to its last digit', () => {
  const worth = {
    tMin: 0.3,
    tMax: 0.3,
    rain: 1.3,
    wind: 0.051,
    wetDays: 0.06,
    humidity: 1e-3,
    sun: 1e-3,
  };
  for (const one of Object.values(SITES) as Site[]) {
    for (const units of ['metric', 'us'] as const) {
      for (const key of NORMALS) {
        MONTHS.forEach((_, month) => {
          const read = readNormal(shownNormal(one, key, month, units), key, month, units);
          expect(typeof read).toBe('number');
          expect(Math.abs((read as number) - (one[key][month] ?? 0))).toBeLessThan(worth[key]);
        });
      }
    }
  }
});

test('what cannot be is said with what can, in the units that it was typed in', () => {
  expect(readNormal('hot', 'tMax', 6, 'metric')).toBe('High °C of Jul is a number from -40 to 55.');
  expect(readNormal('200', 'tMax', 6, 'us')).toBe('High °F of Jul is a number from -40 to 131.');
  expect(readNormal('-1', 'rain', 0, 'us')).toBe('Rain in of Jan is a number from 0 to 59.1.');
  expect(readNormal('131', 'tMax', 6, 'us')).toBeCloseTo(55, 9);
  expect(normalName('wind', 'us')).toBe('Wind mph');
});

test('an altitude is told in metres or feet, and reads back within half of one', () => {
  expect(shownAltitude(720, 'metric')).toBe(720);
  expect(shownAltitude(720, 'us')).toBe(2362);
  for (const units of ['metric', 'us'] as const)
    expect(Math.abs(shownAltitude(720, units) * altitudeUnit(units) - 720)).toBeLessThanOrEqual(
      altitudeUnit(units) / 2,
    );
});

test('a comma is a decimal comma, and nothing is no number', () => {
  const warm = { ...site, tMin: site.tMin.map(() => 3.5) } as unknown as Site;
  expect(shownNormal(warm, 'tMin', 3, 'metric', 'comma')).toBe('3,5');
  expect(readNormal('3,5', 'tMin', 3, 'metric')).toBe(3.5);
  expect(plainNumber(' 3,5 ')).toBe(3.5);
  expect(plainNumber('')).toBeNaN();
  expect(readNormal('', 'rain', 3, 'metric')).toMatch(/^Rain mm of Apr is a number/);
});

test('the warmest and the coldest month of a place, north and south', () => {
  const at = (id: keyof typeof SITES) => extremeMonths(SITES[id]);
  expect(at('vallesol')).toEqual({ warmest: 6, coldest: 0 });
  for (const site of Object.values(SITES)) {
    const { warmest, coldest } = extremeMonths(site);
    expect(site.tMax.every((t) => t <= site.tMax[warmest]!)).toBe(true);
    expect(site.tMin.every((t) => t >= site.tMin[coldest]!)).toBe(true);
  }
});
