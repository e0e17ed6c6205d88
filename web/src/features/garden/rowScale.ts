import type { Section } from '@huerta/core/drawing';
import { UNDER_BAR } from '../../drawing/SmallSection';
import { fitView } from '../../drawing/view';

/** Planters that stand in a row are drawn at one scale. */

/** Width of a drawing on the ledge, pixels. */
export const CARD_WIDE = 260;
/** What would be smaller than this share of its frame in a row has a scale of its own. */
const LEAST = 0.3;

/** At what scale a planter is drawn in its row, pixels per metre, and whether a bar over it says so. */
export interface RowScale {
  scale: number;
  told: boolean;
}

/**
 * The scales of the drawings of a row: one for all, told over the first, but for those that would be too small to be
 * recognised.
 *
 * @param drawings null while one is not there
 * @param height of the frame, pixels
 */
export function rowScales(drawings: readonly (Section | null)[], height: number): RowScale[] {
  const fits = drawings.map(
    (drawing) => drawing && fitView(drawing.bounds, CARD_WIDE, height, UNDER_BAR).scale,
  );
  const one = Math.min(...fits.filter((fit) => fit !== null));
  let said = false;
  return fits.map((fit) => {
    if (fit === null) return { scale: one, told: false };
    if (one < LEAST * fit) return { scale: fit, told: true };
    const told = !said;
    said = true;
    return { scale: one, told };
  });
}
