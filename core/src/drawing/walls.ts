import { depthOf } from '../document';
import type { PartKind, Planter } from '../assembly';
import { bedsInSection } from './contents';
import type { InSection } from './partDrawing';
import { shellOf } from './inside';
import { area, box, circlePoints, line, type Ink, type Shape } from './shape';

/** Walls, liner, legs, beds of their own, and the float valve. */

/** Liners are drawn this far from the boards, metres. */
const LINER = 0.004;

export const vessel: InSection<'vessel'> = ({ spec }, { vessel: shape }) => {
  const shapes: Shape[] = [area('wall', 'wall', shellOf(shape, shape.wall))];
  if (spec.kind !== 'frame' || spec.legs <= 0) return shapes;
  const outer = shape.halfAt(0) + shape.wall;
  const thick = Math.min(0.07, outer / 3);
  const [low, high] = [-shape.wall - spec.legs, -shape.wall];
  return [
    ...shapes,
    box('leg-left', 'leg', -outer, low, -outer + thick, high),
    box('leg-right', 'leg', outer - thick, low, outer, high),
  ];
};

export const liner: InSection<'liner'> = (_lot, { vessel: shape }) => {
  const half = shape.halfAt(0) - LINER;
  return [
    line('liner', 'liner', [
      [-half, shape.depth],
      [-half, LINER],
      [half, LINER],
      [half, shape.depth],
    ]),
  ];
};

const beds = (planter: Planter, ink: Ink): Shape[] =>
  bedsInSection(planter).map((at, i) =>
    area(`bed-${i}`, ink, shellOf(planter.bed.inside, planter.bed.wall, at)),
  );

const ofInk =
  <K extends PartKind>(ink: Ink): InSection<K> =>
  (_lot, planter) =>
    beds(planter, ink);

export const nested: InSection<'nested'> = ofInk('wall');
export const neck: InSection<'neck'> = ofInk('wall');
export const bag: InSection<'bag'> = ofInk('cloth');
/** What covers the channel between pails is cut in the section; the boards that carry them stand before and behind. */
export const bearers: InSection<'bearers'> = ({ parts }) =>
  parts.flatMap(({ id, x, y, from, to, foot }) =>
    foot.form === 'box' && Math.abs(y) < foot.b
      ? [box(id, 'leg', x - foot.a, from, x + foot.a, to)]
      : [],
  );

export const row: InSection<'row'> = (_lot, planter) => {
  const { vessel: shape } = planter;
  const half = shape.halfAt(shape.depth) + shape.wall;
  return [
    ...beds(planter, 'wall'),
    box('channel-lid', 'platform', -half, shape.depth, half, shape.depth + 0.003),
  ];
};

/** The float valve at the channel's end, when a barrel keeps the level. */
export const supply: InSection<'supply'> = (_lot, { vessel: shape, design }, level) => {
  const z = Math.min(level, depthOf(design.vessel));
  const x = shape.halfAt(z) - 0.03;
  return [
    area('float', 'cap', circlePoints(x - 0.012, z + 0.002, Math.min(0.012, shape.depth / 6))),
    line('float-arm', 'vent', [
      [x - 0.012, z + 0.002],
      [shape.halfAt(shape.depth), shape.depth * 0.9],
    ]),
  ];
};
