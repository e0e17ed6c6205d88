import { SITES } from '../catalog';
import { dayAfter, daysBetween, weatherOf } from '../physics/climate';
import { STARTING_POINTS } from '../document';
import { assemble } from '../assembly';
import { runSeason } from '../simulation/season';
import { gardenAway, oneChange } from './away';
import type { TendedQuestion } from './state';

const TODAY = '2026-07-15';
const ask = (id: string): TendedQuestion => ({
  design: STARTING_POINTS.find((point) => point.id === id)!.design,
  planted: '2026-05-01',
  entries: [],
  site: SITES.vallesol,
  days: [],
  today: TODAY,
});
const garden = (...ids: string[]) => ids.map((id) => ({ id, question: ask(id) }));
const [first, second, third] = STARTING_POINTS.map(({ id }) => id) as [string, string, string];

describe('a garden while nobody is at home', () => {
  const planters = garden(first, second, third);

  test('for a day or two all last and nobody has to come', () => {
    const { alone, visits, beyond, days } = gardenAway({
      planters,
      from: '2026-07-16',
      until: '2026-07-18',
    });
    expect(days).toBe(2);
    expect(alone.every(({ safe, chance }) => safe === 2 && chance === 1)).toBe(true);
    expect(visits).toEqual([]);
    expect(beyond).toEqual([]);
  });

  test('for four weeks a neighbour comes, and no planter goes short between', () => {
    const from = '2026-07-18';
    const until = '2026-08-15';
    const { visits, alone, water, beyond } = gardenAway({ planters, from, until });
    expect(beyond).toEqual([]);
    expect(Math.max(...alone.map(({ safe }) => safe))).toBeLessThan(28);
    const thirsty = Math.min(...alone.map(({ safe }) => safe));
    // No garden is kept by fewer visits than its thirstiest planter wants, and these come as seldom as that allows.
    expect(visits.length).toBeGreaterThanOrEqual(Math.ceil(28 / thirsty) - 1);
    expect(daysBetween(from, visits[0]!.date)).toBe(thirsty - 1);
    expect(visits.map(({ date }) => date)).toEqual([...visits.map(({ date }) => date)].sort());
    const poured = visits.flatMap(({ fills }) => fills);
    expect(poured.every(({ volume, most }) => volume > 0 && most >= volume)).toBe(true);
    expect(water.visits).toBeCloseTo(
      poured.reduce((sum, { volume }) => sum + volume, 0),
      9,
    );
    // Held against the season itself, with a weather that the plan did not use.
    for (const { id, question } of planters) {
      const own = visits.filter(({ fills }) => fills.some((fill) => fill.id === id));
      const days = weatherOf(SITES.vallesol, '2026-07-14', 32, 909);
      const given = [from, ...own.map(({ date }) => date), '2026-07-14', '2026-07-16'];
      const run = runSeason(assemble(question.design), days, {
        planted: question.planted!,
        filling: { kind: 'never' },
        refillAt: 0,
        waterings: given.map((date) => ({ where: 'tube', date, volume: null })),
      });
      const short = run.days.filter(({ date, stress }) => date >= from && stress === 'dry');
      expect(short).toHaveLength(0);
    }
  });

  test.each([9, 17, 28])(
    'in %i days the water only falls between visits, and no planter that they keep goes short',
    (length) => {
      const from = '2026-07-18';
      const all = garden(...STARTING_POINTS.slice(0, 12).map(({ id }) => id));
      const absence = { planters: all, from, until: dayAfter(from, length) };
      const { courses, visits, beyond, days } = gardenAway(absence);
      expect(courses.map(({ id }) => id)).toEqual(all.map(({ id }) => id));
      for (const { id, brim, low, levels, fills, short } of courses) {
        expect(levels).toHaveLength(days);
        expect(low).toBeLessThan(brim);
        const own = visits.filter((visit) => visit.fills.some((fill) => fill.id === id));
        expect(fills).toEqual([0, ...own.map(({ date }) => daysBetween(from, date))]);
        // It hardly rains in July: between fillings it falls, and no evening is above the lip.
        levels.forEach((level, day) => {
          const before = fills.includes(day) ? brim : levels[day - 1]!;
          expect(level).toBeLessThanOrEqual(before + 1e-3);
        });
        if (!beyond.includes(id)) expect([id, short]).toEqual([id, []]);
      }
    },
  );

  test('a change is offered only where it helps', () => {
    const question = ask(first);
    const change = oneChange(question, '2026-07-18', '2026-08-08');
    const now = gardenAway({ planters: garden(first), from: '2026-07-18', until: '2026-08-08' });
    expect(change!.safe).toBeGreaterThan(now.alone[0]!.safe);
    expect(change!.patch.length).toBeGreaterThan(0);
  });
});
