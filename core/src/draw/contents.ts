import type { Planter } from '../planter';
import { insideBetween } from './inside';
import { area, box, line, type Point, type Shape } from './shape';
import { cutCups } from './wicks';

/** How far a fabric is turned up the wall, metres, where there is room. */
const TURN_UP = 0.03;
/** How thick mulch is drawn, metres. */
const MULCH = 0.02;

/** The water that stands in the vessel, behind all else. */
export function waterOf(planter: Planter, level: number): Shape[] {
  return level > 0 ? [area('water', 'water', insideBetween(planter, 0, level))] : [];
}

/** Soil above and in cups, soaked where water stands in it, with separator and mulch. */
export function soilOf(planter: Planter, level: number): Shape[] {
  const { design, heights, vessel } = planter;
  const shapes: Shape[] = [];
  const soilFrom = design.reservoir.kind === 'bottles' ? 0 : heights.base;
  shapes.push(area('soil', 'soil', insideBetween(planter, soilFrom, heights.surface)));
  if (level > soilFrom) {
    const top = Math.min(level, heights.surface);
    shapes.push(area('soaked', 'soaked', insideBetween(planter, soilFrom, top)));
  }
  for (const { x, r, foot, i } of cutCups(planter)) {
    shapes.push(box(`cup-${i}-mix`, 'soil', x - r, foot, x + r, heights.base));
    const wet = Math.min(level, heights.base);
    if (wet > foot) shapes.push(box(`cup-${i}-wet`, 'soaked', x - r, foot, x + r, wet));
  }
  if (design.separator !== 'none') {
    const z = heights.base + 0.001;
    const up = Math.min(z + TURN_UP, heights.surface);
    const inset = 0.002;
    shapes.push(
      line('separator', 'separator', [
        [-vessel.radiusAt(up) + inset, up],
        [-vessel.radiusAt(z) + inset, z],
        [vessel.radiusAt(z) - inset, z],
        [vessel.radiusAt(up) - inset, up],
      ]),
    );
  }
  if (design.soil.mulch !== 'none') {
    const z0 = heights.surface;
    const z1 = Math.min(z0 + MULCH, Math.max(heights.rim, z0 + 0.004));
    const points: Point[] = insideBetween(planter, z0, Math.min(z1, heights.rim));
    if (z1 > z0) shapes.push(area('mulch', 'mulch', points));
  }
  return shapes;
}
