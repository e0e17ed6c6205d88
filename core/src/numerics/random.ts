/** Seeded chance: the same seed gives the same numbers on every machine. */
export interface RandomSource {
  /** Evenly spread, from 0 up to but not 1. */
  uniform(): number;
  /** Standard normal (Box and Muller 1958). */
  normal(): number;
  /** Gamma with a shape and a scale (Marsaglia and Tsang 2000). */
  gamma(shape: number, scale: number): number;
}

/** A number of 32 bits from a text (FNV-1a). @param from begins it; another one gives another number */
export function hash32(text: string, from = 0x811c9dc5): number {
  let hash = from >>> 0;
  for (let i = 0; i < text.length; i += 1)
    hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193) >>> 0;
  return hash;
}

/** A small generator of 32 bits of state, whose numbers pass for chance in what is done here. */
export function randomSource(seed: number): RandomSource {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  const gamma = (shape: number, scale: number): number => {
    if (shape < 1) return gamma(shape + 1, scale) * (1 - uniform()) ** (1 / shape);
    const d = shape - 1 / 3;
    const c = 1 / Math.sqrt(9 * d);
    for (;;) {
      const x = normal();
      const v = (1 + c * x) ** 3;
      if (v > 0 && Math.log(1 - uniform()) < 0.5 * x * x + d - d * v + d * Math.log(v)) {
        return d * v * scale;
      }
    }
  };
  return { uniform, normal, gamma };
}
