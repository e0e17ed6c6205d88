import { INCH } from '../units';

/** Sizes of paper, metres. */
export const PAPERS = {
  a4: { name: 'A4', width: 0.21, height: 0.297 },
  letter: { name: 'Letter', width: 8.5 * INCH, height: 11 * INCH },
} as const;
export type PaperId = keyof typeof PAPERS;
export const PAPER_IDS = Object.keys(PAPERS) as [PaperId, ...PaperId[]];
