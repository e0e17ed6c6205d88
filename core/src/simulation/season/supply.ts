import type { Planter } from '../../assembly';
import { entryOf, SUCTIONS, tabled } from '../../physics/wick';

// By name: looked up once, these loops run millions of times.
const { min, max, floor } = Math;

/**
 * What the wicks bring up, or take down again, by the water's level and the suction at the soil base,
 * from a table: a season asks for it at every step.
 */
export interface Supply {
  /** Flow up, m³/s, and its derivative by suction, m²/s, into `out`. */
  look(level: number, suction: number, out: Float64Array): void;
}

const LEVELS = 24;
const COUNT = SUCTIONS.length;

export function supplyOfWicks({ wicks, heights }: Planter): Supply {
  const brim = max(heights.brim, 1e-6);
  const flow = new Float64Array(LEVELS * COUNT);
  for (let i = 0; i < LEVELS; i += 1) {
    // A little above each level's foot, so that a foot on the floor counts as wet from the first drop.
    const level = max((brim * i) / (LEVELS - 1), 1e-4);
    for (let j = 0; j < COUNT; j += 1) {
      const suction = SUCTIONS[j] as number;
      flow[i * COUNT + j] = wicks.reduce((sum, wick) => sum + wick.flowAt(level, suction), 0);
    }
  }
  return {
    look(level, suction, out) {
      const s = tabled(suction);
      const j = entryOf(s);
      const s0 = SUCTIONS[j] as number;
      const wide = (SUCTIONS[j + 1] as number) - s0;
      const row = min(max((level / brim) * (LEVELS - 1), 0), LEVELS - 1.0001);
      const i = floor(row);
      const u = row - i;
      const at = i * COUNT + j;
      const low = (flow[at] as number) * (1 - u) + (flow[at + COUNT] as number) * u;
      const high = (flow[at + 1] as number) * (1 - u) + (flow[at + COUNT + 1] as number) * u;
      out[1] = (high - low) / wide;
      out[0] = low + out[1] * (s - s0);
    },
  };
}
