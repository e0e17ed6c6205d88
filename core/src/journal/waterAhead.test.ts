import { SITES } from '../catalog';
import { dayAfter, daysBetween } from '../physics/climate';
import { STARTING_POINTS, type PlanterDesign } from '../document';
import { logEntry, uuidOf } from '../testing/entries';
import { absenceAhead, CALENDAR_AHEAD, calendarOf } from './calendar';
import type { GardenAbsence } from './plan';
import { stateOf, tendedOf, type TendedQuestion } from './state';
import { waterAheadOf } from './waterAhead';

const TODAY = '2026-07-15';
const ID = uuidOf(1);

const questionOf = (design: PlanterDesign, logged = true): TendedQuestion => ({
  design,
  planted: null,
  entries: [
    logEntry(1, dayAfter(TODAY, -40), { kind: 'did', what: 'planted' }, 1),
    ...(logged
      ? [
          logEntry(
            2,
            dayAfter(TODAY, -1),
            { kind: 'filled', where: 'tube', volume: null, ran: true },
            1,
          ),
        ]
      : []),
  ],
  ...{ site: SITES.vallesol, days: [], today: TODAY },
});

function ahead(question: TendedQuestion, away: GardenAbsence | null = null) {
  const planters = [{ id: ID, question }];
  const answer = absenceAhead(planters, away);
  const events = calendarOf(planters, away, answer);
  const alone = away && answer && { ...away, answer };
  const water = waterAheadOf({ id: ID, question }, events, alone);
  return { water, events, answer };
}
const growing = STARTING_POINTS.filter(({ design }) =>
  design.planting.crops.some(({ count }) => count > 0),
);

describe.each(growing)('$id', ({ design }) => {
  test('begins where it stands today, falls, and is full after each filling of the calendar', () => {
    const question = questionOf(design);
    const { water, events } = ahead(question);
    const { path, fillings } = water!;
    const days = path.map(({ day }) => day);
    expect([...days].sort((a, b) => a - b)).toEqual(days);
    expect(days.at(-1)).toBe(CALENDAR_AHEAD);
    for (const { share } of path) expect(share >= 0 && share <= 1).toBe(true);
    const { brim } = tendedOf(question)!.planter.heights;
    expect(path[0]!.share).toBeCloseTo(
      Math.min(stateOf(question)!.forecast.level.middle / brim, 1),
      6,
    );
    const due = events
      .filter(({ kind }) => kind === 'fill')
      .map(({ likely }) => daysBetween(TODAY, likely!));
    expect(fillings.map(({ day }) => day)).toEqual(due.filter((day) => day < CALENDAR_AHEAD));
    for (const { day, from, until, volume } of fillings) {
      expect(from <= day && day < until && volume > 0).toBe(true);
      const [before, after] = path.filter((one) => one.day === day + 0.5);
      expect(after!.share).toBe(1);
      expect(before!.share).toBeLessThan(1);
    }
  });
});

test('nothing is drawn of water of which nothing is known', () => {
  expect(ahead(questionOf(growing[0]!.design, false)).water).toBeNull();
  expect(ahead({ ...questionOf(growing[0]!.design), entries: [] }).water).toBeNull();
});

test('while nobody is at home neighbours fill it, and oneself on the first morning back', () => {
  const pail = growing.find(({ id }) => id === 'cloth-pail')!.design;
  const away = { from: dayAfter(TODAY, 5), until: dayAfter(TODAY, 20) };
  const { water, answer } = ahead(questionOf(pail), away);
  const { visits, courses } = answer!;
  const days = water!.fillings.map(({ day }) => day);
  expect(visits.length).toBeGreaterThan(0);
  for (const { date } of visits) expect(days).toContain(daysBetween(TODAY, date));
  expect(days).toContain(20);
  // Filled then, it wants nothing on the days right after.
  const gaps = days.slice(1).map((day, i) => day - days[i]!);
  expect(days[days.indexOf(20) + 1]! - 20).toBeGreaterThanOrEqual(Math.min(...gaps.slice(0, 2)));
  const allowed = new Set([...visits.map(({ date }) => daysBetween(TODAY, date)), 5]);
  for (const day of days) if (day >= 5 && day < 20) expect(allowed.has(day)).toBe(true);
  // As Going away has it, evening by evening.
  const [{ levels, brim }] = courses as [(typeof courses)[0]];
  const share = (day: number) => water!.path.find((one) => one.day === day)?.share;
  levels.forEach((level, k) => expect(share(5 + k + 1)).toBeCloseTo(Math.min(level / brim, 1), 6));
  // Full when one leaves, it takes what is gone since it was filled last.
  expect(days).toContain(5);
  for (const { volume } of water!.fillings) expect(volume).toBeGreaterThan(0);
});

test('what waits in a barrel keeps it full for most of the time', () => {
  const channel = growing.find(({ design }) => design.reservoir.supply)!.design;
  const { path } = ahead(questionOf(channel)).water!;
  const full = path.filter(({ day, share }) => day < 5 && share > 0.9);
  expect(full.length).toBeGreaterThan(3);
});
