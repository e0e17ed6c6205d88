import { SITES } from '../../catalog';
import { evaluate } from '../../assessment';
import { applyPatch, STARTING_POINTS, type Patch } from '../../document';
import { tell } from '../../units';
import {
  answersTo,
  type AwayAnswer,
  type AwayQuestion,
  type SeasonAnswer,
  type SeasonQuestion,
} from '.';

/** Questions as a page asks them, without a page. */
const designOf = (id: string, patch: Patch = []) =>
  applyPatch(STARTING_POINTS.find((point) => point.id === id)!.design, patch);
const asked = (id: string, other: Partial<SeasonQuestion> = {}): SeasonQuestion => ({
  design: designOf(id),
  weather: { site: SITES.vallesol },
  planted: '2026-05-01',
  filling: { kind: 'when-low' },
  waterings: [],
  days: 60,
  seeds: 6,
  ...other,
});
const seasonOf = (question: SeasonQuestion): SeasonAnswer => {
  const [told] = answersTo({ part: 'season', question, share: 0, of: 1 });
  return told as SeasonAnswer;
};

test('a season, with how long a full reservoir lasts from each day on', () => {
  const { run, totals, lasts, weather } = seasonOf(asked('cloth-pail'));
  expect(run.days).toHaveLength(60);
  expect(weather).toHaveLength(60);
  expect(totals.fills).toBe(run.days.filter(({ filled }) => filled > 0).length);
  // The plant grows: what lasted a month lasts a week.
  expect(lasts[0]!).toBeGreaterThan(2 * lasts[40]!);
});

test('two workers’ shares of the weathers are all of them, each once', () => {
  const question = asked('cup-pail', { seeds: 7 });
  const shares = [0, 1].map((share) =>
    [...answersTo({ part: 'outlook', question, share, of: 2 })].flatMap((told) =>
      'levels' in told ? [...told.levels] : [],
    ),
  );
  expect(shares.map(({ length }) => length)).toEqual([4, 3]);
  const whole = [...answersTo({ part: 'outlook', question, share: 0, of: 1 })].flatMap((told) =>
    'levels' in told ? [...told.levels] : [],
  );
  expect(new Set(shares.flat().map(String))).toEqual(new Set(whole.map(String)));
  // The first weather is the season’s own.
  expect(whole[0]).toEqual(seasonOf(question).run.days.map(({ level }) => level));
});

test('days of one’s own are one weather only', () => {
  const { weather } = seasonOf(asked('cloth-pail'));
  const own = asked('cloth-pail', { weather: { days: weather } });
  expect([...answersTo({ part: 'outlook', question: own, share: 0, of: 1 })]).toEqual([]);
  expect(seasonOf(own).totals).toEqual(seasonOf(asked('cloth-pail')).totals);
});

test('an absence that is too long: a neighbour comes as seldom as is enough', () => {
  const question: AwayQuestion = { ...asked('cloth-pail'), from: '2026-08-01', away: 21, seeds: 4 };
  const told = [...answersTo({ part: 'away', question, share: 0, of: 1 })] as AwayAnswer[];
  const { answer, mends, trying } = told[told.length - 1]!;
  expect(answer.safe).toBeLessThan(21);
  expect(trying).toBe(false);
  const neighbour = mends.find(({ waterings }) => waterings.length > 0)!;
  expect(neighbour.safe).toBeGreaterThanOrEqual(21);
  expect(tell(neighbour.label, 'metric')).toMatch(
    /^A neighbour fills it (once|\d times), on \d+ August/,
  );
  // One time fewer is not enough.
  const fewer = neighbour.waterings.slice(1);
  const again = [
    ...answersTo({ part: 'away', question: { ...question, waterings: fewer }, share: 0, of: 1 }),
  ] as AwayAnswer[];
  expect(again[0]!.answer.safe).toBeLessThanOrEqual(neighbour.safe);
});

test('roots are as deep on the day of leaving as they were grown by then', () => {
  const early = {
    ...asked('rock-bed', { design: designOf('rock-bed', [{ path: ['wicks'], value: [] }]) }),
  };
  const safe = (from: string): number => {
    const question: AwayQuestion = { ...early, from, away: 60, seeds: 3 };
    const [told] = answersTo({ part: 'away', question, share: 0, of: 1 }) as Iterable<AwayAnswer>;
    return told!.answer.safe;
  };
  // In May it is the young plants’ soil alone; in July, thirsty as they are, roots drink below.
  expect(safe('2026-07-10')).toBeGreaterThan(10);
});

test('what if: each tells its own, and two together are both', () => {
  const question = asked('cloth-pail', { days: 40 });
  const all = [...answersTo({ part: 'what-if', question, share: 0, of: 1 })];
  expect(all.length).toBeGreaterThan(6);
  expect(all.every((told) => 'trouble' in told && told.trouble === null)).toBe(true);
  const together = { ...question, together: ['shade', 'covered'] };
  const [both] = [...answersTo({ part: 'together', question: together, share: 0, of: 1 })];
  const shade = all.find((told) => 'id' in told && told.id === 'shade');
  const drunk = (told: unknown) => (told as SeasonAnswer).totals.drunk;
  expect(drunk(both)).toBeLessThan(drunk(seasonOf(question)));
  expect((both as SeasonAnswer).totals.rain).toBe(0);
  expect(drunk(shade)).toBeLessThan(drunk(seasonOf(question)));
});

test('a bottle on a windowsill has a room’s air in December, not the courtyard’s', () => {
  const indoors = asked('bottle', { planted: '2026-10-01', days: 90 });
  const { run, totals } = seasonOf(indoors);
  const december = run.days.filter(({ date }) => date.startsWith('2026-12'));
  const daily = december.reduce((sum, { asked: all }) => sum + all, 0) / december.length;
  // A grown basil drinks some 20 to 60 mL a day by a window in winter, so a bottle lasts weeks, not months.
  expect(daily * 1e6).toBeGreaterThan(10);
  expect(daily * 1e6).toBeLessThan(80);
  expect(totals.rain).toBe(0);
  const outside = seasonOf({
    ...indoors,
    design: applyPatch(indoors.design, [{ path: ['place', 'rain'], value: 'covered' }]),
  });
  const cold = outside.run.days.filter(({ date }) => date.startsWith('2026-12'));
  expect(daily).toBeGreaterThan(cold.reduce((sum, { asked: all }) => sum + all, 0) / cold.length);
});

test('a search and a bench that know of no season agree on the level to fill at', () => {
  const { figures } = evaluate(designOf('cloth-pail')).assessment;
  const { run } = seasonOf(asked('cloth-pail', { planted: '2026-03-01', days: 120 }));
  const fills = run.days.flatMap((day, i) =>
    day.filled > 0 && i > 0 ? [run.days[i - 1]!.level] : [],
  );
  for (const level of fills) expect(level).toBeLessThan(figures.usableLevel + 0.03);
});

test('a season into winter says from when on its water may freeze, and by a window it does not', () => {
  const long = asked('cloth-pail', { planted: '2026-09-01', days: 150 });
  const { freezes, weather } = seasonOf(long);
  const cold = weather.filter(({ tMin }) => tMin <= -2).map(({ date }) => date);
  expect(freezes).toBe(cold[0] ?? null);
  expect(seasonOf({ ...long, days: 20 }).freezes).toBeNull();
  expect(seasonOf({ ...long, design: designOf('bottle') }).freezes).toBeNull();
});
