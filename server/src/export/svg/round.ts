import type { Words } from '@huerta/core/units';
import { pathsOf, type RoundPicture } from '@huerta/core/drawing/round';
import { ARROW, colourOf, INK, PAGE, PALE_INK, WIDTHS } from '../roundInks';

/**
 * A picture in the round as a file of SVG.
 *
 * @param page width and height that it keeps within, pixels
 */
export function roundSvg(
  picture: RoundPicture,
  title: string,
  page: { width: number; height: number },
  { write }: Pick<Words, 'write'>,
): string {
  const { width, height, fills, lines, arrows, measures } = pathsOf(picture, page);
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
  const escaped = title.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size}" width="${width.toFixed(1)}" height="${height.toFixed(1)}">`,
    `<title>${escaped}</title>`,
    ...filled,
    ...inked,
    ...pointed,
    ...numbered,
    '</svg>',
    '',
  ].join('\n');
}
