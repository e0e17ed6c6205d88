import { createRequire } from 'node:module';
import { PAPERS, type PaperId } from '@huerta/core';
import PDFDocument from 'pdfkit';

/** A PDF under the pen: lengths in metres become points, y runs down from the top of the sheet. */
export type Pdf = PDFKit.PDFDocument;

const POINTS = 72 / 0.0254;
export const points = (metres: number): number => metres * POINTS;
const INK = '#000';

const locate = createRequire(import.meta.url).resolve;
const FONTS = {
  body: locate(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff',
  ),
  bold: locate(
    '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff',
  ),
  heading: locate('@fontsource/bitter/files/bitter-latin-700-normal.woff'),
} as const;
export type FontId = keyof typeof FONTS;

/** Height of a capital as a share of the type size, in the body face. */
const CAPITAL = 0.668;

/** Sets face and size. @param size type size in points */
export const type = (pdf: Pdf, font: FontId, size: number): Pdf =>
  pdf.font(font).fontSize(size).fillColor(INK);

/** Type size, in points, whose capitals are so high. @param capital metres */
export const sizeFor = (capital: number): number => points(capital) / CAPITAL;

/** Makes a PDF. `draw` adds every page by `pdf.addPage`. */
export async function makePdf(title: string, draw: (pdf: Pdf) => void): Promise<Buffer> {
  const pdf = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    info: { Title: title, Creator: 'Huerta', Producer: 'Huerta' },
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, file);
  const parts: Buffer[] = [];
  pdf.on('data', (part: Buffer) => parts.push(part));
  const whole = new Promise<Buffer>((done, fail) => {
    pdf.on('end', () => done(Buffer.concat(parts)));
    pdf.on('error', fail);
  });
  draw(pdf);
  pdf.end();
  return whole;
}

/** A new sheet, upright. */
export function addSheet(pdf: Pdf, paper: PaperId): { width: number; height: number } {
  const width = points(PAPERS[paper].width);
  const height = points(PAPERS[paper].height);
  pdf.addPage({ size: [width, height], margin: 0 });
  return { width, height };
}
