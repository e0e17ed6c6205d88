import { INCH_BITS, PIPES, US_BAGS, type PipeId, type VesselId } from '../../catalog';
import { INCH, type UnitSystem } from '../../units';
import { depthOf } from '../heights';
import type { OverflowDesign, SupportDesign, PlanterDesign, VesselDesign } from '../schema';
import { isRigidPipe } from '../parts/supports';
import { holeForPipe } from '../defaults';
import { vesselFrom } from './parts';

/**
 * A design to begin from, as somebody builds it who measures in inches: measures on the marks of a rule, holes
 * of bits on sale, pipes by the sizes in the shop.
 */

/** From so long on measures are on quarters of an inch, below on eighths, and under that as they are. Metres. */
const QUARTERS_FROM = 0.05;
const EIGHTHS_FROM = 0.012;

/** The names under which a design holds lengths that are measured, cut or filled. */
const MEASURED: ReadonlySet<string> = new Set([
  ...['topDiameter', 'bottomDiameter', 'topLength', 'topWidth', 'bottomLength', 'bottomWidth'],
  ...['length', 'width', 'depth', 'diameter', 'bottom', 'rim', 'height', 'top', 'level'],
  ...['spread', 'freeboard', 'foliage', 'spacing', 'foot', 'run', 'neckDiameter', 'shoulder'],
]);

const near = (metres: number, step: number): number => Math.round(metres / step) * step;

function onTheRule(metres: number): number {
  const size = Math.abs(metres);
  if (size < EIGHTHS_FROM) return metres;
  return near(metres, size < QUARTERS_FROM ? INCH / 8 : INCH / 4);
}

/** Every measured length on a mark of the rule, however deep it lies. */
function ruled<T>(thing: T, name = ''): T {
  if (typeof thing === 'number') return (MEASURED.has(name) ? onTheRule(thing) : thing) as T;
  if (Array.isArray(thing)) return thing.map((one: unknown) => ruled(one, name)) as T;
  if (thing === null || typeof thing !== 'object') return thing;
  return Object.fromEntries(
    Object.entries(thing).map(([key, value]) => [key, ruled(value as unknown, key)]),
  ) as T;
}

const closest = (wanted: number, sizes: readonly number[]): number =>
  sizes.reduce((best, one) => (Math.abs(one - wanted) < Math.abs(best - wanted) ? one : best));

const INCHES = (Object.keys(PIPES) as PipeId[]).filter((id) => PIPES[id].family === 'inch');

/** The inch pipe that is nearest to another outside; for an X in a pipe one that is no wider. */
function inchPipe(pipe: PipeId, noWider: boolean): PipeId {
  const inches = INCHES.filter((id) => !noWider || PIPES[id].outside <= PIPES[pipe].outside);
  return nearestPipe(PIPES[pipe].outside, inches) ?? pipe;
}

function nearestPipe(wanted: number, among: readonly PipeId[]): PipeId | undefined {
  const outside = closest(
    wanted,
    among.map((id) => PIPES[id].outside),
  );
  return among.find((id) => PIPES[id].outside === outside);
}

/** Outside and wall of the inch pipe on sale that is nearest to a pipe. Metres. */
function onSale(diameter: number): { diameter: number; wall: number } {
  const { outside, inside } = PIPES[nearestPipe(diameter, INCHES) ?? 'in-1'];
  return { diameter: outside, wall: (outside - inside) / 2 };
}

/** A part that is sawn from rigid pipe is of a pipe on sale, so that its fittings fit. */
const ofInchPipe = (part: SupportDesign): SupportDesign =>
  isRigidPipe(part) && 'diameter' in part ? { ...part, ...onSale(part.diameter) } : part;

/** The hole of a bit on sale, marked on a sixteenth, its lip as far under the base as it was. */
function overflowIn(overflow: OverflowDesign | null, raised: number): OverflowDesign | null {
  if (!overflow || !('diameter' in overflow) || !('centre' in overflow)) return overflow;
  const lip = overflow.centre - overflow.diameter / 2 + raised;
  const diameter = closest(overflow.diameter, INCH_BITS);
  const centre = Math.floor((lip + diameter / 2) / (INCH / 16) + 1e-6) * (INCH / 16);
  return { ...overflow, diameter, centre };
}

/** A vessel of the catalogue, its measures on the marks of a rule in these units. */
export const vesselIn = (id: VesselId, units: UnitSystem): VesselDesign =>
  units === 'us' ? vesselInInches(vesselFrom(id)) : vesselFrom(id);

function vesselInInches(vessel: VesselDesign): VesselDesign {
  const next = ruled(vessel);
  // A box's legs are as long as they are sawn; those of a cloth are counted.
  return next.kind === 'frame' ? { ...next, legs: onTheRule(next.legs) } : next;
}

/** A whole design in inches. */
export function inInches(design: PlanterDesign): PlanterDesign {
  const next = { ...ruled(design), vessel: vesselInInches(design.vessel) };
  const { fillTube } = design;
  const pipe = fillTube && inchPipe(fillTube.pipe, fillTube.joint === 'cross');
  const raised = next.reservoir.top - design.reservoir.top;
  const deeper = depthOf(next.vessel) - depthOf(design.vessel);
  const taller = Math.max(deeper + (design.bed ? raised : 0), 0);
  return {
    ...next,
    reservoir: { ...next.reservoir, parts: next.reservoir.parts.map(ofInchPipe) },
    soil: { ...next.soil, bag: closest(design.soil.bag, US_BAGS) },
    overflow: overflowIn(design.overflow, raised),
    fillTube:
      fillTube && pipe
        ? {
            ...fillTube,
            pipe,
            hole: holeForPipe(pipe),
            length: Math.ceil((fillTube.length + taller) / (INCH / 4) - 1e-6) * (INCH / 4),
          }
        : null,
  };
}
