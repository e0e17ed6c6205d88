import fc from 'fast-check';
import { daysBetween } from '../../physics/climate';
import { STARTING_POINTS } from '../../document';
import { assemble } from '../../assembly';
import { logEntry } from '../../testing/entries';
import { LOG_LINES } from '../../testing/logLines';
import { tell, type UnitSystem } from '../../units';
import { logEntrySchema, type EntryBody } from '../entry';
import { describeEntry } from '../words';
import { linePlanterOf, readLine } from '.';
import { editsBetween } from './vocabulary';

const TODAY = '2027-07-15';
/** A planter that holds 8 litres, 80 mm deep. */
const POT = {
  depthOf: (volume: number) => Math.min(volume / 0.1, 0.08),
  full: 0.08,
  rim: 0.35,
  holds: 0.008,
};

const figure = (value: number, places: number) => String(Number(value.toFixed(places)));
const joined = (...parts: (string | number | false | null)[]) =>
  parts.filter((part) => part !== false && part !== null && part !== '').join(' ');

/** A deed in short, as the table has it. */
function short(did: EntryBody): string {
  switch (did.kind) {
    case 'filled':
      return joined(
        'fill',
        did.volume !== null && `${figure(did.volume * 1000, 3)}L`,
        did.where === 'top' && 'top',
        did.ran && 'ran',
      );
    case 'level':
      return `level ${figure(did.depth * 1000, 1)}mm`;
    case 'finger':
      return `finger ${figure(did.depth * 1000, 1)}mm ${did.feels}`;
    case 'rain':
      return `rain ${figure(did.depth * 1000, 1)}mm`;
    case 'fed':
      return joined('fed', did.mass !== null && `${figure(did.mass * 1000, 2)}g`, did.what);
    case 'harvested':
      return joined(
        'pick',
        did.mass !== null && `${figure(did.mass * 1000, 0)}g`,
        did.count,
        did.what,
      );
    case 'did':
      return did.what;
    default:
      return did.kind;
  }
}

function tells(typed: string, system: UnitSystem): string {
  const reading = readLine(typed, { today: TODAY, system, planter: POT });
  if (!reading.ok) return 'no';
  const { deeds, date, time, doubts } = reading.line;
  const days = daysBetween(TODAY, date);
  return joined(
    doubts.length > 0 && '?',
    deeds.map(({ did }) => short(did)).join(' + '),
    days !== 0 && `@${days > -60 ? days : date}`,
    time !== null && `T${time.slice(0, 2)}`,
  );
}

test.each<[UnitSystem, keyof typeof LOG_LINES]>([
  ['metric', 'both'],
  ['us', 'both'],
  ['us', 'us'],
  ['metric', 'metric'],
])('in %s every line of the table that is for %s is understood', (system, part) => {
  const table = LOG_LINES[part];
  expect(table.length).toBeGreaterThan(100);
  const wrong = table.flatMap(([typed, wanted]) => {
    const told = tells(typed, system);
    const right = wanted === '?' ? told.startsWith('?') : told === wanted;
    return right ? [] : [`${typed}: ${told} instead of ${wanted}`];
  });
  expect(wrong).toEqual([]);
});

const read = (typed: string, system: UnitSystem = 'metric') => {
  const reading = readLine(typed, { today: TODAY, system });
  if (!reading.ok) throw new Error(reading.message);
  return reading.line;
};

test('what stands beside a deed is kept as its words', () => {
  const texts = (typed: string) => read(typed).deeds.map(({ text }) => text);
  expect(texts('hot day, filled 6 L, looks thirsty')).toEqual(['hot day; looks thirsty']);
  expect(texts('neighbour filled 6 L')).toEqual(['by neighbour']);
  expect(texts('aphids on the Swiss chard')).toEqual(['aphids on the Swiss chard']);
  expect(texts('The neighbour’s Cat slept in it')).toEqual(['The neighbour’s Cat slept in it']);
});

test('a bare number is in the garden’s own unit, a can is one’s own', () => {
  const volumeOf = (typed: string, system: UnitSystem, can?: number) => {
    const reading = readLine(typed, { today: TODAY, system, ...(can ? { can } : {}) });
    return reading.ok ? (reading.line.deeds[0]!.did as { volume: number }).volume : NaN;
  };
  expect(volumeOf('filled 2', 'us')).toBeCloseTo(0.00757, 5);
  expect(volumeOf('filled 2 cans', 'metric', 0.007)).toBeCloseTo(0.014, 9);
});

test('a level told in litres or as a share is a depth in the planter that it is about', () => {
  const { design } = STARTING_POINTS[0]!;
  const planter = linePlanterOf(design);
  const { storage, heights } = assemble(design);
  const depthOf = (typed: string): number => {
    const reading = readLine(typed, { today: TODAY, system: 'metric', planter });
    return reading.ok ? (reading.line.deeds[0]!.did as { depth: number }).depth : NaN;
  };
  for (const [typed, litres] of [
    ['stick 3 L', 3],
    ['dip stick reads 0,8 gal', 3.03],
    ['level 3 litres', 3],
    ['float at 12 cups', 2.84],
  ] as const)
    expect(storage.volumeBelow(depthOf(typed)) * 1000).toBeCloseTo(litres, 1);
  // More than it holds is full.
  expect(depthOf('stick 90 L')).toBe(heights.invert);
  expect(depthOf('half on the stick')).toBeCloseTo(heights.invert! / 2, 12);
  const asked = readLine('stick 3 L', { today: TODAY, system: 'metric' });
  expect(asked.ok && asked.line.doubts.join()).toMatch(/^Say how deep the water is/);
});

test.each([
  ['filled 30 L', /30\sL into a planter that holds 8\sL: is the unit right/],
  ['stick 36 cm', /above the rim/],
  ['stick 12 cm', /above the overflow at 80\smm/],
  ['rain 30 in', /is a flood/],
  ['fed 3 kg granules', /is much/],
  ['watered a bit', /Say how much went in/],
  ['filled 6 L on 2026-01-01', /more than a year ago/],
])('%s is asked about, with what is doubtful', (typed, doubt) => {
  const reading = readLine(typed, { today: TODAY, system: 'metric', planter: POT });
  expect(reading.ok && reading.line.doubts.join()).toMatch(doubt);
});

test('whatever is read is within what an entry can say; what is beyond says how much that is', () => {
  const words = [
    'stick',
    'rain',
    'filled',
    'finger dry at',
    'fed',
    'picked',
    'dug moist',
    'x, fed',
  ];
  const units = ['m', 'mm', 'cm', 'ft', 'in', 'L', 'gal', 'm3', 'kg', 'lb', 'cans', 'tbsp', ''];
  fc.assert(
    fc.property(
      fc.constantFrom(...words),
      fc.double({ min: 0, max: 1e7, noNaN: true }),
      fc.constantFrom(...units),
      fc.constantFrom('metric' as const, 'us' as const),
      (word, value, unit, system) => {
        const reading = readLine(`${word} ${value.toFixed(2)} ${unit}`, { today: TODAY, system });
        if (!reading.ok) return;
        for (const { did, text } of reading.line.deeds) {
          const entry = { ...logEntry(1, reading.line.date, did), text };
          expect(logEntrySchema.safeParse(entry).error).toBeUndefined();
        }
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
    expect(
      (readLine(line, { today: TODAY, system: 'metric' }) as { message: string }).message,
    ).toMatch(most);
});

test('nothing that can be typed makes it throw, and what is read can be kept and said', () => {
  const word = fc.constantFrom(
    ...'filled stick rain finger fed picked planted 3 2 L 1/2 cup 4 cm dry 12 mm - ; , and half a can'.split(
      ' ',
    ),
    ...'yesterday Tue till it ran 2 days ago at 7 not ? " ½ 14.7. 7/14 wick overflow ran compost'.split(
      ' ',
    ),
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(word, { maxLength: 12 }).map((words) => words.join(' ')),
      ),
      fc.constantFrom('metric' as const, 'us' as const),
      (typed, system) => {
        const reading = readLine(typed, { today: TODAY, system, planter: POT });
        if (!reading.ok) {
          expect(reading.message).toMatch(/\.$/);
          return;
        }
        const { deeds, date } = reading.line;
        expect(date <= TODAY).toBe(true);
        expect(deeds.length).toBeGreaterThan(0);
        for (const { did, text } of deeds) {
          const entry = { ...logEntry(1, date, did), text };
          expect(logEntrySchema.safeParse(entry).error).toBeUndefined();
          expect(tell(describeEntry(did), 'us').length).toBeGreaterThanOrEqual(3);
        }
      },
    ),
    { numRuns: 600 },
  );
});

test('edits between words: letters changed, left out, added or swapped', () => {
  expect(editsBetween('filed', 'filled')).toBe(1);
  expect(editsBetween('rian', 'rain')).toBe(1);
  expect(editsBetween('', 'rain')).toBe(4);
  fc.assert(
    fc.property(fc.string({ maxLength: 9 }), fc.string({ maxLength: 9 }), (a, b) => {
      expect(editsBetween(a, b)).toBe(editsBetween(b, a));
      expect(editsBetween(a, a)).toBe(0);
      expect(editsBetween(a, b)).toBeLessThanOrEqual(Math.max(a.length, b.length));
      expect(editsBetween(a, b)).toBeGreaterThanOrEqual(Math.abs(a.length - b.length));
    }),
  );
});

test('day and month come in the order that somebody chose, whatever they measure in', () => {
  const dayOf = (typed: string, monthFirst: boolean, system: UnitSystem) => {
    const reading = readLine(typed, { today: TODAY, system, monthFirst });
    return reading.ok ? reading.line.date : reading.message;
  };
  expect(dayOf('on 6/7 filled', true, 'metric')).toBe('2027-06-07');
  expect(dayOf('on 6/7 filled', false, 'us')).toBe('2027-07-06');
  // Where only one order can be, it is that.
  expect(dayOf('14/6 filled', true, 'us')).toBe('2027-06-14');
  expect(dayOf('6/14 filled', false, 'metric')).toBe('2027-06-14');
});
