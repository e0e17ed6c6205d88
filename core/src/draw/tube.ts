import { PIPES } from '../catalog';
import type { Planter } from '../planter';
import { area, box, type Point, type Shape } from './shape';

/** The fill tube: two cut walls, open foot, water inside, cap. */
export function tubeOf({ design, layout }: Planter, level: number): Shape[] {
  const { fillTube } = design;
  if (!fillTube || !layout.tube) return [];
  const { x, r } = layout.tube;
  const wall = (PIPES[fillTube.pipe].outside - PIPES[fillTube.pipe].inside) / 2;
  const top = fillTube.length;
  // A bevel of 45 degrees; a notch lifts the near wall only.
  const bevel = fillTube.foot === 'square' ? 0 : Math.min(2 * r, top / 3);
  const nearFoot = fillTube.foot === 'notch' ? bevel / 2 : bevel;
  const inside = Math.min(level, top);
  const shapes: Shape[] = [
    area('tube-bore', 'air', [
      [x - r + wall, nearFoot],
      [x + r - wall, 0],
      [x + r - wall, top],
      [x - r + wall, top],
    ]),
  ];
  if (inside > 0) {
    const points: Point[] =
      inside > nearFoot
        ? [
            [x - r + wall, nearFoot],
            [x + r - wall, 0],
            [x + r - wall, inside],
            [x - r + wall, inside],
          ]
        : [
            [x + r - wall, 0],
            [x + r - wall, inside],
            [x + r - wall - ((2 * r - 2 * wall) * inside) / Math.max(nearFoot, 1e-6), inside],
          ];
    shapes.push(area('tube-water', 'water', points));
  }
  shapes.push(
    area('tube-near', 'tube', [
      [x - r, nearFoot],
      [x - r + wall, Math.max(nearFoot - (bevel > 0 ? wall : 0), 0)],
      [x - r + wall, top],
      [x - r, top],
    ]),
    box('tube-far', 'tube', x + r - wall, 0, x + r, top),
  );
  if (fillTube.cap === 'cap') {
    shapes.push(box('tube-cap', 'cap', x - r - 0.002, top - 0.006, x + r + 0.002, top + 0.003));
  } else if (fillTube.cap === 'sponge') {
    shapes.push(box('tube-sponge', 'cap', x - r + wall, top - 0.018, x + r - wall, top + 0.006));
  }
  return shapes;
}
