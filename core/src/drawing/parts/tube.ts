import { PIPES } from '../../catalog';
import type { ExtraPipe } from '../../document';
import { halfAt, type Part, type Planter } from '../../assembly';
import type { InSection } from '../partDrawing';
import { area, box, circlePoints, line, type Point, type Shape } from '../shape';

/** The fill tube: two cut walls, open foot, water inside, cap. */
export const tube: InSection<'tube'> = ({ spec: fillTube, parts }, planter, level) => {
  const [piece] = parts;
  if (piece?.foot.form !== 'disc') return [];
  const { x, from: floor } = piece;
  const { r } = piece.foot;
  const wall = (PIPES[fillTube.pipe].outside - PIPES[fillTube.pipe].inside) / 2;
  const top = floor + fillTube.length;
  // A bevel of 45 degrees; a notch lifts the near wall only.
  const joined = planter.of('lying').some((group) => group.parts.length > 0);
  const ends = !joined || fillTube.joint === 'cross';
  const bevel =
    fillTube.foot === 'square' || !ends || fillTube.run > 0 ? 0 : Math.min(2 * r, top / 3);
  const nearFoot = floor + (fillTube.foot === 'notch' ? bevel / 2 : bevel);
  const inside = Math.min(level, top);
  const shapes: Shape[] = [
    area('tube-bore', 'air', [
      [x - r + wall, nearFoot],
      [x + r - wall, floor],
      [x + r - wall, top],
      [x - r + wall, top],
    ]),
  ];
  if (inside > floor) {
    const points: Point[] =
      inside > nearFoot
        ? [
            [x - r + wall, nearFoot],
            [x + r - wall, floor],
            [x + r - wall, inside],
            [x - r + wall, inside],
          ]
        : [
            [x + r - wall, floor],
            [x + r - wall, inside],
            [x + r - wall - ((2 * r - 2 * wall) * inside) / Math.max(nearFoot, 1e-6), inside],
          ];
    shapes.push(area('tube-water', 'water', points));
  }
  shapes.push(
    area('tube-near', 'tube', [
      [x - r, nearFoot],
      [x - r + wall, Math.max(nearFoot - (bevel > 0 ? wall : 0), floor)],
      [x - r + wall, top],
      [x - r, top],
    ]),
    box('tube-far', 'tube', x + r - wall, floor, x + r, top),
  );
  const run = parts.find(({ foot }) => foot.form === 'run')?.foot;
  if (run?.form === 'run' && run.run.kind === 'straight') {
    shapes.push(...runOf(run.run.x - run.run.half, x, r, wall));
  }
  if (fillTube.cap === 'cap') {
    shapes.push(box('tube-cap', 'cap', x - r - 0.002, top - 0.006, x + r + 0.002, top + 0.003));
  } else if (fillTube.cap === 'sponge') {
    shapes.push(box('tube-sponge', 'cap', x - r + wall, top - 0.018, x + r - wall, top + 0.006));
  }
  return shapes;
};

/** A perforated run along the floor, from the tube's foot towards the middle. */
function runOf(end: number, x: number, r: number, wall: number): Shape[] {
  const holes = Math.max(Math.floor((x - r - end) / 0.03), 1);
  return [
    box('tube-run', 'tube', end, 0, x - r + wall, 2 * r),
    ...Array.from({ length: holes }, (_, i) =>
      area(
        `tube-run-hole-${i}`,
        'vent',
        circlePoints(end + ((i + 0.5) * (x - r - end)) / holes, r * 0.6, Math.min(0.003, r / 3)),
      ),
    ),
  ];
}

/** Inspection pipes and worm tubes: two walls, holes, and a cap if there is one. */
export const inspection: InSection<'inspection'> = (group, planter, level) =>
  standingPipe(group.parts[0], group.spec, group.index, planter, level);
export const worm: InSection<'worm'> = (group, planter, level) =>
  standingPipe(group.parts[0], group.spec, group.index, planter, level);

function standingPipe(
  piece: Part | undefined,
  { use, capped }: ExtraPipe,
  i: number,
  planter: Planter,
  level: number,
): Shape[] {
  if (piece?.foot.form !== 'disc') return [];
  const { heights } = planter;
  const { from: foot, to: top } = piece;
  const { r } = piece.foot;
  const x = Math.max(piece.x, -(halfAt(planter, heights.surface) - r));
  const wall = Math.min(0.003, r / 3);
  const wet = Math.min(level, top);
  const holes = use === 'worm' ? Math.max(Math.floor((heights.surface - foot) / 0.04), 1) : 0;
  return [
    box(`pipe-${i}-bore`, use === 'worm' ? 'straw' : 'air', x - r, foot, x + r, top),
    ...(wet > foot && use !== 'worm'
      ? [box(`pipe-${i}-water`, 'water', x - r, foot, x + r, wet)]
      : []),
    box(`pipe-${i}-left`, 'tube', x - r, foot, x - r + wall, top),
    box(`pipe-${i}-right`, 'tube', x + r - wall, foot, x + r, top),
    ...Array.from({ length: holes }, (_, k) => k * 0.04 + foot + 0.02).flatMap((z, k) => [
      line(`pipe-${i}-hole-${k}-l`, 'vent', [
        [x - r - 0.001, z],
        [x - r + wall + 0.001, z],
      ]),
      line(`pipe-${i}-hole-${k}-r`, 'vent', [
        [x + r - wall - 0.001, z],
        [x + r + 0.001, z],
      ]),
    ]),
    ...(capped
      ? [box(`pipe-${i}-cap`, 'cap', x - r - 0.002, top - 0.005, x + r + 0.002, top + 0.003)]
      : []),
  ];
}
