import type { Kind, Lot, Planter } from '../planter';
import type { Shape } from './shape';

/** How a lot of things looks in the section with the water at a level, and from above. */
export type InSection<K extends Kind> = (lot: Lot<K>, planter: Planter, level: number) => Shape[];
export type FromAbove<K extends Kind> = (lot: Lot<K>, planter: Planter) => Shape[];
