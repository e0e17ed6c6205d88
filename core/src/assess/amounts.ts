import { radiiOf, soilBeds, type Lot, type Planter } from '../planter';

/** Amounts of growing mix by where it lies. */

/** Soil between its base and its surface, without the pipes that go through it. m³ */
export const soilInBeds = (planter: Planter): number =>
  soilBeds(planter).reduce((sum, { volume }) => sum + volume, 0);

/** That of it which is the upper of two mixes, m³. */
export const upperInBeds = (planter: Planter): number =>
  soilBeds(planter).reduce((sum, { part, volume }) => sum + (part === 'upper' ? volume : 0), 0);

/** Growing mix that is packed into a lot of cups or columns, m³. */
export function packedIn(one: Lot, base: number): number {
  if (one.kind === 'cup') {
    const { spec, pieces } = one;
    const [r0, r1] = radiiOf(spec, base);
    const each = (Math.PI * (base - spec.foot) * (r0 * r0 + r0 * r1 + r1 * r1)) / 3;
    return pieces.length * each;
  }
  if (one.kind === 'column') {
    const { spec, pieces } = one;
    if (spec.medium !== 'mix') return 0;
    return pieces.length * (Math.PI / 4) * spec.diameter ** 2 * (base - spec.foot);
  }
  return 0;
}
