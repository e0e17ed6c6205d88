import { dot, mix, normalOf, planeOf, type Face, type Plane, type Vec3 } from './cell';

/** Turns faces in space into a picture: what is behind is hidden, outlines are inked where they are seen. */

/** Where one looks from: turned about the upright, and so high over the horizon, radians. */
export interface Camera {
  turn: number;
  height: number;
}

/** A face that is to be drawn, with what it belongs to. */
export interface SceneFace extends Face {
  part: string;
  /** The group of parts that it is of, or `soil`, `plants`, `water`. */
  of: string;
  /** Index into the styles of the scene. */
  style: number;
  /** Seen from both sides; marks and sheets. */
  twoSided: boolean;
  /** Lets what is behind shine through. */
  clear: boolean;
}

export type Point2 = readonly [x: number, y: number];

/** A patch of the picture, back to front. Metres on the page, y up. */
export interface Fill {
  points: readonly Point2[];
  style: number;
  part: string;
  of: string;
  /** How the face looks at one: 0 up, 1 to 3 upright from light to dark, 4 down. */
  tone: number;
  cut: boolean;
}

export interface Line {
  points: readonly [Point2, Point2];
  part: string;
  style: number;
  weight: 'outline' | 'cut' | 'crease';
}

/** Directions of the page and towards the eye. */
interface Axes {
  right: Vec3;
  up: Vec3;
  eye: Vec3;
}

export function axesOf({ turn, height }: Camera): Axes {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [ch, sh] = [Math.cos(height), Math.sin(height)];
  // From the eye one looks along the turn: at 0 from the front, where y is small.
  const eye: Vec3 = [s * ch, -c * ch, sh];
  return { right: [c, s, 0], up: [-s * sh, c * sh, ch], eye };
}

export const projected = ({ right, up }: Axes, p: Vec3): Point2 => [dot(right, p), dot(up, p)];

const EPS = 1e-6;

interface Poly {
  points: readonly Vec3[];
  plane: Plane;
  face: SceneFace;
}

interface Node {
  plane: Plane;
  on: Poly[];
  front: Node | null;
  back: Node | null;
}

/** How a polygon lies to a plane. */
function sideOf(points: readonly Vec3[], { n, d }: Plane): 'on' | 'front' | 'back' | 'both' {
  let [front, back] = [false, false];
  for (const p of points) {
    const off = dot(n, p) - d;
    if (off > EPS) front = true;
    else if (off < -EPS) back = true;
  }
  if (front && back) return 'both';
  return front ? 'front' : back ? 'back' : 'on';
}

function split(points: readonly Vec3[], { n, d }: Plane): [front: Vec3[], back: Vec3[]] {
  const [front, back]: [Vec3[], Vec3[]] = [[], []];
  for (let i = 0; i < points.length; i += 1) {
    const p = points[i] as Vec3;
    const q = points[(i + 1) % points.length] as Vec3;
    const [a, b] = [dot(n, p) - d, dot(n, q) - d];
    if (a >= -EPS) front.push(p);
    if (a <= EPS) back.push(p);
    if ((a > EPS && b < -EPS) || (a < -EPS && b > EPS)) {
      const cross = mix(p, q, a / (a - b));
      front.push(cross);
      back.push(cross);
    }
  }
  return [front, back];
}

/** Planes that are tried at each node: the one that splits least and halves best is taken. */
const TRIED = 6;

function best(polys: readonly Poly[]): Poly {
  let [least, chosen] = [Infinity, polys[0] as Poly];
  const step = Math.max(Math.floor(polys.length / TRIED), 1);
  for (let i = 0; i < polys.length; i += step) {
    const one = polys[i] as Poly;
    let [splits, front, back] = [0, 0, 0];
    for (const { points } of polys) {
      const side = sideOf(points, one.plane);
      if (side === 'both') splits += 1;
      else if (side === 'front') front += 1;
      else if (side === 'back') back += 1;
    }
    const cost = 6 * splits + Math.abs(front - back);
    if (cost < least) [least, chosen] = [cost, one];
  }
  return chosen;
}

/** A tree of planes in which no polygon lies on both sides of one. */
function treeOf(polys: readonly Poly[]): Node | null {
  if (polys.length === 0) return null;
  const chosen = best(polys);
  const { plane } = chosen;
  const [on, front, back]: Poly[][] = [[], [], []] as never;
  for (const poly of polys) {
    // One that is not quite flat lies in its own plane all the same, or the tree would never end.
    const side = poly === chosen ? 'on' : sideOf(poly.points, plane);
    if (side === 'on') on!.push(poly);
    else if (side === 'front') front!.push(poly);
    else if (side === 'back') back!.push(poly);
    else {
      const [f, b] = split(poly.points, plane);
      if (f.length >= 3 && normalOf(f)) front!.push({ ...poly, points: f });
      if (b.length >= 3 && normalOf(b)) back!.push({ ...poly, points: b });
    }
  }
  return { plane, on: on!, front: treeOf(front!), back: treeOf(back!) };
}

/** All polygons of a tree from the farthest to the nearest. */
function inOrder(node: Node | null, eye: Vec3, into: Poly[]): void {
  if (!node) return;
  const faces = dot(node.plane.n, eye) > 0;
  inOrder(faces ? node.back : node.front, eye, into);
  // Marks lie on what they mark.
  into.push(
    ...node.on.filter(({ face }) => !face.twoSided),
    ...node.on.filter(({ face }) => face.twoSided),
  );
  inOrder(faces ? node.front : node.back, eye, into);
}

/** Bearings to the eye, radians, at which an upright face is in the light, between, or in the shade. */
const LIGHT = -0.63;
const SHADE = 0.56;
const FLAT = 0.72;

function toneOf(n: Vec3, { right, eye }: Axes): number {
  if (n[2] > FLAT) return 0;
  if (n[2] < -FLAT) return 4;
  const level: Vec3 = [eye[0], eye[1], 0];
  const bearing = Math.atan2(dot(n, right), dot(n, level));
  return bearing < LIGHT ? 1 : bearing < SHADE ? 2 : 3;
}

/** Faces that can be seen at all. */
const seenFrom = (faces: readonly SceneFace[], eye: Vec3): Poly[] =>
  faces.flatMap((face): Poly[] => {
    if (face.kind === 'inner') return [];
    const plane = planeOf(face.points);
    if (!plane) return [];
    const looks = dot(plane.n, eye);
    if (!face.twoSided && looks <= 1e-9) return [];
    return [{ points: face.points, plane, face }];
  });

/** The picture's patches, back to front. */
export function fillsOf(faces: readonly SceneFace[], camera: Camera): Fill[] {
  const axes = axesOf(camera);
  const ordered: Poly[] = [];
  inOrder(treeOf(seenFrom(faces, axes.eye)), axes.eye, ordered);
  return ordered.map(({ points, plane, face }): Fill => {
    const looks = dot(plane.n, axes.eye);
    const n: Vec3 = looks < 0 ? [-plane.n[0], -plane.n[1], -plane.n[2]] : plane.n;
    const flat = points.map((p) => projected(axes, p));
    return {
      points: turnedLeft(flat),
      style: face.style,
      part: face.part,
      of: face.of,
      tone: toneOf(n, axes),
      cut: face.kind === 'cut',
    };
  });
}

/** All patches run the same way round: two of opposite turn in one path would cancel each other out. */
function turnedLeft(points: Point2[]): Point2[] {
  let area = 0;
  for (let i = 0; i < points.length; i += 1) {
    const [x, y] = points[i] as Point2;
    const [u, v] = points[(i + 1) % points.length] as Point2;
    area += x * v - u * y;
  }
  return area < 0 ? points.reverse() : points;
}

export { seenFrom, type Axes, type Poly };
