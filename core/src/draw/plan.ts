import { plantingPlan } from '../assess';
import type { Planter } from '../planter';
import { CUP_WALL, PIPE_WALL, type BasePart, type Circle } from '../reservoir';
import { grown, outlinePoints, type Outline } from '../vessel';
import { inkOf } from './ink';
import { area, circlePoints, line, type Bounds, type Point, type Shape } from './shape';

/** A view from above; y points away, the section's plane is y = 0. */
export interface Plan {
  bounds: Bounds;
  /** In painting order; points are x and y in metres. */
  shapes: readonly Shape[];
}

const disc = (id: string, ink: Shape['ink'], { x, y, r }: Circle): Shape =>
  area(id, ink, circlePoints(x, y, r));

const outlined = (id: string, ink: Shape['ink'], outline: Outline): Shape =>
  area(id, ink, outlinePoints(outline));

/** A view into the reservoir, cut at the overflow: wall, parts, wicks, pipes, true to scale. */
export function plan(planter: Planter): Plan {
  const { vessel, layout, heights, design, bed } = planter;
  const cut = vessel.flat ? heights.brim : vessel.depth;
  const inner = vessel.outlineAt(cut);
  const fill = design.reservoir.fill[design.reservoir.fill.length - 1];
  const shapes: Shape[] = [
    outlined('plan-wall', 'wall', grown(inner, vessel.wall)),
    outlined('plan-inside', 'water', inner),
    ...(fill ? [outlined('plan-fill', inkOf(fill.medium), inner)] : []),
    ...layout.parts.flatMap(partFromAbove),
    ...layout.columns.map((column, i) => {
      const wick = design.wicks[column.wick];
      const ink = wick?.kind === 'column' ? inkOf(wick.medium) : 'soil';
      return disc(`plan-column-${i}`, ink, column);
    }),
    ...layout.columns.map((column, i) => disc(`plan-column-wall-${i}`, 'cup', column)),
    ...layout.cups.flatMap((cup, i): Shape[] => [
      disc(`plan-cup-${i}`, 'soil', { ...cup, r: cup.r - CUP_WALL }),
      disc(`plan-cup-wall-${i}`, 'cup', cup),
    ]),
    ...layout.pipes.flatMap((pipe, i) => [
      disc(`plan-pipe-${i}`, 'tube', pipe),
      disc(`plan-pipe-bore-${i}`, 'air', { ...pipe, r: Math.max(pipe.r - PIPE_WALL, pipe.r / 2) }),
    ]),
    ...(bed.separate && design.bed?.kind !== 'nested'
      ? bed.places.map((place, i) =>
          disc(`plan-bed-${i}`, 'bottle', { ...place, r: bed.inside.halfAt(0) + bed.wall }),
        )
      : []),
  ];
  if (layout.tube) {
    shapes.push(disc('plan-tube', 'tube', layout.tube));
  }
  const outer = grown(inner, vessel.wall);
  shapes.push(...overflowFromAbove(planter, inner, outer), ...cutMarks(outer));
  return { bounds: boundsOf(planter, outer), shapes };
}

/** A view onto the soil: where each plant stands, with the room it is given. */
export function plantingView(planter: Planter): Plan {
  const { vessel, bed, heights, layout, design } = planter;
  const outer = grown(vessel.outlineAt(vessel.depth), vessel.wall);
  const surface = bed.inside.outlineAt(heights.surface - bed.floor);
  const { places } = plantingPlan(planter);
  const leaf = Math.min(design.planting.foliage, design.planting.spacing) / 2;
  const shapes: Shape[] = [
    outlined('planting-wall', 'wall', outer),
    ...bed.places.map(({ x, y }, i) =>
      area(
        `planting-soil-${i}`,
        design.soil.mulch === 'none' ? 'soil' : 'mulch',
        outlinePoints(surface).map(([px, py]): Point => [px + x, py + y]),
      ),
    ),
    ...places.map((place, i) => disc(`planting-room-${i}`, 'place', place)),
    ...places.flatMap((place, i) => rosette(`planting-leaf-${i}`, place, leaf * 0.8)),
    ...(layout.tube ? [disc('planting-tube', 'tube', layout.tube)] : []),
    ...layout.pipes.map((pipe, i) => disc(`planting-pipe-${i}`, 'tube', pipe)),
  ];
  const bounds = boundsOf(planter, outer);
  const far = (pick: (c: Circle) => number) => Math.max(0, ...places.map(pick));
  return {
    bounds: {
      left: Math.min(bounds.left, -far((c) => c.r - c.x)),
      right: Math.max(
        bounds.right,
        far((c) => c.r + c.x),
      ),
      bottom: Math.min(bounds.bottom, -far((c) => c.r - c.y)),
      top: Math.max(
        bounds.top,
        far((c) => c.r + c.y),
      ),
    },
    shapes,
  };
}

/** A plant from above: leaves round a middle. */
function rosette(id: string, { x, y }: Circle, size: number): Shape[] {
  const leaves = 6;
  return Array.from({ length: leaves }, (_, i) => {
    const angle = (i * 2 * Math.PI) / leaves + 0.3;
    const at = (along: number, aside: number): Point => [
      x + size * (along * Math.cos(angle) - aside * Math.sin(angle)),
      y + size * (along * Math.sin(angle) + aside * Math.cos(angle)),
    ];
    return area(`${id}-${i}`, 'leaf', [
      at(0.08, 0),
      at(0.45, 0.2),
      at(0.8, 0.15),
      at(1, 0),
      at(0.8, -0.15),
      at(0.45, -0.2),
    ]);
  });
}

function boundsOf({ bed, vessel }: Planter, outer: Outline): Bounds {
  const rim = bed.separate
    ? bed.inside.outlineAt(bed.inside.depth)
    : vessel.outlineAt(vessel.depth);
  const reach = (pick: (place: { x: number; y: number }) => number, half: number) =>
    Math.max(0, ...bed.places.map(pick)) + half;
  const ends = [0, ...vessel.bends].map((z) => vessel.outlineAt(z));
  const widest = Math.max(outer.a, ...ends.map(({ a }) => a));
  const deepest = Math.max(outer.b, ...ends.map(({ b }) => b));
  const x = Math.max(
    widest * 1.08,
    outer.a + 0.02,
    bed.separate ? reach((p) => Math.abs(p.x), rim.a) : 0,
  );
  const y = Math.max(deepest, bed.separate ? reach((p) => Math.abs(p.y), rim.b) : 0);
  return { left: -x, right: x, bottom: -y, top: y };
}

function partFromAbove(part: BasePart): Shape[] {
  const { design } = part;
  const id = `plan-support-${part.index}`;
  const wet = 'vents' in design && design.vents !== 'both' ? 'air' : 'water';
  const wall = 'wall' in design ? design.wall : 0;
  const solid = design.kind === 'standing' && design.what === 'brick';
  const shapes: Shape[] = part.circles.flatMap((circle, i) => [
    disc(`${id}-${i}`, 'tube', circle),
    ...(solid
      ? []
      : [disc(`plan-bore-${part.index}-${i}`, wet, { ...circle, r: circle.r - wall })]),
  ]);
  part.boxes.forEach(({ x, y, a, b }, i) => {
    const corners: Point[] = [
      [x - a, y - b],
      [x + a, y - b],
      [x + a, y + b],
      [x - a, y + b],
    ];
    shapes.push(area(`${id}-box-${i}`, wet, corners), area(`${id}-edge-${i}`, 'crate', corners));
  });
  if (design.kind === 'lying') {
    const r = design.diameter / 2;
    part.runs.forEach((run, i) => {
      if (run.kind === 'straight') {
        const corners: Point[] = [
          [run.x - r, -run.half],
          [run.x + r, -run.half],
          [run.x + r, run.half],
          [run.x - r, run.half],
        ];
        shapes.push(area(`${id}-run-${i}`, 'water', corners));
        shapes.push(area(`${id}-run-edge-${i}`, 'pipe', corners));
      } else {
        shapes.push(
          area(`${id}-turn-${i}`, 'pipe', outlinePoints(grown(run.line, r))),
          area(`${id}-turn-in-${i}`, 'pipe', outlinePoints(grown(run.line, -r))),
        );
      }
    });
  }
  return shapes;
}

function overflowFromAbove({ design }: Planter, inner: Outline, outer: Outline): Shape[] {
  const { overflow } = design;
  if (!overflow || overflow.kind === 'rim') return [];
  const half = overflow.diameter / 2;
  const out = overflow.kind === 'fitting' ? outer.a + 0.02 : outer.a;
  return [
    area('plan-overflow', 'opening', [
      [-out, -half],
      [-inner.a, -half],
      [-inner.a, half],
      [-out, half],
    ]),
  ];
}

/** Where the section is cut. */
function cutMarks(outer: Outline): Shape[] {
  return [-1, 1].map((side, i) =>
    line(`plan-cut-${i}`, 'separator', [
      [side * outer.a * 1.08, 0],
      [side * outer.a, 0],
    ]),
  );
}
