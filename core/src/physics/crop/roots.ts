import type { Crop } from '../../catalog';

/**
 * How roots go down. They grow from where the plant was set towards the base, and on through whatever
 * holds mix, sand, stone or fabric, until they are at the water; an air gap under a rigid floor stops
 * them. Typical values: rates of 10 to 20 mm a day are usual for warm soil.
 */

/** How deep a young plant's roots are when it is set, metres. */
export const ROOTS_PLANTED = 0.08;
/** How fast they grow down in warm soil, metres a day, where a design says nothing else. */
export const ROOTS_A_DAY = 0.012;
/** Soil temperatures between which they grow the faster the warmer it is, °C. */
const STANDSTILL = 8;
const WARM = 18;
/** How deep roots go where nothing stops them, as a multiple of the root room that a crop asks for. */
const FURTHEST = 2.5;
/** Suction beyond which they do not grow on, metres. */
export const TOO_DRY_TO_GROW = 10;
/**
 * What roots bring up through a place that they have grown through, m/s: 1.2 m³ a day through a square
 * metre. Assumed, from packed cups and pipes that feed a grown plant; no measurement stands behind it.
 */
export const ROOT_FLOW = 1.4e-5;

/** How deep a crop's roots go where nothing stops them, metres. */
export const rootLimit = ({ roots }: Pick<Crop, 'roots'>): number => FURTHEST * roots;

/** Share of their growth that a soil's temperature leaves roots, 0 to 1. @param degrees °C */
export const warmthFor = (degrees: number): number =>
  Math.min(Math.max((degrees - STANDSTILL) / (WARM - STANDSTILL), 0), 1);
