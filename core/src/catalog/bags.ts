import { CUBIC_FOOT, DRY_QUART } from '../units';

/** Bags that mix and its ingredients are sold in where people buy by the quart and the cubic foot, m³. */
export const US_BAGS: readonly number[] = [
  ...[8, 16].map((quarts) => quarts * DRY_QUART),
  ...[1, 1.5, 2, 3].map((feet) => feet * CUBIC_FOOT),
];
