import { readMeans } from './readMeans';

const cases: readonly (readonly [string, object])[] = [
  ['2 totes 60 L', { vessels: [{ vessel: 'tote-70', count: 2 }] }],
  ['three 5 gal buckets', { vessels: [{ vessel: 'pail-20', count: 3 }] }],
  ['a barrel', { vessels: [{ vessel: 'barrel-200', count: 1 }] }],
  ['half barrel', { vessels: [{ vessel: 'barrel-half', count: 1 }] }],
  ['4 x 20-litre pails', { vessels: [{ vessel: 'pail-20', count: 4 }] }],
  ['3 m of 100 mm pipe', { means: [{ what: 'pipe', amount: 3, across: 0.11 }] }],
  ['10 ft of 4 in drain pipe', { means: [{ what: 'drain-pipe', amount: 3.048, across: 0.1016 }] }],
  ['some drain pipe', { means: [{ what: 'drain-pipe', amount: 3, across: null }] }],
  ['an old shirt', { means: [{ what: 'cloth', amount: 0.5, across: null }] }],
  ['9 bottles', { means: [{ what: 'bottles', amount: 9, across: null }] }],
  ['2 bags of potting mix 40 L', { means: [{ what: 'mix', amount: 0.08, across: null }] }],
  ['25 kg gravel', { means: [{ what: 'stone', amount: 0.0161, across: null }] }],
  ['4 boards 2.4 m', { means: [{ what: 'boards', amount: 9.6, across: null }] }],
  ['a goat', { unread: ['a goat'] }],
];

/** Amounts to a tenth of a litre or millimetre. */
const rounded = ({ vessels, means, unread }: ReturnType<typeof readMeans>) => ({
  ...{ vessels, unread },
  means: means.map((one) => ({ ...one, amount: Number(one.amount.toFixed(4)) })),
});

test.each(cases)('%s', (line, expected) => {
  expect(rounded(readMeans(line))).toEqual({ vessels: [], means: [], unread: [], ...expected });
});

test('a whole sentence is taken apart at its commas and ands', () => {
  const read = readMeans('two totes, some drain pipe and an old shirt, and a goat');
  expect(read.vessels).toEqual([{ vessel: 'tote-70', count: 2 }]);
  expect(read.means.map(({ what }) => what)).toEqual(['drain-pipe', 'cloth']);
  expect(read.unread).toEqual(['a goat']);
});
