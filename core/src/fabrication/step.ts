import type { Caution } from '../assessment';
import type { Message, QuantityKind } from '../units';

/** The steps of a build, in the order in which they usually come. Each planter has those that its build needs. */
export const STEP_IDS = [
  'inspect',
  'saw',
  'seal',
  'dig',
  'box',
  'measure',
  'supports',
  'overflow',
  'line',
  'pierce',
  'platform',
  'lay',
  'tube',
  'test',
  'wick',
  'set',
  'stand',
  'base',
  'layers',
  'fill',
  'plant',
  'water',
  'close',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** Something that is looked at before the work goes on; what to do when it is not so. */
export interface BuildCheck {
  id: string;
  /** What must be so. */
  must: Message;
  mend: Message;
}

/** Something that is measured at the bench. */
export interface Measure {
  id: string;
  label: string;
  kind: QuantityKind;
  /** What the design has, in SI. */
  planned: number;
  /** Smallest and largest that can be. */
  min: number;
  max: number;
  /** Where the value goes in the design as built, and what it is multiplied with on the way. */
  path: readonly (string | number)[] | null;
  factor: number;
}

export interface Step {
  id: StepId;
  title: string;
  /** What is done, a sentence each, measures filled in. */
  doing: readonly Message[];
  tools: readonly string[];
  /** Time at work of someone who builds the first one, and of practised hands; minutes. */
  minutes: number;
  practised: number;
  /** Time in which nothing is to be done but to wait, minutes. */
  waits: number;
  cautions: readonly Caution[];
  checks: readonly BuildCheck[];
  measures: readonly Measure[];
  /** What of the sheet belongs to this step, by id. */
  parts: readonly string[];
  holes: readonly string[];
  cuts: readonly string[];
  sheets: readonly string[];
}

export const measure = (
  id: string,
  { label, kind, min, max }: Pick<Measure, 'label' | 'kind' | 'min' | 'max'>,
  planned: number,
  path: Measure['path'] = null,
  factor = 1,
): Measure => ({ id, label, kind, planned, min, max, path, factor });
