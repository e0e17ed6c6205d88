/** Dots for soil: a tile that repeats without a seam and is always the same, so that dots stay put. */

/** Side of the tile, pixels; large enough that the eye does not find the repeat. */
export const TILE = 168;

/** A repeatable number from 0 to 1 for a cell of the grid. */
function noise(i: number, j: number, salt: number): number {
  const x = Math.sin(i * 127.1 + j * 311.7 + salt * 74.7) * 43758.5453;
  return x - Math.floor(x);
}

/**
 * The dots of one tile as an SVG path; drawn with round line caps, each is a dot.
 *
 * @param step spacing of the shaken grid, pixels; a divisor of the tile keeps the seam unseen
 * @param salt which of several sets of dots
 */
export function stippleTile(step: number, salt: number): string {
  const cells = Math.round(TILE / step);
  const dots: string[] = [];
  for (let i = 0; i < cells; i += 1) {
    for (let j = 0; j < cells; j += 1) {
      // Kept a pixel clear of the tile's edge, where a dot would be cut.
      const x = Math.min(Math.max((i + noise(i, j, salt)) * step, 1), TILE - 1);
      const y = Math.min(Math.max((j + noise(j, i, salt + 9)) * step, 1), TILE - 1);
      dots.push(`M${x.toFixed(1)} ${y.toFixed(1)}h0`);
    }
  }
  return dots.join('');
}
