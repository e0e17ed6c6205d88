import { soilBaseHeight, type ExtraPipe, type PlanterDesign } from '../../document';
import { arrange, type Circle } from '../../geometry/packing';
import { grown, holdsCircle, reachAt, shared, type Outline } from '../../geometry/vessels';
import { restsAt } from '../floor';
import { BRIDGE, PLAY } from '../openings';
import {
  baseLots,
  onFloor,
  onPipeOrFloor,
  restsOnFirst,
  throughPlatform,
  throughLayers,
} from '../joining';
import {
  requestsWhere,
  discPart,
  partGroup,
  type RequestedPart,
  type PartDefinition,
  type PartGroup,
  type PlacementSite,
  type ChosenSpots,
} from '../part';
import { cylinder } from '../solid';
import { DENSITY, hollows } from './standings';
import { tooWide } from './tube';

/** Wall of an inspection pipe or worm tube, metres. */
export const PIPE_WALL = 0.003;
/** How far an inspection pipe or worm tube stands over the rim, metres. */
export const PIPE_PROUD = 0.03;

const spots = (index: number, { pipes }: PlanterDesign): ChosenSpots | null => {
  const at = pipes[index]?.at;
  return at === undefined
    ? null
    : { path: ['pipes', index, 'at'], chosen: at && [at], many: false };
};

/** Pipes to look into the water by, and tubes that take scraps. */
export const inspection: PartDefinition<'inspection'> = {
  asked: ({ pipes }) => requestsWhere(pipes, ({ use }) => use === 'inspection'),
  place: (asked, site) => standingPipe('inspection', asked, site),
  joints: (group, together) => [
    ...throughPlatform(group, together),
    ...throughLayers(group, together),
    ...((group.parts[0]?.from ?? 0) < 1e-6 ? onFloor(group) : onPipeOrFloor(group, together)),
  ],
  name: () => 'inspection pipe',
  spots,
  contradictions: ({ spec, index }, design) =>
    tooWide(design, ['pipes', index, 'diameter'], 'inspection pipe', spec.diameter),
};

export const worm: PartDefinition<'worm'> = {
  asked: ({ pipes }) => requestsWhere(pipes, ({ use }) => use === 'worm'),
  place: (asked, site) => standingPipe('worm', asked, site),
  joints: (group, together) => restsOnFirst(group, baseLots(together)),
  name: () => 'worm tube',
  spots,
  contradictions: ({ spec, index }, design) =>
    tooWide(design, ['pipes', index, 'diameter'], 'worm tube', spec.diameter),
};

function standingPipe<K extends 'inspection' | 'worm'>(
  kind: K,
  asked: RequestedPart<K>,
  site: PlacementSite,
): PartGroup<K> {
  const { design, vessel, taken, floor, partGroups, platformOutline } = site;
  const spec = asked.spec as ExtraPipe;
  const r = spec.diameter / 2;
  const own = spec.at && holdsCircle(floor, spec.at.x, spec.at.y, r) ? { ...spec.at, r } : null;
  const onPipe = partGroups.some((one) => one.kind === 'lying' && one.parts.length > 0);
  // A worm tube stands on the base, over whatever is under it.
  const by = own && (kind === 'worm' || onPipe || taken.circle(own)) ? own : null;
  // A hole through the sheet keeps its bridge to the edge too.
  const ground = platformOutline && kind === 'inspection' ? inSheet(floor, platformOutline) : floor;
  const left = { ...atLeft(ground, r, asked.index, design.pipes.length), r };
  const free = kind === 'worm' ? left : freeAtWall(site, ground, r, asked.index);
  // Where pipes lie all over the floor it stands on one of them.
  const at = by ?? free ?? (onPipe ? left : null);
  if (!at) return partGroup(kind, asked, { wanted: 1 });
  if (platformOutline && kind === 'inspection')
    taken.addHole({ ...at, r: r + PLAY / 2 + BRIDGE / 2 });
  const low = kind === 'inspection' && taken.circle(at);
  const tallest = partGroups.reduce(
    (high, one) => (one.kind === 'lying' ? Math.max(high, one.height) : high),
    0,
  );
  const from = kind === 'worm' ? soilBaseHeight(design) : low ? restsAt(vessel, at) : tallest;
  const top = Math.max(vessel.depth, from);
  const outer = cylinder(at, from, top);
  const bore = cylinder({ ...at, r: Math.max(r - PIPE_WALL, 0) }, from, top);
  const long = rimOf(site) + PIPE_PROUD - from;
  return partGroup(kind, asked, {
    ...hollows('both', outer, bore, 1, top),
    wanted: 1,
    parts: [
      discPart(`${kind}-${asked.index}`, at, from, rimOf(site) + PIPE_PROUD, outer, {
        solid: bore,
        share: 1,
      }),
    ],
    height: rimOf(site) + PIPE_PROUD,
    mass: Math.PI * (r * r - Math.max(r - PIPE_WALL, 0) ** 2) * Math.max(long, 0) * DENSITY.pipe,
  });
}

/** As much of the floor as a pipe can stand on whose hole is in the sheet. */
const inSheet = (floor: Outline, sheet: Outline): Outline =>
  shared(floor, grown(sheet, -(PLAY / 2 + BRIDGE)));

const rimOf = ({ bed }: PlacementSite): number => bed.floor + bed.inside.depth;

/** Along the left wall where that is free, else where there is room; over what lies there if nowhere. */
function freeAtWall(
  { taken, design }: PlacementSite,
  ground: Outline,
  r: number,
  i: number,
): Circle | null {
  const left = { ...atLeft(ground, r, i, design.pipes.length), r };
  if (taken.circle(left)) return left;
  const back = grown(ground, -r);
  const sides = [0.4, -0.4, 0.8, -0.8].map((share) => ({
    x: -reachAt({ a: back.b, b: back.a, c: back.c }, share * back.b),
    y: share * back.b,
    r,
  }));
  return sides.find((one) => taken.circle(one)) ?? arrange(ground, r, 1, taken)[0] ?? null;
}

/** Places along the left wall, one behind the other. */
function atLeft(floor: Outline, r: number, i: number, count: number): { x: number; y: number } {
  const inner = grown(floor, -r);
  const y = count === 1 ? 0 : ((i / (count - 1)) * 2 - 1) * Math.max(inner.b - inner.c, 0);
  return { x: -inner.a, y };
}
