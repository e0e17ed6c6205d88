import { moistureInk, wordsOn } from './fieldPaint';

/** A painting from rows of letters: wet, easy, dry. */
const classesOf = (rows: readonly string[]): [Uint8Array, number, number] => [
  Uint8Array.from([...rows.join('')].map((one) => 'wed'.indexOf(one))),
  rows[0]!.length,
  rows.length,
];

test('a word stands in the middle of the largest part of its kind, where it has room', () => {
  const width = 60;
  const rows = [
    ...Array.from({ length: 20 }, () => 'd'.repeat(width)),
    ...Array.from({ length: 19 }, () => 'e'.repeat(width)),
    // A film of wet that no word fits into.
    'w'.repeat(width),
  ];
  const words = wordsOn(...classesOf(rows));
  expect(words.map(({ moisture }) => moisture)).toEqual(['easy', 'dry']);
  const [easy, dry] = words;
  expect(dry!.y).toBeCloseTo(0.25, 1);
  expect(easy!.y).toBeCloseTo(0.74, 1);
});

test('of two parts of a kind the larger has the word, and never near an edge', () => {
  const rows = Array.from({ length: 30 }, () => 'd'.repeat(12) + 'e'.repeat(16) + 'd'.repeat(32));
  const words = wordsOn(...classesOf(rows));
  const dry = words.find(({ moisture }) => moisture === 'dry')!;
  expect(dry.x * 60).toBeGreaterThan(28 + 10);
  expect(dry.x * 60).toBeLessThan(60 - 10);
});

test('ink goes from water over moss to straw, without a jump between its steps', () => {
  const parts = (suction: number) => moistureInk(suction).match(/\d+/g)!.map(Number);
  expect(parts(0.01)).toEqual([18, 72, 112]);
  expect(parts(30)).toEqual([236, 214, 170]);
  let before = parts(0.01);
  for (let suction = 0.0101; suction < 20; suction *= 1.01) {
    const now = parts(suction);
    now.forEach((part, i) => expect(Math.abs(part - before[i]!)).toBeLessThan(4));
    before = now;
  }
});
