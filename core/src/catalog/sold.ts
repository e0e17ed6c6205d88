import { INCH, type UnitSystem } from '../units';

/**
 * Sizes in which what holds up a base is sold or found, where one measures in millimetres and where in
 * inches. Typical; outsides, the smallest first. Metres.
 */
export interface Sold {
  /** Perforated pipe, with or without a sock. */
  drain: readonly number[];
  /** Rigid pipe that short supports are sawn from, and wider pipe for a ring. */
  pipe: readonly number[];
  ring: readonly number[];
  tub: readonly number[];
  pot: readonly number[];
  bottle: readonly number[];
  /** Rigid sheet that a platform is cut from, by its thickness. */
  sheet: readonly number[];
  /** Length, width and height of crates and baskets. */
  crate: readonly (readonly [length: number, width: number, height: number])[];
}

const inches = (...sizes: number[]): number[] => sizes.map((size) => size * INCH);

export const SOLD: Readonly<Record<UnitSystem, Sold>> = {
  metric: {
    drain: [0.05, 0.065, 0.08, 0.1, 0.125, 0.16],
    pipe: [0.032, 0.04, 0.05, 0.075],
    ring: [0.11, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4],
    tub: [0.07, 0.095, 0.115, 0.15, 0.18],
    pot: [0.06, 0.07, 0.09, 0.11, 0.13, 0.15, 0.17, 0.19],
    bottle: [0.065, 0.09],
    sheet: [0.003, 0.004, 0.006, 0.01, 0.015, 0.02],
    crate: [
      [0.2, 0.15, 0.1],
      [0.25, 0.2, 0.12],
      [0.3, 0.2, 0.15],
      [0.35, 0.25, 0.17],
      [0.4, 0.3, 0.2],
      [0.33, 0.33, 0.28],
      [0.6, 0.4, 0.32],
    ],
  },
  us: {
    drain: inches(2.375, 3.5, 4.5, 6.625),
    pipe: inches(1.315, 1.66, 1.9, 2.375),
    ring: inches(4.5, 6.625, 8.625, 10.75, 12.75),
    tub: inches(2.75, 3.75, 4.5, 6, 7),
    pot: inches(2.5, 3, 3.5, 4.5, 5.25, 6, 6.5, 7.5),
    bottle: inches(2.5, 3.5),
    sheet: inches(0.125, 0.1875, 0.25, 0.375, 0.5, 0.75),
    crate: [
      [8, 6, 4],
      [10, 8, 5],
      [12, 8, 6],
      [14, 10, 7],
      [16, 12, 8],
      [13, 13, 11],
      [24, 16, 12.5],
    ].map(([l = 0, w = 0, h = 0]) => [l * INCH, w * INCH, h * INCH] as const),
  },
};

/** Sizes up to the largest that is asked for, the largest first; the smallest that there is where all are larger. */
export function soldUpTo(sizes: readonly number[], most: number): readonly number[] {
  const some = sizes.filter((size) => size <= most + 1e-9).reverse();
  return some.length > 0 ? some : sizes.slice(0, 1);
}
