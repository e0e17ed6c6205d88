import fc from 'fast-check';
import { assemble, type PartGroup, type PartKind, type Planter } from '../../assembly';
import { evaluate } from '../../assessment';
import { STARTING_POINTS } from '../../document';
import { buildSheet, platformSheetOf } from '../../fabrication';
import { randomSource } from '../../numerics';
import { changedDesign } from '../../testing/changed';
import { dot, planeOf, type Cell, type Vec3 } from './cell';
import { pathsOf, roundPicture, sceneOf, stepPicture, viewOf } from '.';
import { cellsOf, lookOf } from './parts';
import { axesOf, fillsOf, projected, seenFrom, type Fill, type Point2 } from './view';

const points = STARTING_POINTS.filter(({ id }) => id !== 'blank');

/** A face on the page with corners that run to the left, and the box around it. */
interface OnPage {
  corners: readonly Point2[];
  box: readonly [left: number, low: number, right: number, top: number];
}

function onPage(points: readonly Point2[]): OnPage {
  let area = 0;
  points.forEach(([x, y], i) => {
    const [u, v] = points[(i + 1) % points.length] as Point2;
    area += x * v - u * y;
  });
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  return {
    corners: area < 0 ? [...points].reverse() : points,
    box: [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)],
  };
}

/** Whether a point lies so far outside a face's box that it is neither within nor near its edge. */
const isFar = ({ box: [left, low, right, top] }: OnPage, [x, y]: Point2, edge: number): boolean =>
  x < left - edge || x > right + edge || y < low - edge || y > top + edge;

/** How far inside an edge a point of the page lies; negative outside. @param corners run to the left */
function insideBy(corners: readonly Point2[], [x, y]: Point2): number {
  let least = Infinity;
  let [ax, ay] = corners[corners.length - 1] as Point2;
  for (const [bx, by] of corners) {
    const [dx, dy] = [bx - ax, by - ay];
    const long = Math.sqrt(dx * dx + dy * dy) || 1;
    least = Math.min(least, (dx * (y - ay) - dy * (x - ax)) / long);
    [ax, ay] = [bx, by];
  }
  return least;
}

/** Points of the page at which what is painted last is the nearest that a ray meets, and all that were looked at. */
function agreement(planter: Planter, turn: number, grid: number): { same: number; all: number } {
  const camera = { turn, height: 0.45 };
  const { faces } = sceneOf(planter, {
    standing: () => 'plain',
    cut: { bearing: viewOf(planter).wedge, half: 1.1 },
    water: null,
  });
  const axes = axesOf(camera);
  const fills = fillsOf(faces, camera);
  const hit = seenFrom(faces, axes.eye).map((poly) => ({
    ...poly,
    page: onPage(poly.points.map((p) => projected(axes, p))),
  }));
  const painting = fills.map((fill) => ({ fill, page: onPage(fill.points) }));
  const xs = fills.flatMap(({ points: all }) => all.map(([x]) => x));
  const ys = fills.flatMap(({ points: all }) => all.map(([, y]) => y));
  const [left, right] = [Math.min(...xs), Math.max(...xs)];
  const [low, top] = [Math.min(...ys), Math.max(...ys)];
  const edge = (right - left) / 2000;
  let [same, all] = [0, 0];
  for (let i = 0; i < grid * grid; i += 1) {
    const at: Point2 = [
      left + ((right - left) * ((i % grid) + 0.5)) / grid,
      low + ((top - low) * (Math.floor(i / grid) + 0.5)) / grid,
    ];
    const painted = lastAt(painting, at, edge);
    if (painted === 'edge') continue;
    let [nearest, part] = [-Infinity, ''];
    for (const { plane, page, face } of hit) {
      if (isFar(page, at, edge) || insideBy(page.corners, at) < edge) continue;
      const slope = dot(plane.n, axes.eye);
      if (Math.abs(slope) < 1e-6) continue;
      const base = dot(plane.n, axes.right) * at[0] + dot(plane.n, axes.up) * at[1];
      const depth = (plane.d - base) / slope;
      // Marks lie on what they mark.
      const over = depth + (face.twoSided ? 1e-5 : 0);
      if (over > nearest) [nearest, part] = [over, face.part];
    }
    all += 1;
    if ((painted?.part ?? '') === part) same += 1;
  }
  return { same, all };
}

function lastAt(
  painting: readonly { fill: Fill; page: OnPage }[],
  at: Point2,
  edge: number,
): Fill | 'edge' | undefined {
  let last: Fill | undefined;
  for (const { fill, page } of painting) {
    if (isFar(page, at, edge)) continue;
    const by = insideBy(page.corners, at);
    // A seam of two patches of one part is no edge; the outline of a part is.
    if (Math.abs(by) < edge) return 'edge';
    if (by > 0) last = fill;
  }
  return last;
}

test.each(points)('$id: what is painted last is what a ray meets first', ({ design }) => {
  const { same, all } = agreement(assemble(design), 0.7, 34);
  expect(all).toBeGreaterThan(300);
  expect(same / all).toBeGreaterThan(0.99);
});

test('and in random designs, from any side', () => {
  fc.assert(
    fc.property(changedDesign, fc.double({ min: -3, max: 3, noNaN: true }), (design, turn) => {
      const { same, all } = agreement(assemble(design), turn, 18);
      expect(same).toBeGreaterThanOrEqual(0.98 * all - 1);
    }),
    { numRuns: 25, endOnFailure: true },
  );
});

const inCell = ({ faces }: Cell, p: Vec3): boolean =>
  faces.every(({ points: corners }) => {
    const plane = planeOf(corners);
    return !plane || dot(plane.n, p) <= plane.d + 1e-9;
  });

type Range = readonly [number, number];

/** Kinds that are drawn as the bodies that they are; cloth, bottles, crates and vaults are drawn as they look. */
const AS_THEY_ARE = ['tube', 'column', 'cup', 'lying', 'platform', 'fill', 'inspection'];

test.each(points)('$id: parts are drawn where their bodies are', ({ design }) => {
  const planter = assemble(design);
  const luck = randomSource(7);
  for (const group of planter.partGroups) {
    if (!AS_THEY_ARE.includes(group.kind)) continue;
    for (const part of group.parts.slice(0, 3)) {
      const cells = cellsOf(group, part, planter);
      if (!part.body || cells.length === 0) continue;
      const corners = cells.flatMap(({ faces }) => faces.flatMap(({ points: all }) => all));
      const range = (k: 0 | 1 | 2): Range => [
        Math.min(...corners.map((p) => p[k])),
        Math.max(...corners.map((p) => p[k])),
      ];
      const [xs, ys, zs] = [range(0), range(1), range(2)];
      // A pipe that lies is drawn from outside alone.
      const upright = part.foot.form === 'disc';
      const hollow = upright && (group.kind === 'tube' || group.kind === 'inspection');
      let [agrees, looked] = [0, 0];
      for (let i = 0; i < 400; i += 1) {
        const at = ([from, to]: Range) => from + (to - from) * luck.uniform();
        const p: Vec3 = [at(xs), at(ys), at(zs)];
        const [x, y, z] = p;
        // Above the rim of the vessel a tube's body ends, and what is drawn goes on.
        if (z > planter.vessel.depth || z < 0) continue;
        const holds = part.body.holds(x, y, z) && !(hollow && part.bore?.solid.holds(x, y, z));
        looked += 1;
        if (holds === cells.some((cell) => inCell(cell, p))) agrees += 1;
      }
      expect([group.id, agrees >= 0.9 * looked]).toEqual([group.id, true]);
    }
  }
});

test.each(points)('$id: all that stands is seen in some step', ({ design }) => {
  const { planter, assessment } = evaluate(design);
  const { steps } = buildSheet(planter, assessment.figures, 'metric');
  const order = steps.map(({ id }) => id);
  const seen = new Set<string>();
  for (const step of order) {
    const picture = stepPicture(planter, order, step);
    expect(picture.fills.length).toBeGreaterThan(0);
    for (const { part, style } of picture.lines)
      if (picture.styles[style]!.standing === 'now') seen.add(part);
    const { d } = pathsOf(picture, { width: 400, height: 300 }).fills[0]!;
    expect(d).not.toMatch(/NaN|Infinity/);
  }
  const bodies = planter.partGroups.flatMap((group) =>
    group.parts.filter((part) => cellsOf(group, part, planter).length > 0).map(({ id }) => id),
  );
  const groups = new Set([...seen].map((id) => id.replace(/-\d+$/, '')));
  // Of many alike the first few are before the others.
  const missing = bodies.filter((id) => !seen.has(id) && !groups.has(id.replace(/-\d+$/, '')));
  expect(missing).toEqual([]);
});

test.each(points)('$id: small holes are drawn as many as the sheet drills', ({ design }) => {
  const { planter, assessment } = evaluate(design);
  const { holes } = buildSheet(planter, assessment.figures, 'metric');
  const drawn = (group: PartGroup): number =>
    group.parts.reduce((sum, part) => {
      const marks = lookOf(group).marks?.(group as PartGroup<PartKind>, part, planter) ?? [];
      return sum + marks.length;
    }, 0);
  for (const group of planter.partGroups) {
    const vents = holes.find(({ id }) => id === `${group.id}-vents`);
    if (vents) expect([group.id, drawn(group)]).toEqual([group.id, vents.count]);
  }
  const sheet = platformSheetOf(planter, 'metric');
  const [platform] = planter.of('platform');
  // Both its faces show them.
  if (sheet?.kind === 'platform' && platform)
    expect(drawn(platform as PartGroup)).toBe(
      2 * sheet.holes.reduce((sum, { spots }) => sum + spots.length, 0),
    );
});

test('turned by a whole turn it is the same picture, taken apart a higher one', () => {
  const planter = assemble(points[0]!.design);
  const one = roundPicture(planter);
  const round = roundPicture(planter, { turn: 2 * Math.PI });
  expect(round.bounds.left).toBeCloseTo(one.bounds.left, 9);
  expect(round.lines.length).toBe(one.lines.length);
  const apart = roundPicture(planter, { apart: 1 });
  expect(apart.bounds.top - apart.bounds.low).toBeGreaterThan(
    1.5 * (one.bounds.top - one.bounds.low),
  );
});
