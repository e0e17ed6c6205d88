/**
 * Moves labels apart so that neighbours keep `gap` between their middles, each as near as can be to
 * where it belongs.
 *
 * @param wanted middles in any order
 * @returns new middles in the same order
 */
export function spread(wanted: readonly number[], gap: number, min: number, max: number): number[] {
  const order = wanted.map((_, i) => i).sort((a, b) => (wanted[a] ?? 0) - (wanted[b] ?? 0));
  const placed = order.map((i) => wanted[i] ?? 0);
  // Pushing down and then up settles in a few rounds for the handful of labels there are.
  for (let round = 0; round < 8; round += 1) {
    for (let k = 1; k < placed.length; k += 1) {
      const overlap = gap - ((placed[k] ?? 0) - (placed[k - 1] ?? 0));
      if (overlap > 0) {
        placed[k - 1] = (placed[k - 1] ?? 0) - overlap / 2;
        placed[k] = (placed[k] ?? 0) + overlap / 2;
      }
    }
  }
  placed.forEach((_, k) => {
    placed[k] = Math.max(placed[k] ?? 0, min + k * gap);
  });
  for (let k = placed.length - 1; k >= 0; k -= 1) {
    placed[k] = Math.min(placed[k] ?? 0, max - (placed.length - 1 - k) * gap);
  }
  const result = [...wanted];
  order.forEach((i, k) => {
    result[i] = placed[k] ?? 0;
  });
  return result;
}
