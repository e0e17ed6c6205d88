import type { Bounds, Point } from '@huerta/core/drawing';

/** Maps metres of a drawing to pixels of its picture. */
export interface View {
  scale: number;
  x(metres: number): number;
  y(metres: number): number;
  path(points: readonly Point[], closed: boolean): string;
}

/**
 * The view that fits `bounds` into a picture, centred, standing on the bottom margin.
 *
 * @param scale pixels per metre; by default the largest that fits
 */
export function fitView(
  bounds: Bounds,
  width: number,
  height: number,
  margin: { left: number; right: number; top: number; bottom: number },
  scale = Math.min(
    (width - margin.left - margin.right) / (bounds.right - bounds.left),
    (height - margin.top - margin.bottom) / (bounds.top - bounds.bottom),
  ),
): View {
  const middle = margin.left + (width - margin.left - margin.right) / 2;
  const floor = height - margin.bottom;
  const x = (m: number) => middle + (m - (bounds.left + bounds.right) / 2) * scale;
  const y = (m: number) => floor - (m - bounds.bottom) * scale;
  return {
    scale,
    x,
    y,
    path: (points, closed) =>
      points
        .map(([px, pz], i) => `${i ? 'L' : 'M'}${x(px).toFixed(1)} ${y(pz).toFixed(1)}`)
        .join('') + (closed ? 'Z' : ''),
  };
}
