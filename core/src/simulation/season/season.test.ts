import { SITES, SITE_IDS } from '../../catalog';
import { evaluate } from '../../assessment';
import { dayAfter, exposureOf, weatherOf, type WeatherDay } from '../../physics/climate';
import { applyPatch, cropIn, STARTING_POINTS, type Patch, type Planted } from '../../document';
import { openWater } from '../../assembly';
import { plantsSuffer } from './run';
import {
  absenceOf,
  allOf,
  daysLasted,
  lastsFrom,
  runSeason,
  spreadOf,
  totalsOf,
  usualPlanting,
  whatIfs,
  type SeasonOptions,
} from '.';

const START = '2026-05-01';
const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
const hills = weatherOf(SITES.vallesol, START, 120, 1);

interface Asked extends Partial<SeasonOptions> {
  patch?: Patch;
  weather?: readonly WeatherDay[];
}
const run = (id: string, { patch = [], weather = hills, ...options }: Asked = {}) => {
  const { planter, assessment } = evaluate(designOf(id, patch));
  const all: SeasonOptions = {
    planted: START,
    filling: { kind: 'when-low' },
    refillAt: assessment.figures.usableLevel,
    ...options,
  };
  return { planter, ...runSeason(planter, weather, all) };
};
/** Starting points whose soil the rain can flood. */
const OPEN = STARTING_POINTS.filter(
  ({ design }) => design.bed === null && design.planting.crops.some(({ count }) => count > 0),
).map(({ id }) => id);
/** Grown plants from the first day, in the same hot and dry day over and over. */
const GROWN = '2026-02-20';
const sameDay = (days: number, et = 0.0075, rain = 0): WeatherDay[] =>
  Array.from({ length: days }, (_, i) => ({
    date: new Date(Date.UTC(2026, 4, 1 + i)).toISOString().slice(0, 10),
    tMin: 18,
    tMax: 34,
    rain,
    et: et / 86_400,
  }));
const lasted = (id: string, patch: Patch = [], weather = sameDay(90), planted = GROWN) =>
  daysLasted(run(id, { patch, weather, planted, filling: { kind: 'never' }, until: plantsSuffer }));

test.each(STARTING_POINTS.map(({ id }) => id))(
  '%s: every litre of a season is accounted for, to a thousandth',
  (id) => {
    const season = run(id);
    expect(season.balance).toBeLessThan(1e-3);
    for (const day of season.days) {
      expect(day.drunk).toBeLessThanOrEqual(day.asked * (1 + 1e-9));
      expect(day.water).toBeGreaterThanOrEqual(-1e-6);
      expect(Number.isFinite(day.level)).toBe(true);
    }
  },
);

test.each(STARTING_POINTS.map(({ id }) => id))(
  '%s: finer cells, shorter steps and sun by the hour change a season by a hundredth and a filling at most',
  (id) => {
    const usual = run(id);
    const fine = totalsOf(run(id, { cells: 120, longest: 1800, hourly: true }));
    const totals = totalsOf(usual);
    const through = totals.drunk + totals.evaporated + totals.overflow;
    expect(Math.abs(fine.fills - totals.fills)).toBeLessThanOrEqual(1);
    for (const key of ['drunk', 'evaporated', 'rain'] as const) {
      expect([key, Math.abs(fine[key] - totals[key]) <= 0.01 * through]).toEqual([key, true]);
    }
    const once = Math.max(...usual.days.map(({ filled }) => filled));
    for (const key of ['filled', 'overflow'] as const) {
      expect([key, Math.abs(fine[key] - totals[key]) <= 0.01 * through + once]).toEqual([
        key,
        true,
      ]);
    }
  },
);

describe('what gardeners know', () => {
  test('twice the usable water does not double the days when the wick is the limit', () => {
    const weak: Patch = [
      { path: ['wicks', 0, 'legs'], value: 1 },
      { path: ['wicks', 0, 'width'], value: 0.008 },
      { path: ['planting', 'crops', 0, 'foliage'], value: 0.6 },
    ];
    const shallow: Patch = [...weak, { path: ['overflow', 'centre'], value: 0.046 }];
    const half = evaluate(designOf('cloth-pail', shallow)).assessment.figures.gross;
    const whole = evaluate(designOf('cloth-pail', weak)).assessment.figures.gross;
    expect(whole / half).toBeGreaterThan(1.9);
    expect(lasted('cloth-pail', weak)).toBeLessThan(
      1.6 * Math.max(lasted('cloth-pail', shallow), 1),
    );
  });

  test('over deep coarse stone plants wilt until roots are down, and then live a week between fillings', () => {
    const bare: Patch = [{ path: ['wicks'], value: [] }];
    const alone = { patch: bare, weather: sameDay(60), filling: { kind: 'never' } as const };
    // Set out as half-grown plants, whose roots are still in the soil.
    const young = run('rock-bed', { ...alone, planted: '2026-05-01', until: plantsSuffer });
    const grown = run('rock-bed', { ...alone, planted: GROWN, until: plantsSuffer });
    const whole = young.planter.storage.volumeBelow(young.planter.heights.brim);
    expect(grown.days[0]!.roots).toBeLessThan(young.days[0]!.roots - 0.2);
    expect(young.days[5]!.water).toBeGreaterThan(0.9 * whole);
    expect(grown.days[8]!.water).toBeLessThan(0.6 * whole);
    expect(grown.days.length).toBeGreaterThan(9);
  });

  test('roots stop at the air under a platform, and go down by a packed cup', () => {
    const weather = sameDay(90, 0.004);
    const season = (id: string) => run(id, { weather, planted: START });
    const gap = season('cloth-pail');
    expect(gap.days[89]!.roots).toBeCloseTo(gap.planter.heights.base, 9);
    const cup = season('cup-pail');
    const { brim, base } = cup.planter.heights;
    const down = cup.days.findIndex(({ roots }) => roots < brim);
    expect(down).toBeGreaterThan(0);
    expect(down).toBeLessThan(7 * 4);
    expect(cup.days[89]!.roots).toBeLessThan(base - 0.03);
  });

  test('roots slow down in the cold and stop at a pace of nothing', () => {
    const at = (tMax: number, pace: number) => {
      const weather = sameDay(20, 0.002).map((day) => ({ ...day, tMin: tMax - 6, tMax }));
      const patch: Patch = [{ path: ['planting', 'rootsADay'], value: pace }];
      const { days, planter } = run('trough-pipes', { weather, patch, planted: START });
      return planter.heights.surface - days[10]!.roots;
    };
    expect(at(28, 0.012)).toBeGreaterThan(at(14, 0.012) + 0.05);
    expect(at(28, 0)).toBeCloseTo(0.08, 9);
    expect(at(28, 0.015)).toBeGreaterThan(at(28, 0.01));
  });

  test('a covered surface never drowns, where an open one over a clogged overflow does', () => {
    const wet = sameDay(60, 0.002, 0.012);
    const clogged = { weather: wet, planted: GROWN, clogged: true };
    const open = totalsOf(
      run('cloth-pail', { ...clogged, patch: [{ path: ['soil', 'mulch'], value: 'none' }] }),
    );
    const covered = totalsOf(
      run('cloth-pail', { ...clogged, patch: [{ path: ['place', 'rain'], value: 'covered' }] }),
    );
    expect(open.drownedDays).toBeGreaterThan(10);
    expect(covered.drownedDays).toBe(0);
  });

  test.each(OPEN)('%s over a clogged overflow: under water all day is a day drowned', (id) => {
    const patch: Patch = [
      { path: ['place', 'rain'], value: 'open' },
      { path: ['soil', 'mulch'], value: 'none' },
    ];
    const weather = sameDay(40, 0.003).map((day, i) => (i < 20 ? { ...day, rain: 0.04 } : day));
    const { planter, days } = run(id, { patch, weather, planted: GROWN, clogged: true });
    const flooded = days.filter(
      ({ level, asked }, i) =>
        i > 0 && asked > 0 && Math.min(level, days[i - 1]!.level) > planter.heights.surface + 1e-3,
    );
    expect(flooded.every(({ stress }) => stress === 'drowned')).toBe(true);
    if (id === 'cup-pail') expect(flooded.length).toBeGreaterThan(5);
  });

  test('a wick too small wilts plants over a full reservoir', () => {
    const thread: Patch = [
      { path: ['wicks', 0, 'legs'], value: 1 },
      { path: ['wicks', 0, 'width'], value: 0.003 },
      { path: ['planting', 'crops', 0, 'foliage'], value: 0.7 },
    ];
    const dry = run('cloth-pail', { patch: thread, weather: sameDay(40), planted: GROWN });
    const short = dry.days.find(({ stress }) => stress === 'dry')!;
    expect(short.water).toBeGreaterThan(
      0.7 * dry.planter.storage.volumeBelow(dry.planter.heights.brim),
    );
  });

  test('a finer mix rises higher but drains slower', () => {
    const rise = (medium: string) => {
      const { days, moisture, heights } = run('bottle-pail', {
        patch: [{ path: ['soil', 'medium'], value: medium }],
        weather: sameDay(30, 0.003),
        planted: GROWN,
      });
      return moisture[days.length * heights.length - 1]!;
    };
    // At the surface, as a share of the pores.
    expect(rise('compost-mix') / 0.75).toBeGreaterThan(rise('coir-perlite') / 0.87);
    // A day after a soaking the open mix holds more air at its middle than the heavy one.
    const airAfter = (medium: string, pores: number) => {
      const storm = sameDay(3, 0.0005).map((day, i) => (i === 0 ? { ...day, rain: 0.15 } : day));
      const soaked = run('cloth-pail', {
        patch: [
          { path: ['soil', 'medium'], value: medium },
          { path: ['soil', 'mulch'], value: 'none' },
        ],
        weather: storm,
        planted: START,
      });
      const cells = soaked.heights.length;
      return pores - soaked.moisture[cells + Math.floor(cells / 2)]!;
    };
    expect(airAfter('coir-perlite', 0.87)).toBeGreaterThan(airAfter('ground-soil', 0.43));
  });

  test('without a wick the reservoir stays full and the plants wilt', () => {
    const broken = run('cloth-pail', { broken: true, weather: sameDay(40), planted: GROWN });
    expect(totalsOf(broken).dryDays).toBeGreaterThan(10);
    expect(totalsOf(broken).fills).toBe(0);
  });
});

/** The same day for ever, with plants that stay as grown as they are. */
const stillDay = (days: number, et: number): WeatherDay[] =>
  sameDay(days, et * 86_400).map((day) => ({ ...day, date: START }));
const grownOn = (id: string): string => {
  const [young, growing] = cropIn(designOf(id).planting.crops[0] as Planted).stages;
  return dayAfter(START, -(young + growing + 1));
};

test.each(STARTING_POINTS.map(({ id }) => id).filter((id) => id !== 'blank'))(
  '%s: the bench’s hot and mild days are those of a season of that day over and over',
  (id) => {
    const { assessment } = evaluate(designOf(id));
    const { figures } = assessment;
    const { etHot, etMild } = designOf(id).place;
    for (const [et, said] of [
      [etHot, figures.lastsHot],
      [etMild, figures.lastsMild],
    ] as const) {
      const weather = stillDay(Math.min(Math.ceil(8 * said.days) + 20, 300), et);
      const season = run(id, { weather, planted: grownOn(id), refillAt: said.level });
      const fills = season.days.flatMap((day, i) => (day.filled > 0 ? [{ i, ...day }] : []));
      const [first, ...rest] = fills.slice(1);
      const last = rest[rest.length - 1]!;
      const poured = rest.reduce((sum, { filled }) => sum + filled, 0);
      // Between fillings, less what is drunk until the morning after the mark is reached.
      const days = ((last.i - first!.i) * said.used) / poured;
      const near = Math.max(0.1 * said.days, 0.5);
      expect([et, Math.abs(days - said.days) <= near]).toEqual([et, true]);
      expect(totalsOf(season).dryDays).toBe(0);
      // And left alone from full, leaves hang when reservoir and reserve are gone.
      const never = lasted(id, [], weather, grownOn(id));
      const whole = said.days + said.reserve;
      if (never < weather.length) {
        expect([et, Math.abs(never - whole) <= Math.max(0.15 * whole, 1.5)]).toEqual([et, true]);
      }
    }
  },
);

test('water from the top goes through the soil into the reservoir', () => {
  const mild = sameDay(4, 0.0005);
  const dry = { weather: mild, planted: START, filling: { kind: 'never' } as const };
  const poured = run('cloth-pail', {
    ...dry,
    waterings: [{ where: 'top', date: mild[1]!.date, volume: 0.003 }],
  });
  const not = run('cloth-pail', dry);
  expect(poured.balance).toBeLessThan(1e-3);
  const last = poured.days[3]!;
  expect(last.water + totalsOf(poured).overflow).toBeGreaterThan(not.days[3]!.water + 0.001);
});

test('waterings by hand come on their days, and no more goes in than there is room for', () => {
  const days = sameDay(20);
  const date = (d: number): string => days[d]!.date;
  const dry = { weather: days, planted: GROWN, filling: { kind: 'never' } as const };
  const filled = run('cloth-pail', {
    ...dry,
    waterings: [
      { where: 'tube', date: date(2), volume: 0.0005 },
      { where: 'tube', date: date(3), volume: null },
      { where: 'tube', date: '2030-01-01', volume: null },
    ],
  });
  const room = (d: number) =>
    filled.planter.storage.volumeBelow(filled.planter.heights.brim) - filled.days[d]!.water;
  expect(filled.days[2]!.filled).toBeCloseTo(0.0005, 12);
  // By the morning of the third day a night has gone by, in which wicks draw a little more.
  expect(filled.days[3]!.filled).toBeGreaterThan(room(2) - 1e-9);
  expect(filled.days[3]!.filled).toBeLessThan(room(2) + 0.001);
  expect(filled.days[3]!.crest).toBeCloseTo(filled.planter.heights.brim, 3);
  expect(filled.days[4]!.crest).toBe(filled.days[4]!.level);
  expect(totalsOf(filled).fills).toBe(2);
  expect(filled.balance).toBeLessThan(1e-3);
  const often = run('cloth-pail', { ...dry, filling: { kind: 'every', days: 2 } });
  expect(totalsOf(often).fills).toBe(10);
});

test('the usual day of planting is that of the season under way, or of the next', () => {
  expect(usualPlanting('2026-03-01', 40, 125)).toBe('2026-05-01');
  expect(usualPlanting('2026-09-02', 40, 125)).toBe('2026-05-01');
  expect(usualPlanting('2026-09-03', 40, 125)).toBe('2027-05-01');
  expect(usualPlanting('2026-01-20', -35, 125)).toBe('2025-11-01');
  expect(usualPlanting('2026-06-20', -35, 125)).toBe('2026-11-01');
  // A season longer than what is left of the year.
  expect(usualPlanting('2026-01-20', 40, 300)).toBe('2025-05-01');
});

test('percentiles, an absence, and days from any date', () => {
  expect(spreadOf([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11])).toEqual({ low: 2, middle: 6, high: 10 });
  expect(absenceOf([5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15], 7, 60)).toEqual({
    sure: 9 / 11,
    safe: 6,
    middling: 10,
  });
  const season = run('cloth-pail');
  const from = lastsFrom(season, 0);
  // Longer in May, with young plants, than in July.
  expect(from[0]!).toBeGreaterThan(2 * from[80]!);
  expect(from[119]).toBeNull();
});

test('what if: only what a design can take, and each makes a difference that is plausible', () => {
  const design = designOf('cloth-pail');
  const base = totalsOf(run('cloth-pail'));
  for (const one of whatIfs(design)) {
    const other = totalsOf(
      run('cloth-pail', { patch: one.patch, weather: one.weather(hills), ...one.options }),
    );
    if (one.id === 'shade') expect(other.drunk).toBeLessThan(base.drunk * 0.9);
    if (one.id === 'heat') expect(other.asked).toBeGreaterThan(base.asked * 1.01);
    if (one.id === 'covered') expect(other.rain).toBe(0);
    if (one.id === 'broken') expect(other.dryDays).toBeGreaterThan(base.dryDays);
    if (one.id === 'downpour') expect(other.overflow).toBeGreaterThan(base.overflow);
  }
  expect(whatIfs(design).map(({ id }) => id)).toContain('clogged');
});

test('several what-ifs at once are each of them', () => {
  const design = designOf('cloth-pail');
  const some = whatIfs(design).filter(({ id }) => ['shade', 'downpour', 'clogged'].includes(id));
  const all = allOf(some);
  expect(applyPatch(design, all.patch).place.sun).toBe('half');
  expect(all.options).toEqual({ clogged: true });
  const rain = (days: readonly WeatherDay[]) => days.reduce((sum, day) => sum + day.rain, 0);
  expect(rain(all.weather(hills)) - rain(hills)).toBeCloseTo(0.12, 9);
});

test('a bag stands in its tray’s water, which dries up beside it', () => {
  const none: Patch = [
    { path: ['planting', 'crops', 0, 'count'], value: 0 },
    { path: ['soil', 'mulch'], value: 'cover' },
  ];
  const days = sameDay(6);
  const bare = run('bag-tray', { patch: none, weather: days, filling: { kind: 'never' } });
  const { area } = openWater(bare.planter);
  const [first] = bare.days;
  // 1.05 of the reference, in a place as sunny and breezy as the tray's.
  const dries = 1.05 * 0.0075 * area * exposureOf(bare.planter.design.place);
  expect(first!.evaporated).toBeGreaterThan(dries);
  expect(first!.evaporated).toBeLessThan(1.05 * dries);
  // The bags give some of theirs back to the tray as it falls.
  expect(bare.full - first!.water).toBeLessThan(first!.evaporated);
  expect(first!.level).toBeLessThan(bare.planter.heights.waterRim);
  // Below the water the mix is full of it.
  expect(bare.moisture[0]).toBeGreaterThan(0.86);
  const open = run('bag-tray', { patch: [...none, { path: ['place', 'rain'], value: 'indoors' }] });
  expect(totalsOf(open).evaporated).toBeLessThan(
    totalsOf(run('bag-tray', { patch: none })).evaporated,
  );
});

test('every made-up site runs a season, and the same seed gives the same one', () => {
  for (const id of SITE_IDS) {
    const weather = weatherOf(SITES[id], '2026-01-01', 60, 3);
    expect(weatherOf(SITES[id], '2026-01-01', 60, 3)).toEqual(weather);
    expect(run('cloth-pail', { weather, planted: '2026-01-01' }).balance).toBeLessThan(1e-3);
  }
});
