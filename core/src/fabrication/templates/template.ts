import type { Outline } from '../../geometry/vessels';

/**
 * Templates are drawn at 1:1 in metres, x to the right and y up; files write them in millimetres.
 * `cut` is cut or drilled along, `mark` is transferred, `fine` only helps to read.
 */
export type Stroke = 'cut' | 'mark' | 'fine';

export type TemplateShape =
  | { kind: 'circle'; x: number; y: number; r: number; stroke: Stroke }
  | {
      kind: 'path';
      points: readonly (readonly [number, number])[];
      closed: boolean;
      stroke: Stroke;
    }
  | {
      kind: 'text';
      x: number;
      y: number;
      /** Height of a capital, metres. */
      size: number;
      text: string;
      anchor: 'start' | 'middle' | 'end';
    };

export interface Template {
  /** Stable; part of the file's address. */
  id: string;
  title: string;
  /** How it is used. */
  says: string;
  shapes: readonly TemplateShape[];
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** Farthest that a polygon keeps from the curve that it stands for, metres. */
const TOLERANCE = 2e-5;

const circle = (x: number, y: number, r: number, stroke: Stroke): TemplateShape => ({
  kind: 'circle',
  x,
  y,
  r,
  stroke,
});

export const line = (
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  stroke: Stroke,
): TemplateShape => ({
  kind: 'path',
  points: [
    [x1, y1],
    [x2, y2],
  ],
  closed: false,
  stroke,
});

export const text = (
  x: number,
  y: number,
  words: string,
  anchor: 'start' | 'middle' | 'end' = 'start',
  size = 0.0028,
): TemplateShape => ({ kind: 'text', x, y, size, text: words, anchor });

/** Arms of a centre's cross, metres. */
const ARM = 0.005;

/** A hole to drill: its edge and a cross on its centre. */
export function hole(x: number, y: number, diameter: number): TemplateShape[] {
  const arm = Math.max(diameter / 2 + ARM / 2, ARM);
  return [
    circle(x, y, diameter / 2, 'cut'),
    line(x - arm, y, x + arm, y, 'fine'),
    line(x, y - arm, x, y + arm, 'fine'),
  ];
}

/** Steps that an arc is drawn in so that no chord is farther from it than the tolerance. */
export function arcSteps(radius: number, angle: number): number {
  if (radius <= TOLERANCE) return 1;
  const most = 2 * Math.acos(1 - TOLERANCE / radius);
  return Math.max(Math.ceil(Math.abs(angle) / most), 1);
}

/** An outline as a circle, where it is one, or a closed path. */
export function outlineShape({ a, b, c }: Outline, stroke: Stroke): TemplateShape {
  if (a - c < 1e-9 && b - c < 1e-9) return circle(0, 0, c, stroke);
  const corners: readonly [number, number, number][] = [
    [a - c, b - c, 0],
    [-(a - c), b - c, 1],
    [-(a - c), -(b - c), 2],
    [a - c, -(b - c), 3],
  ];
  const steps = c > 0 ? arcSteps(c, Math.PI / 2) : 0;
  const points = corners.flatMap(([x, y, quarter]) =>
    Array.from({ length: steps + 1 }, (_, i): [number, number] => {
      if (steps === 0) return [x, y];
      const angle = ((quarter + i / steps) * Math.PI) / 2;
      return [x + c * Math.cos(angle), y + c * Math.sin(angle)];
    }),
  );
  return { kind: 'path', points, closed: true, stroke };
}

/** A template whose bounds hold all its shapes and a margin round them. */
export function framed(
  parts: Pick<Template, 'id' | 'title' | 'says' | 'shapes'>,
  margin = 0.004,
): Template {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const shape of parts.shapes) {
    if (shape.kind === 'circle') {
      xs.push(shape.x - shape.r, shape.x + shape.r);
      ys.push(shape.y - shape.r, shape.y + shape.r);
    } else if (shape.kind === 'path') {
      shape.points.forEach(([x, y]) => {
        xs.push(x);
        ys.push(y);
      });
    } else {
      const wide = textWidth(shape);
      const from = { start: 0, middle: 0.5, end: 1 }[shape.anchor];
      xs.push(shape.x - from * wide, shape.x + (1 - from) * wide);
      ys.push(shape.y, shape.y + shape.size);
    }
  }
  return {
    ...parts,
    left: Math.min(...xs) - margin,
    right: Math.max(...xs) + margin,
    bottom: Math.min(...ys) - margin,
    top: Math.max(...ys) + margin,
  };
}

/** Width of a letter as a share of a capital's height: an even estimate for a plain face. */
const LETTER = 0.78;
const textWidth = ({ size, text: words }: { size: number; text: string }): number =>
  words.length * size * LETTER;
