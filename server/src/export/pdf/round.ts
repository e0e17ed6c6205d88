import type { Words } from '@huerta/core/units';
import { pathsOf, type RoundPicture } from '@huerta/core/drawing/round';
import { ARROW, colourOf, INK, PALE_INK, WIDTHS } from '../roundInks';
import { type, type Pdf } from './page';

/** A picture in the round on paper. */

/** Type size of measures: capitals of three millimetres on A4, points. */
const MEASURE = 12.5;

/** Paper is white, and what is pale is pale towards it. */
const WHITE = '#ffffff';

/**
 * Draws a picture within a box, in the middle of its width. @returns its height, points
 *
 * @param box points; y runs down
 */
export function drawRound(
  pdf: Pdf,
  picture: RoundPicture,
  box: { x: number; y: number; width: number; height: number },
  { write }: Pick<Words, 'write'>,
): number {
  const { width, height, fills, lines, arrows, measures } = pathsOf(picture, box);
  pdf.save().translate(box.x + (box.width - width) / 2, box.y);
  for (const fill of fills) {
    const colour = colourOf(fill, WHITE);
    const clear = fill.ink === 'water';
    pdf.opacity(clear ? 0.55 : 1).path(fill.d);
    // Seams between patches of one colour are closed by a line of it.
    if (clear) pdf.fill(colour);
    else pdf.lineWidth(0.4).fillAndStroke(colour, colour);
  }
  pdf.opacity(1).lineCap('round');
  for (const { d, weight, standing } of lines)
    pdf
      .lineWidth(0.6 * WIDTHS[weight])
      .path(d)
      .stroke(standing === 'before' ? PALE_INK : INK);
  for (const d of arrows) pdf.path(d).fill(ARROW);
  for (const { d, x, y, value } of measures) {
    pdf.lineWidth(1).path(d).stroke(ARROW);
    const number = write(value, 'length');
    const long = type(pdf, 'bold', MEASURE).widthOfString(number);
    pdf.text(number, x - long, y - MEASURE / 2, { lineBreak: false });
  }
  pdf.restore().lineCap('butt').undash();
  return height;
}
