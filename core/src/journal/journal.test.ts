import fc from 'fast-check';
import { evaluate } from '../assessment';
import { SITES } from '../catalog';
import { dayAfter } from '../physics/climate';
import { STARTING_POINTS } from '../document';
import { assemble, pour } from '../assembly';
import { tell } from '../units';
import {
  entryBodySchema,
  currentEntries,
  logEntrySchema,
  putBack,
  readLine,
  describeEntry,
  stateOf,
  takenOut,
  type EntryBody,
  type LogEntry,
} from '.';
import { logEntry, uuidOf } from '../testing/entries';

const TODAY = '2027-07-15';
describe('a line as people type it', () => {
  const read = (line: string, system: 'metric' | 'us' = 'metric') => {
    const reading = readLine(line, TODAY, system);
    if (!reading.ok) throw new Error(reading.message);
    return reading.line;
  };

  test.each<[string, Partial<EntryBody> & { kind: EntryBody['kind'] }, string]>([
    [
      'filled 6 L till it ran yesterday',
      { kind: 'filled', volume: 0.006, ran: true, where: 'tube' },
      '2027-07-14',
    ],
    ['filled', { kind: 'filled', volume: null, ran: false }, TODAY],
    ['Filled until the overflow ran', { kind: 'filled', volume: null, ran: true }, TODAY],
    ['watered 500 ml on top', { kind: 'filled', volume: 0.0005, where: 'top' }, TODAY],
    ['stick 4 cm', { kind: 'level', depth: 0.04 }, TODAY],
    ['dip stick: 40', { kind: 'level', depth: 0.04 }, TODAY],
    ['rain 12 mm 3 days ago', { kind: 'rain', depth: 0.012 }, '2027-07-12'],
    ['no rain', { kind: 'rain', depth: 0 }, TODAY],
    ['finger dry', { kind: 'finger', depth: 0.05, feels: 'dry' }, TODAY],
    ['finger 10 cm damp', { kind: 'finger', depth: 0.1, feels: 'moist' }, TODAY],
    ['fed 30 g granules', { kind: 'fed', mass: 0.03, what: 'granules' }, TODAY],
    ['picked 4 lettuces', { kind: 'harvested', count: 4, what: 'lettuces', mass: null }, TODAY],
    ['harvested 1.2 kg of tomatoes', { kind: 'harvested', mass: 1.2, what: 'tomatoes' }, TODAY],
    ['cleared the overflow on 2027-07-01', { kind: 'did', what: 'overflow' }, '2027-07-01'],
    ['aphids on the chard', { kind: 'did', what: 'trouble' }, TODAY],
    ['new wick on Monday', { kind: 'did', what: 'wick' }, '2027-07-12'],
    ['the neighbour’s cat slept in it', { kind: 'did', what: 'note' }, TODAY],
  ])('%s', (line, did, date) => {
    const found = read(line);
    expect(found.date).toBe(date);
    for (const [key, value] of Object.entries(did)) {
      const got = found.did[key as keyof EntryBody] as unknown;
      if (typeof value === 'number') expect(got).toBeCloseTo(value, 9);
      else expect(got).toBe(value);
    }
  });

  test('a bare number is in the garden’s own unit', () => {
    expect(read('filled 2 till it ran', 'us').did).toMatchObject({ kind: 'filled', ran: true });
    expect((read('filled 2', 'us').did as { volume: number }).volume).toBeCloseTo(0.00757, 5);
    expect((read('stick 2', 'us').did as { depth: number }).depth).toBeCloseTo(0.0508, 4);
  });

  test('a level told in litres is a depth in the planter that it is about', () => {
    const planter = assemble(STARTING_POINTS[0]!.design);
    const depthOf = (volume: number) => pour(planter, volume).level;
    for (const line of [
      'stick 3 L',
      'dip stick reads 0,8 gal',
      'level 3 litres',
      'float at 12 cups',
    ]) {
      const reading = readLine(line, TODAY, 'metric', depthOf);
      const { depth } = (reading as { line: { did: { depth: number } } }).line.did;
      const litres = line.includes('gal') ? 3.03 : line.includes('cups') ? 2.84 : 3;
      expect(planter.storage.volumeBelow(depth) * 1000).toBeCloseTo(litres, 1);
    }
    // More than it holds is full.
    expect(readLine('stick 90 L', TODAY, 'metric', depthOf)).toMatchObject({
      line: { did: { depth: planter.heights.invert } },
    });
    expect(readLine('stick 3 L', TODAY, 'metric')).toMatchObject({ ok: false });
    expect(readLine('stick three L', TODAY, 'metric', depthOf)).toMatchObject({ ok: false });
  });

  test('what cannot be read says what to type; a day to come is refused', () => {
    for (const line of ['', 'filled a bit', 'stick high', 'rain cats', 'note on 2028-01-01']) {
      const reading = readLine(line, TODAY, 'metric');
      expect(reading.ok).toBe(false);
    }
  });

  test('whatever is read is within what an entry can say; what is beyond says how much that is', () => {
    const words = ['stick', 'rain', 'filled', 'finger dry at', 'fed', 'picked', 'dug moist'];
    const units = ['m', 'mm', 'cm', 'ft', 'in', 'L', 'gal', 'm3', 'kg', 'lb', 'tomatoes', ''];
    fc.assert(
      fc.property(
        fc.constantFrom(...words),
        fc.double({ min: 0, max: 1e7, noNaN: true }),
        fc.constantFrom(...units),
        fc.constantFrom('metric' as const, 'us' as const),
        (word, value, unit, system) => {
          const reading = readLine(`${word} ${value.toFixed(2)} ${unit}`, TODAY, system);
          if (!reading.ok) return;
          const { did, date, text } = reading.line;
          const entry = { ...logEntry(1, date, did), text };
          expect(logEntrySchema.safeParse(entry).error).toBeUndefined();
        },
      ),
      { numRuns: 400 },
    );
    for (const [line, most] of [
      ['stick 4 m', /3000\smm/],
      ['rain 1200 mm', /1000\smm/],
      ['filled 20000 L', /10.?000\sL/],
      ['x'.repeat(2001), /2000 letters/],
    ] as const)
      expect((readLine(line, TODAY, 'metric') as { message: string }).message).toMatch(most);
  });

  test('nothing that can be typed makes it throw, and what is read can be kept and said', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc
            .tuple(
              fc.constantFrom('filled', 'stick', 'rain', 'finger', 'fed', 'picked', 'planted'),
              fc.constantFrom('', '3', '2 L', '1/2 cup', '4 cm', 'dry', '12 mm', 'x', '-1'),
              fc.constantFrom('', 'yesterday', 'till it ran', '2 days ago'),
            )
            .map((words) => words.join(' ')),
        ),
        (line) => {
          const reading = readLine(line, TODAY, 'metric');
          if (!reading.ok) expect(reading.message).toMatch(/\.$/);
          else {
            expect(reading.line.date <= TODAY).toBe(true);
            const parsed = entryBodySchema.safeParse(reading.line.did);
            if (parsed.success)
              expect(tell(describeEntry(parsed.data), 'us').length).toBeGreaterThanOrEqual(3);
          }
        },
      ),
    );
  });
});

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

  test.each([
    ['filled 2 cans till it ran', 0.02],
    ['watered half a can', 0.005],
    ['filled a can', 0.01],
  ])('%s is so many litres', (line, volume) => {
    const reading = readLine(line, TODAY, 'metric');
    expect(reading.ok && reading.line.did).toMatchObject({ kind: 'filled', volume });
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
