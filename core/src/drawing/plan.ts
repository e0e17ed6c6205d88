import { peakOf, standsOn } from '../physics/crop';
import { cropIn, type Planted } from '../document';
import { discsOf, plantingPlan, type Planter, type PlantPlace } from '../assembly';
import type { Circle } from '../geometry/packing';
import { grown, outlinePoints, type Outline } from '../geometry/vessels';
import { disc } from './above';
import { inkOf } from './ink';
import { fromAbove } from './partDrawings';
import { area, line, type Bounds, type Point, type Shape } from './shape';

/** A view from above; y points away, the section's plane is y = 0. */
export interface Plan {
  bounds: Bounds;
  /** In painting order; points are x and y in metres. */
  shapes: readonly Shape[];
}

/** The same turned by a quarter, so that what lay in front lies on the left: for what is deeper than wide. */
export function planTurned({ bounds: { left, right, bottom, top }, shapes }: Plan): Plan {
  return {
    bounds: { left: bottom, right: top, bottom: -right, top: -left },
    shapes: shapes.map((shape) => ({ ...shape, points: shape.points.map(([x, y]) => [y, -x]) })),
  };
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

/**
 * A view onto the soil: where each plant stands, with the room it is given and its grown leaves.
 *
 * @param day after the first planting, on which those stand there that are drawn; the thirstiest by default
 */
export function plantingView(
  planter: Planter,
  day: number = peakOf(planter.design.planting).day,
): Plan {
  const { vessel, bed, heights, design } = planter;
  const { crops } = design.planting;
  const outer = grown(vessel.outlineAt(vessel.depth), vessel.wall);
  const surface = bed.inside.outlineAt(heights.surface - bed.floor);
  const places = plantingPlan(planter).places.filter(({ of }) =>
    standsOn(crops[of] as Planted, Math.max(day, 0)),
  );
  const shapes: Shape[] = [
    outlined('planting-wall', 'wall', outer),
    ...bed.places.map(({ x, y }, i) =>
      area(
        `planting-soil-${i}`,
        design.soil.mulch === 'none' ? 'soil' : 'mulch',
        outlinePoints(surface).map(([px, py]): Point => [px + x, py + y]),
      ),
    ),
    ...places.map((place) => disc(`planting-room-${place.of}-${place.number}`, 'place', place)),
    ...places.flatMap((place) => fromOver(crops[place.of] as Planted, place)),
    ...[...planter.of('tube'), ...planter.of('inspection'), ...planter.of('worm')].flatMap(
      (group) =>
        discsOf(group).map((circle, i) => disc(`planting-${group.id}-${i}`, 'tube', circle)),
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

/** Leaves of a plant from above, by how it grows: how many, and how wide one is for its length. */
const LEAVES = {
  upright: { count: 5, wide: 0.2 },
  bushy: { count: 7, wide: 0.2 },
  climbing: { count: 4, wide: 0.26 },
  trailing: { count: 5, wide: 0.14 },
  rosette: { count: 8, wide: 0.24 },
  grassy: { count: 10, wide: 0.05 },
  root: { count: 6, wide: 0.09 },
  tree: { count: 11, wide: 0.22 },
} as const;

/** A plant from above: its leaves round a middle, as far as they reach within its room. */
function fromOver(planted: Planted, { x, y, of, number }: PlantPlace): Shape[] {
  const { habit } = cropIn(planted);
  const { count, wide } = LEAVES[habit];
  const size = Math.min(planted.foliage, planted.spacing) * 0.4;
  return Array.from({ length: count }, (_, i) => {
    const angle = (i * 2 * Math.PI) / count + 0.3;
    const at = (along: number, aside: number): Point => [
      x + size * (along * Math.cos(angle) - aside * Math.sin(angle)),
      y + size * (along * Math.sin(angle) + aside * Math.cos(angle)),
    ];
    return area(`planting-leaf-${of}-${number}-${i}`, 'leaf', [
      at(0.08, 0),
      at(0.45, wide),
      at(0.8, wide * 0.75),
      at(1, 0),
      at(0.8, -wide * 0.75),
      at(0.45, -wide),
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
