import { bitFor, INCH_BITS, METRIC_BITS, PIPES } from '../catalog';
import { INCH, type UnitSystem } from '../units';
import type { ClothWickDesign, FillTubeDesign, OverflowDesign, PlanterDesign } from './schema';
import { cupOf, USUAL_CLOTH, usualOverflow, usualTube } from './defaults';

/**
 * In which system a planter is measured, and what is usual there: whoever measures in inches buys pipes, bits
 * and cups by the inch.
 */

/** What a measure may miss a mark of the rule by, metres. */
const MISS = 1e-6;
const on = (metres: number, step: number): boolean =>
  Math.abs(metres - Math.round(metres / step) * step) < MISS;

/** By the pipe that is its fill tube; without one by the rule that its vessel was measured with. */
export function measuredIn({ fillTube, vessel }: PlanterDesign): UnitSystem {
  if (fillTube) return PIPES[fillTube.pipe].family === 'inch' ? 'us' : 'metric';
  const { wall: _wall, ...measured } = vessel;
  const lengths = Object.values(measured).filter(
    (value): value is number => typeof value === 'number' && value > 0.03,
  );
  const inches = lengths.every((length) => on(length, INCH / 16));
  return inches && !lengths.every((length) => on(length, 0.001)) ? 'us' : 'metric';
}

/** Parts as they are usually made in a system. Lengths in metres. */
export interface Usual {
  bits: readonly number[];
  cloth: ClothWickDesign;
  /** Inside of a usual cup at its top, and of a large one. */
  cup: number;
  largeCup: number;
  tube(depth: number): FillTubeDesign;
  /** An overflow under a base at this height; its diameter a bit of at least `wanted`. */
  hole(ceiling: number, wanted?: number): OverflowDesign & { kind: 'hole' };
}

const USUALS: Readonly<Record<UnitSystem, Usual>> = {
  metric: {
    bits: METRIC_BITS,
    cloth: USUAL_CLOTH,
    cup: 0.08,
    largeCup: 0.1,
    tube: (depth) => usualTube(depth),
    hole: (ceiling, wanted = 0.012) => usualOverflow(ceiling, bitFor(wanted, METRIC_BITS)),
  },
  us: {
    bits: INCH_BITS,
    cloth: { ...USUAL_CLOTH, width: 3.5 * INCH, spread: 3 * INCH },
    cup: 3 * INCH,
    largeCup: 4 * INCH,
    tube: (depth) => {
      const tube = usualTube(depth, 'in-1');
      return {
        ...tube,
        length: Math.ceil(tube.length / (INCH / 4)) * (INCH / 4),
      };
    },
    hole: (ceiling, wanted = 0.012) => usualOverflow(ceiling, bitFor(wanted, INCH_BITS), INCH / 16),
  },
};

/** What is usual where one measures in these units. */
export const usualIn = (units: UnitSystem): Usual => USUALS[units];

/** What is usual where this planter is measured. */
export const usualFor = (design: PlanterDesign): Usual => USUALS[measuredIn(design)];

/** One usual cup as it is bought in these units. */
export const usualCup = (units: UnitSystem) => cupOf(USUALS[units].cup);
