import { assemble, baseName, levelsOf, moveLevel, type Level, type Planter } from '../assembly';
import { FIELDS, type LineShare, type Patch, type PlanterDesign } from '../document';
import { q, say, type Message } from '../units';
import { rank, type Draft, type Remedy } from './finding';
import { downToMm, markRemedies } from './patches';
import { checkRemedy, type RemedyCheck } from './remedyCheck';

/** Remedies of a fault that no proposal of its own rule mends alone: with what they take beside them, then by heights. */

type Mended = Pick<Draft, 'id' | 'severity'>;

/** Findings of a changed design that keep a change from being a remedy: the finding itself, and what is as bad as it. */
export const leftBy = (
  finding: Mended,
  before: readonly Draft[],
  after: readonly Draft[],
): readonly Draft[] =>
  after.filter((found) => {
    if (found.id === finding.id) return true;
    const known = before.find(({ id }) => id === found.id);
    return known
      ? rank(found.severity) < rank(known.severity)
      : rank(found.severity) <= rank(finding.severity);
  });

/** Changes beside the first that one remedy may take. */
const MOST_BESIDE = 2;
/** Designs that are looked at for one finding; a look takes about a millisecond. */
const MOST_LOOKS = 80;
/** Steps from one end of a line's way to the other. */
const STEPS = 12;
const COARSE = 5;

const lowered = ([first, ...rest]: Message): Message =>
  typeof first === 'string'
    ? [first.charAt(0).toLowerCase() + first.slice(1), ...rest]
    : [first!, ...rest];

interface Search {
  design: PlanterDesign;
  share: LineShare | null;
  finding: Mended;
  before: readonly Draft[];
  looks: number;
}

function look(search: Search, patch: Patch): RemedyCheck | null {
  search.looks += 1;
  return search.looks > MOST_LOOKS ? null : checkRemedy(search.design, patch, search.share);
}

/** A change with the remedies of what it brings; null where that is not enough. */
function completed(search: Search, first: Remedy): Remedy | null {
  const { finding, before } = search;
  let { patch, label } = first;
  let after = look(search, patch);
  for (let beside = 0; after && beside <= MOST_BESIDE; beside += 1) {
    const left = leftBy(finding, before, after.drafts);
    if (left.length === 0) return { patch, label };
    const next = beside < MOST_BESIDE ? improved(search, patch, left) : null;
    if (!next) return null;
    [patch, after] = [next.patch, next.after];
    label = say`${label}, and ${lowered(next.label)}`;
  }
  return null;
}

/** The patch with the first remedy of what is left that leaves less and takes nothing of the patch back. */
function improved(
  search: Search,
  patch: Patch,
  left: readonly Draft[],
): (Remedy & { after: RemedyCheck }) | null {
  const own = new Set(patch.map(({ path }) => path.join()));
  for (const remedy of left.flatMap(({ propose }) => propose?.() ?? [])) {
    if (remedy.patch.some(({ path }) => own.has(path.join()))) continue;
    const whole = [...patch, ...remedy.patch];
    const after = look(search, whole);
    if (after && leftBy(search.finding, search.before, after.drafts).length < left.length)
      return { patch: whole, label: remedy.label, after };
  }
  return null;
}

/** Heights of a line from where it is outwards, in whole millimetres. Metres. */
function heightsFrom({ height, min, max }: Level, steps: number): number[] {
  return Array.from({ length: steps + 1 }, (_, i) => downToMm(min + ((max - min) * i) / steps))
    .filter((z) => z >= min && Math.abs(z - height) > 1e-3)
    .sort((a, b) => Math.abs(a - height) - Math.abs(b - height));
}

/** What moving a line is called. */
function labelOf(design: PlanterDesign, { id, height }: Level, to: number, rim: number): Message {
  switch (id) {
    case 'overflow':
      return markRemedies(design, to)[0]?.label ?? [];
    case 'platform':
      return say`${to > height ? 'Raise' : 'Lower'} ${baseName(design)} to ${q(to, 'length')}`;
    case 'surface':
      return say`Fill to ${q(Math.max(rim - to, FIELDS.soil.freeboard.min), 'length')} under the rim`;
  }
}

/** What other faults ask for, each line moved as little as it takes, then two together. */
function* movesOf({ design, share, before }: Search): Generator<Remedy> {
  for (const { severity, propose } of before)
    if (rank(severity) <= rank('fault')) yield* propose?.() ?? [];
  const planter = assemble(design, share);
  const levels = levelsOf(planter);
  const moved = (level: Level, to: number): Remedy => ({
    label: labelOf(design, level, to, planter.heights.rim),
    patch: moveLevel(planter, level.id, to),
  });
  for (const level of levels) for (const to of heightsFrom(level, STEPS)) yield moved(level, to);
  for (const [i, level] of levels.entries())
    for (const other of levels.slice(i + 1))
      for (const to of heightsFrom(level, COARSE))
        for (const and of heightsFrom(other, COARSE)) {
          const [one, two] = [moved(level, to), moved(other, and)];
          yield {
            label: say`${one.label}, and ${lowered(two.label)}`,
            patch: [...one.patch, ...two.patch],
          };
        }
}

/** The first move that mends it and leaves no other fault, so that no two findings want different heights; else the first that mends it. */
function byMoves(search: Search): Remedy | null {
  let first: Remedy | null = null;
  for (const move of movesOf(search)) {
    if (search.looks >= MOST_LOOKS) break;
    const after = look(search, move.patch);
    if (!after || leftBy(search.finding, search.before, after.drafts).length > 0) continue;
    if (!after.drafts.some(({ severity }) => rank(severity) <= rank('fault'))) return move;
    first ??= move;
  }
  return first;
}

/**
 * A remedy for a fault, where none that was proposed mends it alone.
 *
 * @param before what is found in the design as it is
 * @param proposals what its rule proposes, each tried without success
 * @returns null where neither two more changes nor other heights mend it
 */
export function searchRemedy(
  { design, share }: Pick<Planter, 'design' | 'share'>,
  finding: Mended,
  before: readonly Draft[],
  proposals: readonly Remedy[],
): Remedy | null {
  const search: Search = { design, share, finding, before, looks: 0 };
  for (const proposal of proposals) {
    const whole = completed(search, proposal);
    if (whole) return whole;
  }
  search.looks = 0;
  return byMoves(search);
}
