/** A wick's flow by the suction at the soil base, m³/s, and its slope by suction, m²/s, into `out`. */
export type FlowCurve = (suction: number, out: Float64Array) => void;

const NODES = 40;
const SCALE = 0.03;
const DRIEST = 15;
const STRETCH = Math.log(1 + DRIEST / SCALE) / (NODES - 1);
const SUCTION = Float64Array.from({ length: NODES }, (_, j) => SCALE * (Math.exp(j * STRETCH) - 1));

/** A flow as a table of suctions with straight lines between: a field asks for it at every box of its base. */
export function flowCurve(flow: (suction: number) => number): FlowCurve {
  const table = SUCTION.map((s) => flow(s));
  return (suction, out) => {
    const s = Math.min(Math.max(suction, 0), DRIEST * 0.999);
    const j = Math.min(Math.floor(Math.log(1 + s / SCALE) / STRETCH), NODES - 2);
    const s0 = SUCTION[j] as number;
    const low = table[j] as number;
    const slope = ((table[j + 1] as number) - low) / ((SUCTION[j + 1] as number) - s0);
    out[0] = low + slope * (s - s0);
    out[1] = suction > 0 ? slope : 0;
  };
}
