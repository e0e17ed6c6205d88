import type { Stroke, Template } from '@huerta/core/fabrication';

const MM = 1000;
/** Millimetres to the thousandth. */
const mm = (metres: number): string => String(Math.round(metres * MM * 1000) / 1000);

/** Widths in millimetres. */
const PEN: Readonly<Record<Stroke, string>> = {
  cut: 'stroke-width="0.3"',
  mark: 'stroke-width="0.25" stroke-dasharray="1.2 0.8"',
  fine: 'stroke-width="0.1"',
};
/** A plain face's size over the height of its capitals. */
const SIZE = 1.45;

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** A template as SVG whose user unit is one millimetre; y runs down, as SVG has it. */
export function templateSvg({ title, says, shapes, left, right, bottom, top }: Template): string {
  const x = (value: number) => mm(value - left);
  const y = (value: number) => mm(top - value);
  const drawn = shapes.map((shape) => {
    if (shape.kind === 'circle') {
      return `<circle class="${shape.stroke}" cx="${x(shape.x)}" cy="${y(shape.y)}" r="${mm(shape.r)}" ${PEN[shape.stroke]}/>`;
    }
    if (shape.kind === 'path') {
      const points = shape.points.map(([px, py]) => `${x(px)},${y(py)}`).join(' ');
      return `<${shape.closed ? 'polygon' : 'polyline'} class="${shape.stroke}" points="${points}" ${PEN[shape.stroke]}/>`;
    }
    return `<text x="${x(shape.x)}" y="${y(shape.y)}" font-size="${mm(shape.size * SIZE)}" text-anchor="${shape.anchor}" fill="#000" stroke="none">${escaped(shape.text)}</text>`;
  });
  const [width, height] = [mm(right - left), mm(top - bottom)];
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    `<title>${escaped(title)}</title>`,
    `<desc>${escaped(says)}</desc>`,
    '<g fill="none" stroke="#000" font-family="sans-serif">',
    ...drawn,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
