import type { LineShare, PlanterDesign } from '../document';
import { q, say, type Message } from '../units';
import { assemble, type Planter } from '../assembly';
import { figuresOf, type Figures } from './figures';
import { rank, type Draft, type Finding, type Remedy, type BenchPanel } from './finding';
import { draftFindings, checkRemedy } from './remedyCheck';
import { leftBy, searchRemedy } from './remedySearch';

/** Figures and findings of a planter. */
export interface Assessment {
  figures: Figures;
  /** Worst first; within one severity in the order of the work. */
  findings: Finding[];
}

const ROOMS: readonly BenchPanel[] = ['vessel', 'water', 'wick', 'tube', 'soil'];

/** How many remedies a finding offers at the most; a note, which is only good to know, offers one. */
const MOST_REMEDIES = 2;

/**
 * Works out figures and findings. Every remedy offered has been tried on this design, at the first
 * look at a finding's `remedies`: a line that is being moved asks for figures and sentences alone.
 */
export function assess(planter: Planter): Assessment {
  const figures = figuresOf(planter);
  const drafts = draftFindings({ design: planter.design, planter, figures });
  const findings = drafts.map(({ propose, ...rest }): Finding => {
    const mending = propose && once(() => tried(planter, rest, drafts, propose()));
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

function worstFirst(a: Finding, b: Finding): number {
  return rank(a.severity) - rank(b.severity) || ROOMS.indexOf(a.panel) - ROOMS.indexOf(b.panel);
}

/**
 * The proposals that really mend the finding: afterwards it is gone, nothing as bad as it has come
 * up, and no other finding has become worse. One that costs much of the water or of the root room says so.
 */
function tried(
  { design, share }: Planter,
  finding: Omit<Draft, 'propose'>,
  before: readonly Draft[],
  proposals: readonly Remedy[],
): Remedy[] {
  const good: Remedy[] = [];
  const now = once(() => figuresOf(assemble(design, share)));
  for (const remedy of different(proposals)) {
    if (good.length >= (finding.severity === 'note' ? 1 : MOST_REMEDIES)) break;
    const after = checkRemedy(design, remedy.patch, share);
    if (!after || leftBy(finding, before, after.drafts).length > 0) continue;
    good.push({ ...remedy, label: say`${remedy.label}${price(now(), after.figures)}` });
  }
  if (good.length > 0 || rank(finding.severity) > rank('fault')) return good;
  const found = searchRemedy({ design, share }, finding, before, proposals);
  return found ? [found] : [];
}

/** Proposals that change something else than those before them. */
const different = (proposals: readonly Remedy[]): Remedy[] =>
  [
    ...new Map(proposals.toReversed().map((one) => [JSON.stringify(one.patch), one])).values(),
  ].toReversed();

/** Share of the usable water or the root room that a remedy may cost without a word. */
const COSTLY = 0.25;

/** What a remedy costs, where that is much. */
function price(before: Figures, after: Figures): Message {
  if (before.usable > 0 && after.usable < (1 - COSTLY) * before.usable) {
    return say`: leaves ${q(after.usable, 'volume')} of ${q(before.usable, 'volume')} to use`;
  }
  if (after.growingDepth < (1 - COSTLY) * before.growingDepth) {
    return say`: leaves ${q(after.growingDepth, 'length')} of ${q(before.growingDepth, 'length')} for roots`;
  }
  return say``;
}

/** Everything about a design in one call. @param share what a line that it is joined to gives it */
export function evaluate(
  design: PlanterDesign,
  share: LineShare | null = null,
): { planter: Planter; assessment: Assessment } {
  const planter = assemble(design, share);
  return { planter, assessment: assess(planter) };
}
