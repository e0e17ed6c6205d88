import fc from 'fast-check';
import { SITES } from '../catalog';
import { dayAfter, daysBetween } from '../physics/climate';
import { applyPatch, STARTING_POINTS, usualPlanted } from '../document';
import { tell } from '../units';
import { logEntry, uuidOf } from '../testing/entries';
import { gardenAway } from './away';
import { CALENDAR_AHEAD, calendarOf, fillingsAround } from './calendar';
import type { LogEntry } from './entry';
import type { TendedQuestion } from './state';

const TODAY = '2026-07-15';
const ID = uuidOf(1);
const entry = (n: number, ago: number, did: LogEntry['did']): LogEntry =>
  logEntry(n, dayAfter(TODAY, -ago), did, 1);
const ran = { kind: 'filled', where: 'tube', volume: null, ran: true } as const;
const planted = { kind: 'did', what: 'planted' } as const;

const question = (entries: LogEntry[]): TendedQuestion => ({
  design: applyPatch(STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design, [
    { path: ['name'], value: 'Lettuce, then pepper' },
    {
      path: ['planting', 'crops'],
      value: [usualPlanted('lettuce', 2, { stays: 50 }), usualPlanted('pepper', 1, { from: 50 })],
    },
  ]),
  planted: null,
  entries,
  site: SITES.vallesol,
  days: [],
  today: TODAY,
});
const events = (entries: LogEntry[]) =>
  new Map(calendarOf([{ id: ID, question: question(entries) }], null).map((one) => [one.uid, one]));

test('nothing stands in it for a planter that nobody has planted', () => {
  expect(events([])).toEqual(new Map());
});

test('what is filled, planted and picked comes as whole days, each event once', () => {
  const all = events([entry(1, 30, planted), entry(2, 1, ran)]);
  const fill = all.get(`fill-${ID}`)!;
  expect(fill.from >= TODAY && fill.until > fill.from).toBe(true);
  expect(tell(fill.title, 'metric')).toBe('Fill Lettuce, then pepper');
  expect(all.get(`plant-1-${ID}`)).toMatchObject({
    from: dayAfter(TODAY, 20),
    until: dayAfter(TODAY, 21),
  });
  // Lettuce is already there: it is picked, and not planted again.
  expect(all.has(`plant-0-${ID}`)).toBe(false);
  expect(all.has(`pick-0-${ID}`)).toBe(true);
});

test('all likely fillings of four weeks stand in it, one after the other, as often as it empties', () => {
  const asked = {
    ...question([entry(1, 56, planted), entry(2, 1, ran)]),
    design: STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design,
  };
  const all = calendarOf([{ id: ID, question: asked }], null);
  const fills = all.filter(({ kind }) => kind === 'fill');
  const days = fills.map(({ likely }) => likely!);
  expect(days.length).toBeGreaterThan(3);
  expect([...days].sort()).toEqual(days);
  expect(new Set(days).size).toBe(days.length);
  const gaps = days.slice(1).map((day, i) => daysBetween(days[i]!, day));
  const first = daysBetween(TODAY, days[0]!);
  // Filled to the brim, each lasts about as long as this one; it grows on meanwhile.
  for (const gap of gaps) expect(Math.abs(gap - first)).toBeLessThanOrEqual(Math.max(2, first / 2));
  for (const { from, until, likely } of fills)
    expect(from <= likely! && likely! < until).toBe(true);
  expect(tell(fills[1]!.about, 'metric')).toMatch(/It takes about [1-5](\.\d)?.L then/);
});

test('all are filled before one leaves and on the first morning back, and by a neighbour between', () => {
  const asked = {
    ...question([entry(1, 56, planted), entry(2, 1, ran)]),
    design: STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design,
  };
  const away = { from: dayAfter(TODAY, 2), until: dayAfter(TODAY, 20) };
  const all = calendarOf([{ id: ID, question: asked }], away);
  const fills = all
    .filter(({ kind, planter }) => kind === 'fill' && planter !== null)
    .map(({ likely }) => likely!);
  expect(fills.filter((day) => day >= away.from && day < away.until)).toEqual([]);
  expect(fills.some((day) => day >= away.until)).toBe(true);
  expect(all.some(({ kind }) => kind === 'visit')).toBe(true);
  const ofAll = (uid: string) => all.find((one) => one.uid === uid)?.likely;
  expect([ofAll('leave'), ofAll('back')]).toEqual([away.from, away.until]);
});

test('duties stand on the day on which they are due, also those of the weeks to come', () => {
  const all = events([entry(1, 10, planted), entry(2, 1, ran)]);
  expect(all.get(`overflow-${ID}`)).toMatchObject({ from: dayAfter(TODAY, 20) });
  const late = events([entry(1, 60, planted), entry(2, 1, ran)]);
  // What was due before today stands on today, not in the past.
  expect(late.get(`overflow-${ID}`)).toMatchObject({ from: TODAY });
});

test('an event keeps its name when its day moves', () => {
  const before = events([entry(1, 30, planted), entry(2, 4, ran)]);
  const after = events([entry(1, 30, planted), entry(2, 4, ran), entry(3, 0, ran)]);
  const [one, other] = [before.get(`fill-${ID}`)!, after.get(`fill-${ID}`)!];
  expect(other.uid).toBe(one.uid);
  expect(other.from > one.from).toBe(true);
});

describe('an absence', () => {
  const asked = question([entry(1, 30, planted), entry(2, 1, ran)]);
  const planters = [{ id: ID, question: asked }];
  const away = (from: string, until: string) =>
    calendarOf(planters, { from, until }).filter(({ uid }) => /^(away|visit)/.test(uid));

  test('brings the visits that its sheet asks for, with what each planter takes', () => {
    const [from, until] = [dayAfter(TODAY, 3), dayAfter(TODAY, 33)];
    const [absence, ...visits] = away(from, until);
    expect(absence).toMatchObject({ uid: 'away', from, until });
    const planned = gardenAway({ planters, from, until }).visits;
    expect(planned.length).toBeGreaterThan(0);
    expect(visits.map((one) => one.from)).toEqual(planned.map(({ date }) => date));
    expect(new Set(visits.map(({ uid }) => uid)).size).toBe(visits.length);
    for (const { about } of visits)
      expect(tell(about, 'metric')).toMatch(/^Lettuce, then pepper: about .*L, at most .*L$/);
  });

  test('that is over brings none', () => {
    expect(away(dayAfter(TODAY, -9), dayAfter(TODAY, -2))).toHaveLength(1);
  });
});

test('around any absence nothing is filled in it, what is before stays, and what is after follows the first morning back', () => {
  const gaps = fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 12 });
  const day = fc.integer({ min: -5, max: 30 });
  fc.assert(
    fc.property(gaps, day, fc.integer({ min: 1, max: 20 }), (apart, leaves, long) => {
      let at = 0;
      const fillings = apart.map((gap) => {
        const likely = dayAfter(TODAY, (at += gap));
        return { early: dayAfter(likely, -1), likely, late: dayAfter(likely, 2), volume: 0.004 };
      });
      const away = { from: dayAfter(TODAY, leaves), until: dayAfter(TODAY, leaves + long) };
      const around = fillingsAround(fillings, TODAY, away);
      if (leaves + long <= 0) return expect(around).toEqual(fillings.slice(1));
      const before = fillings.slice(1).filter(({ likely }) => likely < away.from);
      expect(around.slice(0, before.length)).toEqual(before);
      let last = away.until;
      for (const { early, likely, late } of around.slice(before.length)) {
        const gap = daysBetween(last, likely);
        expect(apart).toContain(gap);
        expect(daysBetween(early, likely)).toBe(1);
        expect(daysBetween(likely, late)).toBe(2);
        expect(daysBetween(TODAY, likely)).toBeLessThan(CALENDAR_AHEAD);
        last = likely;
      }
    }),
  );
});
