import { FEED_DOSES, FEEDS, USUAL_NITROGEN } from '../../catalog';
import type { PlanterDesign } from '../../document';

/** Feed by weight, judged by the nitrogen in it. Kilograms for the whole of a soil. */
export interface Feed {
  mass: number;
  /** What growers usually give of it, from a cautious one's to a generous one's. */
  least: number;
  most: number;
}

/**
 * What is given to a soil, beside what is usual.
 *
 * @param soilVolume settled mix, m³
 * @returns null where nothing is given by weight
 */
export function feedOf(
  { feed, feedDose, feedNitrogen }: PlanterDesign['soil'],
  soilVolume: number,
): Feed | null {
  if (!(feed in FEED_DOSES)) return null;
  // Where a bag says nothing it is as such a feed usually is.
  const nitrogen = feedNitrogen > 0 ? feedNitrogen : FEEDS[feed].nitrogen;
  const { least, most } = USUAL_NITROGEN;
  return {
    mass: feedDose * soilVolume,
    least: (least / nitrogen) * soilVolume,
    most: (most / nitrogen) * soilVolume,
  };
}
