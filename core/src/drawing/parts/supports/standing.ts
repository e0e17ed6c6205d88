import type { SupportOf } from '../../../document';
import { discsOf, isSolid, type PartGroup } from '../../../assembly';
import type { Circle } from '../../../geometry/packing';
import { disc, hollow } from '../../above';
import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { area, line, type Ink, type Point, type Shape } from '../../shape';
import { hexagon, inkOfVents, VENT } from '../vents';

/** Things standing side by side that are drawn at the most. */
const MOST_DRAWN = 40;

/** What stands at or behind the cutting plane, farthest first. */
function inView(circles: readonly Circle[]): Circle[] {
  return circles
    .filter((circle) => circle.y > -circle.r * 0.5)
    .sort((a, b) => b.y - a.y)
    .slice(-MOST_DRAWN);
}

const isBehind = (circle: Circle): boolean => circle.y >= circle.r * 0.5;

const section: InSection<'standing'> = (group, _planter, level) =>
  inView(discsOf(group)).flatMap((circle, i) =>
    oneStanding(`${group.id}-${i}`, group, circle, level),
  );

/** Half width by height of something that stands, as a share of its radius; t from 0 to 1. */
const OUTLINES: Partial<Record<SupportOf<'standing'>['what'], (t: number) => number>> = {
  bottle: (t) => shoulder(t, 0.72, 0.92, 0.35),
  jug: (t) => shoulder(t, 0.6, 0.85, 0.3),
  pot: (t) => 1 - 0.25 * t,
};

function shoulder(t: number, from: number, to: number, neck: number): number {
  if (t <= from) return 1;
  if (t >= to) return neck;
  const s = (t - from) / (to - from);
  return 1 - (1 - neck) * s * s * (3 - 2 * s);
}

function oneStanding(
  id: string,
  part: PartGroup<'standing'>,
  circle: Circle,
  level: number,
): Shape[] {
  const design = part.spec;
  const { x, r } = circle;
  const top = part.height;
  const profile = OUTLINES[design.what] ?? (() => 1);
  const solid = isSolid(design.what);
  const glassy = design.what === 'bottle' || design.what === 'jug';
  const outline = (z0: number, z1: number): Point[] => {
    const steps = Array.from({ length: 9 }, (_, k) => z0 + ((z1 - z0) * k) / 8);
    return [
      ...steps.map((z): Point => [x + r * profile(z / top), z]),
      ...steps.reverse().map((z): Point => [x - r * profile(z / top), z]),
    ];
  };
  const inside = Math.min(part.levelInside(level), top);
  const shapes: Shape[] = [];
  if (solid) {
    shapes.push(area(id, 'support', outline(0, top)));
    return shapes;
  }
  if (glassy) {
    shapes.push(area(`${id}-air`, 'air', outline(0, top)));
    if (inside > 0) shapes.push(area(`${id}-water`, 'water', outline(0, inside)));
    shapes.push(area(id, 'bottle', outline(0, top)));
  } else {
    const wet = Math.min(level, top);
    if (inside < wet) shapes.push(area(`${id}-air`, 'air', outline(inside, wet)));
    const ink: Ink = isBehind(circle) ? 'support-behind' : 'support';
    shapes.push(line(id, ink, [...outline(0, top), [x + r * profile(0), 0]]));
  }
  if (design.vents === 'both') shapes.push(...ventPair(id, x, r, top * (glassy ? 0.72 : 1)));
  return shapes;
}

function ventPair(id: string, x: number, r: number, top: number): Shape[] {
  const size = Math.min(VENT, r / 4, top / 8);
  return [-0.5, 0.5].flatMap((side) => [
    hexagon(`${id}-low${side}`, x + side * r, size * 2, size),
    hexagon(`${id}-high${side}`, x + side * r, top - size * 2, size),
  ]);
}

const plan: FromAbove<'standing'> = (group) =>
  discsOf(group).flatMap((circle, i) =>
    isSolid(group.spec.what)
      ? [disc(`plan-${group.id}-${i}`, 'tube', circle)]
      : hollow(
          group.spec.wall,
          'tube',
          inkOfVents(group.spec.vents),
        )(`plan-${group.id}-${i}`, circle),
  );

export const standing: PartDrawing<'standing'> = { phase: 'base', section, plan };
