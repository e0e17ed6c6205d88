import type { PartOf } from '../design';
import {
  archProfile,
  boxesOf,
  deckOpenings,
  discsOf,
  drilledTo,
  isSolid,
  runsOf,
  type Lot,
  type Planter,
} from '../planter';
import type { Circle } from '../reservoir';
import type { InSection } from './faces';
import {
  area,
  box,
  circleBelow,
  circlePoints,
  line,
  type Ink,
  type Point,
  type Shape,
} from './shape';

/** Radius at which a vent hole is drawn, metres. */
const VENT = 0.004;
/** Things standing side by side that are drawn at the most. */
const MOST_DRAWN = 40;

/** Whether what lies around the parts is drawn before them, so that they stand in it. */
export const partsInFill = ({ design }: Planter): boolean => design.reservoir.fill.length > 0;

/** What stands at or behind the cutting plane, farthest first. */
function inView(circles: readonly Circle[]): Circle[] {
  return circles
    .filter((circle) => circle.y > -circle.r * 0.5)
    .sort((a, b) => b.y - a.y)
    .slice(-MOST_DRAWN);
}

const isBehind = (circle: Circle): boolean => circle.y >= circle.r * 0.5;

/** How the things in the base look in the section, by their kind. */

export const ring: InSection<'ring'> = (lot, _planter, level) => {
  const { id, spec: design } = lot;
  const r = discsOf(lot)[0]?.r ?? 0;
  if (r === 0) return [];
  const top = lot.height;
  const { wall } = design;
  const inside = lot.levelInside(level);
  const wet = Math.min(level, top);
  const shapes: Shape[] = [];
  if (inside < wet) shapes.push(box(`${id}-air`, 'air', -r + wall, inside, r - wall, wet));
  shapes.push(
    box(`${id}-left`, 'support', -r, 0, -r + wall, top),
    box(`${id}-right`, 'support', r - wall, 0, r, top),
  );
  if (design.vents === 'both' && !design.cutEnd) {
    // The split is seen on the far side of the ring as a narrow open line.
    shapes.push(upright(`${id}-split`, -r * 0.45, 0, top));
    shapes.push(upright(`${id}-split-2`, -r * 0.45 + 0.006, 0, top));
  } else if (design.vents === 'both') {
    [-0.7, -0.35, 0, 0.35, 0.7].forEach((share, i) =>
      shapes.push(hexagon(`${id}-hole-${i}`, r * share, top * 0.86, VENT)),
    );
    [-0.55, 0, 0.55].forEach((share, i) =>
      shapes.push(hexagon(`${id}-low-${i}`, r * share, top * 0.12, VENT)),
    );
  }
  return shapes;
};

export const standing: InSection<'standing'> = (lot, _planter, level) =>
  inView(discsOf(lot)).flatMap((circle, i) => oneStanding(`${lot.id}-${i}`, lot, circle, level));

const upright = (id: string, x: number, z0: number, z1: number): Shape =>
  line(id, 'vent', [
    [x, z0],
    [x, z1],
  ]);

/** Half width by height of something that stands, as a share of its radius; t from 0 to 1. */
const OUTLINES: Partial<Record<PartOf<'standing'>['what'], (t: number) => number>> = {
  bottle: (t) => shoulder(t, 0.72, 0.92, 0.35),
  jug: (t) => shoulder(t, 0.6, 0.85, 0.3),
  pot: (t) => 1 - 0.25 * t,
};

function shoulder(t: number, from: number, to: number, neck: number): number {
  if (t <= from) return 1;
  if (t >= to) return neck;
  const s = (t - from) / (to - from);
  return 1 - (1 - neck) * s * s * (3 - 2 * s);
}

function oneStanding(id: string, part: Lot<'standing'>, circle: Circle, level: number): Shape[] {
  const design = part.spec;
  const { x, r } = circle;
  const top = part.height;
  const profile = OUTLINES[design.what] ?? (() => 1);
  const solid = isSolid(design.what);
  const glassy = design.what === 'bottle' || design.what === 'jug';
  const outline = (z0: number, z1: number): Point[] => {
    const steps = Array.from({ length: 9 }, (_, k) => z0 + ((z1 - z0) * k) / 8);
    return [
      ...steps.map((z): Point => [x + r * profile(z / top), z]),
      ...steps.reverse().map((z): Point => [x - r * profile(z / top), z]),
    ];
  };
  const inside = Math.min(part.levelInside(level), top);
  const shapes: Shape[] = [];
  if (solid) {
    shapes.push(area(id, 'support', outline(0, top)));
    return shapes;
  }
  if (glassy) {
    shapes.push(area(`${id}-air`, 'air', outline(0, top)));
    if (inside > 0) shapes.push(area(`${id}-water`, 'water', outline(0, inside)));
    shapes.push(area(id, 'bottle', outline(0, top)));
  } else {
    const wet = Math.min(level, top);
    if (inside < wet) shapes.push(area(`${id}-air`, 'air', outline(inside, wet)));
    const ink: Ink = isBehind(circle) ? 'support-behind' : 'support';
    shapes.push(line(id, ink, [...outline(0, top), [x + r * profile(0), 0]]));
  }
  if (design.vents === 'both') shapes.push(...ventPair(id, x, r, top * (glassy ? 0.72 : 1)));
  return shapes;
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

/** Pipes cut across: where each run and turn goes through the plane of the section. */
function cutPipes(lot: Lot<'lying'>): number[] {
  return runsOf(lot).flatMap((run) =>
    run.kind === 'straight' ? [run.x] : [-run.line.a, run.line.a],
  );
}

export const lying: InSection<'lying'> = (part, _planter, level) => {
  const { id, spec: design } = part;
  const r = design.diameter / 2;
  const bore = r - design.wall;
  return cutPipes(part).flatMap((x, i): Shape[] => {
    const wet = circleBelow(x, r, bore, level);
    return [
      area(`${id}-${i}-bore`, 'air', circlePoints(x, r, bore)),
      ...(wet.length > 0 ? [area(`${id}-${i}-water`, 'water', wet)] : []),
      area(`${id}-${i}`, 'pipe', circlePoints(x, r, r)),
      ...slots(`${id}-${i}`, x, r, bore),
    ];
  });
};

/** The perforations of a pipe, as short strokes through its wall. */
function slots(id: string, x: number, r: number, bore: number): Shape[] {
  return [20, 70, 110, 160, 200, 250, 290, 340].map((degrees) => {
    const angle = (degrees * Math.PI) / 180;
    const at = (radius: number): Point => [
      x + radius * Math.cos(angle),
      r + radius * Math.sin(angle),
    ];
    return line(`${id}-slot-${degrees}`, 'vent', [at(bore * 0.9), at(r)]);
  });
}

export const crates: InSection<'crates'> = (part) => {
  const { id, height: top } = part;
  const boxes = boxesOf(part);
  const cut = boxes.filter((one) => Math.abs(one.y) < one.b + 1e-9);
  const seen = cut.length > 0 ? cut : boxes;
  const unique = [...new Map(seen.map((one) => [one.x.toFixed(3), one])).values()];
  return unique.flatMap(({ x, a }, i): Shape[] => {
    const bars = Math.max(Math.round((2 * a) / 0.06), 2);
    const rows = Math.max(Math.round(top / 0.05), 2);
    return [
      line(`${id}-${i}`, 'crate', [
        [x - a, 0],
        [x + a, 0],
        [x + a, top],
        [x - a, top],
        [x - a, 0],
      ]),
      ...Array.from({ length: bars - 1 }, (_, k) => {
        const at = x - a + ((k + 1) * 2 * a) / bars;
        return line(`${id}-${i}-bar-${k}`, 'vent', [
          [at, 0],
          [at, top],
        ]);
      }),
      ...Array.from({ length: rows - 1 }, (_, k) => {
        const at = ((k + 1) * top) / rows;
        return line(`${id}-${i}-row-${k}`, 'vent', [
          [x - a, at],
          [x + a, at],
        ]);
      }),
    ];
  });
};

export const arch: InSection<'arch'> = (part, _planter, level) => {
  const { id, spec: design, height: top } = part;
  const half = boxesOf(part)[0]?.a ?? 0;
  if (half <= 0) return [];
  const under = (w: number, h: number, upTo: number): Point[] => {
    const profile = archProfile(w, h);
    const steps = Array.from({ length: 25 }, (_, k) => (Math.min(upTo, h) * k) / 24);
    return [
      ...steps.map((z): Point => [profile.halfAt(z), z]),
      ...steps.reverse().map((z): Point => [-profile.halfAt(z), z]),
    ];
  };
  const w = Math.max(half - design.wall, 1e-3);
  const h = Math.max(top - design.wall, 1e-3);
  const inside = part.levelInside(level);
  return [
    area(id, 'pipe', under(half, top, top)),
    area(`${id}-air`, 'air', under(w, h, h)),
    ...(inside > 0 ? [area(`${id}-water`, 'water', under(w, h, inside))] : []),
    ...(design.vents === 'both'
      ? [-0.6, -0.2, 0.2, 0.6].map((share, i) =>
          hexagon(`${id}-hole-${i}`, half * share, h * (0.88 - 0.5 * share * share), VENT),
        )
      : []),
  ];
};

export const sticks: InSection<'sticks'> = ({ id, spec: design, height: top }, { vessel }) => {
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

/** The platform with gaps where it is cut by what goes through it. */
export const platform: InSection<'platform'> = (_lot, planter) => {
  const { vessel, heights, design } = planter;
  const { reservoir } = design;
  const top = reservoir.top + reservoir.thickness;
  const R = Math.min(vessel.halfAt(heights.ceiling), vessel.halfAt(top)) - 0.001;
  const gaps = deckOpenings(planter)
    .map((one) => ({ ...one, r: drilledTo(one) / 2 }))
    .filter(({ y, r, lot }) => Math.abs(y) < r || lot.kind === 'tube' || lot.kind === 'cloth')
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
