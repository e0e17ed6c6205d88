import {
  frameBuild,
  POST,
  type FrameBuild,
  type Part,
  type PartGroup,
  type PartKind,
  type Planter,
} from '../../../assembly';
import { legsOf } from '../../../document';
import { boxCell, type Cell } from '../cell';
import { OVER, sidesOf, strip } from '../marks';
import { always, inSteps, type Mark, type PartRound } from '../partRound';
import { floorOf, lining, shell } from '../solids';

/** What holds water or soil: the vessel, its film, and beds of their own. */

/** How a box is built, with its posts as the vessel is turned here; null for what is no box. */
function buildOf({ spec }: PartGroup<'vessel'>, { vessel }: Planter): FrameBuild | null {
  if (spec.kind !== 'frame' || spec.stands) return null;
  const build = frameBuild(spec, 'metric');
  const turned = Math.abs(vessel.outlineAt(0).a - spec.length / 2) > 1e-6;
  if (!turned) return build;
  return { ...build, posts: build.posts.map(({ x, y, corner }) => ({ x: y, y: x, corner })) };
}

/** Posts of a box, from the ground to its rim. */
function posts(group: PartGroup<'vessel'>, { to, from }: Part, planter: Planter): Cell[] {
  const legs = legsOf(group.spec);
  return (buildOf(group, planter)?.posts ?? []).map(({ x, y }) =>
    boxCell(x, y, POST / 2, POST / 2, from - legs, to),
  );
}

/** How thick a joint between boards is drawn, metres. */
const JOINT = 0.002;

/** The joints between courses of boards, on the outside of all four sides. */
function joints(group: PartGroup<'vessel'>, planter: Planter): Mark[] {
  const { vessel } = planter;
  const { a, b } = vessel.outlineAt(0);
  return (buildOf(group, planter)?.courses.slice(1) ?? []).flatMap(({ from }) =>
    sidesOf(a + vessel.wall, b + vessel.wall).flatMap(({ way, off, half }) =>
      // In pieces, so that what is cut away takes only those that lie there.
      strip(way, off + OVER, half, from - JOINT / 2, from + JOINT / 2),
    ),
  );
}

export const vessel: PartRound<'vessel'> = {
  ink: ({ spec }) => (spec.kind === 'frame' ? 'wood' : 'wall'),
  cells: (group, part, planter) => [...shell(planter.vessel), ...posts(group, part, planter)],
  marks: (group, _, planter) => joints(group, planter),
  floors: ({ spec }, planter) =>
    planter.vessel.flat && (spec.kind !== 'frame' || spec.legs > 0)
      ? [floorOf(planter.vessel)]
      : [],
  opened: true,
  tier: 'shell',
  comes: always,
};

export const liner: PartRound<'liner'> = {
  ink: () => 'film',
  cells: (_, __, planter) => lining(planter.vessel),
  opened: true,
  tier: 'shell',
  comes: inSteps('line'),
};

export const patch: PartRound<'patch'> = {
  ink: () => 'support',
  cells: () => [],
  tier: 'shell',
  comes: always,
};

const floors = (_: PartGroup, { bed }: Planter) =>
  bed.places.map(({ x, y }) => floorOf(bed.inside, { x, y, z: bed.floor }));

const ownBed = <K extends PartKind>(): PartRound<K> => ({
  ink: () => 'wall',
  cells: (_, { x, y }, { bed }) => shell(bed.inside, { x, y, z: bed.floor }),
  floors: (group, planter) => floors(group as PartGroup, planter),
  opened: true,
  tier: 'bed',
  comes: inSteps('stand', 'set'),
});
export const nested = ownBed<'nested'>();
export const row = ownBed<'row'>();
export const bag: PartRound<'bag'> = { ...ownBed<'bag'>(), ink: () => 'cloth' };
/** Boards that carry a row of pails, and those that cover the channel between them. */
export const bearers: PartRound<'bearers'> = {
  ink: () => 'wood',
  cells: (_, { foot, x, y, from, to }) =>
    foot.form === 'box' ? [boxCell(x, y, foot.a, foot.b, from, to)] : [],
  opened: true,
  tier: 'shell',
  comes: inSteps('box'),
};
/** A bottle's neck hangs open: it has no floor. */
export const neck: PartRound<'neck'> = {
  ink: () => 'wall',
  cells: (_, { x, y }, { bed }) => shell(bed.inside, { x, y, z: bed.floor }),
  opened: true,
  tier: 'bed',
  comes: inSteps('stand', 'set'),
};
