import { plantingPlan } from '../assess';
import { discsOf, type Planter } from '../planter';
import type { Circle } from '../reservoir';
import { grown, outlinePoints, type Outline } from '../vessel';
import { disc } from './above';
import { inkOf } from './ink';
import { fromAbove } from './kinds';
import { area, line, type Bounds, type Point, type Shape } from './shape';

/** A view from above; y points away, the section's plane is y = 0. */
export interface Plan {
  bounds: Bounds;
  /** In painting order; points are x and y in metres. */
  shapes: readonly Shape[];
}

/** Steps in a quarter of a turn, so that a wall looks round at any size. */
const SMOOTH = 24;

const outlined = (id: string, ink: Shape['ink'], outline: Outline): Shape =>
  area(id, ink, outlinePoints(outline, SMOOTH));

/** A view into the reservoir, cut at the overflow: wall, parts, wicks, pipes, true to scale. */
export function plan(planter: Planter): Plan {
  const { vessel, heights, design } = planter;
  const cut = vessel.flat ? heights.brim : vessel.depth;
  const inner = vessel.outlineAt(cut);
  const fill = design.reservoir.fill[design.reservoir.fill.length - 1];
  const outer = grown(inner, vessel.wall);
  const shapes: Shape[] = [
    outlined('plan-wall', 'wall', outer),
    outlined('plan-inside', 'water', inner),
    ...(fill ? [outlined('plan-fill', inkOf(fill.medium), inner)] : []),
    ...fromAbove(planter),
    ...cutMarks(outer),
  ];
  return { bounds: boundsOf(planter, outer), shapes };
}

/** A view onto the soil: where each plant stands, with the room it is given. */
export function plantingView(planter: Planter): Plan {
  const { vessel, bed, heights, design } = planter;
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
    ...[...planter.of('tube'), ...planter.of('inspection'), ...planter.of('worm')].flatMap((lot) =>
      discsOf(lot).map((circle, i) => disc(`planting-${lot.id}-${i}`, 'tube', circle)),
    ),
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

function boundsOf(planter: Planter, outer: Outline): Bounds {
  const { bed, vessel } = planter;
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
  // An overflow that is turned out of the section stands out at the front or back.
  const { overflow } = planter.design;
  const turned = overflow !== null && overflow.kind !== 'rim' && overflow.bearing !== 0;
  const y = Math.max(
    deepest,
    turned ? outer.b + 0.025 : 0,
    bed.separate ? reach((p) => Math.abs(p.y), rim.b) : 0,
  );
  return { left: -x, right: x, bottom: -y, top: y };
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
