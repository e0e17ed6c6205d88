import {
  airCeiling,
  FIELDS,
  invertOf,
  type LineShare,
  type Patch,
  type PlanterDesign,
} from '../document';
import { LEAST_SOIL, levelsOf, assemble } from '../assembly';
import { faultsAdded, faultsOf, checkRemedy } from './remedyCheck';
import { gapToKeep, moveBase, upToMm } from './patches';

/** One height of the base, with what it gives and what it takes from the roots. */
export interface TradePoint {
  /** Top of the base, and the overflow's lip with it; null without an overflow that can be moved. */
  top: number;
  lip: number | null;
  usable: number;
  /** Days on end of a hot day. */
  days: number;
  growingDepth: number;
  weight: number;
  /** Whether that height brings no fault that the design does not have now. */
  sound: boolean;
  /** Makes the design so. */
  patch: Patch;
}

/**
 * Water against roots: the base is moved from as low as it goes to as high as it goes, the lip with
 * it, and each height is worked out in full. Empty where the base cannot be moved.
 *
 * @param share what a line that it is joined to gives it
 */
export function tradeCurve(
  design: PlanterDesign,
  points = 60,
  share: LineShare | null = null,
): TradePoint[] {
  const range = levelsOf(assemble(design, share)).find(({ id }) => id === 'platform');
  if (!range || range.max - range.min < 1e-3) return [];
  const gap = gapToKeep(design);
  const faults = faultsOf(design, share);
  const curve: TradePoint[] = [];
  for (let i = 0; i < points; i += 1) {
    const top = range.min + ((range.max - range.min) * i) / (points - 1);
    const patch = moveBase(design, within(top), Math.min(gap, top / 2));
    const after = checkRemedy(design, patch, share);
    if (!after || after.figures.growingDepth < LEAST_SOIL) continue;
    const { design: moved, figures } = after;
    curve.push({
      top: airCeiling(moved),
      lip: invertOf(moved),
      usable: figures.usable,
      days: figures.lastsHot.days,
      growingDepth: figures.growingDepth,
      weight: figures.weight.full,
      sound: faultsAdded(after, faults).length === 0,
      patch,
    });
  }
  return curve;
}

const within = (top: number): number =>
  Math.min(Math.max(upToMm(top), FIELDS.reservoir.top.min), FIELDS.reservoir.top.max);

/** What a person asks of a planter. */
export interface Wish {
  days: number;
  /** Root room, metres. */
  roots: number;
}

/** The point to propose, and which of the wishes it meets. */
export interface Proposal {
  point: TradePoint;
  lasts: boolean;
  roomy: boolean;
}

/**
 * The height that lasts longest and leaves the wished root room, among those that bring no fault. Roots
 * come first, because a plant can be watered but not given depth; where no height leaves them enough, the
 * one that leaves them most. Null where every height brings a fault.
 */
export function propose(all: readonly TradePoint[], wish: Wish): Proposal | null {
  const curve = all.filter(({ sound }) => sound);
  const roomy = curve.filter((point) => point.growingDepth >= wish.roots - 1e-9);
  const best = [...(roomy.length > 0 ? roomy : curve)].sort((a, b) =>
    roomy.length > 0 ? b.days - a.days : b.growingDepth - a.growingDepth,
  )[0];
  return best ? { point: best, lasts: best.days >= wish.days, roomy: roomy.length > 0 } : null;
}
