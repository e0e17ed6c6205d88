import {
  applyPatch,
  isWithinBounds,
  type DesignPart,
  type LineShare,
  type Patch,
  type PlanterDesign,
} from '../document';
import { assemble, contradictions, type Planter } from '../assembly';
import type { Message } from '../units';
import { figuresOf, type Figures } from './figures';
import { rank, type RuleInput, type Draft, type Rule } from './finding';
import * as baseRules from './rules/base';
import * as overflowRules from './rules/overflow';
import { placesFit } from './rules/places';
import * as plantRules from './rules/plants';
import * as soilRules from './rules/soil';
import * as supportRules from './rules/supports';
import * as tubeRules from './rules/tube';
import * as vesselRules from './rules/vessel';
import * as waterRules from './rules/water';
import * as wickRules from './rules/wick';
import * as wickFitRules from './rules/wickFit';

/**
 * The judge: looks at a design as a change would make it, whole. Remedies, schools, the trade curve, the
 * changes of going away and what-if, and the design search all ask it.
 */

const RULES: readonly Rule[] = [
  vesselRules,
  overflowRules,
  waterRules,
  baseRules,
  wickRules,
  wickFitRules,
  tubeRules,
  soilRules,
  plantRules,
  supportRules,
  { placesFit },
].flatMap((room): Rule[] => Object.values(room));

/** Everything that is found in a design, with remedies that nobody has tried. */
export function draftFindings(bench: RuleInput): Draft[] {
  return RULES.flatMap((rule) => rule(bench));
}

/** What a design would be after a patch. */
export interface RemedyCheck {
  design: PlanterDesign;
  planter: Planter;
  figures: Figures;
  /** Everything that would be found in it. */
  drafts: readonly Draft[];
}

/**
 * Looks at a design as a patch would make it, whole; null where its measures cannot be.
 *
 * @param share what a line that it is joined to gives it
 */
export function checkRemedy(
  design: PlanterDesign,
  patch: Patch,
  share: LineShare | null = null,
): RemedyCheck | null {
  const changed = applyPatch(design, patch);
  if (contradictions(changed).length > 0) return null;
  if (!isWithinBounds(changed)) return null;
  const planter = assemble(changed, share);
  const figures = figuresOf(planter);
  return {
    design: changed,
    planter,
    figures,
    drafts: draftFindings({ design: changed, planter, figures }),
  };
}

const isFault = ({ severity }: Draft): boolean => rank(severity) <= rank('fault');

/** The faults and dangers of a design, by the ids of their findings. */
export const faultsOf = (
  design: PlanterDesign,
  share: LineShare | null = null,
): ReadonlySet<string> =>
  new Set((checkRemedy(design, [], share)?.drafts ?? []).filter(isFault).map(({ id }) => id));

/** The faults and dangers that are in a judged design and were not there before. */
export const faultsAdded = (after: RemedyCheck, before: ReadonlySet<string>): readonly Draft[] =>
  after.drafts.filter((found) => isFault(found) && !before.has(found.id));

/**
 * Whether a change can be made and brings no fault or danger that was not there before.
 *
 * @param before the faults of the design as it is, where they are known
 */
export function addsNoFault(
  design: PlanterDesign,
  patch: Patch,
  before: ReadonlySet<string> = faultsOf(design),
): boolean {
  const after = checkRemedy(design, patch);
  return after !== null && faultsAdded(after, before).length === 0;
}

/** A change with what it takes beside it to bring no fault. */
export interface Settled {
  patch: Patch;
  after: RemedyCheck;
  /** What is changed beside it, in the words of the remedies. */
  mends: readonly Message[];
  /** The fault that it brings all the same, or null for none. */
  brings: Message | null;
}

/** How many faults that a change brings are mended in turn. */
const MOST_MENDS = 3;

/**
 * A change, and with it the remedies of the faults that it would bring. Null where its measures cannot be.
 *
 * @param keeps parts of the document that no remedy may touch, as what grows in it
 */
export function settled(
  design: PlanterDesign,
  patch: Patch,
  keeps: readonly DesignPart[] = [],
): Settled | null {
  const before = faultsOf(design);
  let whole = patch;
  let after = checkRemedy(design, whole);
  if (!after) return null;
  const mends: Message[] = [];
  while (mends.length < MOST_MENDS) {
    const faults = faultsAdded(after, before);
    const better = faults.length > 0 ? mended(design, whole, faults, before, keeps) : null;
    if (!better) break;
    [whole, after] = better;
    mends.push(better[2]);
  }
  return { patch: whole, after, mends, brings: faultsAdded(after, before)[0]?.text ?? null };
}

/** Whether a change goes back on what another sets: it sets the same, or what that is a part of. */
const undoes = (remedy: Patch, patch: Patch): boolean =>
  remedy.some(({ path }) =>
    patch.some((own) => path.length <= own.path.length && path.every((k, i) => k === own.path[i])),
  );

const touches = (patch: Patch, parts: readonly DesignPart[]): boolean =>
  patch.some(({ path }) => parts.includes(path[0] as DesignPart));

/** The change with the first remedy that leaves fewer faults than it had, and does not undo it. */
function mended(
  design: PlanterDesign,
  patch: Patch,
  faults: readonly Draft[],
  before: ReadonlySet<string>,
  keeps: readonly DesignPart[],
): [Patch, RemedyCheck, Message] | null {
  for (const { propose } of faults) {
    for (const remedy of propose?.() ?? []) {
      if (undoes(remedy.patch, patch) || touches(remedy.patch, keeps)) continue;
      const whole = [...patch, ...remedy.patch];
      const after = checkRemedy(design, whole);
      if (after && faultsAdded(after, before).length < faults.length)
        return [whole, after, remedy.label];
    }
  }
  return null;
}
