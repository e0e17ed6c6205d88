import type { Planter } from './assemble';

/**
 * Water of the reservoir below a height, m³. What stands in the mix of a bag is the soil's own: it comes
 * and goes as the soil takes it, and does not run to the tray when that is emptied.
 */
export const freeWaterBelow = (
  { design, storage }: Pick<Planter, 'design' | 'storage'>,
  z: number,
): number => storage.volumeBelow(z) - (design.bed?.kind === 'bag' ? storage.soilBelow(z) : 0);
