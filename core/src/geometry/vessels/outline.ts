// By name: looked up once, these are asked millions of times.
const { abs, cos, max, min, sin, sqrt, PI } = Math;

/**
 * A horizontal outline: a rectangle with rounded corners, centred on the axis. A circle is one whose
 * corner is as large as its halves, a stadium one whose corner is half its width. Metres.
 */
export interface Outline {
  /** Half of the length (along x) and of the width (along y). */
  readonly a: number;
  readonly b: number;
  /** Corner radius, at most the smaller half. */
  readonly c: number;
}

/** Area of an outline, m². */
export const areaOf = ({ a, b, c }: Outline): number => 4 * a * b - (4 - PI) * c * c;

/** Perimeter of an outline, metres. */
export const perimeterOf = ({ a, b, c }: Outline): number => 4 * (a + b) - (8 - 2 * PI) * c;

/** The outline moved outward by t (inward when negative), never turned inside out. Metres. */
export function grown({ a, b, c }: Outline, t: number): Outline {
  const outer = { a: max(a + t, 0), b: max(b + t, 0) };
  return { ...outer, c: min(max(c + t, 0), outer.a, outer.b) };
}

/** An outline that lies inside both. */
export function shared(one: Outline, other: Outline): Outline {
  const a = min(one.a, other.a);
  const b = min(one.b, other.b);
  return { a, b, c: min(max(one.c, other.c), a, b) };
}

/** Length and width changed about. */
export const turnedOutline = ({ a, b, c }: Outline): Outline => ({ a: b, b: a, c });

const EDGE = 1e-12;

/** Whether a point lies inside or on an outline. */
export function holds({ a, b, c }: Outline, x: number, y: number): boolean {
  const dx = abs(x) - (a - c);
  const dy = abs(y) - (b - c);
  if (dx > 0 && dy > 0) return dx * dx + dy * dy <= (c + EDGE) * (c + EDGE);
  return dx <= c + EDGE && dy <= c + EDGE;
}

/** Whether a whole circle lies inside an outline. */
export function holdsCircle(outline: Outline, x: number, y: number, r: number): boolean {
  if (outline.a < r - EDGE || outline.b < r - EDGE) return false;
  return holds(grown(outline, -r), x, y);
}

/** How far an outline reaches along y at a given x, from the axis; 0 outside it. Metres. */
export function reachAt({ a, b, c }: Outline, x: number): number {
  const dx = abs(x) - (a - c);
  if (dx > c) return 0;
  return dx <= 0 ? b : b - c + sqrt(max(c * c - dx * dx, 0));
}

/** An outline as a polygon, counter-clockwise. */
export function outlinePoints({ a, b, c }: Outline, steps = 10): [number, number][] {
  const corners: readonly [number, number, number][] = [
    [a - c, b - c, 0],
    [-(a - c), b - c, 1],
    [-(a - c), -(b - c), 2],
    [a - c, -(b - c), 3],
  ];
  return corners.flatMap(([x, y, quarter]) =>
    Array.from({ length: c > 0 ? steps + 1 : 1 }, (_, i): [number, number] => {
      const angle = ((quarter + (c > 0 ? i / steps : 0.5)) * PI) / 2;
      return [x + c * cos(angle), y + c * sin(angle)];
    }),
  );
}
