import { addSheet, type, type FontId, type Pdf } from './page';
import type { PaperId } from '@huerta/core/fabrication';

/** Words that flow down a sheet, or down columns of it, and on to the next. All in points. */

const EDGE = 31;
const GUTTER = 14;

interface Column {
  x: number;
  width: number;
}

export interface Flow {
  readonly pdf: Pdf;
  /** Sheet, and where the next thing goes. */
  readonly width: number;
  readonly height: number;
  y: number;
  /** The columns that things flow down, and the one that is written in. */
  columns: readonly Column[];
  column: number;
  /** Where the columns begin on this sheet. */
  top: number;
  readonly paper: PaperId;
}

export function beginFlow(pdf: Pdf, paper: PaperId): Flow {
  const { width, height } = addSheet(pdf, paper);
  const columns = [{ x: EDGE, width: width - 2 * EDGE }];
  return { pdf, paper, width, height, y: EDGE, columns, column: 0, top: EDGE };
}

export const here = ({ columns, column }: Flow): Column => columns[column] as Column;

/** Goes on in so many columns from here. */
export function inColumns(flow: Flow, count: number): void {
  const whole = flow.width - 2 * EDGE;
  const width = (whole - (count - 1) * GUTTER) / count;
  flow.columns = Array.from({ length: count }, (_, i) => ({
    x: EDGE + i * (width + GUTTER),
    width,
  }));
  flow.column = 0;
  flow.top = flow.y;
}

/** Makes room for something so high: in the next column or on the next sheet if need be. */
export function need(flow: Flow, height: number): void {
  if (flow.y + height <= flow.height - EDGE) return;
  if (flow.column < flow.columns.length - 1) {
    flow.column += 1;
    flow.y = flow.top;
    if (flow.y + height <= flow.height - EDGE) return;
  }
  addSheet(flow.pdf, flow.paper);
  flow.column = 0;
  flow.y = EDGE;
  flow.top = EDGE;
}

/** Height of some words in the column, from `indent` on. */
function heightOf(flow: Flow, words: string, font: FontId, size: number, indent = 0): number {
  type(flow.pdf, font, size);
  return flow.pdf.heightOfString(words, { width: here(flow).width - indent });
}

/** Writes words in the column. */
export function write(
  flow: Flow,
  words: string,
  font: FontId,
  size: number,
  indent = 0,
  after = 0,
): void {
  const high = heightOf(flow, words, font, size, indent);
  need(flow, high);
  const { x, width } = here(flow);
  type(flow.pdf, font, size).text(words, x + indent, flow.y, { width: width - indent });
  flow.y += high + after;
}

/** A heading with a line under it, kept with at least `follows` points of what comes after. */
export function heading(flow: Flow, words: string, follows = 40): void {
  need(flow, 22 + follows);
  const { x, width } = here(flow);
  flow.y += 5;
  type(flow.pdf, 'heading', 12).text(words, x, flow.y, { width });
  flow.y += 17;
  flow.pdf
    .lineWidth(1)
    .strokeColor('#000')
    .moveTo(x, flow.y)
    .lineTo(x + width, flow.y)
    .stroke();
  flow.y += 5;
}

/** A square to tick. */
export function square(flow: Flow, x: number, y: number, size: number): void {
  flow.pdf.undash().lineWidth(0.8).strokeColor('#000').rect(x, y, size, size).stroke();
}

const CELL = 8;
const BETWEEN = 8;

/** A table. @param shares of the width that the columns take */
export function table(
  flow: Flow,
  head: readonly string[],
  shares: readonly number[],
  rows: readonly (readonly string[])[],
): void {
  const line = (cells: readonly string[], font: FontId, size: number, ruled: boolean) => {
    const { x, width } = here(flow);
    const widths = shares.map((share) => share * width - BETWEEN);
    type(flow.pdf, font, size);
    const high = Math.max(
      ...cells.map((cell, i) =>
        flow.pdf.heightOfString(cell || ' ', { width: widths[i] as number }),
      ),
    );
    need(flow, high + 3);
    if (ruled) {
      flow.pdf.lineWidth(0.3).strokeColor('#888');
      flow.pdf
        .moveTo(x, flow.y)
        .lineTo(x + width, flow.y)
        .stroke();
    }
    let at = x;
    cells.forEach((cell, i) => {
      type(flow.pdf, i === 0 && ruled ? 'bold' : font, size).text(cell, at, flow.y + 1.5, {
        width: widths[i] as number,
      });
      at += (shares[i] as number) * width;
    });
    flow.y += high + 3;
  };
  line(head, 'body', 7.5, false);
  rows.forEach((row) => line(row, 'body', CELL, true));
}
