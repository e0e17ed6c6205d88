import { platformOpenings, drilledTo } from '../../assembly';
import type { InSection } from '../partDrawing';
import { box, type Shape } from '../shape';

/** The platform with gaps where it is cut by what goes through it. */
export const platform: InSection<'platform'> = (_lot, planter) => {
  const { vessel, heights, design } = planter;
  const { reservoir } = design;
  const top = reservoir.top + reservoir.thickness;
  const R = Math.min(vessel.halfAt(heights.ceiling), vessel.halfAt(top)) - 0.001;
  const gaps = platformOpenings(planter)
    .map((one) => ({ ...one, r: drilledTo(one) / 2 }))
    .filter(({ y, r, group }) => Math.abs(y) < r || group.kind === 'tube' || group.kind === 'cloth')
    .map(({ x, r }): [number, number] => [x - r, x + r])
    .sort((a, b) => a[0] - b[0]);
  const pieces: Shape[] = [];
  let from = -R;
  for (const [a, b] of [...gaps, [R, R] as [number, number]]) {
    const to = Math.min(a, R);
    if (to > from) {
      pieces.push(box(`platform-${pieces.length}`, 'platform', from, heights.ceiling, to, top));
    }
    from = Math.max(from, b);
  }
  return pieces;
};
