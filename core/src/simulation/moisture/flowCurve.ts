import { entryOf, SUCTIONS, tabled } from '../../physics/wick';

/** A wick's flow by the suction at the soil base, m³/s, and its slope by suction, m²/s, into `out`. */
export type FlowCurve = (suction: number, out: Float64Array) => void;

/** A flow as a table of suctions with straight lines between: a field asks for it at every box of its base. */
export function flowCurve(flow: (suction: number) => number): FlowCurve {
  const table = SUCTIONS.map((s) => flow(s));
  return (suction, out) => {
    const s = tabled(suction);
    const j = entryOf(s);
    const s0 = SUCTIONS[j] as number;
    const low = table[j] as number;
    const slope = ((table[j + 1] as number) - low) / ((SUCTIONS[j + 1] as number) - s0);
    out[0] = low + slope * (s - s0);
    out[1] = suction > 0 ? slope : 0;
  };
}
