import { createRequire } from 'node:module';
import { PAPERS, type PaperId } from '@huerta/core/fabrication';
import PDFDocument from 'pdfkit';
import { fontIn } from './woff';

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

/** Faces for words with letters that the faces above have not: Latin with all accents, Greek, Cyrillic. */
const WIDER = {
  body: locate('dejavu-fonts-ttf/ttf/DejaVuSans.ttf'),
  bold: locate('dejavu-fonts-ttf/ttf/DejaVuSans-Bold.ttf'),
  heading: locate('dejavu-fonts-ttf/ttf/DejaVuSerif-Bold.ttf'),
} as const satisfies Record<FontId, string>;
const widerOf = (font: string): string => `${font}-wider`;

/** Height of a capital as a share of the type size, in the body face. */
const CAPITAL = 0.668;

/** Sets face and size. @param size type size in points */
export const type = (pdf: Pdf, font: FontId, size: number): Pdf =>
  pdf.font(font).fontSize(size).fillColor(INK);

/** Type size, in points, whose capitals are so high. @param capital metres */
export const sizeFor = (capital: number): number => points(capital) / CAPITAL;

/**
 * Makes a PDF. `draw` adds every page by `pdf.addPage`.
 *
 * @param foot what stands at the foot of every page with its number, where there are several; nothing by default
 */
export async function makePdf(
  title: string,
  draw: (pdf: Pdf) => void,
  foot?: string,
): Promise<Buffer> {
  const pdf = new PDFDocument({
    autoFirstPage: false,
    margin: 0,
    bufferPages: foot !== undefined,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, Creator: 'Huerta', Producer: 'Huerta' },
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, fontIn(file));
  for (const [name, file] of Object.entries(WIDER)) pdf.registerFont(widerOf(name), fontIn(file));
  writeAnyName(pdf);
  const parts: Buffer[] = [];
  pdf.on('data', (part: Buffer) => parts.push(part));
  const whole = new Promise<Buffer>((done, fail) => {
    pdf.on('end', () => done(Buffer.concat(parts)));
    pdf.on('error', fail);
  });
  draw(pdf);
  if (foot !== undefined) number(pdf, foot);
  pdf.end();
  return whole;
}

/** Edge of a sheet on which its number stands, points. */
const FOOT = 20;

/** Numbers pages at their foot: loose sheets find each other again. */
function number(pdf: Pdf, foot: string): void {
  const { count } = pdf.bufferedPageRange();
  if (count < 2) return;
  for (let i = 0; i < count; i += 1) {
    pdf.switchToPage(i);
    const { width, height } = pdf.page;
    type(pdf, 'body', 8).text(foot, FOOT * 1.5, height - FOOT, {
      width: width * 0.7,
      height: 10,
      ellipsis: true,
      lineBreak: false,
    });
    pdf.text(`${i + 1} of ${count}`, width * 0.75, height - FOOT, {
      width: width * 0.25 - FOOT * 1.5,
      align: 'right',
      lineBreak: false,
    });
  }
}

/** What pdfkit keeps of the face in hand; its types leave it out. */
interface FaceInHand {
  _font?: { font?: { hasGlyphForCodePoint?(code: number): boolean } };
}

/** What no face has, as an emoji or another script, is written so. */
const PLAIN_MARK = '◆';
const letters = new Intl.Segmenter('en', { granularity: 'grapheme' });

/** Words as they can be written: a plain mark for each letter that the face in hand has not. */
const written = (words: string, covered: (letter: string) => boolean): string =>
  covered(words)
    ? words
    : Array.from(letters.segment(words), ({ segment }) =>
        covered(segment) ? segment : PLAIN_MARK,
      ).join('');

/** Lets every text be set in a wider face where the one in hand lacks one of its letters. */
function writeAnyName(pdf: Pdf): void {
  const [setFont, text, width, height] = [
    pdf.font,
    pdf.text,
    pdf.widthOfString,
    pdf.heightOfString,
  ].map((method) => (method as (...of: unknown[]) => unknown).bind(pdf)) as ((
    ...of: unknown[]
  ) => never)[];
  let inHand = 'body';
  const covered = (words: string): boolean => {
    const face = (pdf as unknown as FaceInHand)._font?.font;
    return [...words].every((letter) => {
      const code = letter.codePointAt(0) ?? 0;
      return code < 32 || face?.hasGlyphForCodePoint?.(code) !== false;
    });
  };
  const inAFaceFor = (draw: (...of: unknown[]) => never) =>
    ((words: unknown, ...rest: unknown[]) => {
      if (typeof words !== 'string' || covered(words)) return draw(words, ...rest);
      setFont?.(widerOf(inHand));
      try {
        return draw(written(words, covered), ...rest);
      } finally {
        setFont?.(inHand);
      }
    }) as never;
  pdf.font = ((name: string, ...rest: unknown[]) => {
    inHand = name;
    return setFont?.(name, ...rest);
  }) as never;
  if (text) pdf.text = inAFaceFor(text);
  if (width) pdf.widthOfString = inAFaceFor(width);
  if (height) pdf.heightOfString = inAFaceFor(height);
}

/** A new sheet, upright. */
export function addSheet(pdf: Pdf, paper: PaperId): { width: number; height: number } {
  const width = points(PAPERS[paper].width);
  const height = points(PAPERS[paper].height);
  pdf.addPage({ size: [width, height], margin: 0 });
  return { width, height };
}
