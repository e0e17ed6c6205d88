import {
  ingredientOf,
  ingredientWord,
  type IngredientMatter,
  type GrowingMix,
  type MixWeakness,
  type RecipePart,
} from '../../catalog';
import { waterContent, type Hydraulics } from './hydraulics';

/**
 * A mix by parts: what it weighs, holds and conducts, from what its ingredients do.
 *
 * Solids and dry mass are kept, while the whole shrinks because small particles fall between large ones:
 * what is lost is pore room. The small pores within the ingredients stay, and the loss comes out of the
 * wide ones between them, so the mix holds at any suction what its ingredients would hold together, but
 * never more than it has pores. One van Genuchten curve is laid through that.
 */

/** Shrinkage on mixing: of like grains, and what unlike ones lose more at the most. Typical 5 to 15 percent. */
const SHRINKS_LEAST = 0.05;
const SHRINKS_MORE = 0.1;

/** Suctions at which a mix's curve is matched, metres: from a wet foot to where plants wilt. */
const MATCHED = [0.02, 0.05, 0.1, 0.15, 0.2, 0.3, 0.5, 0.8, 1.2, 2, 4, 8, 15, 40, 100];

/** Above these shares of the parts a mix does not wick well, and why. */
const MUCH_ROTTING = 0.5;
const MUCH_GROUND = 0.34;
const MUCH_OPEN = 0.6;
/** A mix that lifts less than this does not reach through a bed, metres. */
const LITTLE_REACH = 0.15;

/** What was measured of a mix of one's own. */
export interface MeasuredMix {
  /** Share of the parts' volumes that was lost on mixing. */
  shrinks: number;
  /** Height that it wetted in a clear tube after a day, metres. */
  reach: number;
}

const shareOf = (
  parts: readonly RecipePart[],
  which: (matter: IngredientMatter) => boolean,
): number => {
  const whole = parts.reduce((sum, { parts: count }) => sum + count, 0);
  const some = parts.reduce(
    (sum, { what, parts: count }) => sum + (which(ingredientOf(what)) ? count : 0),
    0,
  );
  return whole > 0 ? some / whole : 0;
};

/**
 * Share of the ingredients' volumes that is lost on mixing, 0 to 1: nothing for one alone, most where
 * open and fine stuff are half and half. Typical.
 */
export function shrinkageOf(parts: readonly RecipePart[]): number {
  if (new Set(parts.map(({ what }) => what)).size < 2) return 0;
  const open = shareOf(parts, ({ body }) => body === 'open');
  return SHRINKS_LEAST + SHRINKS_MORE * 4 * open * (1 - open);
}

/**
 * A medium mixed by parts of volume.
 *
 * Conductivity is the geometric mean of the ingredients by volume (Warren and Price 1961, for media mixed
 * at random), lowered for the pore room that mixing takes (Kozeny–Carman: φ³/(1 − φ)²). Settling is the
 * mean by volume. Good to a factor of two or so: measure what matters.
 *
 * @param parts at least one; @param measured what is known better than by this, or null
 */
export function mixFrom(parts: readonly RecipePart[], measured: MeasuredMix | null): GrowingMix {
  const whole = parts.reduce((sum, { parts: count }) => sum + count, 0);
  const shares = parts.map(({ what, parts: count }) => ({
    matter: ingredientOf(what),
    share: count / whole,
  }));
  const mean = (value: (matter: IngredientMatter) => number): number =>
    shares.reduce((sum, { matter, share }) => sum + share * value(matter), 0);
  const closer = 1 / (1 - (measured?.shrinks ?? shrinkageOf(parts)));
  const pores = (matter: IngredientMatter) => matter.thetaS;
  const thetaS = Math.max(1 - closer * (1 - mean(pores)), 0.05);
  const held = (suction: number): number =>
    Math.min(closer * mean((matter) => waterContent(matter, suction)), thetaS);
  const thetaR = Math.min(closer * mean(({ thetaR: least }) => least), 0.9 * thetaS);
  const packing = (phi: number): number => phi ** 3 / (1 - phi) ** 2;
  const Ks =
    (Math.exp(mean((matter) => Math.log(matter.Ks))) * packing(thetaS)) / packing(mean(pores));
  const reach = measured?.reach ?? reachOf(parts);
  const weakness = weaknessOf(parts, reach);
  return {
    name: nameOf(parts),
    ...fitted(held, thetaR, thetaS),
    Ks,
    reach,
    dryDensity: closer * mean(({ dryDensity }) => dryDensity),
    settles: mean(({ settles }) => settles),
    wicks: weakness === null,
    ...(weakness && { weakness }),
  };
}

/**
 * How high a mix practically lifts water, metres. The fine stuff carries it as long as it hangs together,
 * so open grains count with the square of their share. An estimate.
 */
function reachOf(parts: readonly RecipePart[]): number {
  const meanOf = (list: readonly RecipePart[]): number => {
    const whole = list.reduce((sum, { parts: count }) => sum + count, 0);
    return list.reduce(
      (sum, { what, parts: n }) => sum + (n / whole) * ingredientOf(what).reach,
      0,
    );
  };
  const isOpen = ({ what }: RecipePart) => ingredientOf(what).body === 'open';
  const open = shareOf(parts, ({ body }) => body === 'open');
  if (open === 0 || open === 1) return meanOf(parts);
  const carried = meanOf(parts.filter((part) => !isOpen(part)));
  return carried + open ** 2 * (meanOf(parts.filter(isOpen)) - carried);
}

/** Parts as one measures them with a pail: quarters are written as such, in every language alike. */
const QUARTERS = ['', '¼', '½', '¾'] as const;

function partsWord(count: number): string {
  const quarters = Math.round(count * 4);
  if (Math.abs(count * 4 - quarters) > 1e-9) return `${Number(count.toFixed(2))}`;
  const whole = Math.floor(quarters / 4);
  return `${whole || ''}${QUARTERS[quarters % 4]}` || '0';
}

/** `Mix of 3 coir, ½ perlite`. */
function nameOf(parts: readonly RecipePart[]): string {
  const named = parts.map(
    ({ what, parts: count }) => `${partsWord(count)} ${ingredientWord(what)}`,
  );
  return `Mix of ${named.join(', ')}`;
}

/** What keeps a mix from being a good wicking mix, the worst first; null for nothing. */
function weaknessOf(parts: readonly RecipePart[], reach: number): MixWeakness | null {
  if (shareOf(parts, ({ body }) => body === 'open') > MUCH_OPEN || reach < LITTLE_REACH)
    return 'open';
  if (shareOf(parts, ({ rots }) => rots) > MUCH_ROTTING) return 'slumps';
  if (shareOf(parts, ({ body }) => body === 'ground') > MUCH_GROUND) return 'packs';
  return null;
}

/** α and n of the curve that lies nearest to what a mix holds, by least squares. */
function fitted(
  held: (suction: number) => number,
  thetaR: number,
  thetaS: number,
): Omit<Hydraulics, 'Ks'> {
  const wanted = MATCHED.map(held);
  const miss = (logAlpha: number, n: number): number => {
    const soil = { thetaR, thetaS, alpha: Math.exp(logAlpha), n, Ks: 1 };
    return MATCHED.reduce(
      (sum, suction, i) => sum + (waterContent(soil, suction) - (wanted[i] as number)) ** 2,
      0,
    );
  };
  // A pattern search: the hollow has one bottom, and the answer is the same every time.
  let best = { at: [Math.log(15), 1.5] as [number, number], value: miss(Math.log(15), 1.5) };
  for (let step = 0.8; step > 1e-4;) {
    const [a, n] = best.at;
    const next = [
      [a + step, n],
      [a - step, n],
      [a, n * (1 + step / 4)],
      [a, Math.max(n / (1 + step / 4), 1.05)],
    ]
      .map(([x, y]) => ({ at: [x, y] as [number, number], value: miss(x as number, y as number) }))
      .reduce((one, other) => (other.value < one.value ? other : one));
    if (next.value < best.value - 1e-15) best = next;
    else step /= 2;
  }
  return { thetaR, thetaS, alpha: Math.exp(best.at[0]), n: best.at[1] };
}
