import type { Planter } from '../planter';

// By name: looked up once, these loops run millions of times.
const { log, min, max, floor, exp } = Math;

/**
 * What the wicks bring up, or take down again, by the water's level and the suction at the soil base,
 * from a table: a season asks for it at every step.
 */
export interface Supply {
  /** Flow up, m³/s, and its derivative by suction, m²/s, into `out`. */
  look(level: number, suction: number, out: Float64Array): void;
}

const LEVELS = 24;
const SUCTIONS = 36;
/** Suction that one step of the table's stretched scale begins with, and the driest, metres. */
const SCALE = 0.04;
const DRIEST = 15;

/** The suctions of the table, close together where it is wet. */
const STRETCH = log(1 + DRIEST / SCALE) / (SUCTIONS - 1);
const SUCTION = Float64Array.from({ length: SUCTIONS }, (_, j) => SCALE * (exp(j * STRETCH) - 1));

export function supplyOfWicks({ wicks, heights }: Planter): Supply {
  const brim = max(heights.brim, 1e-6);
  const flow = new Float64Array(LEVELS * SUCTIONS);
  for (let i = 0; i < LEVELS; i += 1) {
    // A little above each level's foot, so that a foot on the floor counts as wet from the first drop.
    const level = max((brim * i) / (LEVELS - 1), 1e-4);
    for (let j = 0; j < SUCTIONS; j += 1) {
      const suction = SUCTION[j] as number;
      flow[i * SUCTIONS + j] = wicks.reduce((sum, wick) => sum + wick.flowAt(level, suction), 0);
    }
  }
  return {
    look(level, suction, out) {
      const s = min(max(suction, 0), DRIEST * 0.999);
      const j = min(floor(log(1 + s / SCALE) / STRETCH), SUCTIONS - 2);
      const s0 = SUCTION[j] as number;
      const wide = (SUCTION[j + 1] as number) - s0;
      const row = min(max((level / brim) * (LEVELS - 1), 0), LEVELS - 1.0001);
      const i = floor(row);
      const u = row - i;
      const at = i * SUCTIONS + j;
      const low = (flow[at] as number) * (1 - u) + (flow[at + SUCTIONS] as number) * u;
      const high = (flow[at + 1] as number) * (1 - u) + (flow[at + SUCTIONS + 1] as number) * u;
      out[1] = (high - low) / wide;
      out[0] = low + out[1] * (s - s0);
    },
  };
}
