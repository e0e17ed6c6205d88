import type { Planter } from '../planter';
import { CUP_WALL, waterUnderTrappedAir, type Circle } from '../reservoir';
import { area, box, line, type Point, type Shape } from './shape';

/** Radius at which a vent hole is drawn, metres. */
const VENT = 0.004;

/** What stands in the water under a platform; the soil of packed cups comes in front of it. */
export function supportsOf(planter: Planter, level: number): Shape[] {
  const { reservoir } = planter.design;
  if (reservoir.kind === 'bottles') return [];
  return reservoir.supports.kind === 'ring'
    ? ring(planter, level)
    : standing(planter).flatMap(tub(planter, level));
}

/** What carries the soil: the platform, or bottles standing in the mix itself. */
export function carriersOf(planter: Planter, level: number): Shape[] {
  return planter.design.reservoir.kind === 'bottles'
    ? standing(planter).flatMap(bottle(planter, level))
    : platform(planter);
}

/** What stands at or behind the cutting plane, farthest first. */
function standing({ layout }: Planter): Circle[] {
  return layout.supports.filter((circle) => circle.y > -circle.r * 0.5).sort((a, b) => b.y - a.y);
}

const isBehind = (circle: Circle): boolean => circle.y >= circle.r * 0.5;

/** Height of the water inside a support when it stands at `level` outside. */
function levelInside(planter: Planter, level: number): number {
  const { reservoir } = planter.design;
  const support = reservoir.kind === 'platform' ? reservoir.supports : reservoir;
  const height = planter.heights.ceiling;
  if (support.vents === 'both') return Math.min(level, height);
  return support.vents === 'foot' ? waterUnderTrappedAir(height, level) : 0;
}

function ring(planter: Planter, level: number): Shape[] {
  const { reservoir } = planter.design;
  if (reservoir.kind !== 'platform') return [];
  const { diameter, wall, vents } = reservoir.supports;
  const top = planter.heights.ceiling;
  const r = diameter / 2;
  const inside = levelInside(planter, level);
  const shapes: Shape[] = [];
  const wet = Math.min(level, top);
  if (inside < wet) shapes.push(box('ring-air', 'air', -r + wall, inside, r - wall, wet));
  shapes.push(box('ring-left', 'support', -r, 0, -r + wall, top));
  shapes.push(box('ring-right', 'support', r - wall, 0, r, top));
  if (vents === 'both') {
    // The split is seen on the far side of the ring as a narrow open line.
    shapes.push(
      line('ring-split', 'vent', [
        [-r * 0.45, 0],
        [-r * 0.45, top],
      ]),
    );
    shapes.push(
      line('ring-split-2', 'vent', [
        [-r * 0.45 + 0.006, 0],
        [-r * 0.45 + 0.006, top],
      ]),
    );
  }
  return shapes;
}

function tub(planter: Planter, level: number) {
  const top = planter.heights.ceiling;
  const wet = Math.min(level, top);
  const inside = levelInside(planter, level);
  const { reservoir } = planter.design;
  const vents = reservoir.kind === 'platform' ? reservoir.supports.vents : 'both';
  return (circle: Circle, i: number): Shape[] => {
    const { x, r } = circle;
    const ink = isBehind(circle) ? 'support-behind' : 'support';
    const shapes: Shape[] = [];
    if (inside < wet) shapes.push(box(`tub-${i}-air`, 'air', x - r, inside, x + r, wet));
    shapes.push(
      line(`tub-${i}`, ink, [
        [x - r, 0],
        [x - r, top],
        [x + r, top],
        [x + r, 0],
        [x - r, 0],
      ]),
    );
    if (vents === 'both') {
      shapes.push(...ventPair(`tub-${i}`, x, r, top));
    }
    return shapes;
  };
}

function ventPair(id: string, x: number, r: number, top: number): Shape[] {
  const size = Math.min(VENT, r / 4, top / 8);
  return [-0.5, 0.5].flatMap((side) => [
    hexagon(`${id}-low${side}`, x + side * r, size * 2, size),
    hexagon(`${id}-high${side}`, x + side * r, top - size * 2, size),
  ]);
}

function hexagon(id: string, x: number, z: number, r: number): Shape {
  const points = Array.from({ length: 6 }, (_, i): Point => {
    const angle = (i * Math.PI) / 3;
    return [x + r * Math.cos(angle), z + r * Math.sin(angle)];
  });
  return area(id, 'vent', points);
}

/** A standing bottle: body, shoulder, and a short neck that pokes into the soil. */
function bottle(planter: Planter, level: number) {
  const top = planter.heights.ceiling;
  const inside = levelInside(planter, level);
  const { reservoir } = planter.design;
  const vents = reservoir.kind === 'bottles' ? reservoir.vents : 'both';
  return (circle: Circle, i: number): Shape[] => {
    const { x, r } = circle;
    const widthAt = (z: number): number => {
      const t = z / top;
      if (t <= 0.72) return r;
      if (t >= 0.92) return r * 0.35;
      const s = (t - 0.72) / 0.2;
      return r * (1 - 0.65 * s * s * (3 - 2 * s));
    };
    const outline = (z0: number, z1: number): Point[] => {
      const steps = Array.from({ length: 9 }, (_, k) => z0 + ((z1 - z0) * k) / 8);
      return [
        ...steps.map((z): Point => [x + widthAt(z), z]),
        ...steps.reverse().map((z): Point => [x - widthAt(z), z]),
      ];
    };
    const shapes: Shape[] = [area(`bottle-${i}-air`, 'air', outline(0, top))];
    if (inside > 0) shapes.push(area(`bottle-${i}-water`, 'water', outline(0, inside)));
    shapes.push(area(`bottle-${i}`, 'bottle', outline(0, top)));
    if (vents === 'both') shapes.push(...ventPair(`bottle-${i}`, x, r, top * 0.72));
    return shapes;
  };
}

/** The platform with gaps where tube and wicks pass. */
function platform({ vessel, heights, layout, design }: Planter): Shape[] {
  const R = vessel.radiusAt(heights.ceiling) - 0.001;
  const gaps: [number, number][] = [];
  if (layout.tube && design.fillTube) {
    const r = Math.max(design.fillTube.hole / 2, layout.tube.r);
    gaps.push([layout.tube.x - r, layout.tube.x + r]);
  }
  for (const cup of layout.cups) {
    if (Math.abs(cup.y) < cup.r) gaps.push([cup.x - cup.r + CUP_WALL, cup.x + cup.r - CUP_WALL]);
  }
  if (design.wicks.some((wick) => wick.kind === 'cloth')) gaps.push([-0.014, 0.014]);
  gaps.sort((a, b) => a[0] - b[0]);
  const pieces: Shape[] = [];
  let from = -R;
  for (const [a, b] of [...gaps, [R, R] as [number, number]]) {
    const to = Math.min(a, R);
    if (to > from) {
      pieces.push(
        box(`platform-${pieces.length}`, 'platform', from, heights.ceiling, to, heights.base),
      );
    }
    from = Math.max(from, b);
  }
  return pieces;
}
