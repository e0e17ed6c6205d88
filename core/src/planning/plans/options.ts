import { cropOf, type CropId } from '../../catalog';
import { settled, type Figures, type RemedyCheck } from '../../assessment';
import { assemble, contradictions, plantingPlan, usualSupport, type Planter } from '../../assembly';
import { asShopper, buildSheet, type Shopper } from '../../fabrication';
import {
  applyPatch,
  baseStyle,
  standsOnStone,
  usualPlanted,
  usualStart,
  type Patch,
  type PlanterDesign,
} from '../../document';
import { shapeOf } from '../../geometry/vessels';
import type { UnitSystem } from '../../units';
import {
  buildsFor,
  fitInto,
  fitRow,
  fixedHeight,
  heightsFor,
  templateOf,
  type Build,
} from './builds';
import type { PlanVessel } from './setting';
import { TOOL_IDS, TOOLS, type PlanWish, type ToolId } from './wish';

/** One vessel with its crops, built in every way that is sound. */

export interface PlantCount {
  crop: CropId;
  count: number;
}

/** A vessel with what grows in it. */
export interface Content {
  vessel: PlanVessel;
  crops: readonly PlantCount[];
  /** How several vessels make one planter, and how many of them. */
  joins: { how: 'pair' | 'row'; count: number } | null;
}

/** What building an option takes. */
interface Work {
  shopper: Shopper;
  /** Minutes at work the first time, and in practised hands. */
  minutes: number;
  practised: number;
  tools: readonly ToolId[];
}

/** A content in one build, judged. */
export interface Option {
  build: Build;
  design: PlanterDesign;
  figures: Figures;
  /** What stands in it: of each crop of the content as many as found room. */
  crops: readonly PlantCount[];
  /** Worked out when it is first asked for. */
  work(): Work;
}

/** What stands in common for all options of a wish. */
export interface OptionSetting {
  wish: PlanWish;
  place: PlanterDesign['place'];
  units: UnitSystem;
}

/** From so high on a crop can be tied to something firm, metres. */
const CAN_BE_TIED = 0.6;

/** What grows, planted as is usual. @param tied what is tall is tied to a wall, so that no wind tips it */
const plantingOf = (crops: readonly PlantCount[], tied = false): PlanterDesign['planting'] => ({
  crops: crops.map(({ crop, count }) => {
    const { height } = cropOf(crop);
    const support = tied && height >= CAN_BE_TIED ? 'tied' : usualSupport(cropOf(crop));
    return usualPlanted(crop, count, { start: usualStart(crop), support });
  }),
});

/** Whether crops want soils that do not go together. */
export function keptApart(a: CropId, b: CropId): boolean {
  const [one, other] = [cropOf(a), cropOf(b)];
  const soils = new Set([one.likes, other.likes]);
  const feet = new Set([one.feet, other.feet]);
  return (soils.has('acid') && soils.has('lime')) || (feet.has('dry') && feet.has('wet'));
}

const rootsOf = (crops: readonly PlantCount[]): number =>
  Math.max(...crops.map(({ crop }) => cropOf(crop).roots), 0);

/** Whether a build is of the school that somebody insists on. */
function ofSchool(design: PlanterDesign, { base, wick }: PlanWish): boolean {
  const style = standsOnStone(design) ? 'stone' : baseStyle(design) === 'fill' ? 'mix' : 'void';
  const cloth = design.wicks.some(({ kind }) => kind === 'cloth');
  return (
    (base === 'any' || base === style) && (wick === 'any' || (wick === 'cloth' ? cloth : !cloth))
  );
}

/** The tools that steps call for, of those that not everybody has. */
const toolsOf = (steps: readonly { tools: readonly string[] }[]): ToolId[] =>
  TOOL_IDS.filter((id) =>
    steps.some(({ tools }) => tools.some((tool) => TOOLS[id].calls.test(tool))),
  );

/** Builds that a wish allows in a vessel that stands alone, or in several that are joined so. */
export const buildsOf = (
  { vessel, group }: PlanVessel,
  { wish, units }: OptionSetting,
  joins: Content['joins'] = null,
): Build[] =>
  buildsFor(vessel, group).filter(
    (build) =>
      (build.joins ?? null) === (joins?.how ?? null) && ofSchool(templateOf(build, units), wish),
  );

const fits = new WeakMap<PlanterDesign, Map<string, Patch>>();

/** The patch that puts a build into a vessel, worked out once: it is the same whatever grows. */
function fitOf(
  template: PlanterDesign,
  { kind, vessel }: PlanVessel,
  top: number,
  units: UnitSystem,
): Patch {
  const known = fits.get(template) ?? new Map<string, Patch>();
  fits.set(template, known);
  const key = `${kind} ${top.toFixed(4)} ${JSON.stringify(vessel)}`;
  const fit = known.get(key) ?? fitInto(template, vessel, top, units);
  known.set(key, fit);
  return fit;
}

/** A lying pipe, ring or stand of pipe of the width that somebody has, where it is near the one that is asked for. */
function ofHeldPipe(design: PlanterDesign, { means }: PlanWish): Patch {
  const widths = means.flatMap(({ across }) => (across === null ? [] : [across]));
  return design.reservoir.parts.flatMap((part, i): Patch => {
    if (!('diameter' in part)) return [];
    const pipe = part.kind === 'lying' || part.kind === 'ring' || part.kind === 'standing';
    if (!pipe || (part.kind === 'standing' && part.what !== 'pipe')) return [];
    const off = (width: number): number => Math.abs(Math.log(width / part.diameter));
    const [nearest] = [...widths].sort((a, b) => off(a) - off(b));
    return nearest !== undefined && off(nearest) > 1e-3 && off(nearest) < NEAR
      ? [{ path: ['reservoir', 'parts', i, 'diameter'], value: nearest }]
      : [];
  });
}
/** So far from its usual width a pipe may be, as a logarithm. */
const NEAR = 0.7;

/**
 * A content in a build with its base at a height, with fewer plants where not all have room beside each other; null
 * where that cannot be without a fault.
 */
export function optionOf(
  content: Content,
  build: Build,
  top: number,
  { wish, place, units }: OptionSetting,
  depth = 0,
): Option | null {
  const { vessel, crops, joins } = content;
  const template = templateOf(build, units);
  const fit =
    joins?.how === 'row' && vessel.vessel.kind === 'round'
      ? fitRow(template, vessel.vessel, joins.count, units)
      : fitOf(template, vessel, top, units);
  const held = ofHeldPipe(applyPatch(template, fit), wish);
  const sound = soundly(template, held.length > 0 ? [[...fit, ...held], fit] : [fit], crops, place);
  if (!sound) return null;
  const { design, planter, figures } = sound;
  const { stand } = plantingPlan(planter);
  const standing = crops
    .map(({ crop, count }, i) => ({ crop, count: Math.min(stand[i] ?? 0, count) }))
    .filter(({ count }) => count > 0);
  if (standing.length === 0) return null;
  const fewer = standing.some(({ count }, i) => count !== crops[i]?.count);
  if (fewer || standing.length < crops.length)
    return depth > 0
      ? null
      : optionOf({ ...content, crops: standing }, build, top, { wish, place, units }, depth + 1);
  let work: Work | null = null;
  return {
    ...{ build, design, figures, crops },
    work: () => (work ??= workOf(planter, figures, units)),
  };
}

function workOf(planter: Planter, figures: Figures, units: UnitSystem): Work {
  const sheet = buildSheet(planter, figures, units);
  return {
    shopper: asShopper('', sheet, figures),
    minutes: sheet.steps.reduce((sum, step) => sum + step.minutes, 0),
    practised: sheet.steps.reduce((sum, step) => sum + step.practised, 0),
    tools: toolsOf(sheet.steps),
  };
}

/** The first of some patches with which a content stands without a fault, tied to a wall where wind would tip it. */
function soundly(
  template: PlanterDesign,
  patches: readonly Patch[],
  crops: readonly PlantCount[],
  place: PlanterDesign['place'],
): RemedyCheck | null {
  for (const patch of patches)
    for (const tied of [false, true]) {
      const found = settled(
        template,
        [
          ...patch,
          { path: ['planting'], value: plantingOf(crops, tied) },
          { path: ['place'], value: place },
        ],
        ['planting', 'vessel', 'place'],
      );
      if (found && !found.brings) return found.after;
      if (!found?.after.drafts.some(({ id }) => id === TIPS)) break;
    }
  return null;
}
/** The finding that wind tips it. */
const TIPS = 'tips';

/** The heights of the base that are tried for a content in a build. Metres. */
export const topsOf = ({ vessel, crops }: Content, build: Build): number[] =>
  fixedHeight(build)
    ? [build.point.design.reservoir.top]
    : heightsFor(vessel.vessel, rootsOf(crops));

/** Most plants that are looked for room. */
const MANY = 400;

/** How many of a crop have room alone in a vessel, with room for its roots; and its water below the highest base, m³. */
export function roomIn(
  vessel: PlanVessel,
  crop: CropId,
  setting: OptionSetting,
): { most: number; water: number } {
  const [top] = heightsFor(vessel.vessel, cropOf(crop).roots);
  if (top === undefined) return { most: 0, water: 0 };
  const shape = shapeOf(vessel.vessel);
  for (const build of buildsOf(vessel, setting)) {
    const template = templateOf(build, setting.units);
    const design = applyPatch(template, [
      ...fitOf(template, vessel, top, setting.units),
      { path: ['planting'], value: plantingOf([{ crop, count: 1 }]) },
      { path: ['place'], value: setting.place },
    ]);
    if (contradictions(design).length > 0) continue;
    const { room } = plantingPlan(assemble(design));
    return { most: Math.min(room[0] ?? 0, MANY), water: shape.volumeBelow(top) };
  }
  return { most: 0, water: 0 };
}
