import type { FillId } from '../catalog';
import { deckHeight } from '../design';
import type { Planter } from '../planter';
import { inkOf } from './ink';
import { insideBetween } from './inside';
import { area, box, line, type Point, type Shape } from './shape';
import { cutUprights } from './wicks';

/** How far a fabric is turned up the wall, metres, where there is room. */
const TURN_UP = 0.03;
/** How thick mulch and marker straw are drawn, metres. */
const MULCH = 0.02;

/** Whether water shows through a fill as it lies. */
const seenThrough = (fill: FillId): boolean => inkOf(fill) === 'stone' || inkOf(fill) === 'chip';

/** Where beds stand in the plane of the section, farthest first; one for those behind one another. */
export function bedsInSection({ bed }: Planter): { x: number; floor: number }[] {
  const seen = new Map<string, { x: number; y: number }>();
  for (const place of [...bed.places].sort((a, b) => b.y - a.y)) {
    seen.set(place.x.toFixed(3), place);
  }
  return [...seen.values()].map(({ x }) => ({ x, floor: bed.floor }));
}

/** The water that stands in the vessel, behind all else. */
export function waterOf(planter: Planter, level: number): Shape[] {
  const { vessel } = planter;
  const wet = Math.min(level, vessel.depth);
  const points = insideBetween(vessel, 0, wet);
  return wet > 0 ? [area('water', 'water', points)] : [];
}

/** What lies in the base around its parts, soaked where water stands in it. */
export function fillsOf(planter: Planter, level: number): Shape[] {
  const { design, vessel } = planter;
  const top = Math.min(design.reservoir.top, vessel.depth);
  const shapes: Shape[] = [];
  let from = 0;
  design.reservoir.fill.forEach(({ medium, upTo }, i) => {
    const to = Math.max(upTo * top, from);
    if (to - from > 1e-6) {
      shapes.push(area(`fill-${i}`, inkOf(medium), insideBetween(vessel, from, to)));
      const wet = Math.min(level, to);
      if (wet > from && !seenThrough(medium)) {
        shapes.push(area(`fill-${i}-wet`, 'soaked', insideBetween(vessel, from, wet)));
      }
    }
    from = to;
  });
  return shapes;
}

/** Soil in its beds and in cups, soaked where water stands in it, with blanket, separator and mulch. */
export function soilOf(planter: Planter, level: number): Shape[] {
  const { design, heights, vessel, bed } = planter;
  const shapes: Shape[] = [];
  const { blanket } = design.reservoir;
  const deck = deckHeight(design.reservoir);
  if (blanket && !bed.separate) {
    shapes.push(area('blanket', inkOf(blanket.medium), insideBetween(vessel, deck, heights.base)));
    const wet = Math.min(level, heights.base);
    if (wet > deck) {
      shapes.push(area('blanket-wet', 'soaked', insideBetween(vessel, deck, wet)));
    }
  }
  bedsInSection(planter).forEach((at, i) => {
    const space = (z0: number, z1: number) => insideBetween(bed.inside, z0, z1, at);
    const id = (name: string) => (i === 0 ? name : `${name}-${i}`);
    shapes.push(area(id('soil'), 'soil', space(heights.base, heights.surface)));
    const wet = Math.min(level, heights.surface);
    if (wet > heights.base) shapes.push(area(id('soaked'), 'soaked', space(heights.base, wet)));
  });
  for (const { x, r, foot, id, ink } of cutUprights(planter)) {
    shapes.push(box(`${id}-mix`, ink, x - r, foot, x + r, heights.base));
    const wet = Math.min(level, heights.base);
    if (wet > foot) shapes.push(box(`${id}-wet`, 'soaked', x - r, foot, x + r, wet));
  }
  return shapes;
}

/** Separator, marker straw and mulch, bed by bed. */
export function layersOf(planter: Planter): Shape[] {
  const { design, heights, bed } = planter;
  return bedsInSection(planter).flatMap((at, i): Shape[] => {
    const shapes: Shape[] = [];
    const id = (name: string) => (i === 0 ? name : `${name}-${i}`);
    const half = (z: number) => bed.inside.halfAt(z - bed.floor);
    if (design.soil.marker) {
      const z1 = Math.min(heights.base + MULCH, heights.surface);
      shapes.push(area(id('marker'), 'straw', insideBetween(bed.inside, heights.base, z1, at)));
    }
    if (design.separator !== 'none') {
      const z = heights.base + 0.001;
      const up = Math.min(z + TURN_UP, heights.surface);
      const inset = 0.002;
      const wall = (side: 1 | -1, height: number): Point => [
        at.x + side * Math.max(half(height) - inset, 0),
        height,
      ];
      shapes.push(
        line(id('separator'), 'separator', [wall(-1, up), wall(-1, z), wall(1, z), wall(1, up)]),
      );
    }
    if (design.soil.mulch !== 'none') {
      const z1 = Math.min(heights.surface + MULCH, heights.rim);
      if (z1 > heights.surface + 1e-4) {
        const points = insideBetween(bed.inside, heights.surface, z1, at);
        shapes.push(area(id('mulch'), 'mulch', points));
      }
    }
    return shapes;
  });
}
