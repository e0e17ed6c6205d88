import { boreOf, lipHeight } from '../../document';
import type { PartGroup, Planter } from '../../assembly';
import type { InSection } from '../partDrawing';
import { area, box, circlePoints, line, type Shape } from '../shape';

/** Overflows as the section shows them: in the wall at the left, or round the wall where they are. */

/** An opening in the left wall between two heights. */
function opening({ vessel }: Planter, id: string, z0: number, z1: number): Shape {
  const t = vessel.wall;
  const [x0, x1] = [-vessel.halfAt(z0), -vessel.halfAt(z1)];
  return area(id, 'opening', [
    [x0, z0],
    [x0 - t, z0],
    [x1 - t, z1],
    [x1, z1],
  ]);
}

/** A fine screen over an opening. */
function screen({ vessel }: Planter, lip: number, bore: number): Shape {
  const t = vessel.wall;
  return line('overflow-screen', 'screen', [
    [-vessel.halfAt(lip) - t / 2, lip],
    [-vessel.halfAt(lip + bore) - t / 2, lip + bore],
  ]);
}

/** Beyond this turn an overflow is seen on the far wall and not cut, radians. */
const CUT = 0.35;

/** A round hole seen on the far wall, squeezed as the wall turns. */
function onTheWall({ vessel }: Planter, id: string, x: number, z: number, r: number): Shape {
  const half = Math.max(vessel.halfAt(z), 1e-6);
  const squeeze = Math.max(Math.sqrt(Math.max(1 - (x / half) ** 2, 0)), 0.2);
  return area(
    id,
    'opening',
    circlePoints(0, z, r).map(([px, pz]) => [x + px * squeeze, pz] as const),
  );
}

/** Whether it lies in the left of the section, where the wall is cut. */
const isCut = (bearing: number): boolean => Math.abs(bearing) <= CUT;

export const hole: InSection<'hole'> = (group, planter) => {
  const { spec } = group;
  const bore = boreOf(spec);
  const lip = lipHeight(spec);
  if (!isCut(spec.bearing)) return [seenRound(group, planter)];
  return [
    opening(planter, 'overflow', lip, lip + bore),
    ...(spec.screened ? [screen(planter, lip, bore)] : []),
  ];
};

const seenRound = (group: PartGroup<'hole'> | PartGroup<'fitting'>, planter: Planter): Shape =>
  onTheWall(
    planter,
    'overflow',
    group.parts[0]?.x ?? 0,
    group.spec.centre,
    group.spec.diameter / 2,
  );

export const fitting: InSection<'fitting'> = (group, planter) => {
  const { spec } = group;
  const { vessel } = planter;
  if (!isCut(spec.bearing)) return [seenRound(group, planter)];
  const bore = boreOf(spec);
  const lip = lipHeight(spec);
  const low = spec.centre - bore / 2;
  const x = -vessel.halfAt(spec.centre);
  const out = Math.max(0.03, vessel.wall * 2);
  return [
    opening(planter, 'overflow-hole', spec.centre - spec.diameter / 2, low + bore),
    box('overflow', 'opening', x - out, low, x + 0.006, low + bore),
    ...(spec.rise > 0
      ? [box('overflow-rise', 'opening', x - out - bore, low, x - out, lip + bore / 2)]
      : []),
    ...(spec.screened ? [screen(planter, lip, bore)] : []),
  ];
};

export const rows: InSection<'rows'> = (group, planter) => {
  const { spec, parts } = group;
  const half = spec.diameter / 2;
  const cut = Array.from({ length: spec.rows }, (_, row) => {
    const z = spec.centre + row * spec.pitch;
    return opening(planter, row === 0 ? 'overflow' : `overflow-${row}`, z - half, z + half);
  });
  const wall = parts
    .filter(({ y }) => y > 1e-6)
    .map(({ x, from, to }, i) => onTheWall(planter, `air-hole-${i}`, x, (from + to) / 2, half))
    .filter((shape) => shape.points.every(([px, pz]) => Math.abs(px) < planter.vessel.halfAt(pz)));
  const lip = spec.centre - half;
  return [...cut, ...wall, ...(spec.screened ? [screen(planter, lip, spec.diameter)] : [])];
};
