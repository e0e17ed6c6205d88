import type { Words } from '@huerta/core/units';
import { pathsOf, type Lettering, type RoundPicture } from '@huerta/core/drawing/round';
import { ARROW, colourOf, INK, PALE_INK, WIDTHS } from '../roundInks';
import { type, type Pdf } from './page';

/** A picture in the round on paper. */

/** Type size of measures: capitals of three millimetres on A4, points. */
const MEASURE = 12.5;

/** Type size of names, three millimetres and more on A5, points; and the height of a line in it. */
const LABEL = 9.5;
const LINE = 1.2;

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
  { write, say }: Pick<Words, 'write' | 'say'>,
): number {
  const lettering: Lettering = {
    size: LABEL,
    widthOf: (text) => type(pdf, 'body', LABEL).widthOfString(say(text)),
  };
  const { width, height, fills, lines, arrows, measures, labels } = pathsOf(picture, {
    ...{ width: box.width, height: box.height, lettering },
  });
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
  for (const { lines: words, x, y, anchor, d } of labels) {
    pdf.lineWidth(0.7).path(d).stroke(INK);
    type(pdf, 'body', LABEL).fillColor(INK);
    words.forEach((line, i) => {
      const said = say(line);
      const left = anchor === 'end' ? x - pdf.widthOfString(said) : x;
      const top = y + LABEL * LINE * (i - words.length / 2);
      pdf.text(said, left, top + (LABEL * (LINE - 1)) / 2, { lineBreak: false });
    });
  }
  pdf.restore().lineCap('butt').undash();
  return height;
}
