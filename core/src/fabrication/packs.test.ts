import fc from 'fast-check';
import { readQuantity, writeQuantity } from '../units';
import { ingredientGood, mixGood, pipeGood, drainPipe, postGood, SMALL_GOODS } from './goods';
import { boughtOf, packKind } from './buying';
import { NEW_BOOK, packsIn } from './priceBook';
import { soldIn } from './packs';
import type { Good } from './goods';
import { tell } from '../units';

/** What is bought where people measure in inches is in the packs that stand on the shelf there. */

const sizes = (good: Good, units: 'metric' | 'us') =>
  packsIn(NEW_BOOK, good, units).packs.map(({ size }) =>
    writeQuantity(size, packKind(good.unit), units).replaceAll('\u00a0', ' '),
  );

test.each<[string, Good, string[], string[]]>([
  ['compost', ingredientGood('compost'), ['10 L', '20 L', '50 L'], ['8 qt', '16 qt', '2 ft³']],
  ['straw', SMALL_GOODS.mulch, ['60 L'], ['2 ft³']],
  ['sand', ingredientGood('sand'), ['25 kg', '1000 kg'], ['50 lb', '2000 lb']],
  ['lime', SMALL_GOODS.lime, ['2.5 kg'], ['5 lb']],
  ['feed', SMALL_GOODS.organic, ['1 kg'], ['2 lb']],
  ['posts', postGood(), ['2.4 m', '3 m', '3.6 m'], ['8 ft', '10 ft', '12 ft']],
  ['metric pipe', pipeGood('mm-50'), ['2 m'], ['10 ft']],
  ['inch pipe', pipeGood('in-1'), ['3.05 m'], ['10 ft']],
  ['drain pipe', drainPipe(0.1, true), ['3 m'], ['10 ft']],
  ['twine', SMALL_GOODS.string, ['50 m'], ['150 ft']],
  ['mesh', SMALL_GOODS.plantMesh, ['2 m²'], ['20 ft²']],
  ['caps', SMALL_GOODS.cap, ['1'], ['1']],
])('%s', (_what, good, metric, us) => {
  expect(sizes(good, 'metric')).toEqual(metric);
  expect(sizes(good, 'us')).toEqual(us);
});

test('a bag of ready mix is the bag of the design, in either system', () => {
  const bag = 0.033;
  for (const units of ['metric', 'us'] as const) {
    expect(packsIn(NEW_BOOK, mixGood('coir-perlite', bag), units).packs).toMatchObject([
      { size: bag },
    ]);
  }
});

test('one’s own packs stay as they were written, whatever one reads them in', () => {
  const good = ingredientGood('perlite');
  const book = { ...NEW_BOOK, prices: { EUR: { [good.id]: [{ size: 0.03, price: 11 }] } } };
  expect(packsIn(book, good, 'us')).toEqual({ packs: [{ size: 0.03, price: 11 }], typical: false });
});

test('a pack on another shelf is about as large, and costs the same for as much', () => {
  const units = fc.constantFrom('length', 'area', 'volume', 'mass');
  fc.assert(
    fc.property(
      units,
      fc.double({ min: 0.01, max: 0.08, noNaN: true }),
      fc.double({ min: 0.1, max: 500, noNaN: true }),
      (unit, share, price) => {
        // From the smallest to the largest pack of its kind.
        const size = { length: 1000, area: 100, volume: 1, mass: 1000 }[unit] * share;
        const sold = soldIn({ size, price }, unit, 'us');
        expect(Math.max(sold.size / size, size / sold.size)).toBeLessThan(4.8);
        expect(sold.price / sold.size).toBeCloseTo(price / size, 9);
        expect(soldIn({ size, price }, unit, 'metric')).toEqual({ size, price });
      },
    ),
  );
});

test('what is bought is told as it stands on the bag', () => {
  const quarts = readQuantity('16 qt', 'loose', 'us');
  if (!quarts.ok) throw new Error('quarts are read');
  expect(quarts.value).toBeCloseTo(0.01762, 5);
  const words = boughtOf({ unit: 'volume' }, [{ size: quarts.value, price: 1, count: 2 }]);
  expect(tell(words, 'us').replaceAll('\u00a0', ' ')).toBe('2 × 16 qt');
});
