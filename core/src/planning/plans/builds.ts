import { catalogVessel, type VesselGroup, type VesselId } from '../../catalog';
import { INCH, type UnitSystem } from '../../units';
import { changeBase } from '../../assembly';
import {
  applyPatch,
  baseOf,
  depthOf,
  inInches,
  putVessel,
  STARTING_POINTS,
  type Patch,
  type PlanterDesign,
  type StartingPoint,
  type VesselDesign,
} from '../../document';

/** Builds that people make, each in every sort of vessel that it goes into. */

/** In which vessels a build of the starting points is made, and how many of them one planter takes. */
interface Fits {
  groups: readonly VesselGroup[];
  /** How several vessels make one planter: two equal ones of which one stands in the other, or a row over one channel. */
  joins?: 'pair' | 'row';
  /** What its soil stands over, in words. */
  over: string;
}

const FITS: Readonly<Record<string, Fits>> = {
  'cloth-pail': { groups: ['pail', 'pot'], over: 'a ring of pipe' },
  'cup-pail': { groups: ['pail', 'tote', 'pot'], over: 'drilled tubs' },
  'bottle-pail': { groups: ['pail', 'tote', 'pot', 'trough', 'barrel'], over: 'drilled bottles' },
  'pot-tub': { groups: ['pail', 'tote', 'pot', 'barrel'], over: 'small pots' },
  'stick-pail': { groups: ['pail', 'tote', 'pot'], over: 'crossed sticks' },
  'tote-pipes': { groups: ['tote', 'trough', 'pail'], over: 'short pipes' },
  'nested-totes': { groups: ['tote'], joins: 'pair', over: 'crates, one in the other' },
  bottle: { groups: ['bottle'], over: 'water in the lower half' },
  'coil-barrel': { groups: ['barrel'], over: 'a coil of pipe' },
  'air-barrel': { groups: ['barrel'], over: 'a coil, with air holes' },
  'panel-barrel': { groups: ['barrel'], over: 'a panel' },
  'lying-barrel': { groups: ['barrel'], over: 'a pipe in sand' },
  'stone-pot': { groups: ['pot', 'pail', 'tote', 'trough', 'tank'], over: 'stone' },
  'trough-pipes': { groups: ['trough', 'tote', 'tank', 'bed'], over: 'wide pipes' },
  'box-legs': { groups: ['bed', 'trough'], over: 'a loop of pipe' },
  'film-bed': { groups: ['bed'], over: 'pipe and boxes' },
  'rock-bed': { groups: ['bed', 'tank'], over: 'rounded rock' },
  'tank-crates': { groups: ['tank', 'tote', 'trough', 'bed'], over: 'crates' },
  'gutter-pails': { groups: ['pail'], joins: 'row', over: 'one gutter' },
  'bag-tray': { groups: ['tray'], over: 'a tray of water' },
};

/** A build: a starting point that goes into other vessels too. */
export interface Build extends Fits {
  id: string;
  point: StartingPoint;
}

export const BUILDS: readonly Build[] = STARTING_POINTS.flatMap((point): Build[] => {
  const fits = FITS[point.id];
  return fits ? [{ id: point.id, point, ...fits }] : [];
});

/** From here on something round is a barrel, metres. */
const BARREL = { deep: 0.5, across: 0.52 };

/** Which of the usual groups a measured vessel is most like. */
export function groupOf(vessel: VesselDesign): VesselGroup {
  switch (vessel.kind) {
    case 'round':
      if (vessel.material === 'clay') return 'pot';
      return vessel.depth >= BARREL.deep || vessel.topDiameter >= BARREL.across ? 'barrel' : 'pail';
    case 'stadium':
      return 'trough';
    case 'frame':
      return 'bed';
    case 'lying':
      return 'barrel';
    default:
      return vessel.material === 'clay' ? 'pot' : 'tote';
  }
}

export const groupOfCatalog = (id: VesselId): VesselGroup => catalogVessel(id).group;

/** Whether a half lies on its side: then the floor is no flat one, and only what lies along goes in. */
const lies = ({ kind }: VesselDesign): boolean => kind === 'lying';

/** The builds that go into a vessel. */
export const buildsFor = (vessel: VesselDesign, group: VesselGroup): readonly Build[] =>
  BUILDS.filter(
    ({ groups, point }) => groups.includes(group) && lies(point.design.vessel) === lies(vessel),
  );

/** A height as it is marked: whole millimetres, or eighths of an inch. Metres. */
function marked(height: number, units: UnitSystem): number {
  const step = units === 'us' ? INCH / 8 : 0.001;
  return Math.max(Math.round(height / step), 1) * step;
}

const inchTemplates = new Map<string, PlanterDesign>();

/** A build's own design in a system's sizes; always the same object. */
export function templateOf({ id, point }: Build, units: UnitSystem): PlanterDesign {
  if (units === 'metric') return point.design;
  const known = inchTemplates.get(id) ?? inInches(point.design);
  inchTemplates.set(id, known);
  return known;
}

/** Whether a build's height is that of its vessel, or of the channel below, and cannot be chosen. */
export const fixedHeight = ({ point, joins }: Build): boolean =>
  point.design.bed?.kind === 'bag' || joins === 'row';

/** Pails that stand over one channel, and the room between two of them, metres. */
export const ROW = { least: 3, most: 5, between: 0.1 };

/**
 * The patch that stands so many pails in a row over a channel that is long enough for them.
 *
 * @param pail a round vessel, as one of the row
 */
export function fitRow(
  template: PlanterDesign,
  pail: Extract<VesselDesign, { kind: 'round' }>,
  count: number,
  units: UnitSystem,
): Patch {
  const { topDiameter, bottomDiameter, depth, wall } = pail;
  const step = units === 'us' ? INCH : 0.01;
  const length = Math.ceil((count * (topDiameter + ROW.between)) / step - 1e-6) * step;
  return [
    { path: ['bed'], value: { kind: 'row', count, topDiameter, bottomDiameter, depth, wall } },
    {
      path: ['vessel'],
      value: {
        ...template.vessel,
        ...{ topLength: length, bottomLength: length },
        formerContents: 'new',
      },
    },
    ...template.wicks.map((wick, i) => ({
      path: ['wicks', i],
      value: 'count' in wick ? { ...wick, count } : wick,
    })),
  ];
}

/**
 * The patch that puts a build into another vessel with its base at a height: supports in the sizes and numbers that
 * there is room for, the overflow as far under the base as it was.
 *
 * @param top of the base, metres
 */
export function fitInto(
  template: PlanterDesign,
  vessel: VesselDesign,
  top: number,
  units: UnitSystem,
): Patch {
  const at = marked(top, units);
  const { overflow, reservoir } = template;
  const patch: Patch = [
    ...putVessel(template, vessel),
    { path: ['reservoir', 'top'], value: at },
    ...(overflow && overflow.kind !== 'rim'
      ? [
          {
            path: ['overflow', 'centre'],
            value: Math.max(overflow.centre + at - reservoir.top, 0.008),
          },
        ]
      : []),
  ];
  const base = baseOf(template);
  if (!base || standsApart(template)) return patch;
  // Its wicks stay those of the build.
  const around = changeBase(applyPatch(template, patch), base);
  return [...patch, ...around.filter(({ path }) => path[0] !== 'wicks')];
}

/** Whether the soil stands in pails, bags or a bottle's neck over the water: nothing stands on the floor then. */
const standsApart = ({ bed }: PlanterDesign): boolean => bed !== null && bed.kind !== 'nested';

/** The highest a base goes in a vessel at all, as a share of its depth, and the lowest, metres. */
const HIGHEST = 0.42;
const LOWEST = 0.035;
/** Root room over what crops ask: as little as only checks them, and all. */
const ROOMS = [0.73, 1];
/** What lies between base and roots, and above the soil, metres. */
const BETWEEN = 0.045;
/** Heights that differ by less are one, metres. */
const APART = 0.012;
const MOST_HEIGHTS = 2;
/** Of the highest, where roots leave it free. */
const LOWER = 0.65;

/**
 * Heights of the base that leave roots some room, the highest first. Metres.
 *
 * @param roots that the crops ask for
 */
export function heightsFor(vessel: VesselDesign, roots: number): number[] {
  const depth = depthOf(vessel);
  const highest = HIGHEST * depth;
  const tops = [...ROOMS.map((room) => depth - room * roots - BETWEEN), LOWER * highest]
    .map((top) => Math.min(top, highest))
    .filter((top) => top >= LOWEST)
    .sort((a, b) => b - a);
  const apart = tops.filter((top, i) => i === 0 || (tops[i - 1] as number) - top > APART);
  return apart.slice(0, MOST_HEIGHTS);
}
