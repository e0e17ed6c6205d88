import { inflateSync } from 'node:zlib';

/**
 * Reads what is drawn in a PDF, with a small interpreter of its own for the content streams
 * (ISO 32000-1, chapter 8): lines, circles and rectangles, in metres from the sheet's lower left.
 */

export interface DrawnPage {
  width: number;
  height: number;
  circles: { x: number; y: number; diameter: number }[];
  lines: { x1: number; y1: number; x2: number; y2: number }[];
  boxes: { x: number; y: number; width: number; height: number }[];
}

const METRE = 0.0254 / 72;
type Matrix = readonly [number, number, number, number, number, number];

/** All sheets of a PDF, in their order. */
export function readPdf(pdf: Buffer): DrawnPage[] {
  const text = pdf.toString('latin1');
  const object = (id: string): string =>
    new RegExp(`(?:^|\\n)${id} 0 obj\\n([\\s\\S]*?)endobj`).exec(text)?.[1] ?? '';
  const kids = /\/Kids \[([^\]]*)\]/.exec(text)?.[1] ?? '';
  return [...kids.matchAll(/(\d+) 0 R/g)].map(([, page]) => {
    const about = object(page as string);
    const size = /\/MediaBox \[([^\]]*)\]/.exec(about)?.[1]?.trim().split(/\s+/).map(Number) ?? [];
    const content = object(/\/Contents (\d+) 0 R/.exec(about)?.[1] ?? '');
    const from = content.indexOf('stream\n') + 'stream\n'.length;
    const packed = Buffer.from(content.slice(from, content.lastIndexOf('\nendstream')), 'latin1');
    const drawn = interpret(inflateSync(packed).toString('latin1'));
    return { width: (size[2] as number) * METRE, height: (size[3] as number) * METRE, ...drawn };
  });
}

function interpret(content: string): Pick<DrawnPage, 'circles' | 'lines' | 'boxes'> {
  const drawn: Pick<DrawnPage, 'circles' | 'lines' | 'boxes'> = {
    circles: [],
    lines: [],
    boxes: [],
  };
  const saved: Matrix[] = [];
  let matrix: Matrix = [1, 0, 0, 1, 0, 0];
  let numbers: number[] = [];
  let at: [number, number] = [0, 0];
  let curve: [number, number][] = [];
  const put = (x: number, y: number): [number, number] => [
    (matrix[0] * x + matrix[2] * y + matrix[4]) * METRE,
    (matrix[1] * x + matrix[3] * y + matrix[5]) * METRE,
  ];
  const closeCurve = () => {
    // Four arcs of a quarter turn, ends on the circle, make a circle.
    if (curve.length === 5) {
      const xs = curve.map(([x]) => x);
      const ys = curve.map(([, y]) => y);
      const [left, right] = [Math.min(...xs), Math.max(...xs)];
      const [low, high] = [Math.min(...ys), Math.max(...ys)];
      drawn.circles.push({ x: (left + right) / 2, y: (low + high) / 2, diameter: right - left });
    }
    curve = [];
  };
  for (const [token] of content
    .replace(/\((?:\\.|[^\\)])*\)|<[0-9a-fA-F]*>/g, ' ')
    .matchAll(/[^\s[\]]+/g)) {
    const value = Number(token);
    if (!Number.isNaN(value)) {
      numbers.push(value);
      continue;
    }
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers;
    if (token === 'q') saved.push(matrix);
    if (token === 'Q') matrix = saved.pop() ?? matrix;
    if (token === 'cm') {
      const [m0, m1, m2, m3, m4, m5] = matrix;
      matrix = [
        a * m0 + b * m2,
        a * m1 + b * m3,
        c * m0 + d * m2,
        c * m1 + d * m3,
        e * m0 + f * m2 + m4,
        e * m1 + f * m3 + m5,
      ];
    }
    if (token === 'm') {
      closeCurve();
      at = put(a, b);
      curve = [at];
    }
    if (token === 'l') {
      const to = put(a, b);
      drawn.lines.push({ x1: at[0], y1: at[1], x2: to[0], y2: to[1] });
      at = to;
    }
    if (token === 'c') {
      at = put(e, f);
      curve.push(at);
    }
    if (token === 're') {
      const [x, y] = put(a, b);
      const [x2, y2] = put(a + c, b + d);
      drawn.boxes.push({
        x: Math.min(x, x2),
        y: Math.min(y, y2),
        width: Math.abs(x2 - x),
        height: Math.abs(y2 - y),
      });
    }
    if (['S', 's', 'f', 'B', 'h', 'n'].includes(token)) closeCurve();
    numbers = [];
  }
  return drawn;
}
