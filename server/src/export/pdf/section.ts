import type { Ink, Section, Shape } from '@huerta/core/drawing';
import type { Words } from '@huerta/core/units';
import { type, type Pdf } from './page';

/** The section in black and white, for paper. */

interface Pen {
  fill?: string;
  width?: number;
  stroke?: string;
}

const PENS: Readonly<Record<Ink, Pen>> = {
  wall: { fill: '#fff', width: 1.1 },
  opening: { fill: '#fff', width: 0.7 },
  screen: { width: 0.4 },
  water: { fill: '#d4d4d4' },
  air: { fill: '#fff' },
  soil: { fill: '#fff' },
  'soil-upper': { width: 0.4 },
  soaked: { fill: '#bbb' },
  stone: { fill: '#ececec', width: 0.3 },
  sand: { fill: '#e4e4e4', width: 0.3 },
  chip: { fill: '#ececec', width: 0.3 },
  support: { fill: '#fff', width: 0.7 },
  'support-behind': { width: 0.3, stroke: '#777' },
  vent: { fill: '#fff', width: 0.4 },
  bottle: { width: 0.5 },
  pipe: { width: 0.7 },
  crate: { width: 0.5 },
  stick: { fill: '#fff', width: 0.4 },
  platform: { fill: '#555', width: 0.5 },
  separator: { width: 0.5, stroke: '#333' },
  cloth: { fill: '#999', width: 0.5 },
  cup: { width: 0.7 },
  tube: { fill: '#fff', width: 0.6 },
  liner: { width: 0.7 },
  leg: { fill: '#fff', width: 0.8 },
  straw: { fill: '#eee', width: 0.3 },
  place: { width: 0.4 },
  cap: { fill: '#333' },
  mulch: { fill: '#e4e4e4', width: 0.3 },
  root: { width: 0.25, stroke: '#999' },
  leaf: { width: 0.35, stroke: '#777' },
  stem: { width: 0.5, stroke: '#777' },
  trunk: { width: 1, stroke: '#555' },
  bulb: { fill: '#ececec', width: 0.4 },
  stake: { width: 0.7, stroke: '#444' },
  string: { width: 0.4, stroke: '#444' },
};

/** Room for the heights beside the drawing, points. */
const BESIDE = 74;
const BELOW = 14;
/** Labels keep this far apart, points. */
const APART = 9;
const DOTS = 5;

/** Draws a section into a box. All in points; y runs down. @param words of its measures; without, it has none */
export function drawSection(
  pdf: Pdf,
  section: Section,
  box: { x: number; y: number; width: number; height: number },
  words: Words | null,
): void {
  const { bounds } = section;
  const scale = Math.min(
    (box.width - (words ? BESIDE : 0)) / (bounds.right - bounds.left),
    (box.height - (words ? BELOW : 0)) / (bounds.top - bounds.bottom),
  );
  const x = (value: number) => box.x + (value - bounds.left) * scale;
  const y = (value: number) => box.y + (bounds.top - value) * scale;
  const trace = ({ points, form }: Shape) => {
    points.forEach(([px, py], i) =>
      i === 0 ? pdf.moveTo(x(px), y(py)) : pdf.lineTo(x(px), y(py)),
    );
    if (form === 'area') pdf.closePath();
  };
  pdf.save();
  pdf.lineJoin('round').undash();
  for (const shape of section.shapes) {
    if (shape.points.length < 2) continue;
    const { fill, width, stroke } = PENS[shape.ink];
    const area = shape.form === 'area';
    if (shape.ink === 'soil') {
      dotted(pdf, () => trace(shape), shape, x, y);
      continue;
    }
    trace(shape);
    pdf.lineWidth(width ?? 0.5).strokeColor(stroke ?? '#000');
    if (area && fill && width !== undefined) pdf.fillAndStroke(fill, stroke ?? '#000');
    else if (area && fill) pdf.fill(fill);
    else pdf.stroke();
  }
  if (section.water) {
    const { level, left, right } = section.water;
    pdf.lineWidth(0.6).strokeColor('#000');
    pdf.moveTo(x(left), y(level)).lineTo(x(right), y(level)).stroke();
  }
  pdf.restore();
  if (!words) return;
  heights(pdf, section, x, y, words);
  widths(pdf, section, x, y, words);
}

function dotted(
  pdf: Pdf,
  trace: () => void,
  { points }: Shape,
  x: (value: number) => number,
  y: (value: number) => number,
): void {
  const xs = points.map(([px]) => x(px));
  const ys = points.map(([, py]) => y(py));
  pdf.save();
  trace();
  pdf.clip();
  let row = 0;
  for (let py = Math.min(...ys); py < Math.max(...ys); py += DOTS) {
    for (let px = Math.min(...xs) + (row % 2) * (DOTS / 2); px < Math.max(...xs); px += DOTS) {
      pdf.circle(px, py, 0.35);
    }
    row += 1;
  }
  pdf.fill('#666');
  pdf.restore();
}

/** Heights on the right, their words kept apart. */
function heights(
  pdf: Pdf,
  { dimensions }: Section,
  x: (value: number) => number,
  y: (value: number) => number,
  words: Words,
): void {
  const upright = dimensions
    .filter(({ side }) => side === 'right')
    .sort((a, b) => b.from[1] + b.to[1] - a.from[1] - a.to[1]);
  let last = -Infinity;
  for (const { from, to, label, value } of upright) {
    const at = x(from[0]) + 10;
    const [low, high] = [y(from[1]), y(to[1])];
    pdf.lineWidth(0.5).strokeColor('#000');
    pdf.moveTo(at, low).lineTo(at, high).stroke();
    pdf
      .moveTo(at - 3, low)
      .lineTo(at + 3, low)
      .stroke();
    pdf
      .moveTo(at - 3, high)
      .lineTo(at + 3, high)
      .stroke();
    const beside = Math.max((low + high) / 2 - 4, last + APART);
    last = beside;
    type(pdf, 'body', 8).text(`${label} ${words.write(value, 'length')}`, at + 6, beside, {
      lineBreak: false,
    });
  }
}

function widths(
  pdf: Pdf,
  { dimensions, bounds }: Section,
  x: (value: number) => number,
  y: (value: number) => number,
  words: Words,
): void {
  const across = dimensions.find(({ side }) => side === 'bottom');
  if (!across) return;
  type(pdf, 'body', 8).text(
    `${across.label} ${words.write(across.value, 'length')}`,
    x(across.from[0]),
    y(bounds.bottom) + 3,
    { width: Math.max(x(across.to[0]) - x(across.from[0]), 90), align: 'center' },
  );
}
