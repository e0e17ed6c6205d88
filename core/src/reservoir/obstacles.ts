import { grown, holdsCircle } from '../vessel';
import { apart, clear, type Circle, type Free, type Rectangle } from './arrange';
import type { BasePart, Run } from './parts';

/** What takes up room on the floor, so that nothing else is put there. */
export interface Obstacles extends Free {
  addCircle(circle: Circle): void;
  addPart(part: BasePart): void;
}

interface LyingPipe {
  run: Run;
  r: number;
}

/** An empty floor to put things on. */
export function obstacles(): Obstacles {
  const circles: Circle[] = [];
  const rings: { r: number; wall: number }[] = [];
  const boxes: Rectangle[] = [];
  const pipes: LyingPipe[] = [];
  return {
    addCircle: (circle) => circles.push(circle),
    addPart(part) {
      const { design } = part;
      if (design.kind === 'ring') {
        part.circles.forEach(({ r }) => rings.push({ r, wall: design.wall }));
      } else {
        circles.push(...part.circles);
      }
      boxes.push(...part.boxes);
      if (design.kind === 'lying') {
        part.runs.forEach((run) => pipes.push({ run, r: design.diameter / 2 }));
      }
    },
    circle: (circle) =>
      circles.every((other) => apart(circle, other)) &&
      rings.every((ring) => besideRing(circle, ring)) &&
      boxes.every((box) => besideBox(circle, box)) &&
      pipes.every((pipe) => besidePipe(circle, pipe)),
    areaIn: (box) =>
      circles
        .filter(({ x, y }) => Math.abs(x - box.x) < box.a && Math.abs(y - box.y) < box.b)
        .reduce((sum, { r }) => sum + Math.PI * r * r, 0),
    // Crates are cut around tubes and wicks, so only what stands in their way as a whole counts.
    box: (box) =>
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

function besidePipe({ x, y, r }: Circle, { run, r: pipe }: LyingPipe): boolean {
  if (run.kind === 'straight') {
    const dy = Math.max(Math.abs(y) - run.half, 0);
    const dx = Math.max(Math.abs(x - run.x) - pipe, 0);
    return Math.hypot(dx, dy) >= r - 1e-12;
  }
  return holdsCircle(grown(run.line, -pipe), x, y, r);
}

function boxBesidePipe(box: Rectangle, { run, r }: LyingPipe): boolean {
  if (run.kind === 'straight') {
    return clear(box, { x: run.x, y: 0, a: r, b: run.half });
  }
  return holdsCircle(grown(run.line, -r), Math.abs(box.x) + box.a, Math.abs(box.y) + box.b, 0);
}
