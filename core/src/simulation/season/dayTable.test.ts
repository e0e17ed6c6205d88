import { waterDemandOn, roomDay, weatherOf } from '../../physics/climate';
import { SITES } from '../../catalog';
import { growthOn, peakOf, warmthFor } from '../../physics/crop';
import { STARTING_POINTS } from '../../document';
import { assemble } from '../../assembly';
import { dayTableOf, DRAWN, GAINED, modelOf, runSeason, SHARE } from '.';

/** The table of a day against the season’s own model, day after day without a reading between. */

const SECONDS = 86_400;
const HOT_ET = 8e-3 / SECONDS;
const PLANTED = '2027-05-20';
const DAYS = 110;
/** The day from which on roots are down. */
const DOWN = 50;
const points = STARTING_POINTS.filter(({ design }) => design.planting.crops.length > 0);

test.each(points.map(({ id, design }) => [id, design] as const))(
  '%s empties as fast as in the season: what was filled is within a twentieth',
  (_, design) => {
    const planter = assemble(design);
    const model = modelOf(planter);
    const made = weatherOf(SITES.vallesol, PLANTED, DAYS, 3);
    const weather = design.place.rain === 'indoors' ? made.map(roomDay) : made;
    const run = runSeason(planter, weather, {
      planted: PLANTED,
      filling: { kind: 'every', days: 3 },
      refillAt: 0,
    });
    const peak = peakOf(design.planting).growth;
    const table = dayTableOf(
      planter,
      waterDemandOn(design, HOT_ET, model.surface, model.tray, peak).total * SECONDS,
    );
    const full = table.full;
    const valve = model.barrel ? table.holds(Math.min(model.barrel.level, model.brim)) : 0;
    const most = model.barrel?.volume ?? 0;
    let [water, soil, barrel, age, filled] = [full, table.rested, most, 0, 0];
    const topUp = () => {
      const more = Math.min(Math.max(valve - water, 0), barrel);
      water += more;
      barrel -= more;
    };
    const out = new Float64Array(3);
    weather.forEach(({ tMin, tMax, et, rain }, day) => {
      age += warmthFor((tMin + tMax) / 2);
      if ((day + 1) % 3 === 0) {
        if (day >= DOWN) filled += model.barrel ? most - barrel : full - water;
        if (model.barrel) barrel = most;
        else water = full;
      }
      const asks = waterDemandOn(
        design,
        et,
        model.surface,
        model.tray,
        growthOn(design.planting, day),
      );
      if (model.open) {
        soil += rain * model.surface * model.letsIn;
        water += rain * model.tray.area;
      }
      topUp();
      const [plants, surface] = [asks.plants * SECONDS, asks.surface * SECONDS];
      table.step({ water, soil, plants, surface, age }, out);
      water = Math.min(Math.max(water - out[DRAWN]! - asks.open * SECONDS, 0), full);
      soil = Math.min(Math.max(soil + out[GAINED]!, table.least), table.most);
      topUp();
      expect(out[SHARE]).toBeLessThanOrEqual(1 + 1e-9);
    });
    const season = run.days.slice(DOWN).reduce((sum, one) => sum + one.filled, 0);
    expect(Math.abs(filled - season)).toBeLessThan(0.05 * season + 0.02 * full);
  },
);

test('a day from anywhere keeps its water: what is drawn is drunk, dried up or in the soil', () => {
  const planter = assemble(points[0]!.design);
  const table = dayTableOf(planter, 2e-3);
  const out = new Float64Array(3);
  for (const share of [0, 0.02, 0.3, 0.7, 1])
    for (const wet of [0.2, 0.6, 1])
      for (const plants of [0, 5e-4, 2e-3]) {
        const soil = table.least + wet * (table.rested - table.least);
        const water = share * table.full;
        table.step({ water, soil, plants, surface: 1e-4, age: 60 }, out);
        expect(out[DRAWN]).toBeLessThanOrEqual(water + 1e-12);
        expect(out[DRAWN]! - out[GAINED]!).toBeGreaterThan(-1e-9);
        expect(out[DRAWN]! - out[GAINED]!).toBeLessThan((plants + 1e-4) * 1.02 + 1e-6);
      }
});

test('level and suction go up and down with the water', () => {
  const planter = assemble(points[1]!.design);
  const table = dayTableOf(planter, 2e-3);
  const shares = [0, 0.1, 0.3, 0.5, 0.8, 1];
  const levels = shares.map((share) => table.level(share * table.full));
  expect(levels).toEqual([...levels].sort((a, b) => a - b));
  for (const level of levels) expect(table.level(table.holds(level))).toBeCloseTo(level, 3);
  const suctions = shares.map((s) => table.suction(table.least + s * (table.most - table.least)));
  expect(suctions).toEqual([...suctions].sort((a, b) => b - a));
});
