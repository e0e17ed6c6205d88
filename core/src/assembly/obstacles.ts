import { apart, clear, type Circle, type Free, type Rectangle } from '../geometry/packing';
import { grown, holdsCircle, type Outline } from '../geometry/vessels';
import type { PartGroup } from './part';
import type { Run } from './solid';

/** What takes up room on the floor, so that nothing else is put there. */
export interface Obstacles extends Free {
  addCircle(circle: Circle): void;
  addBox(box: Rectangle): void;
  addLot(group: PartGroup): void;
  /** Whether a rectangle is free that is cut out round what stands upright. */
  boxCut(box: Rectangle): boolean;
  /** A hole through the sheet that bears the soil, with the bridge that is left round it. */
  addHole(hole: Circle): void;
  /** The floor as it is now, whatever is put on it later. */
  asItIs(): Obstacles;
  /** Whether a hole with its bridge keeps clear of the others. */
  hole(circle: Circle): boolean;
}

interface LyingPipe {
  run: Run;
  r: number;
}

interface Standing {
  circles: readonly Circle[];
  rings: readonly { r: number; wall: number }[];
  boxes: readonly Rectangle[];
  pipes: readonly LyingPipe[];
  holes: readonly Circle[];
}

/** A floor to put things on, empty or with what stands there already. */
export function obstacles(from?: Standing): Obstacles {
  const circles = [...(from?.circles ?? [])];
  const rings = [...(from?.rings ?? [])];
  const boxes = [...(from?.boxes ?? [])];
  const pipes = [...(from?.pipes ?? [])];
  const holes = [...(from?.holes ?? [])];
  /** Boxes, and straight pipes as the boxes that they cover. */
  const rectangles = [...boxes, ...pipes.flatMap(covered)];
  return {
    asItIs: () => obstacles({ circles, rings, boxes, pipes, holes }),
    discs: circles,
    boxes: rectangles,
    addCircle: (circle) => circles.push(circle),
    addBox(box) {
      boxes.push(box);
      rectangles.push(box);
    },
    addHole: (hole) => holes.push(hole),
    hole: (circle) => holes.every((other) => apart(circle, other)),
    addLot({ parts }) {
      for (const { x, y, foot } of parts) {
        if (foot.form === 'disc') circles.push({ x, y, r: foot.r });
        else if (foot.form === 'ring') rings.push(foot);
        else if (foot.form === 'box') {
          const box = { x, y, a: foot.a, b: foot.b };
          boxes.push(box);
          rectangles.push(box);
        } else if (foot.form === 'run') {
          pipes.push(foot);
          rectangles.push(...covered(foot));
        }
      }
    },
    circle: (circle) =>
      circles.every((other) => apart(circle, other)) &&
      rings.every((ring) => besideRing(circle, ring)) &&
      boxes.every((box) => besideBox(circle, box)) &&
      pipes.every((pipe) => besidePipe(circle, pipe)),
    box: (box) =>
      circles.every((circle) => besideBox(circle, box)) &&
      boxes.every((other) => clear(box, other)) &&
      rings.every((ring) => boxBesideRing(box, ring)) &&
      pipes.every((pipe) => boxBesidePipe(box, pipe)),
    boxCut: (box) =>
      boxes.every((other) => clear(box, other)) &&
      rings.every((ring) => boxBesideRing(box, ring)) &&
      pipes.every((pipe) => boxBesidePipe(box, pipe)),
    ring: (r, wall) =>
      circles.every((circle) => besideRing(circle, { r, wall })) &&
      rings.every((other) => r <= other.r - other.wall || r - wall >= other.r) &&
      boxes.every((box) => boxBesideRing(box, { r, wall })) &&
      pipes.length === 0,
  };
}

function besideRing({ x, y, r }: Circle, ring: { r: number; wall: number }): boolean {
  const from = Math.hypot(x, y);
  return from + r <= ring.r - ring.wall + 1e-12 || from - r >= ring.r - 1e-12;
}

function besideBox({ x, y, r }: Circle, box: Rectangle): boolean {
  const dx = Math.max(Math.abs(x - box.x) - box.a, 0);
  const dy = Math.max(Math.abs(y - box.y) - box.b, 0);
  return Math.hypot(dx, dy) >= r - 1e-12;
}

/** A rectangle lies inside the ring, or clear of it. */
function boxBesideRing({ x, y, a, b }: Rectangle, ring: { r: number; wall: number }): boolean {
  const far = Math.hypot(Math.abs(x) + a, Math.abs(y) + b);
  const near = Math.hypot(Math.max(Math.abs(x) - a, 0), Math.max(Math.abs(y) - b, 0));
  return far <= ring.r - ring.wall + 1e-12 || near >= ring.r - 1e-12;
}

/** A straight pipe as the rectangle that it covers. */
const pipeBox = (run: Extract<Run, { kind: 'straight' }>, r: number): Rectangle =>
  run.along === 'y'
    ? { x: run.x, y: run.y, a: r, b: run.half }
    : { x: run.x, y: run.y, a: run.half, b: r };

const covered = ({ run, r }: LyingPipe): Rectangle[] =>
  run.kind === 'straight' ? [pipeBox(run, r)] : [];

function besidePipe(circle: Circle, { run, r: pipe }: LyingPipe): boolean {
  if (run.kind === 'straight') return besideBox(circle, pipeBox(run, pipe));
  const { x, y, r } = circle;
  return holdsCircle(grown(run.line, -pipe), x, y, r) || beyond(grown(run.line, pipe), circle);
}

/** Whether a circle lies wholly outside an outline. */
function beyond(outline: Outline, { x, y, r }: Circle): boolean {
  const dx = Math.abs(x) - (outline.a - outline.c);
  const dy = Math.abs(y) - (outline.b - outline.c);
  const away = dx > 0 && dy > 0 ? Math.hypot(dx, dy) : Math.max(dx, dy);
  return away - outline.c >= r - 1e-12;
}

function boxBesidePipe(box: Rectangle, { run, r }: LyingPipe): boolean {
  if (run.kind === 'straight') return clear(box, pipeBox(run, r));
  return holdsCircle(grown(run.line, -r), Math.abs(box.x) + box.a, Math.abs(box.y) + box.b, 0);
}
