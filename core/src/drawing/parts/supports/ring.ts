import { discsOf } from '../../../assembly';
import { hollow } from '../../above';
import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { box, line, type Shape } from '../../shape';
import { hexagon, inkOfVents, VENT } from '../vents';

const section: InSection<'ring'> = (group, _planter, level) => {
  const { id, spec: design } = group;
  const r = discsOf(group)[0]?.r ?? 0;
  if (r === 0) return [];
  const top = group.height;
  const { wall } = design;
  const inside = group.levelInside(level);
  const wet = Math.min(level, top);
  const shapes: Shape[] = [];
  if (inside < wet) shapes.push(box(`${id}-air`, 'air', -r + wall, inside, r - wall, wet));
  shapes.push(
    box(`${id}-left`, 'support', -r, 0, -r + wall, top),
    box(`${id}-right`, 'support', r - wall, 0, r, top),
  );
  if (design.vents === 'both' && !design.cutEnd) {
    // The split is seen on the far side of the ring as a narrow open line.
    shapes.push(upright(`${id}-split`, -r * 0.45, 0, top));
    shapes.push(upright(`${id}-split-2`, -r * 0.45 + 0.006, 0, top));
  } else if (design.vents === 'both') {
    [-0.7, -0.35, 0, 0.35, 0.7].forEach((share, i) =>
      shapes.push(hexagon(`${id}-hole-${i}`, r * share, top * 0.86, VENT)),
    );
    [-0.55, 0, 0.55].forEach((share, i) =>
      shapes.push(hexagon(`${id}-low-${i}`, r * share, top * 0.12, VENT)),
    );
  }
  return shapes;
};

const upright = (id: string, x: number, z0: number, z1: number): Shape =>
  line(id, 'vent', [
    [x, z0],
    [x, z1],
  ]);

const plan: FromAbove<'ring'> = (group) =>
  discsOf(group).flatMap((circle, i) =>
    hollow(group.spec.wall, 'tube', inkOfVents(group.spec.vents))(`plan-${group.id}-${i}`, circle),
  );

export const ring: PartDrawing<'ring'> = { phase: 'base', section, plan };
