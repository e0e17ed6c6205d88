import type { FillId } from '../catalog';
import { radiiOf, soilBeds, type PartGroup, type Planter } from '../assembly';

/** Amounts of growing mix by where it lies. */

/** Soil between its base and its surface, without the pipes that go through it. m³ */
export const soilInBeds = (planter: Planter): number =>
  soilBeds(planter).reduce((sum, { volume }) => sum + volume, 0);

/** That of it which is the upper of two mixes, m³. */
export const upperInBeds = (planter: Planter): number =>
  soilBeds(planter).reduce((sum, { part, volume }) => sum + (part === 'upper' ? volume : 0), 0);

/** What is packed into the cups or columns of a group of parts up to the soil's base: its medium, m³, and m² at a height. */
export function packedIn(
  one: PartGroup,
  base: number,
): { medium: FillId; volume: number; areaAt(z: number): number } | null {
  const count = one.parts.length;
  if (one.kind === 'cup') {
    const [r0, r1] = radiiOf(one.spec, base);
    const tall = Math.max(base - one.spec.foot, 0);
    const radius = (z: number) => r0 + ((r1 - r0) * (z - one.spec.foot)) / Math.max(tall, 1e-9);
    return {
      medium: 'mix',
      volume: (count * Math.PI * tall * (r0 * r0 + r0 * r1 + r1 * r1)) / 3,
      areaAt: (z) => count * Math.PI * radius(z) ** 2,
    };
  }
  if (one.kind === 'column') {
    const { medium, diameter, foot } = one.spec;
    const area = count * (Math.PI / 4) * diameter ** 2;
    return { medium, volume: area * Math.max(base - foot, 0), areaAt: () => area };
  }
  return null;
}
