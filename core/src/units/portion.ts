import type { UnitSystem } from './kinds';

/** The portion that costs and weights are told for: of water, and of soil. Volume in m³. */
interface Portion {
  volume: number;
  name: string;
}

const LITRE: Portion = { volume: 1e-3, name: 'litre' };
const PORTIONS: Readonly<Record<'water' | 'soil', Readonly<Record<UnitSystem, Portion>>>> = {
  water: { metric: LITRE, us: { volume: 3.785411784e-3, name: 'gallon' } },
  soil: { metric: LITRE, us: { volume: 0.3048 ** 3, name: 'cubic foot' } },
};

/** What a price or a weight is told for where people measure so: a litre, a gallon of water, a cubic foot of soil. */
export const portionOf = (what: 'water' | 'soil', system: UnitSystem): Portion =>
  PORTIONS[what][system];
