import fc from 'fast-check';
import { KINDS } from './kinds';
import {
  q,
  readQuantity,
  say,
  tell,
  wordsIn,
  writeQuantity,
  type QuantityKind,
  type UnitSystem,
} from '.';
import { writeNumber } from './write';

const plain = (text: string) => text.replaceAll('\u00a0', ' ');
const read = (text: string, kind: QuantityKind = 'length', system: UnitSystem = 'metric') => {
  const reading = readQuantity(text, kind, system);
  if (!reading.ok) throw new Error(reading.message);
  return reading.value;
};

describe('reading what people type', () => {
  test.each([
    ['4 1/2 in', 0.1143],
    ['4-1/2"', 0.1143],
    ['4½"', 0.1143],
    ['4.5"', 0.1143],
    ['11,4 cm', 0.114],
    ['114', 0.114],
    ['.5 m', 0.5],
    ['1/2 in', 0.0127],
    ['2 ft 3 in', 27 * 0.0254],
    ['2\'3"', 27 * 0.0254],
    ['2 ft 3 1/2 in', 27.5 * 0.0254],
    ['  300MM ', 0.3],
    ['0,125 m', 0.125],
  ])('%s is %d m', (text, metres) => expect(read(text)).toBeCloseTo(metres, 12));

  test.each([
    ['5 gal', 'volume', 0.018927],
    ['19 L', 'volume', 0.019],
    ['500 ml', 'volume', 0.0005],
    ['90 lb', 'mass', 40.8233133],
    ['1 lb 8 oz', 'mass', 0.680389],
    ['10', 'flow', 10 / 60000],
    ['15 %', 'share', 0.15],
    ['2 weeks', 'days', 14],
    ['0.02 m3', 'volume', 0.02],
  ] as const)('%s of %s is %d', (text, kind, value) =>
    expect(read(text, kind)).toBeCloseTo(value, 6),
  );

  test('a bare number is in the unit of the field', () => {
    expect(read('4 1/2', 'length', 'us')).toBeCloseTo(0.1143, 12);
    expect(read('5', 'volume', 'us')).toBeCloseTo(0.018927, 6);
  });

  test.each([
    ['', 'needs a length'],
    ['-4', 'below zero'],
    ['wide', 'not a length that can be read'],
    ['4 furlongs', '‘furlongs’ is not a unit'],
    ['4 1/0 in', 'over zero'],
    ['1,200', 'two ways. Type 1200, or 1.200'],
    ['1.2.3', 'more than one decimal mark'],
    ['2 ft 3', 'Give every part'],
    ['4 L', '‘l’ is not a unit of length'],
    ['NaN', 'not a length that can be read'],
    ['4 toString', 'is not a unit'],
  ])('%s is refused with a sentence', (text, part) => {
    const reading = readQuantity(text, 'length', 'metric');
    expect(reading.ok ? '' : reading.message).toContain(part);
  });

  test.each<[string, number]>([
    ['2 cu ft', 0.056633693184],
    ['1.5 cubic feet', 0.042475269888],
    ['1 yd3', 0.764554857984],
    ['half a cubic yard', 0.382277428992],
    ['3 cups', 0.000709765],
    ['2 tbsp', 0.0000295735],
    ['1 1/2 pints', 0.000709765],
    ['a quart', 0.000946353],
  ])('%s is read as people say it', (text, value) => {
    const reading = readQuantity(text, 'volume', 'us');
    expect(reading.ok && reading.value).toBeCloseTo(value, 8);
  });

  test('half a bag is half of the bags at hand', () => {
    const bags = { bag: 0.06, bags: 0.06 };
    expect(readQuantity('half a bag', 'volume', 'metric', bags)).toEqual({ ok: true, value: 0.03 });
    expect(readQuantity('2 1/2 bags', 'volume', 'metric', bags)).toEqual({ ok: true, value: 0.15 });
    expect(readQuantity('half a bag', 'volume', 'metric').ok).toBe(false);
  });

  test('amounts of one sentence are in one unit, as long as none is lost in it', () => {
    const gallon = 0.003785411784;
    const told = (...gallons: number[]) =>
      tell(
        gallons.flatMap((one, i) =>
          i > 0 ? [' of ', q(one * gallon, 'volume')] : [q(one * gallon, 'volume')],
        ),
        'us',
      ).replace(/\u00a0/g, ' ');
    expect(told(0.3)).toBe('4 3/4 cups');
    expect(told(0.3, 0.8)).toBe('4 3/4 cups of 12 3/4 cups');
    expect(told(0.45, 1.3)).toBe('0.45 gal of 1.3 gal');
    expect(told(0.05, 1.3)).toBe('3/4 cup of 1.3 gal');
    expect(told(2, 1.3)).toBe('2 gal of 1.3 gal');
    expect(tell([q(0.02, 'loose'), ' of ', q(0.06, 'loose')], 'us').replace(/\u00a0/g, ' ')).toBe(
      '0.7 ft³ of 2.1 ft³',
    );
    expect(tell([q(0.3 * gallon, 'volume'), q(1.3 * gallon, 'volume')], 'metric')).toMatch(/L.*L$/);
  });

  test('what is scooped is written in cups and spoons', () => {
    const cup = 0.0002365882365;
    expect(writeQuantity(1.5 * cup, 'scoop', 'us')).toBe('1\u00a01/2\u00a0cups');
    expect(writeQuantity(cup / 4, 'scoop', 'us')).toBe('1/4\u00a0cup');
    expect(writeQuantity(cup / 8, 'scoop', 'us')).toBe('2\u00a0tbsp');
    expect(writeQuantity(cup / 100, 'scoop', 'us')).toBe('1/2\u00a0tbsp');
    expect(writeQuantity(cup, 'scoop', 'metric')).toBe('237\u00a0mL');
  });

  test('nothing that can be typed makes it throw', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const reading = readQuantity(text, 'length', 'us');
        return !reading.ok || (Number.isFinite(reading.value) && reading.value >= 0);
      }),
    );
  });
});

describe('writing', () => {
  test.each([
    [0.1143, 'length', 'us', '4 1/2 in'],
    [0.0238125, 'length', 'us', '15/16 in'],
    [0.02539, 'length', 'us', '1 in'],
    [0, 'length', 'us', '0 in'],
    [-0.009, 'length', 'metric', '−9 mm'],
    [0.0035, 'length', 'metric', '3.5 mm'],
    [0.0114, 'volume', 'metric', '11.4 L'],
    [0.00045, 'volume', 'metric', '0.45 L'],
    [0.018927, 'volume', 'us', '5 gal'],
    [0.0006, 'volume', 'us', '2 1/2 cups'],
    [0.00024, 'volume', 'us', '1 cup'],
    [0, 'volume', 'us', '0 gal'],
    [1e-7, 'volume', 'us', '0 gal'],
    [0.0012 / 86_400, 'daily', 'us', '5 cups a day'],
    [0.26, 'span', 'metric', '26 cm'],
    [1, 'days', 'metric', '1 day'],
    [Infinity, 'days', 'metric', '∞ days'],
    [0.255, 'share', 'metric', '26%'],
    // By the foot as shops name it, with the real length a little more.
    [2.4, 'pack', 'us', '8 ft'],
    [3.048, 'pack', 'us', '10 ft'],
    [2, 'pack', 'us', '6.6 ft'],
    [2.5, 'pack', 'us', '8.2 ft'],
    [2.4, 'pack', 'metric', '2.4 m'],
    // What is needed is never told shorter, or longer, than it is.
    [1.88, 'stock', 'us', '6.2 ft'],
    [1.8, 'stock', 'us', '5.9 ft'],
    // Planed softwood: PS 20 names it by what it was sawn to.
    [0.0381, 'lumber', 'us', '1 1/2 in (2-by lumber)'],
    [0.019, 'lumber', 'us', '3/4 in (1-by lumber)'],
    [0.02, 'lumber', 'us', '13/16 in'],
    [0.028, 'lumber', 'us', '1 1/8 in'],
    [0.0381, 'lumber', 'metric', '38 mm'],
    // Soil by the dry quart and the cubic foot, as its bags are.
    [0.01762, 'loose', 'us', '16 qt'],
    [0.0283168, 'loose', 'us', '1 ft³'],
    [0.207, 'loose', 'us', '7.3 ft³'],
    [0.02, 'loose', 'metric', '20 L'],
    [4, 'dose', 'us', '4 oz per ft³'],
    [0.005, 'slope', 'us', '1/16 in per ft'],
  ] as const)('%d %s in %s is %s', (value, kind, system, text) =>
    expect(plain(writeQuantity(value, kind, system))).toBe(text),
  );

  test('what is written reads back to within the rounding', () => {
    const kinds = (Object.keys(KINDS) as QuantityKind[]).filter(
      // A count has no unit, and lumber is told by name.
      (k) => k !== 'count' && k !== 'lumber',
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom<UnitSystem>('metric', 'us'),
        fc.integer({ min: 1, max: 900 }),
        (kind, system, n) => {
          const style = KINDS[kind].style[system];
          const units: Record<string, number> = KINDS[kind].units;
          const factor = style.unit === '' ? 1 : (units[style.unit] ?? 0);
          const text = writeQuantity(n * factor, kind, system);
          expect(read(text, kind, system) / factor).toBeCloseTo(n, 6);
        },
      ),
    );
  });

  test('a message keeps SI until it is told', () => {
    const message = say`Lip at ${q(0.118, 'length')}, ${say`holds ${q(0.0114, 'volume')}`}.`;
    expect(plain(tell(message, 'metric'))).toBe('Lip at 118 mm, holds 11.4 L.');
    expect(plain(tell(message, 'us'))).toBe('Lip at 4 5/8 in, holds 3 gal.');
  });
});

describe('the decimal comma', () => {
  test.each([
    [1344, 0, '1344', '1344'],
    [11.4, 1, '11.4', '11,4'],
    [0.354, 2, '0.35', '0,35'],
    [2, 1, '2', '2'],
    [-0.04, 1, '0', '0'],
    [-2.5, 1, '−2.5', '−2,5'],
    [1234567.891, 2, '1234567.89', '1234567,89'],
  ])('%d to %d places is %s, or %s', (value, places, point, comma) => {
    expect(writeNumber(value, places)).toBe(point);
    expect(writeNumber(value, places, 'comma')).toBe(comma);
  });

  test('is in every quantity and sentence, and never in a fraction of an inch', () => {
    const words = wordsIn('metric', 'comma');
    expect(plain(words.write(0.0114, 'volume'))).toBe('11,4 L');
    expect(plain(words.tell(say`Pour in ${q(0.0114, 'volume')}, no more.`))).toBe(
      'Pour in 11,4 L, no more.',
    );
    expect(words.parts(0.0114, 'volume').number).toBe('11,4');
    expect(plain(wordsIn('us', 'comma').write(0.1143, 'length'))).toBe('4 1/2 in');
    expect(plain(words.money(4.5, 'EUR'))).toBe('4,50 €');
    expect(plain(wordsIn('us').money(4.5, 'USD'))).toBe('$4.50');
  });

  test('changes nothing but the mark, and what is written so is read as what it was', () => {
    const kinds = Object.keys(KINDS) as QuantityKind[];
    fc.assert(
      fc.property(
        fc.constantFrom(...kinds),
        fc.constantFrom<UnitSystem>('metric', 'us'),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (kind, units, value) => {
          const [point, comma] = [wordsIn(units), wordsIn(units, 'comma')].map((words) =>
            words.write(value, kind),
          );
          expect(comma).toBe(point!.replace(/(\d)\.(\d)/g, '$1,$2'));
          const [a, b] = [point!, comma!].map((text) => readQuantity(plain(text), kind, units));
          expect(b).toEqual(a!.ok ? a : expect.objectContaining({ ok: false }));
        },
      ),
    );
  });
});

test('a flow that only trickles is told by the hour and never as nothing', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('metric' as const, 'us' as const),
      fc.double({ min: 1e-8, max: 1e-3, noNaN: true }),
      (units, flow) => {
        expect(Number.parseFloat(writeQuantity(flow, 'flow', units))).toBeGreaterThan(0);
      },
    ),
  );
  expect(plain(writeQuantity(1e-6, 'flow', 'us'))).toBe('0.95 gal/h');
});
