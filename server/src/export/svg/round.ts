import type { Words } from '@huerta/core/units';
import { pathsOf, type RoundPicture } from '@huerta/core/drawing/round';
import { ARROW, colourOf, INK, PAGE, PALE_INK, WIDTHS } from '../roundInks';

/** Size of the type of names, pixels; how wide a letter of a sans serif is on the whole, and how high a line. */
const TYPE = 15;
const LETTER = 0.56;
const LINE = 1.2;

/**
 * A picture in the round as a file of SVG.
 *
 * @param page width and height that it keeps within, pixels
 */
export function roundSvg(
  picture: RoundPicture,
  title: string,
  page: { width: number; height: number },
  { write, say }: Pick<Words, 'write' | 'say'>,
): string {
  const { width, height, fills, lines, arrows, measures, labels } = pathsOf(picture, {
    ...page,
    lettering: { size: TYPE, widthOf: (text) => LETTER * TYPE * text.length },
  });
  const size = `${width.toFixed(1)} ${height.toFixed(1)}`;
  const filled = fills.map((fill) => {
    const colour = colourOf(fill);
    const seam = fill.ink === 'water' ? 'opacity="0.55"' : `stroke="${colour}" stroke-width="0.8"`;
    return `<path d="${fill.d}" fill="${colour}" ${seam}/>`;
  });
  const inked = lines.map(
    ({ d, weight, standing }) =>
      `<path d="${d}" fill="none" stroke="${standing === 'before' ? PALE_INK : INK}" stroke-width="${WIDTHS[weight]}" stroke-linecap="round"/>`,
  );
  const pointed = arrows.map((d) => `<path d="${d}" fill="${ARROW}" stroke="${PAGE}"/>`);
  const numbered = measures.map(
    ({ d, x, y, value }) =>
      `<path d="${d}" fill="none" stroke="${ARROW}" stroke-width="1.6"/><text x="${x}" y="${y}" dy="0.35em" font-family="sans-serif" font-size="15" font-weight="700" text-anchor="end" fill="${INK}">${write(value, 'length')}</text>`,
  );
  const escaped = (text: string): string =>
    text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
  const called = labels.map(({ lines: words, x, y, anchor, d }) => {
    const spans = words.map(
      (line, i) =>
        `<tspan x="${x}" y="${(y + TYPE * LINE * (i - (words.length - 1) / 2)).toFixed(1)}" dy="0.35em">${escaped(say(line))}</tspan>`,
    );
    return `<path d="${d}" fill="none" stroke="${INK}"/><text font-family="sans-serif" font-size="${TYPE}" text-anchor="${anchor}" fill="${INK}">${spans.join('')}</text>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size}" width="${width.toFixed(1)}" height="${height.toFixed(1)}">`,
    `<title>${escaped(title)}</title>`,
    ...filled,
    ...inked,
    ...pointed,
    ...numbered,
    ...called,
    '</svg>',
    '',
  ].join('\n');
}
