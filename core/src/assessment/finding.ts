import type { Patch, PlanterDesign } from '../document';
import type { Planter } from '../assembly';
import type { Message } from '../units';
import type { Figures } from './figures';

/**
 * How bad a finding is. danger: can hurt someone or spoil food; fault: plants will suffer or the
 * build will not work; watch: works, with a weakness; note: good to know.
 */
export type Severity = 'danger' | 'fault' | 'watch' | 'note';

/** Worst first. */
export const SEVERITIES: readonly Severity[] = ['danger', 'fault', 'watch', 'note'];
export const rank = (severity: Severity): number => SEVERITIES.indexOf(severity);

/** The rooms of the bench, in the order of the work. */
export type BenchPanel = 'vessel' | 'water' | 'wick' | 'tube' | 'soil';

/** A change that mends a finding, as data, so that applying it is one action and one undo step. */
export interface Remedy {
  label: Message;
  patch: Patch;
}

/** Something about a design that its gardener should know. */
export interface Finding {
  /** Stable name of the check, with the wick's index where it is about one wick. */
  id: string;
  severity: Severity;
  panel: BenchPanel;
  /** What is wrong and why it matters, with its numbers. */
  text: Message;
  /** Ways to mend it that have been tried on this very design, at the first look; may be empty. */
  readonly remedies: Remedy[];
}

/** What a check looks at. */
export interface RuleInput {
  design: PlanterDesign;
  planter: Planter;
  figures: Figures;
}

/** A finding whose remedies are only proposed: they are tried before anyone sees them. */
export interface Draft extends Omit<Finding, 'remedies'> {
  propose?: () => Remedy[];
}

/** One check. */
export type Rule = (bench: RuleInput) => Draft[];
