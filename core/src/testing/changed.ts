import fc from 'fast-check';
import { applyPatch, STARTING_POINTS, type PlanterDesign } from '../document';
import { assemble, contradictions, levelsOf, moveLevel } from '../assembly';

const points = STARTING_POINTS.filter(({ id }) => id !== 'blank');

/** Moves a line to a share of what it can be. */
const moved = (
  design: PlanterDesign,
  id: 'platform' | 'overflow',
  share: number,
): PlanterDesign => {
  const planter = assemble(design);
  const level = levelsOf(planter).find((one) => one.id === id);
  if (!level) return design;
  return applyPatch(design, moveLevel(planter, id, level.min + share * (level.max - level.min)));
};

/** A starting point changed as people change one: another base and lip, another mix, other plants; faulty or not. */
export const changedDesign: fc.Arbitrary<PlanterDesign> = fc
  .record({
    point: fc.constantFrom(...points),
    base: fc.double({ min: 0.1, max: 0.7, noNaN: true }),
    lip: fc.double({ min: 0.5, max: 0.95, noNaN: true }),
    medium: fc.constantFrom('coir-perlite', 'compost-mix', 'peat-perlite'),
    plants: fc.integer({ min: 1, max: 4 }),
  })
  .map(({ point: { design }, base, lip, medium, plants }) => {
    const one = moved(moved(design, 'platform', base), 'overflow', lip);
    const crops = one.planting.crops.map((crop) => ({ ...crop, count: plants, places: null }));
    return {
      ...one,
      soil: { ...one.soil, medium },
      planting: { ...one.planting, crops },
    } as PlanterDesign;
  })
  .filter((design) => contradictions(design).length === 0);
