import type { Template, TemplateShape } from './template';
import { PAPERS, type PaperId } from '../papers';

/** Sheets of paper that a template is printed on at 1:1, with marks to join them by. Metres. */

const INCH = 0.0254;

/** What no printer reaches, and the bands for words and for the check rule. */
const MARGIN = 0.011;
const HEAD = 0.015;
const FOOT = 0.014;
/** Neighbouring sheets show this much of each other. */
const OVERLAP = 0.012;
/** The check rule on every sheet: 100 mm and 4 in. */
export const RULE = { metric: 0.1, us: 4 * INCH } as const;

/** One sheet. */
export interface Tile {
  /** Sheet as it is turned. */
  width: number;
  height: number;
  /** Column and row, from the lower left; how many there are. */
  column: number;
  row: number;
  columns: number;
  rows: number;
  /** The template's rectangle that shows on it, and where its lower left corner is on the sheet. */
  window: { left: number; bottom: number; width: number; height: number };
  at: { x: number; y: number };
  /** Registration marks, in the template's own coordinates; the same letter lies on two sheets. */
  marks: { x: number; y: number; label: string }[];
}

/** Cuts a template into sheets, upright or lying, whichever takes fewer; empty sheets are left out. */
export function tilesOf(template: Template, paper: PaperId): Tile[] {
  const { width, height } = PAPERS[paper];
  const upright = lay(template, width, height);
  const lying = lay(template, height, width);
  return lying.length < upright.length ? lying : upright;
}

function lay(template: Template, width: number, height: number): Tile[] {
  const room = { x: width - 2 * MARGIN, y: height - 2 * MARGIN - HEAD - FOOT };
  const need = { x: template.right - template.left, y: template.top - template.bottom };
  const columns = sheets(need.x, room.x);
  const rows = sheets(need.y, room.y);
  const step = { x: room.x - OVERLAP, y: room.y - OVERLAP };
  // The sheets together are larger than the template: it comes into their middle.
  const first = {
    left: template.left - ((columns - 1) * step.x + room.x - need.x) / 2,
    bottom: template.bottom - ((rows - 1) * step.y + room.y - need.y) / 2,
  };
  const marks = seamMarks(first, columns, rows, step, room);
  const tiles: Tile[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const left = first.left + column * step.x;
      const bottom = first.bottom + row * step.y;
      const window = { left, bottom, width: room.x, height: room.y };
      if (!template.shapes.some((shape) => shows(shape, window))) continue;
      tiles.push({
        width,
        height,
        column,
        row,
        columns,
        rows,
        window,
        at: { x: MARGIN, y: MARGIN + FOOT },
        marks: marks.filter(
          ({ x, y }) => x > left && x < left + room.x && y > bottom && y < bottom + room.y,
        ),
      });
    }
  }
  return tiles;
}

const sheets = (need: number, room: number): number =>
  need <= room ? 1 : Math.ceil((need - OVERLAP) / (room - OVERLAP) - 1e-9);

/** Two marks on every seam between two sheets, in the middle of what both show. */
function seamMarks(
  { left, bottom }: { left: number; bottom: number },
  columns: number,
  rows: number,
  step: { x: number; y: number },
  room: { x: number; y: number },
): Tile['marks'] {
  const places: { x: number; y: number }[] = [];
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const [x, y] = [left + column * step.x, bottom + row * step.y];
      if (column > 0) {
        const seam = x + OVERLAP / 2;
        places.push({ x: seam, y: y + room.y * 0.25 }, { x: seam, y: y + room.y * 0.75 });
      }
      if (row > 0) {
        const seam = y + OVERLAP / 2;
        places.push({ x: x + room.x * 0.25, y: seam }, { x: x + room.x * 0.75, y: seam });
      }
    }
  }
  return places.map((place, i) => ({ ...place, label: letters(i) }));
}

/** A, B … Z, AA, AB … */
function letters(i: number): string {
  const last = String.fromCharCode(65 + (i % 26));
  return i < 26 ? last : `${letters(Math.floor(i / 26) - 1)}${last}`;
}

/** What is to be drawn on a sheet: what shows on it, and words whose beginning is near. */
export const shapesOn = (shapes: readonly TemplateShape[], tile: Tile): TemplateShape[] => {
  const { left, bottom, width, height } = tile.window;
  const around = {
    left: left - WORDS_REACH,
    bottom: bottom - WORDS_REACH,
    width: width + 2 * WORDS_REACH,
    height: height + 2 * WORDS_REACH,
  };
  const near = ({ x, y }: { x: number; y: number }) =>
    x >= around.left &&
    x <= around.left + around.width &&
    y >= around.bottom &&
    y <= around.bottom + around.height;
  return shapes.filter((shape) =>
    shape.kind === 'text' ? near(shape) : shows(shape, tile.window),
  );
};

/** How far words reach from where they are set, metres. */
const WORDS_REACH = 0.15;

/** Whether any of a shape may show in a window; its box is what is compared. */
function shows(shape: TemplateShape, { left, bottom, width, height }: Tile['window']): boolean {
  const meets = (x0: number, y0: number, x1: number, y1: number) =>
    x1 > left && x0 < left + width && y1 > bottom && y0 < bottom + height;
  if (shape.kind === 'text') return false;
  if (shape.kind === 'circle') {
    const { x, y, r } = shape;
    // A sheet that lies whole within a circle shows nothing of it.
    const corners = [left, left + width].flatMap((cx) =>
      [bottom, bottom + height].map((cy) => Math.hypot(cx - x, cy - y)),
    );
    return meets(x - r, y - r, x + r, y + r) && Math.max(...corners) > r;
  }
  const { points, closed } = shape;
  return points.some((point, i) => {
    const next = points[i + 1] ?? (closed ? points[0] : undefined);
    if (!next) return false;
    return meets(
      Math.min(point[0], next[0]),
      Math.min(point[1], next[1]),
      Math.max(point[0], next[0]) + 1e-9,
      Math.max(point[1], next[1]) + 1e-9,
    );
  });
}
