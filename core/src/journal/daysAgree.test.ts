import fc from 'fast-check';
import { figuresOf } from '../assessment';
import { assemble } from '../assembly';
import { SITES } from '../catalog';
import { STARTING_POINTS, type PlanterDesign } from '../document';
import { dayAfter, daysBetween, roomDay, type MeasuredDay } from '../physics/climate';
import { answersTo, runSeason, type AwayAnswer, type AwayQuestion } from '../simulation/season';
import { changedDesign } from '../testing/changed';
import { logEntry } from '../testing/entries';
import { gardenAway } from './away';
import { calendarOf } from './calendar';
import { fillingsOf, measuredOf, stateOf, type TendedQuestion } from './state';

/**
 * One value for days: a planter that was filled today, in days that are all known. When it reads low and when plants go
 * short is the same in its season, on Today, in the weeks, in the calendar and in both absences, within what a filter
 * of many stories leaves open.
 */

const PLANTED = '2026-06-01';
const GROWN = 40;
const TODAY = dayAfter(PLANTED, GROWN);
const SITE = SITES.vallesol;
/** Days that are looked ahead. */
const AHEAD = 40;
const SECONDS = 86_400;
/** Days of the weeks that are shown. */
const WEEKS = 28;

/** Days of one kind from planting on, those to come as a forecast tells them. */
const daysOf = (mm: number): MeasuredDay[] =>
  Array.from({ length: GROWN + AHEAD }, (_, i) => {
    const date = dayAfter(PLANTED, i);
    const day = { date, tMin: 17, tMax: 32, rain: 0, et: (mm * 1e-3) / SECONDS };
    return date > TODAY ? { ...day, forecast: true as const } : day;
  });

const filled = (day: number) =>
  logEntry(day, dayAfter(PLANTED, day), { kind: 'filled', where: 'tube', volume: null, ran: true });

const questionOf = (design: PlanterDesign, mm: number): TendedQuestion => ({
  ...{ design, planted: PLANTED, site: SITE, days: daysOf(mm), today: TODAY },
  entries: Array.from({ length: GROWN + 1 }, (_, day) => filled(day)),
});

/** Days from today to a date, null where there is none. */
const until = (date: string | null | undefined): number | null =>
  date ? daysBetween(TODAY, date) : null;

/** The same from the season of those days. */
function seasonOf(design: PlanterDesign, mm: number) {
  const planter = assemble(design);
  const { usableLevel } = figuresOf(planter);
  const outside = measuredOf({ site: SITE, days: daysOf(mm) });
  const weather = design.place.rain === 'indoors' ? outside.map(roomDay) : outside;
  const { days } = runSeason(planter, weather, {
    planted: PLANTED,
    filling: { kind: 'never' },
    refillAt: 0,
    waterings: Array.from({ length: GROWN + 1 }, (_, day) => ({
      ...{ where: 'tube' as const, date: dayAfter(PLANTED, day), volume: null },
    })),
  });
  const ahead = days.filter(({ date }) => date >= TODAY);
  const at = (is: (day: (typeof ahead)[number]) => boolean): number | null => {
    const found = ahead.findIndex(is);
    return found < 0 ? null : found;
  };
  return {
    low: at(({ level }) => level <= usableLevel + 1e-4),
    short: at(({ stress }) => stress === 'dry'),
  };
}

/** Days that are the same but for what many stories leave open. */
const near = (days: number, other: number): boolean =>
  Math.abs(days - other) <= Math.max(2, 0.3 * other);

/** All that is asked is true, and if not, it is seen beside what was said. */
function expectAll(right: Readonly<Record<string, boolean>>, said: object): void {
  const wrong = Object.keys(right).filter((page) => !right[page]);
  expect(wrong.length === 0 ? { wrong } : { wrong, said }).toEqual({ wrong: [] });
}

/** Today and the weeks against a season of the same days. */
function expectSameDays(design: PlanterDesign, mm: number): void {
  const question = questionOf(design, mm);
  const { daysLeft, forecast } = stateOf(question)!;
  const weeks = until(fillingsOf(question, WEEKS)[0]?.likely);
  const farthest = until(forecast.until)!;
  const short = until(forecast.short.likely);
  const season = seasonOf(design, mm);
  const low = season.low ?? AHEAD;
  const dry = season.short ?? AHEAD - 1;
  const late = until(forecast.next.late) ?? AHEAD;
  expectAll(
    {
      today: near(Math.min(daysLeft.likely, AHEAD), low),
      range: (season.low === null || daysLeft.early <= low) && low <= late + 1,
      weeks: weeks === null ? daysLeft.likely >= WEEKS - 2 : weeks === daysLeft.likely,
      short: short === null ? dry > 0.8 * farthest : near(Math.min(short, AHEAD), dry),
    },
    { name: design.name, mm, daysLeft, forecast: forecast.next, weeks, short, season },
  );
}

/** Both absences against a season of the same days. */
function expectSameAbsence(design: PlanterDesign, mm: number): void {
  const planters = [{ id: 'one', question: questionOf(design, mm) }];
  const until = dayAfter(TODAY, AHEAD - 1);
  const garden = gardenAway({ planters, from: TODAY, until }).alone[0]!;
  const question: AwayQuestion = {
    ...{ design, planted: PLANTED, days: AHEAD, seeds: 1, from: TODAY, away: 1 },
    weather: { days: measuredOf({ site: SITE, days: daysOf(mm) }) },
    filling: { kind: 'when-low' },
    waterings: [],
  };
  const told = answersTo({ part: 'away', question, share: 0, of: 1 }).next().value as AwayAnswer;
  const { middling } = told.answer;
  const dry = seasonOf(design, mm).short ?? AHEAD - 1;
  expectAll(
    {
      garden: near(garden.likely, dry) && garden.safe <= garden.likely,
      alone: middling === null || near(middling, dry),
    },
    { name: design.name, mm, garden, middling, dry },
  );
}

describe.each(STARTING_POINTS.filter(({ id }) => id !== 'blank'))('of $id', ({ design }) => {
  test('today and the weeks tell the days of its season', () => expectSameDays(design, 6));
  test('both absences, too', () => expectSameAbsence(design, 6));
  test('the calendar has the filling of today’s page, or none where none is seen ahead', () => {
    const question = questionOf(design, 6);
    const { next, until: farthest } = stateOf(question)!.forecast;
    const [fill] = calendarOf([{ id: 'one', question }], null).filter(
      ({ kind }) => kind === 'fill',
    );
    expect(fill?.likely ?? null).toBe(next.likely < farthest ? next.likely : null);
  });
});

const mm = fc.double({ min: 3, max: 8, noNaN: true });

test('designs changed from them tell the same days, sound or not', () => {
  fc.assert(fc.property(changedDesign, mm, expectSameDays), { numRuns: 200, endOnFailure: true });
});

test('and the same absences', () => {
  fc.assert(fc.property(changedDesign, mm, expectSameAbsence), { numRuns: 50, endOnFailure: true });
});
