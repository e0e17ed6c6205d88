import type { FromAbove, InSection, PartDrawing } from '../../partDrawing';
import { area, box, circlePoints, type Shape } from '../../shape';

const section: InSection<'sticks'> = ({ id, spec: design, height: top }, { vessel }) => {
  const r = design.diameter / 2;
  const layers = Math.max(Math.floor(top / design.diameter), 1);
  return Array.from({ length: layers }, (_, layer): Shape[] => {
    const z = (layer + 0.5) * (top / layers);
    const half = Math.min(vessel.halfAt(z - r), vessel.halfAt(z + r)) - 0.002;
    if (layer % 2 === 1) {
      return [box(`${id}-${layer}`, 'stick', -half, z - r, half, z + r)];
    }
    const n = Math.max(Math.min(Math.floor((half - r) / design.spacing), 30), 0);
    return Array.from({ length: 2 * n + 1 }, (_unused, k) =>
      area(`${id}-${layer}-${k}`, 'stick', circlePoints((k - n) * design.spacing, z, r)),
    );
  }).flat();
};

/** Crossed sticks, as far apart as they lie. */
const plan: FromAbove<'sticks'> = (group, { vessel, heights }) => {
  const { a, b } = vessel.outlineAt(vessel.flat ? heights.brim : vessel.depth);
  const n = Math.min(Math.floor(a / group.spec.spacing), 24);
  return Array.from({ length: 2 * n + 1 }, (_, k) => {
    const x = (k - n) * group.spec.spacing;
    const reach = b * Math.sqrt(Math.max(1 - (x / a) ** 2, 0)) * 0.96;
    const r = group.spec.diameter / 2;
    return area(`plan-${group.id}-${k}`, 'stick', [
      [x - r, -reach],
      [x + r, -reach],
      [x + r, reach],
      [x - r, reach],
    ]);
  });
};

export const sticks: PartDrawing<'sticks'> = { phase: 'base', section, plan };
