import { VESSEL_IDS, VESSELS, vesselName } from './vessels';

const GALLON = 3.785411784;
const INCH = 2.54;

/** The first number of a name, fractions with it: `6 1/2 gal pail`. */
function first(name: string): number {
  const [, whole = '0', top, bottom] = /(\d+)(?: (\d)\/(\d))?/.exec(name) ?? [];
  return Number(whole) + (top ? Number(top) / Number(bottom) : 0);
}

test.each(VESSEL_IDS)('%s is called by one size in both ways, within a tenth', (id) => {
  const [metric, us] = [vesselName(id, 'metric'), vesselName(id, 'us')];
  expect(metric).toBe(VESSELS[id].name);
  expect(us).not.toMatch(/\d (L|cm|m)\b/);
  if (/ L /.test(metric) && / gal /.test(us))
    expect((first(us) * GALLON) / first(metric)).toBeCloseTo(1, 0.7);
  if (/ cm /.test(metric) && / in /.test(us))
    expect((first(us) * INCH) / first(metric)).toBeCloseTo(1, 0.7);
});
