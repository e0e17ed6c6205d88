import { CUP_WALL, type Circle } from '../reservoir';
import type { Planter } from '../planter';
import { area, line, type Bounds, type Point, type Shape } from './shape';

/** A view from above into the reservoir, cut at the overflow; y points away, the section's plane is y = 0. */
export interface Plan {
  bounds: Bounds;
  /** In painting order; points are x and y in metres. */
  shapes: readonly Shape[];
}

/** The plan of a planter's floor: wall, supports, cups, tube and overflow, true to scale. */
export function plan(planter: Planter): Plan {
  const { vessel, layout, heights, design } = planter;
  const inner = vessel.radiusAt(heights.brim);
  const outer = inner + vessel.wall;
  const disc = (id: string, ink: Shape['ink'], r: number): Shape =>
    area(id, ink, circlePoints({ x: 0, y: 0, r }));
  const { reservoir } = design;
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const shapes: Shape[] = [
    disc('plan-wall', 'wall', outer),
    disc('plan-inside', reservoir.kind === 'bottles' ? 'soil' : 'water', inner),
    ...layout.supports.flatMap((circle, i): Shape[] => {
      const bore = { ...circle, r: circle.r - support.wall };
      return [
        area(`plan-support-${i}`, 'tube', circlePoints(circle)),
        area(`plan-bore-${i}`, support.vents === 'both' ? 'water' : 'air', circlePoints(bore)),
      ];
    }),
    ...layout.cups.flatMap((cup, i): Shape[] => [
      area(`plan-cup-${i}`, 'soil', circlePoints({ ...cup, r: cup.r - CUP_WALL })),
      area(`plan-cup-wall-${i}`, 'cup', circlePoints(cup)),
    ]),
  ];
  if (layout.tube) shapes.push(area('plan-tube', 'tube', circlePoints(layout.tube)));
  if (design.overflow) {
    const half = design.overflow.diameter / 2;
    shapes.push(
      area('plan-overflow', 'opening', [
        [-outer, -half],
        [-inner, -half],
        [-inner, half],
        [-outer, half],
      ]),
    );
  }
  shapes.push(
    line('plan-cut', 'separator', [
      [-outer * 1.08, 0],
      [-outer, 0],
    ]),
    line('plan-cut-2', 'separator', [
      [outer, 0],
      [outer * 1.08, 0],
    ]),
  );
  const reach = outer * 1.08;
  return { bounds: { left: -reach, right: reach, bottom: -outer, top: outer }, shapes };
}

/** A circle as a polygon fine enough for any screen. */
function circlePoints({ x, y, r }: Circle): Point[] {
  return Array.from({ length: 48 }, (_, i): Point => {
    const angle = (i * Math.PI) / 24;
    return [x + r * Math.cos(angle), y + r * Math.sin(angle)];
  });
}
