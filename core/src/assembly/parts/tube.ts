import { PIPES } from '../../catalog';
import { leastWidth, type FillTubeDesign, type PlanterDesign } from '../../document';
import { q, say } from '../../units';
import { holdsCircle } from '../../geometry/vessels';
import { arrange } from '../../geometry/packing';
import { found, type Contradiction } from '../contradiction';
import { restsAt } from '../floor';
import { BRIDGE } from '../openings';
import { onPipeOrFloor, throughPlatform, throughLayers, tiedToVessel } from '../joining';
import {
  discPart,
  partGroup,
  singleRequest,
  runsOf,
  type PartDefinition,
  type Part,
  type PlacementSite,
} from '../part';
import { cylinder, tubing, type Run } from '../solid';
import { DENSITY, hollows } from './standings';

/** A tube inside a ring keeps this far from it, metres. */
const RING_PLAY = 0.001;

/** The pipe that water goes down by, and its perforated run along the floor. */
export const tube: PartDefinition<'tube'> = {
  asked: ({ fillTube }) => singleRequest<'tube'>(fillTube),
  place(asked, site) {
    const { spec } = asked;
    const { outside, inside } = PIPES[spec.pipe];
    const at = placeOf(spec, site);
    if (site.platformOutline) site.taken.addHole({ ...at, r: spec.hole / 2 + BRIDGE / 2 });
    const from = footOf(spec, site, at);
    const to = from + spec.length;
    const top = Math.min(to, site.vessel.depth);
    // Inside a lying pipe it takes no room of its own.
    const low = Math.max(from, lyingTop(site, at));
    const body = cylinder(at, low, top);
    const bore = cylinder({ ...at, r: inside / 2 }, low, top);
    const run = runOf(spec, site, at);
    const runBody = run && tubing(run, outside / 2, outside / 2);
    const runBore = run && tubing(run, inside / 2, outside / 2);
    const both = (one: typeof body, other: typeof body | null) => ({
      ...one,
      below: (z: number) => one.below(z) + (other?.below(z) ?? 0),
      areaAt: (z: number) => one.areaAt(z) + (other?.areaAt(z) ?? 0),
    });
    const parts: Part[] = [discPart('tube-0', at, from, to, body, { solid: bore, share: 1 })];
    if (run && runBody) {
      const foot = { form: 'run' as const, run, r: outside / 2 };
      parts.push({
        id: 'tube-run',
        x: run.kind === 'straight' ? run.x : 0,
        y: 0,
        from: 0,
        to: outside,
        foot,
        body: runBody,
        bore: runBore && { solid: runBore, share: 1 },
      });
    }
    return partGroup('tube', asked, {
      ...hollows(
        'both',
        both(body, runBody),
        both(bore, runBore),
        1,
        Math.max(top, run ? outside : 0),
      ),
      wanted: parts.length,
      parts,
      height: to,
      mass: (Math.PI / 4) * (outside ** 2 - inside ** 2) * (spec.length + spec.run) * DENSITY.pipe,
    });
  },
  joints: (group, together) => [
    ...throughPlatform(group, together),
    ...throughLayers(group, together),
    ...onPipeOrFloor(group, together),
    ...tiedToVessel(group),
  ],
  name: () => 'fill tube',
  spots: (_index, { fillTube }) =>
    fillTube && {
      path: ['fillTube', 'at'],
      chosen: fillTube.at && [fillTube.at],
      many: false,
    },
  contradictions: ({ spec }, design) =>
    tooWide(design, ['fillTube', 'pipe'], PIPES[spec.pipe].name, PIPES[spec.pipe].outside),
};

/** A pipe that takes more than half of the floor that it stands on. */
export function tooWide(
  { vessel, bed }: PlanterDesign,
  path: Contradiction['path'],
  name: string,
  outside: number,
): Contradiction[] {
  const room = bed?.kind === 'neck' ? bed.neckDiameter : leastWidth(vessel);
  const most = bed?.kind === 'row' || bed?.kind === 'bag' ? room : room / 2;
  return outside > most + 1e-9
    ? [
        found(
          path,
          say`The ${name} is ${q(outside, 'length')} across and would take more than half of a floor ${q(room, 'length')} across. Choose a pipe of ${q(most, 'length')} or less outside.`,
        ),
      ]
    : [];
}

interface At {
  x: number;
  y: number;
  r: number;
}

/** Where it stands: by hand, on the lying pipe that it joins, else at the wall, inside a ring if need be. */
function placeOf(
  spec: FillTubeDesign,
  { design, floor, platformOutline, partGroups, taken }: PlacementSite,
): At {
  const r = PIPES[spec.pipe].outside / 2;
  const edge = platformOutline ? platformOutline.a - spec.hole / 2 - BRIDGE + r : Infinity;
  if (spec.at && holdsCircle(floor, spec.at.x, spec.at.y, r)) {
    const own = { ...spec.at, r };
    const sheet =
      !platformOutline || holdsCircle(platformOutline, own.x, own.y, spec.hole / 2 + BRIDGE);
    const clear = taken.circle(own) || partGroups.some(({ kind }) => kind === 'lying');
    if (sheet && clear && besideRings(design, own)) return own;
  }
  const runs = partGroups.flatMap((one) => (one.kind === 'lying' ? runsOf(one) : []));
  if (runs.length > 0) {
    const on = onPipe(runs, spec, r, floor.a);
    return holdsCircle(floor, on.x, on.y, r)
      ? on
      : { ...on, y: 0, x: Math.min(on.x, Math.max(floor.a - r, 0)) };
  }
  const ring = design.reservoir.parts.find((part) => part.kind === 'ring');
  const besideRing = !ring || Math.min(floor.a, edge) - ring.diameter / 2 >= 2 * r;
  const most = besideRing
    ? Math.min(floor.a, edge)
    : Math.min(ring.diameter / 2 - ring.wall - RING_PLAY, edge);
  const atWall = { x: Math.max(most - r, 0), y: 0, r };
  if (design.bed?.kind !== 'bag' || taken.circle(atWall)) return atWall;
  // Bags fill their tray from wall to wall: it stands in a corner that they leave.
  return arrange(floor, r, 1, taken)[0] ?? atWall;
}

/** Rings are placed round the tube: in their wall it cannot stand. */
const besideRings = ({ reservoir }: PlanterDesign, { x, y, r }: At): boolean =>
  reservoir.parts.every((part) => {
    if (part.kind !== 'ring') return true;
    const away = Math.hypot(x, y);
    return away - r >= part.diameter / 2 || away + r <= part.diameter / 2 - part.wall;
  });

function onPipe(runs: readonly Run[], spec: FillTubeDesign, r: number, most: number): At {
  const xs = runs.map((run) => (run.kind === 'straight' ? run.x : run.line.a));
  const x = Math.min(Math.max(...xs), Math.max(most - r, 0));
  const last = runs[xs.indexOf(Math.max(...xs))];
  if (spec.joint === 'elbow' && last?.kind === 'straight') {
    // Beside the end of the pipe, at the front.
    return { x, y: last.y - last.half - r, r };
  }
  return { x, y: 0, r };
}

/** Height of the foot: on the floor, on the pipe that it joins, or inside that. */
function footOf(spec: FillTubeDesign, site: PlacementSite, at: At): number {
  const pipe = site.partGroups.find(({ kind }) => kind === 'lying') as
    { spec: { wall: number } } | undefined;
  if (!pipe) return restsAt(site.vessel, at);
  const top = lyingTop(site, at);
  if (spec.joint === 'cross' || spec.joint === 'slit')
    return top > 0 ? Math.max(pipe.spec.wall, restsAt(site.vessel, at)) : restsAt(site.vessel, at);
  return spec.joint === 'tee' ? top : restsAt(site.vessel, at);
}

/** Crown of the lying pipe that a tube stands over, also with a part of its width, or 0 where there is none. */
function lyingTop({ partGroups }: PlacementSite, { x, y, r }: At): number {
  for (const one of partGroups) {
    if (one.kind !== 'lying') continue;
    for (const { foot } of one.parts) {
      if (foot.form === 'run' && near(foot.run, x, y) < foot.r + r - 1e-9) return one.height;
    }
  }
  return 0;
}

const near = (run: Run, x: number, y: number): number => {
  if (run.kind === 'straight') {
    return Math.abs(y - run.y) <= run.half + 1e-9 ? Math.abs(x - run.x) : Infinity;
  }
  const { a, b, c } = run.line;
  const [dx, dy] = [Math.abs(x) - (a - c), Math.abs(y) - (b - c)];
  if (dx > 0 && dy > 0) return Math.abs(Math.hypot(dx, dy) - c);
  return Math.min(Math.abs(Math.abs(x) - a), Math.abs(Math.abs(y) - b));
};

/** The perforated run along the floor, from the tube's foot towards the far wall. */
function runOf(spec: FillTubeDesign, { floor, partGroups }: PlacementSite, at: At): Run | null {
  if (spec.run <= 0 || partGroups.some(({ kind }) => kind === 'lying')) return null;
  const long = Math.min(spec.run, floor.a + at.x - at.r);
  if (long <= 0 || at.r > floor.b) return null;
  const end = at.x - at.r;
  return { kind: 'straight', x: end - long / 2, y: at.y, half: long / 2, along: 'x' };
}
