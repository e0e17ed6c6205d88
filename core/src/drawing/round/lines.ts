import { dot, mix, planeOf, type Vec3 } from './cell';
import {
  axesOf,
  projected,
  seenFrom,
  type Camera,
  type Line,
  type Point2,
  type Poly,
  type SceneFace,
} from './view';

/** Edges of a scene, inked where nothing hides them. */

/** Edges sharper than this are creases: the cosine of 28 degrees between the normals. */
const CREASE = Math.cos((28 * Math.PI) / 180);
/** Nearer than this to an edge a face does not hide it, metres. */
const TOUCH = 0.0012;
/** Cells of the page by which faces are looked up, and pieces an edge is looked at in, along the picture's width. */
const GRID = 48;
const LOOKS = 160;
/** Halvings by which the place is found where an edge goes out of sight. */
const HALVINGS = 5;

interface Edge {
  from: Vec3;
  to: Vec3;
  part: string;
  style: number;
  weight: Line['weight'];
}

const keyOf = ([x, y, z]: Vec3): string =>
  `${Math.round(x * 2e5)},${Math.round(y * 2e5)},${Math.round(z * 2e5)}`;

interface Meeting {
  from: Vec3;
  to: Vec3;
  faces: { n: Vec3; face: SceneFace }[];
}

/** Edges at which an outline, a cut or a crease is drawn as seen from an eye. */
function edgesOf(faces: readonly SceneFace[], eye: Vec3): Edge[] {
  const parts = new Map<string, Map<string, Meeting>>();
  for (const face of faces) {
    if (face.kind === 'inner' || face.clear) continue;
    const plane = planeOf(face.points);
    if (!plane) continue;
    const meetings = parts.get(face.part) ?? new Map<string, Meeting>();
    parts.set(face.part, meetings);
    const keys = face.points.map(keyOf);
    face.points.forEach((from, i) => {
      const j = (i + 1) % face.points.length;
      const [a, b] = [keys[i] as string, keys[j] as string];
      if (a === b) return;
      const key = a < b ? `${a} ${b}` : `${b} ${a}`;
      const met = meetings.get(key) ?? { from, to: face.points[j] as Vec3, faces: [] };
      met.faces.push({ n: plane.n, face });
      meetings.set(key, met);
    });
  }
  return [...parts.values()].flatMap((meetings) =>
    [...meetings.values()].flatMap((met) => weighed(met, eye)),
  );
}

function weighed({ from, to, faces }: Meeting, eye: Vec3): Edge[] {
  const [one, other] = faces as [Meeting['faces'][0], Meeting['faces'][0] | undefined];
  const { part, style } = one.face;
  const edge = (weight: Line['weight']): Edge[] => [{ from, to, part, style, weight }];
  const looks = faces.map(({ n, face }) => face.twoSided || dot(n, eye) > 1e-9);
  if (!looks.some(Boolean)) return [];
  if (!other) return edge(one.face.twoSided ? 'crease' : 'outline');
  const cuts = faces.filter(({ face }) => face.kind === 'cut').length;
  if (cuts > 0 && cuts < faces.length) return edge('cut');
  // Between two cells that are cut by the same plane nothing is drawn.
  if (cuts > 1) return Math.abs(dot(one.n, other.n)) > 0.999 ? [] : edge('cut');
  if (!looks.every(Boolean)) return edge('outline');
  return dot(one.n, other.n) < CREASE ? edge('crease') : [];
}

/** Faces of a picture, found by where they lie on the page. */
class Hiders {
  private readonly cells = new Map<number, { poly: Poly; page: Point2[] }[]>();
  private readonly left: number;
  private readonly low: number;
  private readonly size: number;

  constructor(
    polys: readonly Poly[],
    private readonly axes: ReturnType<typeof axesOf>,
  ) {
    const pages = polys.map(({ points }) => points.map((p) => projected(axes, p)));
    const all = pages.flat();
    this.left = all.reduce((least, [x]) => Math.min(least, x), Infinity);
    this.low = all.reduce((least, [, y]) => Math.min(least, y), Infinity);
    const right = all.reduce((most, [x]) => Math.max(most, x), -Infinity);
    const top = all.reduce((most, [, y]) => Math.max(most, y), -Infinity);
    this.size = Math.max(right - this.left, top - this.low, 1e-6) / GRID;
    polys.forEach((poly, i) => this.put(poly, pages[i] as Point2[]));
  }

  /** Width of the picture's longer side, metres. */
  get span(): number {
    return this.size * GRID;
  }

  private put(poly: Poly, page: Point2[]): void {
    const [x0, y0] = this.cellOf([
      Math.min(...page.map(([x]) => x)),
      Math.min(...page.map(([, y]) => y)),
    ]);
    const [x1, y1] = this.cellOf([
      Math.max(...page.map(([x]) => x)),
      Math.max(...page.map(([, y]) => y)),
    ]);
    for (let x = x0; x <= x1; x += 1)
      for (let y = y0; y <= y1; y += 1) {
        const key = x * 4096 + y;
        const here = this.cells.get(key);
        if (here) here.push({ poly, page });
        else this.cells.set(key, [{ poly, page }]);
      }
  }

  private cellOf([x, y]: Point2): Point2 {
    return [Math.floor((x - this.left) / this.size), Math.floor((y - this.low) / this.size)];
  }

  /** Whether something stands before a point. */
  hides(point: Vec3): boolean {
    const page = projected(this.axes, point);
    const [x, y] = this.cellOf(page);
    const { eye } = this.axes;
    return (this.cells.get(x * 4096 + y) ?? []).some(({ poly: { plane }, page: corners }) => {
      const slope = dot(plane.n, eye);
      if (Math.abs(slope) < 1e-6) return false;
      // How far towards the eye the face lies before the point.
      const before = (plane.d - dot(plane.n, point)) / slope;
      return before > TOUCH && contains(corners, page);
    });
  }
}

/** Whether a convex patch of the page holds a point, whichever way round it runs. */
export function contains(corners: readonly Point2[], [x, y]: Point2): boolean {
  let [left, right] = [false, false];
  for (let i = 0; i < corners.length; i += 1) {
    const [ax, ay] = corners[i] as Point2;
    const [bx, by] = corners[(i + 1) % corners.length] as Point2;
    const turn = (bx - ax) * (y - ay) - (by - ay) * (x - ax);
    if (turn > 1e-9) left = true;
    else if (turn < -1e-9) right = true;
    if (left && right) return false;
  }
  return true;
}

/** The lines of a picture: each stretch of an edge that is seen. */
export function linesOf(faces: readonly SceneFace[], camera: Camera): Line[] {
  const axes = axesOf(camera);
  const opaque = seenFrom(faces, axes.eye).filter(({ face }) => !face.clear);
  const hiders = new Hiders(opaque, axes);
  const step = hiders.span / LOOKS;
  return edgesOf(faces, axes.eye).flatMap(({ from, to, part, style, weight }): Line[] => {
    const [a, b] = [projected(axes, from), projected(axes, to)];
    const looks = Math.max(Math.ceil(Math.hypot(b[0] - a[0], b[1] - a[1]) / step), 1);
    // Its ends are corners, where others meet it: it is looked at between them.
    const seen = (t: number): boolean => !hiders.hides(mix(from, to, t));
    const points = Array.from({ length: looks }, (_, i) => (i + 0.5) / looks);
    const states = points.map(seen);
    return stretches(points, states, seen).map(([s, e]): Line => ({
      points: [projected(axes, mix(from, to, s)), projected(axes, mix(from, to, e))],
      ...{ part, style, weight },
    }));
  });
}

/** Where along an edge it is seen, from what single looks found. */
function stretches(
  at: readonly number[],
  states: readonly boolean[],
  seen: (t: number) => boolean,
): [number, number][] {
  const out: [number, number][] = [];
  let begun: number | null = states[0] ? 0 : null;
  for (let i = 1; i < at.length; i += 1) {
    if (states[i] === states[i - 1]) continue;
    const change = between(at[i - 1] as number, at[i] as number, states[i - 1] as boolean, seen);
    if (begun === null) begun = change;
    else {
      out.push([begun, change]);
      begun = null;
    }
  }
  if (begun !== null) out.push([begun, 1]);
  return out;
}

function between(low: number, high: number, state: boolean, seen: (t: number) => boolean): number {
  let [a, b] = [low, high];
  for (let k = 0; k < HALVINGS; k += 1) {
    const middle = (a + b) / 2;
    if (seen(middle) === state) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
