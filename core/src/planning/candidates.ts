import { settled } from '../assessment';
import { MIXES, MIX_IDS } from '../catalog';
import { applyPatch, invertOf, lipBelowMark, type Patch, type PlanterDesign } from '../document';
import { assemble, contradictions, levelsOf, moveLevel } from '../assembly';
import type { Message } from '../units';
import { mixOf, takeMix } from '../physics/soil';

/** One way to change a design. */
export interface Candidate {
  patch: Patch;
  /** Its base and lip, metres; how many times the wick; the mix by its name. */
  base: number;
  lip: number | null;
  wick: number;
  mix: string;
  /** What its base wants besides, in words: fewer pots under it, a smaller hole. */
  besides: readonly Message[];
}

const BASES = 10;
/** Lips under each base, at the least and the most: the fewer bases can be, the more of them. */
const LIPS = { least: 3, most: 8 };
/** With so few bases, that of the design as it is is one too. */
const FEW_BASES = 3;
/** The least air between base and lip, metres, and the lowest lip, as a share of its base. */
const LEAST_GAP = 0.012;
const LOWEST_LIP = 0.4;
/** What an opening keeps under the base, metres. */
const CLEAR = 0.002;
const WICKS = [1, 2, 3];
/** Candidates that are tried, about. */
const MOST = 180;

/** A height at which the base can stand, with what that wants besides. */
interface Place {
  patch: Patch;
  base: number;
  besides: readonly Message[];
}

/** The candidates that this vessel allows, the design as it is first. */
export function candidatesOf(design: PlanterDesign): Candidate[] {
  const { heights } = assemble(design);
  const own: Candidate = {
    ...{ patch: [], base: heights.ceiling, lip: heights.invert, wick: 1, besides: [] },
    mix: mixOf(design.soil).name,
  };
  const places = placesOf(design);
  const wicks = design.wicks.length > 0 ? WICKS.length : 1;
  const each = Math.floor(MOST / (places.length * wicks * mixesOf(design).length));
  const lips = Math.min(Math.max(each, LIPS.least), LIPS.most);
  const others = places.flatMap((place) => candidatesAt(design, place, lips));
  return [own, ...others].slice(0, MOST + 1);
}

/**
 * Heights at which the base can stand without a fault: what holds it up and what stands on the floor there is
 * changed with it, as the judge would mend it, and a height that nothing mends is none.
 */
function placesOf(design: PlanterDesign): Place[] {
  const planter = assemble(design);
  const here: Place = { patch: [], base: planter.heights.ceiling, besides: [] };
  const platform = levelsOf(planter).find(({ id }) => id === 'platform');
  if (!platform) return [here];
  const heights = Array.from({ length: BASES }, (_, i) => {
    const share = 0.05 + (0.75 * i) / (BASES - 1);
    return platform.min + (platform.max - platform.min) * share;
  });
  const found = heights.flatMap((base): Place[] => {
    const moved = moveLevel(planter, 'platform', base);
    const at = applyPatch(design, moved);
    const patch = [...moved, ...(lipsOf(at, base, 1)[0] ?? [])];
    const done = contradictions(at).length > 0 ? null : settled(design, patch, ['planting']);
    // What grows in it is what it is for, and stays.
    if (!done || done.brings) return [];
    return [{ patch: done.patch, base, besides: done.mends }];
  });
  return found.length > FEW_BASES ? found : [here, ...found];
}

/** Lips, wicks and mixes over one base. What differs in its lip alone comes one after the other: it is put together once. */
function candidatesAt(
  design: PlanterDesign,
  { patch, base, besides }: Place,
  count: number,
): Candidate[] {
  const at = applyPatch(design, patch);
  const lips = lipsOf(at, base, count);
  const wicks = at.wicks.length > 0 ? WICKS : [1];
  return wicks.flatMap((wick) =>
    mixesOf(at).flatMap((mix) =>
      lips.flatMap((lip): Candidate[] => {
        const whole = [...patch, ...mix, ...moreWicks(at, wick), ...lip];
        const changed = applyPatch(design, whole);
        if (contradictions(changed).length > 0) return [];
        const { name } = mixOf(changed.soil);
        return [{ patch: whole, base, lip: invertOf(changed), wick, mix: name, besides }];
      }),
    ),
  );
}

/** Where the overflow may be under a base, from the highest down; once, as it is, where it does not move. */
function lipsOf(at: PlanterDesign, base: number, count: number): Patch[] {
  const { overflow } = at;
  if (!overflow || overflow.kind === 'rim') return [[]];
  const planter = assemble(at);
  const opening = lipBelowMark(overflow) + overflow.diameter / 2;
  const highest = base - Math.max(LEAST_GAP, opening + CLEAR);
  const step = (highest - LOWEST_LIP * base) / Math.max(count - 1, 1);
  return Array.from({ length: count }, (_, i) =>
    moveLevel(planter, 'overflow', highest - i * Math.max(step, 0)),
  );
}

/** The mix as it is, and the first other one that wicks. */
function mixesOf({ soil }: PlanterDesign): Patch[] {
  const other = MIX_IDS.find(
    (id) => MIXES[id].wicks && (soil.recipe !== null || id !== soil.medium),
  );
  return [[], ...(other ? [takeMix(soil, other)] : [])];
}

/** So many times the wick. */
const moreWicks = ({ wicks }: PlanterDesign, times: number): Patch =>
  wicks.map((one, i) =>
    one.kind === 'cloth'
      ? { path: ['wicks', i, 'legs'], value: one.legs * times }
      : { path: ['wicks', i, 'count'], value: one.count * times },
  );
