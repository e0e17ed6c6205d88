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

/** The suctions of the table, close together where it is wet. Shared, so that columns' tables are too. */
const STRETCH = log(1 + DRIEST / SCALE) / (SUCTIONS - 1);
const suctionAt = (j: number): number => SCALE * (exp(j * STRETCH) - 1);

export function supplyOfWicks({ wicks, heights }: Planter, broken: boolean): Supply {
  const brim = max(heights.brim, 1e-6);
  const flow = new Float64Array(LEVELS * SUCTIONS);
  for (let i = 0; i < LEVELS; i += 1) {
    // A little above each level's foot, so that a foot on the floor counts as wet from the first drop.
    const level = max((brim * i) / (LEVELS - 1), 1e-4);
    for (let j = 0; j < SUCTIONS; j += 1) {
      const suction = suctionAt(j);
      flow[i * SUCTIONS + j] = broken
        ? 0
        : wicks.reduce((sum, wick) => sum + wick.flowAt(level, suction), 0);
    }
  }
  return {
    look(level, suction, out) {
      const s = min(max(suction, 0), DRIEST * 0.999);
      const column = log(1 + s / SCALE) / STRETCH;
      const j = min(floor(column), SUCTIONS - 2);
      const [s0, s1] = [suctionAt(j), suctionAt(j + 1)];
      const t = (s - s0) / (s1 - s0);
      const row = min(max((level / brim) * (LEVELS - 1), 0), LEVELS - 1.0001);
      const i = floor(row);
      const u = row - i;
      const at = (k: number, l: number): number => flow[k * SUCTIONS + l] as number;
      const low = at(i, j) * (1 - u) + at(i + 1, j) * u;
      const high = at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u;
      out[0] = low + (high - low) * t;
      out[1] = (high - low) / (s1 - s0);
    },
  };
}
