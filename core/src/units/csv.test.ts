import fc from 'fast-check';
import { csvCell, DECIMAL_MARKS } from '.';

test.each([
  [1.5, '1,5'],
  ['0.250', '0,250'],
  ['-3.0', '-3,0'],
  [12, '12'],
  ['2026-05-01', '2026-05-01'],
  ['filled 1.5 L', 'filled 1.5 L'],
  ['1.2.3', '1.2.3'],
  ['', ''],
])('%p is %s where people write a comma', (value, written) => {
  expect(csvCell(value, 'comma')).toBe(written);
  expect(csvCell(value, 'point')).toBe(String(value));
});

test('a number is the same whichever mark it has', () => {
  fc.assert(
    fc.property(
      fc.double({ noNaN: true, noDefaultInfinity: true, min: -1e6, max: 1e6 }),
      (value) => {
        const text = value.toFixed(3);
        expect(Number(csvCell(text, 'comma').replace(',', '.'))).toBe(Number(text));
      },
    ),
  );
  expect(DECIMAL_MARKS.comma.between).not.toBe(',');
});
