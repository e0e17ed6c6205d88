import fc from 'fast-check';
import { evaluate } from '../assessment';
import { SITES } from '../catalog';
import { dayAfter } from '../physics/climate';
import { STARTING_POINTS } from '../document';
import { currentEntries, putBack, stateOf, takenOut, type LogEntry } from '.';
import { logEntry, uuidOf } from '../testing/entries';

const TODAY = '2027-07-15';
describe('entries', () => {
  const one = logEntry(1, '2027-07-01T06:00:00.000Z', { kind: 'level', depth: 0.04 });
  const two = logEntry(2, '2027-07-02T06:00:00.000Z', { kind: 'did', what: 'note' });

  test('what is corrected, taken out and put back; sent twice it is there once', () => {
    const better: LogEntry = {
      ...one,
      id: uuidOf(3),
      did: { kind: 'level', depth: 0.05 },
      instead: one.id,
    };
    expect(currentEntries([one, two, one]).map(({ id }) => id)).toEqual([two.id, one.id]);
    expect(currentEntries([better, one, two])).toEqual([two, better]);
    const out = takenOut(two, uuidOf(4));
    expect(currentEntries([one, two, out])).toEqual([one]);
    const back = putBack(two, out, uuidOf(5));
    expect(currentEntries([one, two, out, back]).map(({ id }) => id)).toEqual([back.id, one.id]);
  });

  test('in whatever order they come, the same holds', () => {
    const all = [one, two, takenOut(one, uuidOf(6)), { ...two, id: uuidOf(7), instead: two.id }];
    fc.assert(
      fc.property(fc.shuffledSubarray(all, { minLength: all.length }), (mixed) => {
        expect(currentEntries(mixed)).toEqual(currentEntries(all));
      }),
    );
  });
});

describe('how a planter stands', () => {
  const design = STARTING_POINTS.find(({ id }) => id === 'cloth-pail')!.design;
  const stands = (entries: LogEntry[], planted: string | null = null) =>
    stateOf({ design, planted, entries, site: SITES.vallesol, days: [], today: TODAY });
  const full = (date: string) =>
    logEntry(1, `${date}T06:00:00.000Z`, {
      kind: 'filled',
      where: 'tube',
      volume: null,
      ran: true,
    });

  test('nothing is said before somebody has said that it is planted', () => {
    expect(stands([])).toBeNull();
    expect(stands([], '2027-09-01')).toBeNull();
    expect(stands([], '2027-05-01')).toMatchObject({ certain: false, wants: 'look' });
  });

  test('filled this morning it is full; long ago it is to be filled now', () => {
    const now = stands([full(TODAY)], '2027-05-01')!;
    expect(now).toMatchObject({ certain: true });
    expect(now.room.middle).toBeCloseTo(0, 6);
    expect(now.forecast.level.middle).toBeCloseTo(evaluate(design).planter.heights.brim, 6);
    expect(now.daysLeft.likely).toBeGreaterThan(0);
    const late = stands([full(dayAfter(TODAY, -4))], '2027-05-01')!;
    expect(late.wants).toMatch(/now|look|soon/);
    expect(late.room.middle).toBeGreaterThan(0.002);
  });

  test('days that a station told are the weather that was; a hot dry week leaves less', () => {
    // Kept moist, so that what is drunk hangs on the weather and not on the wick alone.
    const entries = Array.from({ length: 18 }, (_, i) => ({
      ...full(dayAfter(TODAY, -1 - 2 * i)),
      id: `00000000-0000-4000-8000-0000000001${String(i).padStart(2, '0')}`,
    }));
    const days = [1, 2, 3].map((ago) => ({
      date: dayAfter(TODAY, -ago),
      tMin: 22,
      tMax: 42,
      rain: 0,
    }));
    const ask = (told: typeof days) =>
      stateOf({
        design,
        planted: '2027-05-01',
        entries,
        site: SITES.vallesol,
        days: told,
        today: TODAY,
      })!;
    expect(ask(days).forecast.level.middle).toBeLessThan(ask([]).forecast.level.middle);
    const mild = days.map((day) => ({ ...day, tMin: 8, tMax: 14 }));
    expect(ask(mild).forecast.level.middle).toBeGreaterThan(ask([]).forecast.level.middle);
  });

  test('planted is planted, whatever was planned', () => {
    const planted = logEntry(2, '2027-07-10T06:00:00.000Z', { kind: 'did', what: 'planted' });
    const state = stands([planted], '2027-09-01')!;
    expect(state).toMatchObject({ planted: '2027-07-10', certain: true });
    expect(state.thirst.fullOn).toBeNull();
    expect(state.past.from).toBe('2027-07-10');
    expect(state.duties.map(({ id }) => id)).toContain('top');
  });
});
