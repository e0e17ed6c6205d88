import { PIPES } from '../../../catalog';
import { leastWidth, type SupportOf, type PlanterDesign } from '../../../document';
import { q, say } from '../../../units';
import { clearBetween, grown, reachAt, type Outline, type Vessel } from '../../../geometry/vessels';
import { found } from '../../contradiction';
import { standing } from '../../joining';
import { requestsWhere, partGroup, type PartDefinition } from '../../part';
import { lengthOf, tubing, type Run } from '../../solid';
import { DENSITY, hollows } from '../standings';
import { partSizes, spaceFor } from '../sizes';

/** Gap between a coil's turns, as a share of its diameter, and between a loop and the wall. Metres. */
const TURN_GAP = 0.1;
const LOOP_GAP = 0.015;
/**
 * Drain pipe bends no tighter than a turn about five of its diameters across at its middle line, which is
 * a radius of half as many. Typical of corrugated pipe.
 */
export const BENDS = 2.5;
/** The elbow of a rigid loop turns about its own width. */
const ELBOW = 1;
/** Left between a pipe's end and a tube that stands there, metres. */
const AT_END = 0.004;

/** Perforated pipe on the floor: side by side, in a coil, or in a loop. */
export const lying: PartDefinition<'lying'> = {
  bears: 'soil',
  placedFirst: true,
  least: ({ diameter }) => diameter,
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'lying'),
  place({ spec, index }, { vessel, design }) {
    const r = spec.diameter / 2;
    // What a pipe rests on is as wide as the vessel is at the pipe's middle when the floor is curved.
    const floor = clearBetween(vessel, vessel.flat ? 0 : r, spec.diameter);
    const farthest = farthestRun(vessel, r);
    const { runs, room } =
      spec.lay === 'runs'
        ? straightRuns(spec, floor, farthest, atEnd(design))
        : closedTurns(spec, floor, farthest);
    const outer = runs.map((run) => tubing(run, r, r));
    const bore = runs.map((run) => tubing(run, r - spec.wall, r));
    const sum = (list: typeof outer, z: number) => list.reduce((all, one) => all + one.below(z), 0);
    const one = {
      below: (z: number) => sum(outer, z),
      areaAt: (z: number) => outer.reduce((all, solid) => all + solid.areaAt(z), 0),
      holds: () => false,
    };
    const inside = { ...one, below: (z: number) => sum(bore, z) };
    const long = runs.reduce((all, run) => all + lengthOf(run), 0);
    return partGroup(
      'lying',
      { spec, index },
      {
        ...hollows('both', one, inside, 1, spec.diameter),
        wanted: spec.count,
        parts: runs.map((run, i) => ({
          id: `lying-${index}-${i}`,
          x: run.kind === 'straight' ? run.x : 0,
          y: run.kind === 'straight' ? run.y : 0,
          from: 0,
          to: spec.diameter,
          foot: { form: 'run' as const, run, r },
          body: tubing(run, r, r),
          bore: { solid: tubing(run, r - spec.wall, r), share: 1 },
        })),
        mass: long * Math.PI * (r * r - (r - spec.wall) ** 2) * DENSITY.pipe,
        capacity: () => Math.max(room, runs.length),
      },
    );
  },
  joints: standing,
  size: ({ diameter }) => ({
    fields: ['diameter'],
    says: say`${q(diameter, 'length')}`,
    sold: ({ drain }) => drain.map((size) => ({ diameter: size })),
  }),
  name: ({ lay }, count) =>
    lay === 'runs'
      ? count === 1
        ? 'pipe'
        : 'pipes'
      : count === 1
        ? 'turn of pipe'
        : 'turns of pipe',
  contradictions({ spec, index }, design, shape) {
    const { top } = spaceFor(design, shape);
    const path = ['reservoir', 'parts', index, 'diameter'];
    const sizes = partSizes({ spec, index }, design, shape, {
      stands: false,
      wall: spec.diameter,
      name: 'pipe',
    });
    if (spec.diameter > top + 1e-9) {
      return [
        ...sizes,
        found(
          path,
          say`A pipe ${q(spec.diameter, 'length')} across stands out of a base that is ${q(top, 'length')} high. Use one of ${q(top, 'length')} or less, or raise the base.`,
        ),
      ];
    }
    const wide = leastWidth(design.vessel);
    return spec.diameter > wide * 0.95
      ? [
          ...sizes,
          found(
            path,
            say`A pipe ${q(spec.diameter, 'length')} across does not lie in a vessel ${q(wide, 'length')} wide. Use a thinner one.`,
          ),
        ]
      : sizes;
  },
};

/** What a tube that meets a pipe at its end takes of its length, metres. */
function atEnd({ fillTube }: PlanterDesign): number {
  if (!fillTube || (fillTube.joint !== 'elbow' && fillTube.joint !== 'slit')) return 0;
  return fillTube.joint === 'elbow' ? PIPES[fillTube.pipe].outside + AT_END : 0;
}

/** How far from the axis a pipe of radius r on the floor can lie, in the plane of the section. */
function farthestRun(vessel: Vessel, r: number): number {
  let farthest = Infinity;
  for (let i = 0; i <= 12; i += 1) {
    const z = ((i + 0.001) / 12) * 2 * r;
    const chord = Math.sqrt(Math.max(r * r - (z - r) * (z - r), 0));
    farthest = Math.min(farthest, vessel.halfAt(z) - chord);
  }
  return farthest;
}

function straightRuns(spec: SupportOf<'lying'>, floor: Outline, farthest: number, atEnd: number) {
  const r = spec.diameter / 2;
  const room = farthest < -1e-9 ? 0 : Math.floor((2 * farthest) / spec.diameter + 1e-9) + 1;
  const count = Math.min(spec.count, room);
  const share = count === 1 ? 0 : Math.min(farthest, Math.max(farthest * 0.82, (count - 1) * r));
  const runs = Array.from({ length: count }, (_, i): Run => {
    const x = count === 1 ? 0 : (i / (count - 1) - 0.5) * 2 * share;
    const reach = reachAt(floor, Math.abs(x) + r - 1e-9);
    const half = spec.length > 0 ? Math.min(spec.length / 2, reach) : reach;
    // The tube's end is at the front of the last run.
    const short = i === count - 1 ? Math.max(atEnd - 2 * (reach - half), 0) : 0;
    return { kind: 'straight', x, y: short / 2, half: half - short / 2, along: 'y' };
  }).filter((run) => run.kind === 'straight' && run.half > 0);
  return { runs, room };
}

/** The tightest that a pipe turns at its middle line: bent, or by elbows. Metres. */
export const tightest = ({ diameter, stiff }: SupportOf<'lying'>): number =>
  stiff ? ELBOW * diameter : BENDS * diameter;

function closedTurns(spec: SupportOf<'lying'>, floor: Outline, farthest: number) {
  const r = spec.diameter / 2;
  const gap = spec.lay === 'loop' ? LOOP_GAP : 0.004;
  const pitch = spec.diameter * (1 + TURN_GAP);
  const turns: Run[] = [];
  for (let i = 0; i < 40; i += 1) {
    const line = grown(floor, -(r + gap + i * pitch));
    if (line.a < r || line.b < r || farthest - gap - i * pitch < r) break;
    const round = Math.min(line.a, line.b);
    const least = Math.min(tightest(spec), round);
    // A flexible pipe that would have to bend tighter than it can does not lie there.
    if (!spec.stiff && round < tightest(spec) - 1e-9) break;
    turns.push({ kind: 'turn', line: { ...line, c: Math.max(line.c, least) } });
  }
  return { runs: turns.slice(0, spec.count), room: turns.length };
}
