import type { PartKind, PartGroup, Planter } from '../assembly';
import type { Shape } from './shape';

/** How a lot of things looks in the section with the water at a level, and from above. */
export type InSection<K extends PartKind> = (
  group: PartGroup<K>,
  planter: Planter,
  level: number,
) => Shape[];
export type FromAbove<K extends PartKind> = (group: PartGroup<K>, planter: Planter) => Shape[];

/**
 * When a kind is painted in the section: behind what fills the base or in it, with the soil, over it.
 * `base` is before or after the fill, as things stand in open water or in mix.
 */
export type Phase =
  'base' | 'fill' | 'packed' | 'deck' | 'layers' | 'wicks' | 'pipes' | 'walls' | 'outlets';

/** How a kind of thing looks. */
export interface PartDrawing<K extends PartKind> {
  phase: Phase;
  section: InSection<K>;
  plan: FromAbove<K>;
}
