import { SITES } from '../../catalog';
import { coldChance, dayAfter, daysBetween, weatherOf } from '../../physics/climate';
import { applyPatch, STARTING_POINTS, usualPlanted, type Planted } from '../../document';
import { tell } from '../../units';
import { frostFreeIn, moveBar, stretchBar, stripOf, yearOf } from '.';

const grow = (...crops: Planted[]) =>
  applyPatch(STARTING_POINTS[0]!.design, [{ path: ['planting', 'crops'], value: crops }]);
const said = (planted: string, ...crops: Planted[]) =>
  yearOf(grow(...crops), planted, SITES.vallesol)
    .bars.flatMap(({ says }) => says.map((one) => tell(one, 'metric')))
    .join(' ');

test('how likely a cold night is agrees with the weather that is made up', () => {
  // Nights about 15 January, in 400 winters.
  let cold = 0;
  const winters = 400;
  for (let seed = 0; seed < winters; seed += 1) {
    const night = weatherOf(SITES.vallesol, '2027-01-15', 1, seed)[0]!;
    if (night.tMin <= 0) cold += 1;
  }
  expect(cold / winters).toBeCloseTo(coldChance(SITES.vallesol, 15, 0), 1);
  expect(coldChance(SITES.vallesol, 15, 1)).toBeGreaterThan(coldChance(SITES.vallesol, 15, 0));
  // At its normal a night is as likely colder as warmer.
  const even = { tMin: SITES.vallesol.tMin.map(() => 5) as never };
  expect(coldChance(even, 100, 5)).toBeCloseTo(0.5, 7);
});

test('frost has its time, by hemisphere, and is rare within the days said to be free of it', () => {
  const { from, to } = frostFreeIn(SITES.vallesol, '2027-05-01')!;
  expect(from > '2027-02-15' && from < '2027-05-01').toBe(true);
  expect(to > '2027-10-01' && to < '2027-12-20').toBe(true);
  const south = {
    ...SITES.vallesol,
    latitude: -39,
    tMin: [...SITES.vallesol.tMin.slice(6), ...SITES.vallesol.tMin.slice(0, 6)] as never,
  };
  const there = frostFreeIn(south, '2027-11-01')!;
  expect(there.from < '2027-01-15' && there.to > '2027-01-15').toBe(true);
});

test.each(Object.entries(SITES).filter(([, site]) => frostFreeIn(site, '2027-05-01')))(
  '%s: frost comes into the days without it in one year of ten at the most, of 300',
  (_id, site) => {
    const [half, years] = [182, 300];
    const middle = site.latitude < 0 ? '2027-01-15' : '2027-07-15';
    const { from, to } = frostFreeIn(site, '2027-05-01')!;
    const at = (date: string) => half + daysBetween(middle, date);
    let [later, sooner] = [0, 0];
    for (let seed = 1; seed <= years; seed += 1) {
      const days = weatherOf(site, dayAfter(middle, -half), 2 * half, seed);
      const cold = days.flatMap(({ tMin }, i) => (tMin < 0 ? [i] : []));
      if (cold.some((i) => i < half && i >= at(from))) later += 1;
      if (cold.some((i) => i >= half && i <= at(to))) sooner += 1;
    }
    expect(later / years).toBeLessThanOrEqual(0.1);
    expect(sooner / years).toBeLessThanOrEqual(0.1);
  },
);

test('what is tender waits for warm nights, what bolts is warned of heat, what is cleared too soon is said', () => {
  expect(said('2027-02-01', usualPlanted('tomato', 1))).toMatch(/^Wait \d+.days with tomato/);
  expect(said('2027-05-01', usualPlanted('tomato', 1))).toBe('');
  expect(said('2027-06-15', usualPlanted('lettuce', 4))).toMatch(
    /Give lettuce shade or another time/,
  );
  expect(said('2027-10-01', usualPlanted('lettuce', 4))).not.toMatch(/shade/);
  expect(said('2027-05-01', usualPlanted('pepper', 1, { stays: 40 }))).toMatch(
    /cleared before it bears/,
  );
  expect(said('2027-09-15', usualPlanted('basil', 2))).toMatch(
    /^Cover basil for its last \d+.days/,
  );
});

test('lettuce then pepper: bars follow one another, move, and stretch', () => {
  const design = grow(
    usualPlanted('lettuce', 4, { start: 'raised', stays: 60 }),
    usualPlanted('pepper', 1, { from: 60 }),
  );
  const year = yearOf(design, '2027-03-20', SITES.vallesol);
  expect(year.bars.map(({ from, to }) => [from, to])).toEqual([
    ['2027-03-20', '2027-05-19'],
    ['2027-05-19', '2027-09-21'],
  ]);
  expect(year.bars[0]!.raised! < '2027-03-01').toBe(true);
  const { from, days } = stripOf(year, '2027-03-20');
  expect(from <= year.bars[0]!.raised!).toBe(true);
  expect(days).toBeGreaterThanOrEqual(366);
  const later = applyPatch(design, moveBar(design, 1, 7));
  expect(later.planting.crops[1]!.from).toBe(67);
  expect(applyPatch(design, moveBar(design, 1, -900)).planting.crops[1]!.from).toBe(0);
  expect(applyPatch(design, stretchBar(design, 1, -5)).planting.crops[1]!.stays).toBe(120);
});

test('what stays for years does not end in autumn, and bears in its year', () => {
  const bar = (id: Planted['crop']) =>
    yearOf(grow(usualPlanted(id, 1)), '2027-04-10', SITES.vallesol).bars[0]!;
  for (const id of ['strawberry', 'mint', 'rosemary', 'sorrel'] as const) {
    const { harvest, to, stays } = bar(id);
    expect(harvest.slice(0, 4)).toBe('2027');
    expect(to >= '2028-04-09').toBe(true);
    expect(tell(stays!, 'metric')).toMatch(/^stays about \d+ years/);
  }
  expect(bar('rhubarb').harvest).toBe('2028-04-09');
  expect(bar('asparagus').harvest).toBe('2029-04-09');
  expect(tell(bar('raspberry').stays!, 'metric')).toBe(
    'First harvest in year 2; stays about 10 years and rests in winter.',
  );
  expect(bar('tomato').stays).toBeNull();
});

test('of a planting under way only what is still to come is said, and of one that is over nothing', () => {
  const design = grow({ ...usualPlanted('pepper', 1), stays: 260 });
  const on = (today: string) =>
    yearOf(design, '2027-03-01', SITES.vallesol, today)
      .bars.flatMap(({ says }) => says.map((one) => tell(one, 'metric')))
      .join(' ');
  expect(on('2027-02-01')).toMatch(/^Wait \d+\sdays/);
  expect(on('2027-03-02')).toMatch(
    /^Cover sweet pepper for the next \d+\sdays: nights are too cold/,
  );
  expect(on('2027-07-15')).toMatch(/^Cover sweet pepper for its last \d+\sdays/);
  expect(on('2027-12-01')).toBe('');
});
