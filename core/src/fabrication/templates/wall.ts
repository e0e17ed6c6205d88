import { baseStyle } from '../../document';
import type { Planter } from '../../assembly';
import { writeQuantity, type UnitSystem } from '../../units';
import type { Hole } from '../buildSheetBuilder';
import { roundTheWall, taperOf, upTheWall } from '../wall';
import {
  arcSteps,
  framed,
  hole as drilled,
  line,
  text,
  type Template,
  type TemplateShape,
} from './template';

/** Paper beside the outermost hole and over the topmost, metres. */
const BESIDE = 0.025;
const OVER = 0.03;
/** Half of a strip’s least width, for the words on it. */
const LEAST_HALF = 0.034;
/** A row's segment is about this wide; it is moved along for the rest. Metres. */
const SEGMENT = 0.2;
/** A strip has this many holes of a row, so that their distance can be checked on it. */
const LEAST_HOLES = 2;
/** A taper less than this is taken for none, radians. */
const UPRIGHT = 1e-4;

/** How far the outside bottom edge is below the inside floor, along the wall. Metres. */
function floorThickness({ design, vessel }: Planter): number {
  // Boards of a box stand round its floor; other vessels stand on theirs.
  if (design.vessel.kind === 'frame') return 0;
  return vessel.wall / Math.cos(taperOf(design, vessel, 0));
}

/** A strip that is stood against the outside of the wall to mark overflow holes. */
export function overflowStrip(planter: Planter, hole: Hole, set: UnitSystem): Template {
  const { design, vessel, heights } = planter;
  const write = (value: number) => writeQuantity(value, 'length', set);
  const outermost = Math.max(...hole.marks.map(({ along }) => Math.abs(along)));
  const half = Math.max(outermost + BESIDE, LEAST_HALF);
  const down = floorThickness(planter);
  const base = upTheWall(design, vessel, heights.ceiling);
  const topmost = Math.max(...hole.marks.map(({ up }) => up)) + hole.bit / 2;
  const showsBase = baseStyle(design) === 'gap' && heights.ceiling < vessel.depth;
  const top = Math.max(topmost, showsBase ? base : 0) + OVER;
  const shapes: TemplateShape[] = [
    line(-half, -down, half, -down, 'cut'),
    line(half, -down, half, top, 'cut'),
    line(half, top, -half, top, 'cut'),
    line(-half, top, -half, -down, 'cut'),
    text(0, top - 0.006, 'Overflow, on the outside', 'middle'),
  ];
  if (down > 2e-4) {
    shapes.push(line(-half, 0, half, 0, 'mark'), text(-half + 0.003, 0.002, 'inside floor'));
  }
  for (const { along, up } of hole.marks) shapes.push(...drilled(along, up, hole.bit));
  if (hole.lip !== null) {
    const lip = upTheWall(design, vessel, hole.lip);
    shapes.push(
      line(-half, lip, half, lip, 'fine'),
      text(half - 0.002, lip - 0.0042, `lip ${write(hole.lip)}`, 'end'),
    );
  }
  if (showsBase) {
    shapes.push(
      line(-half, base, half, base, 'mark'),
      text(-half + 0.003, base + 0.002, `top of the supports ${write(heights.ceiling)}`),
    );
  }
  return framed({
    id: 'overflow',
    title: 'Overflow strip',
    says: `Its foot goes on the outside bottom edge, if the floor is ${write(vessel.wall)} thick; else put the line ‘inside floor’ level with the floor. Check the line of the supports against your own before drilling.`,
    shapes,
  });
}

/**
 * Rows of holes as a strip that lies flat round the wall. A tapered round wall unrolls into a ring
 * about the tip of its cone: a point at outside radius R and angle θ lies at R / sin φ from the tip
 * and at θ·sin φ round it, φ being half the cone's angle. The strip covers a few holes and is moved
 * along for the others.
 */
export function rowsStrip(planter: Planter, hole: Hole, set: UnitSystem): Template | null {
  const { design, vessel } = planter;
  const { overflow } = design;
  if (overflow?.kind !== 'rows') return null;
  const lowest = hole.marks[0]?.height ?? overflow.centre;
  const heights = Array.from({ length: overflow.rows }, (_, i) => lowest + i * overflow.pitch);
  const pitch = roundTheWall(vessel, lowest) / overflow.count;
  const wide = Math.min(Math.max(Math.round(SEGMENT / pitch), LEAST_HOLES), overflow.count);
  const lay = unrolled(planter, overflow.count);
  const down = -vessel.wall;
  const top = (heights[heights.length - 1] as number) + hole.bit / 2 + OVER / 2;
  const shapes: TemplateShape[] = [];
  const edge = (turn: number) => {
    const [x1, y1] = lay(turn, down);
    const [x2, y2] = lay(turn, top);
    shapes.push(line(x1, y1, x2, y2, 'cut'));
  };
  const across = (z: number, stroke: 'cut' | 'fine') => {
    const steps = arcSteps(roundTheWall(vessel, 0) / 2, Math.PI / 8);
    const points = Array.from({ length: steps + 1 }, (_, i) => lay((i / steps - 0.5) * wide, z));
    shapes.push({ kind: 'path', points, closed: false, stroke });
  };
  edge(-wide / 2);
  edge(wide / 2);
  across(down, 'cut');
  across(top, 'cut');
  across(0, 'fine');
  heights.forEach((z, row) => {
    across(z, 'fine');
    const shift = row % 2 === 0 ? 0.5 : 0;
    // Holes on the right-hand edge are the next segment's.
    const holes = Array.from({ length: wide }, (_, i) => i - wide / 2 + shift);
    for (const turn of holes) {
      const [x, y] = lay(turn, z);
      shapes.push(...drilled(x, y, hole.bit));
    }
  });
  const write = (value: number) => writeQuantity(value, 'length', set);
  const [x, y] = lay(-wide / 2, 0);
  shapes.push(text(x + 0.008, y + 0.002, 'inside floor', 'start', 0.0024));
  const times = overflow.count / wide;
  const words = Number.isInteger(times) ? `${times} times round` : 'on until it meets its start';
  return framed({
    id: 'rows',
    title: 'Rows of air holes',
    says: `Lies flat round the wall, its foot on the outside bottom edge. Mark, move it along by one strip, ${words}. Lowest row ${write(lowest)} above the inside floor.`,
    shapes,
  });
}

/**
 * Where a point of the wall lies on the flat strip: `turn` counts holes round from the strip's
 * middle, z is the height above the inside floor.
 */
function unrolled({ design, vessel }: Planter, count: number) {
  const cone = taperOf(design, vessel, vessel.depth);
  if (Math.abs(cone) < UPRIGHT) {
    return (turn: number, z: number): [number, number] => [
      (turn * roundTheWall(vessel, z)) / count,
      z <= 0 ? z : upTheWall(design, vessel, z),
    ];
  }
  const sine = Math.sin(cone);
  const radius = (z: number) => roundTheWall(vessel, 0) / (2 * Math.PI) + z * Math.tan(cone);
  const from = radius(0) / sine;
  return (turn: number, z: number): [number, number] => {
    const away = radius(z) / sine;
    const angle = ((turn * 2 * Math.PI) / count) * sine;
    return [away * Math.sin(angle), away * Math.cos(angle) - from];
  };
}
