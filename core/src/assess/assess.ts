import { applyPatch, planterDesignSchema, type PlanterDesign } from '../design';
import { contradictions, resolve, type Planter } from '../planter';
import { figuresOf, type Figures } from './figures';
import {
  rank,
  type Bench,
  type Draft,
  type Finding,
  type Remedy,
  type Room,
  type Rule,
} from './finding';
import * as baseRules from './rules/base';
import * as overflowRules from './rules/overflow';
import * as soilRules from './rules/soil';
import * as tubeRules from './rules/tube';
import * as vesselRules from './rules/vessel';
import * as waterRules from './rules/water';
import * as wickRules from './rules/wick';

/** Figures and findings of a planter. */
export interface Assessment {
  figures: Figures;
  /** Worst first; within one severity in the order of the work. */
  findings: Finding[];
}

const RULES: readonly Rule[] = [
  vesselRules,
  overflowRules,
  waterRules,
  baseRules,
  wickRules,
  tubeRules,
  soilRules,
].flatMap((room): Rule[] => Object.values(room));

const ROOMS: readonly Room[] = ['vessel', 'water', 'wick', 'tube', 'soil'];

/** How many remedies a finding offers at the most; a note, which is only good to know, offers one. */
const MOST_REMEDIES = 2;

/**
 * Works out figures and findings. Every remedy offered has been tried on this design, at the first
 * look at a finding's `remedies`: a line that is being moved asks for figures and sentences alone.
 */
export function assess(planter: Planter): Assessment {
  const figures = figuresOf(planter);
  const drafts = draft({ design: planter.design, planter, figures });
  const findings = drafts.map(({ propose, ...rest }): Finding => {
    const mending = propose && once(() => tried(planter.design, rest, drafts, propose()));
    return {
      ...rest,
      get remedies() {
        return mending?.() ?? [];
      },
    };
  });
  return { figures, findings: findings.sort(worstFirst) };
}

/** Works a value out when it is first asked for, and keeps it. */
function once<T>(work: () => T): () => T {
  let kept: { value: T } | null = null;
  return () => (kept ??= { value: work() }).value;
}

function draft(bench: Bench): Draft[] {
  return RULES.flatMap((rule) => rule(bench));
}

function worstFirst(a: Finding, b: Finding): number {
  return rank(a.severity) - rank(b.severity) || ROOMS.indexOf(a.room) - ROOMS.indexOf(b.room);
}

/**
 * The proposals that really mend the finding: afterwards it is gone, nothing as bad as it has come
 * up, and no other finding has become worse.
 */
function tried(
  design: PlanterDesign,
  finding: Omit<Draft, 'propose'>,
  before: readonly Draft[],
  proposals: readonly Remedy[],
): Remedy[] {
  const good: Remedy[] = [];
  for (const remedy of proposals) {
    if (good.length >= (finding.severity === 'note' ? 1 : MOST_REMEDIES)) break;
    if (mends(design, finding, before, remedy)) good.push(remedy);
  }
  return good;
}

function mends(
  design: PlanterDesign,
  finding: Omit<Draft, 'propose'>,
  before: readonly Draft[],
  remedy: Remedy,
): boolean {
  const changed = applyPatch(design, remedy.patch);
  if (contradictions(changed).length > 0) return false;
  const planter = resolve(changed);
  const after = draft({ design: changed, planter, figures: figuresOf(planter) });
  const better = after.every((found) => {
    if (found.id === finding.id) return false;
    const known = before.find((other) => other.id === found.id);
    return known
      ? rank(found.severity) >= rank(known.severity)
      : rank(found.severity) > rank(finding.severity);
  });
  return better && planterDesignSchema.safeParse(changed).success;
}

/** Everything about a design in one call. */
export function evaluate(design: PlanterDesign): { planter: Planter; assessment: Assessment } {
  const planter = resolve(design);
  return { planter, assessment: assess(planter) };
}
