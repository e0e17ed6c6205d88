import type { Part, PartGroup, PartKind, Planter } from '../../assembly';
import type { Cell, Vec3 } from './cell';

/** How each kind of part is drawn in the round. */

/** What a face is inked as. */
export type RoundInk =
  | 'wall'
  | 'support'
  | 'clear'
  | 'platform'
  | 'pipe'
  | 'cloth'
  | 'stone'
  | 'sand'
  | 'soil'
  | 'straw'
  | 'wood'
  | 'leaf'
  | 'water'
  | 'film'
  | 'opening';

/** Something flat that lies on a part's face: a hole, a slot, a joint between boards. */
export interface Mark {
  points: readonly Vec3[];
}

/** The order in which parts come from below, as a planter is taken apart. */
export const TIERS = ['shell', 'base', 'sheet', 'bed', 'layer', 'pipe', 'top'] as const;
type Tier = (typeof TIERS)[number];

/** Steps of the sheet. */
type Steps = readonly string[];

export interface PartRound<K extends PartKind> {
  ink(group: PartGroup<K>): RoundInk;
  /** What it is named beside a picture, where that is more telling than its kind. */
  called?(group: PartGroup<K>): string;
  /** The cells of one part; none for what has no body of its own. */
  cells(group: PartGroup<K>, part: Part, planter: Planter): Cell[];
  /** Floors, which stay whole where walls are cut open. */
  floors?(group: PartGroup<K>, planter: Planter): Cell[][];
  /** What lies on its faces. */
  marks?(group: PartGroup<K>, part: Part, planter: Planter): Mark[];
  /** Whether it is cut open with the vessel; wicks, tubes and what stands on the floor stay whole. */
  opened?: true;
  tier: Tier;
  /**
   * The steps in which it comes to its place; the first of them that a sheet has counts, and without one it is there from
   * the beginning.
   *
   * @param sheet whether the order has a step in which a rigid sheet is set in
   */
  comes(sheet: boolean): Steps;
  /** Whether water leaves the vessel by it: the eye and the cut are chosen so that it is seen. */
  outlet?: true;
  /** Whether it hangs in the sheet once that is made. */
  hangs?: true;
}

const NEVER: Steps = [];
/** There from the beginning. */
export const always = (): Steps => NEVER;
/** In the first of these steps, whatever the order is. */
export const inSteps = (...steps: string[]): (() => Steps) => {
  return () => steps;
};
