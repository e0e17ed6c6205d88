import type { Figures } from '../assessment';
import { nameOf, type Planter } from '../assembly';
import type { UnitSystem } from '../units';
import { feedingOf, type Feeding } from './amounts';
import { platformSheetOf, type PlatformSheet } from './platform';
import { platformHoles } from './platformHoles';
import { close, fill, water } from './general';
import { plant } from './planting';
import { test, testNeeds, testPourOf, type TestPour } from './pourTest';
import { buildAllParts } from './parts';
import { LAID } from './parts/bearing';
import { aggregates } from './parts/layers';
import {
  BuildSheetBuilder,
  type Hole,
  type PartLine,
  type SheetPiece,
  type StockCuts,
} from './buildSheetBuilder';
import type { Step, StepId } from './step';
import { templatesOf, type Template } from './templates';

/** Everything that is taken to the workbench, worked out from one design. */
export interface BuildSheet {
  parts: readonly PartLine[];
  cuts: readonly StockCuts[];
  sheets: readonly SheetPiece[];
  holes: readonly Hole[];
  steps: readonly Step[];
  /** Which step must come before which. */
  needs: readonly (readonly [first: StepId, then: StepId])[];
  test: TestPour;
  feeding: Feeding;
  platform: PlatformSheet | null;
  templates: readonly Template[];
}

/** What is laid on the floor, in words. */
const laidOf = ({ partGroups }: Planter): string =>
  partGroups
    .filter(({ kind, parts }) => LAID.includes(kind) && parts.length > 0)
    .map((group) => nameOf(group))
    .join(' and ');

/** What the steps are called; some by what is made in them. */
function titlesOf(planter: Planter, deck: PlatformSheet | null): Record<StepId, string> {
  const { vessel, bed, overflow, fillTube, wicks } = planter.design;
  const box = vessel.kind === 'frame';
  return {
    inspect: box ? 'Look at the place' : 'Inspect the vessel and its place',
    saw: vessel.sawing === 'neck' ? 'Cut the bottle' : 'Saw the vessel',
    seal: vessel.bungs > 0 ? 'Close what must not leak' : 'Patch it',
    dig: 'Dig the bed out',
    box: box ? 'Build the box' : 'Build what carries the pails',
    measure: 'Measure it',
    supports: 'Build the reservoir supports',
    overflow: overflow?.kind === 'rows' ? 'Drill the rows of holes' : 'Mark and drill the overflow',
    line: 'Line it',
    pierce: 'Fit the overflow through the liner',
    platform:
      bed?.kind === 'nested'
        ? 'Drill the upper vessel'
        : bed?.kind === 'row'
          ? 'Drill the pails'
          : deck?.kind === 'cut-end'
            ? 'Make the cut end ready'
            : 'Make the platform',
    lay: `Lay the ${laidOf(planter)} in`,
    tube: fillTube ? 'Fit the fill tube' : 'Fit pipes and supply',
    test: 'Level it and test it with water',
    wick: wicks.length > 1 ? 'Fit the wicks' : 'Fit the wick',
    set: deck?.kind === 'cut-end' ? 'Slide the cut end in' : 'Set the platform in',
    stand:
      bed?.kind === 'bag'
        ? 'Stand the bags in the tray'
        : bed?.kind === 'row'
          ? 'Stand the pails over the channel'
          : bed?.kind === 'neck'
            ? 'Turn the upper part over'
            : 'Set the upper vessel in',
    base: 'Fill the base',
    layers: 'Lay what goes under the soil',
    fill: 'Fill in the mix',
    plant: 'Plant',
    water: 'Water from the top once, then fill',
    close: 'Cover, close and label',
  };
}

const PLASTICS: readonly string[] = ['pe', 'pp', 'pet', 'other', 'unknown'];

/**
 * Works out the build sheet of a planter.
 *
 * @param set metric or inch drills, and the units that templates are lettered in
 */
export function buildSheet(planter: Planter, figures: Figures, set: UnitSystem): BuildSheet {
  const { design } = planter;
  const platform = platformSheetOf(planter, set);
  const builder = new BuildSheetBuilder(planter, figures, set, platform);
  buildAllParts(builder);
  platformHoles(builder);
  aggregates(builder);
  testNeeds(builder);
  fill(builder);
  plant(builder);
  water(builder);
  close(builder);
  test(builder);
  const pour = testPourOf(builder);
  const { parts, cuts, sheets, holes } = builder;
  return {
    parts,
    cuts,
    sheets,
    holes,
    steps: builder.steps(titlesOf(planter, platform), PLASTICS.includes(design.vessel.material)),
    needs: builder.needs,
    test: pour,
    feeding: feedingOf(design, figures),
    platform,
    templates: templatesOf(planter, figures, platform, holes, set),
  };
}
