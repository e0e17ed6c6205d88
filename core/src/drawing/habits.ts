import type { Habit } from '../catalog';
import type { Planted } from '../document';
import { area, line, type Point, type Shape } from './shape';

/** A plant in section, by how it grows. Sketches, always the same for the same plant. */

/** Where a plant stands in the section and how large it is drawn, metres. */
export interface Sketch {
  id: string;
  x: number;
  /** Height of the soil's surface. */
  base: number;
  height: number;
  /** How far leaves reach to either side. */
  spread: number;
}

const HABIT_SHAPES: Readonly<Record<Habit, (sketch: Sketch) => Shape[]>> = {
  bushy: (at) => branched(at, 5, 0.3),
  upright: (at) => [...mast(at), ...pairs(at, 3, 0.85)],
  climbing: (at) => [...pole(at), ...pairs(at, 5, 0.45)],
  trailing: (at) => trails(at),
  rosette: (at) => fan(at, 7, 0.5),
  grassy: (at) => blades(at, 6),
  root: (at) => [...fan(at, 5, 0.15), ...bulb(at)],
  tree: (at) => crown(at),
};

/** The shapes of one plant. */
export const plantShapes = (habit: Habit, sketch: Sketch): Shape[] => HABIT_SHAPES[habit](sketch);

/** From −1 to 1, evenly. */
const leans = (count: number): number[] =>
  Array.from({ length: count }, (_, k) => (count === 1 ? 0 : (2 * k) / (count - 1) - 1));

function branched({ id, x, base, height, spread }: Sketch, stems: number, droop: number): Shape[] {
  return leans(stems).flatMap((lean, k) => {
    const tip: Point = [x + lean * spread, base + height * (1 - droop * Math.abs(lean))];
    const bend: Point = [x + lean * spread * 0.35, base + height * 0.5];
    const size = Math.min(height * 0.16, spread * 0.45);
    return [
      line(`${id}-stem-${k}`, 'stem', [[x, base], bend, tip]),
      leaf(`${id}-tip-${k}`, bend, tip, size),
      ...(lean === 0 ? [] : [leaf(`${id}-side-${k}`, [x, base], bend, size * 0.8)]),
    ];
  });
}

const mast = ({ id, x, base, height }: Sketch): Shape[] => [
  line(`${id}-mast`, 'stem', [
    [x, base],
    [x, base + height],
  ]),
];

/** A stem that winds about what it climbs. */
const pole = ({ id, x, base, height, spread }: Sketch): Shape[] => [
  line(
    `${id}-vine`,
    'stem',
    Array.from({ length: 13 }, (_, i): Point => {
      const t = i / 12;
      return [x + Math.sin(t * 14) * spread * 0.15, base + height * t];
    }),
  ),
];

/** Leaves to both sides of a stem: one at the end of each twig, one on its way. */
function pairs({ id, x, base, height, spread }: Sketch, count: number, reach: number): Shape[] {
  const size = Math.min(height * 0.17, spread * 0.4);
  const sides = Array.from({ length: count }, (_, k) => {
    const z = base + height * ((k + 1) / (count + 0.6));
    const out = spread * reach * (1 - 0.4 * (k / count));
    return [-1, 1].flatMap((side) => {
      const foot: Point = [x, z - size * 0.5];
      const tip: Point = [x + side * out, z + size * 0.5];
      const way = mid(foot, tip, 0.55);
      return [
        line(`${id}-twig-${k}-${side}`, 'stem', [foot, tip]),
        leaf(`${id}-leaf-${k}-${side}`, foot, tip, size),
        ...(out > size * 2.4
          ? [leaf(`${id}-way-${k}-${side}`, foot, [way[0], way[1] + size * 0.45], size * 0.8)]
          : []),
      ];
    });
  });
  return [...sides.flat(), leaf(`${id}-top`, [x, base], [x, base + height * 0.97], size)];
}

function trails({ id, x, base, height, spread }: Sketch): Shape[] {
  const rise = height * 0.55;
  const size = Math.min(height * 0.2, spread * 0.3);
  return leans(6).flatMap((lean, k) => {
    const top: Point = [x + lean * spread * 0.45, base + rise * (1 - 0.3 * Math.abs(lean))];
    const tip: Point = [x + lean * spread, base + rise * 0.3];
    return [
      line(`${id}-trail-${k}`, 'stem', [[x, base], top, tip]),
      leaf(`${id}-mid-${k}`, [x, base], top, size),
      leaf(`${id}-end-${k}`, top, tip, size * 0.8),
    ];
  });
}

/** Leaves from the middle. @param flat how far outer ones lie down, 0 to 1 */
function fan({ id, x, base, height, spread }: Sketch, count: number, flat: number): Shape[] {
  return leans(count).map((lean, k) => {
    const tip: Point = [
      x + lean * spread * 0.85,
      base + height * (0.95 - flat * Math.abs(lean) ** 1.5),
    ];
    const length = Math.hypot(tip[0] - x, tip[1] - base);
    return leaf(`${id}-leaf-${k}`, [x, base], mid([x, base], tip, 0.62), length * 0.36);
  });
}

function blades({ id, x, base, height, spread }: Sketch, count: number): Shape[] {
  const half = Math.min(spread * 0.05, height * 0.03);
  return leans(count).map((lean, k) => {
    const top: Point = [x + lean * spread * 0.3, base + height * (0.92 - 0.2 * Math.abs(lean))];
    const tip: Point = [x + lean * spread * 0.5, base + height * (1 - 0.3 * Math.abs(lean))];
    const foot = x + lean * half * 3;
    return area(`${id}-blade-${k}`, 'leaf', [
      [foot - half, base],
      [top[0] - half * 0.7, top[1]],
      tip,
      [top[0] + half * 0.7, top[1]],
      [foot + half, base],
    ]);
  });
}

/** What swells in the soil, its shoulder showing. */
function bulb({ id, x, base, height, spread }: Sketch): Shape[] {
  const r = Math.min(spread * 0.4, height * 0.28);
  const points = Array.from({ length: 14 }, (_, i): Point => {
    const angle = (i / 14) * 2 * Math.PI;
    const down = Math.sin(angle) < 0 ? 1.5 : 0.35;
    return [x + r * Math.cos(angle), base + r * down * Math.sin(angle)];
  });
  return [area(`${id}-bulb`, 'bulb', points)];
}

function crown({ id, x, base, height, spread }: Sketch): Shape[] {
  const clear = height * 0.42;
  const [cx, cz] = [x, base + clear + (height - clear) / 2];
  const [rx, rz] = [spread * 0.9, (height - clear) / 2];
  const trunk: Shape[] = [
    line(`${id}-trunk`, 'trunk', [
      [x, base],
      [x, cz],
    ]),
    ...[-1, 1].map((side) =>
      line(`${id}-bough-${side}`, 'stem', [
        [x, base + clear],
        [x + side * rx * 0.5, cz],
      ]),
    ),
  ];
  const size = Math.min(rx, rz) * 0.34;
  const leaves = Array.from({ length: 11 }, (_, k) => {
    const angle = k * 2.4;
    const far = 0.3 + 0.65 * Math.sqrt(k / 11);
    const tip: Point = [cx + rx * far * Math.cos(angle), cz + rz * far * Math.sin(angle)];
    return leaf(`${id}-leaf-${k}`, [cx, cz - rz * 0.4], tip, size);
  });
  return [...trunk, ...leaves];
}

const mid = ([x0, z0]: Point, [x1, z1]: Point, t: number): Point => [
  x0 + (x1 - x0) * t,
  z0 + (z1 - z0) * t,
];

/** A pointed oval at the far end of a twig. */
function leaf(id: string, from: Point, to: Point, size: number): Shape {
  const dx = to[0] - from[0];
  const dz = to[1] - from[1];
  const length = Math.hypot(dx, dz) || 1;
  const [ux, uz] = [dx / length, dz / length];
  const at = (along: number, across: number): Point => [
    to[0] + ux * along * size - uz * across * size,
    to[1] + uz * along * size + ux * across * size,
  ];
  return area(id, 'leaf', [
    at(-1.3, 0),
    at(-0.5, 0.44),
    at(0.3, 0.36),
    at(1.1, 0),
    at(0.3, -0.36),
    at(-0.5, -0.44),
  ]);
}

/** What holds a plant up, behind it. */
export function supportShapes(support: Planted['support'], sketch: Sketch): Shape[] {
  const { id, x, base, height, spread } = sketch;
  const top = base + height * 1.08;
  const foot = base - height * 0.25;
  const post = (name: string, at: number): Shape =>
    line(`${id}-${name}`, 'stake', [
      [at, foot],
      [at, top],
    ]);
  const across = (name: string, z: number, half: number): Shape =>
    line(`${id}-${name}`, 'stake', [
      [x - half, z],
      [x + half, z],
    ]);
  const half = Math.max(spread * 0.55, 0.03);
  switch (support) {
    case 'none':
      return [];
    case 'stake':
      return [post('stake', x + spread * 0.12)];
    case 'cage':
    case 'tied':
      return [
        post('left', x - half),
        post('right', x + half),
        ...[0.3, 0.62, 0.95].map((t, i) => across(`hoop-${i}`, base + height * t, half)),
      ];
    case 'string':
      return [
        line(`${id}-string`, 'string', [
          [x, foot],
          [x, base + height * 1.2],
        ]),
      ];
    case 'mesh':
      return [
        post('left', x - half),
        post('right', x + half),
        ...[0.2, 0.4, 0.6, 0.8, 1].map((t, i) => across(`mesh-${i}`, base + height * t, half)),
        ...[-0.5, 0, 0.5].map((t, i) =>
          line(`${id}-warp-${i}`, 'string', [
            [x + t * half, base + height * 0.2],
            [x + t * half, base + height],
          ]),
        ),
      ];
    case 'wire':
      return [0.5, 0.95].map((t, i) => across(`wire-${i}`, base + height * t, half * 1.6));
  }
}
