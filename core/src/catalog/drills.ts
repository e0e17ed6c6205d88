/** Twist drills, step drills and hole saws that are commonly on sale. Diameters in metres. */

const INCH = 0.0254;

export const METRIC_BITS: readonly number[] = [
  3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 22, 25, 28, 30, 32, 35, 38, 40, 44, 48, 51, 54, 57, 60, 64,
  68, 70, 73, 76, 83, 86, 92, 95, 102, 105, 111, 114, 121, 127, 133, 140, 152, 168, 177,
].map((mm) => mm / 1000);

export const INCH_BITS: readonly number[] = [
  0.125, 0.1875, 0.25, 0.3125, 0.375, 0.5, 0.625, 0.75, 0.875, 1, 1.125, 1.25, 1.375, 1.5, 1.75, 2,
  2.125, 2.25, 2.5, 2.75, 3, 3.25, 3.625, 4, 4.125, 4.5, 4.75, 5, 5.5, 6, 6.25, 6.625, 6.875,
].map((inches) => inches * INCH);

/**
 * The smallest bit that is at least `diameter`, or the diameter itself when none is that large.
 * @param diameter metres
 */
export function bitFor(diameter: number, bits: readonly number[]): number {
  return bits.find((bit) => bit >= diameter - 1e-6) ?? diameter;
}
