import { caution, type CautionId } from '../../assess';
import type { Drilled } from '../holes';
import * as baseSteps from './base';
import * as soilSteps from './soil';
import { STEP_IDS, type Draft, type Step, type StepId, type Work, type Write } from './step';
import * as vesselSteps from './vessel';

export { STEP_IDS, type Check, type Measure, type Step, type StepId, type Work } from './step';
export { testPour } from './soil';

const WRITERS: Readonly<Record<StepId, Write>> = {
  inspect: vesselSteps.inspect,
  box: vesselSteps.box,
  measure: vesselSteps.take,
  overflow: baseSteps.overflow,
  supports: baseSteps.supports,
  platform: baseSteps.platform,
  wick: baseSteps.wick,
  tube: baseSteps.tube,
  separator: baseSteps.separator,
  test: soilSteps.test,
  base: soilSteps.base,
  fill: soilSteps.fill,
  plant: soilSteps.plant,
  water: soilSteps.water,
  close: soilSteps.close,
};

/** Where a kind of hole is drilled. */
const DRILLED_AT: Readonly<Record<Drilled, StepId>> = {
  wall: 'overflow',
  support: 'supports',
  deck: 'platform',
  wick: 'wick',
  pipe: 'tube',
};

/** Where a part is first taken in hand, by the beginning of its id. */
const USED_AT: readonly (readonly [start: string, step: StepId])[] = [
  ['vessel', 'inspect'],
  ['patch', 'inspect'],
  ['boards', 'box'],
  ['floor', 'box'],
  ['legs', 'box'],
  ['screws', 'box'],
  ['liner', 'box'],
  ['overflow', 'overflow'],
  ['screen', 'overflow'],
  ['part-', 'supports'],
  ['platform', 'platform'],
  ['beds', 'platform'],
  ['wick-', 'wick'],
  ['tube', 'tube'],
  ['elbow', 'tube'],
  ['clip', 'tube'],
  ['pipe-', 'tube'],
  ['supply', 'tube'],
  ['valve', 'tube'],
  ['separator', 'separator'],
  ['lining', 'separator'],
  ['fill-', 'base'],
  ['mix', 'fill'],
  ['marker', 'fill'],
  ['feed', 'fill'],
  ['lime', 'fill'],
  ['plants', 'plant'],
  ['mulch', 'close'],
  ['cap', 'close'],
  ['stick', 'close'],
];

const stepOfPart = (part: string): StepId | undefined =>
  USED_AT.find(([start]) => part.startsWith(start))?.[1];

/**
 * The order of the work. What separates lies on what fills the base, so where stone, sand or mix is
 * filled in, after the test with water, the separator follows that.
 */
function orderFor({ planter }: Work): StepId[] {
  const { fill, blanket } = planter.design.reservoir;
  if (fill.length === 0 && !blanket) return [...STEP_IDS];
  const order: StepId[] = STEP_IDS.filter((id) => id !== 'separator');
  order.splice(order.indexOf('base') + 1, 0, 'separator');
  return order;
}

/** Minutes for a hole of a twist drill, a step drill and a hole saw, and for a cut. Typical. */
const SMALL_HOLE = 0.4;
const MIDDLING_HOLE = 1.5;
const LARGE_HOLE = 4;
const ONE_CUT = 3;
const SMALL = 0.013;
const MIDDLING = 0.032;

/** The steps of a build, with what belongs to each. */
export function stepsOf(work: Work): Step[] {
  const drafts = orderFor(work)
    .map((id) => WRITERS[id](work))
    .filter((draft) => draft !== null);
  return drafts.map((draft) => filledIn(draft, work));
}

function filledIn(draft: Draft, { parts, holes, cuts, sheets, planter }: Work): Step {
  const mine = holes.filter(({ on }) => DRILLED_AT[on] === draft.id);
  const pieces = cuts
    .flatMap((stock) => stock.pieces)
    .filter(({ part }) => stepOfPart(part) === draft.id);
  const flat = sheets.filter(({ part }) => stepOfPart(part) === draft.id);
  const cutting = mine.length > 0 || pieces.length > 0 || flat.length > 0;
  const plastic = ['pe', 'pp', 'pet', 'other', 'unknown'].includes(planter.design.vessel.material);
  const ids: CautionId[] = [
    ...(cutting ? (['cutting'] as const) : []),
    ...(mine.length > 0 && plastic ? (['fumes'] as const) : []),
    ...(draft.cautions ?? []),
  ];
  const drilling = mine.reduce(
    (sum, { count, bit }) =>
      sum + count * (bit <= SMALL ? SMALL_HOLE : bit <= MIDDLING ? MIDDLING_HOLE : LARGE_HOLE),
    0,
  );
  const sawing = pieces.reduce((sum, { count }) => sum + count * ONE_CUT, 0);
  return {
    id: draft.id,
    title: draft.title,
    doing: draft.doing,
    tools: [...new Set([...(draft.tools ?? []), ...mine.map(({ tool }) => tool)])],
    minutes: Math.ceil((draft.minutes + drilling + sawing) / 5) * 5,
    cautions: [...new Set(ids)].map(caution),
    checks: draft.checks ?? [],
    measures: draft.measures ?? [],
    parts: parts.filter(({ id }) => stepOfPart(id) === draft.id).map(({ id }) => id),
    holes: mine.map(({ id }) => id),
    cuts: pieces.map(({ label }) => label),
    sheets: flat.map(({ id }) => id),
  };
}
