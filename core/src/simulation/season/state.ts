import { solver } from '../../physics/column';
import type { Model } from './model';
import { rootsAfter } from './roots';

/** What changes in a planter from hour to hour. SI; levels in metres above the inside floor. */
export interface State {
  /** Pressure head of each cell of soil. */
  readonly h: Float64Array;
  readonly soil: ReturnType<typeof solver>;
  /** In the reservoir and in its supply barrel, m³, and how high the water stands. */
  water: number;
  barrel: number;
  level: number;
  /** Water that stands on the soil, metres. */
  pond: number;
  /** How far down the roots are. */
  tip: number;
  /** Roots of each cell as shares that sum to 1, and what they take, m³/s. */
  readonly roots: Float64Array;
  readonly sink: Float64Array;
  /** The step that is wished for, seconds. */
  step: number;
  /** Days since it was last filled. */
  sinceFill: number;
}

/** Heads that matter to plants are centimetres; the mass is kept exactly. */
const REST = { metres: 1e-4, share: 3e-3 };
const FIRST_STEP = 600;

/** A full reservoir, soil that hangs above it, and roots as they are so many days after planting. */
export function fullState(model: Model, age: number): State {
  const { base, brim, full, barrel } = model;
  const tip = rootsAfter(model, age, brim);
  return stateAt(model, { suction: base - brim, water: full, barrel: barrel?.volume ?? 0, tip });
}

/** Water at rest: what hangs in the soil above a suction at its base, and what is in the reservoir. */
export interface EquilibriumStart {
  /** Suction at the soil base, metres; negative where water stands in the soil. */
  suction: number;
  /** m³ */
  water: number;
  barrel: number;
  /** How far down the roots are, metres above the inside floor. */
  tip: number;
}

/** The state of a planter whose water is at rest. */
export function stateAt(model: Model, { suction, water, barrel, tip }: EquilibriumStart): State {
  const { count, cells, reservoir } = model;
  const h = Float64Array.from({ length: count }, (_, i) => -suction - (i + 0.5) * cells.dz);
  return {
    h,
    soil: solver(cells, h, REST),
    water,
    barrel,
    level: reservoir.level(water),
    pond: 0,
    tip,
    roots: new Float64Array(count),
    sink: new Float64Array(count),
    step: FIRST_STEP,
    sinceFill: 0,
  };
}

/** All the water that there is, m³. */
export const waterIn = ({ soil, water, barrel, pond }: State, { surface }: Model): number =>
  soil.stored() + water + barrel + pond * surface;
