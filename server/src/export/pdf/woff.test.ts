import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
import { fontIn, openTypeFrom } from './woff';

const { resolve } = createRequire(__filename);
const LETTERS = Array.from({ length: 95 }, (_, i) => String.fromCharCode(32 + i));

test.each([
  'bitter/files/bitter-latin-700-normal',
  'atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal',
])('%s has the letters of its WOFF file, as another reader reads that', (name) => {
  const file = resolve(`@fontsource/${name}.woff`);
  const pdf = new PDFDocument();
  const widths = (source: string | Buffer, as: string): number[] => {
    pdf.registerFont(as, source);
    pdf.font(as).fontSize(1000);
    return [...LETTERS, 'Fill tube, 5/8 in'].map((text) => pdf.widthOfString(text));
  };
  const read = widths(file, 'woff');
  expect(widths(fontIn(file), 'plain')).toEqual(read);
  expect(new Set(read).size).toBeGreaterThan(30);
});

test('what is no WOFF file is refused', () => {
  expect(() => openTypeFrom(Buffer.from('OTTO font'))).toThrow('no WOFF');
});
