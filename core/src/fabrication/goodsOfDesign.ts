import { evaluate } from '../assessment';
import type { PlanterDesign } from '../document';
import type { UnitSystem } from '../units';
import { ingredientGood, SMALL_GOODS, type Good } from './goods';
import { buildSheet } from './sheet';
import { asShopper, type Shopper } from './shopping';

/** What a design brings to a shopping list, under its name and variant. */
export function shopperOf(design: PlanterDesign, units: UnitSystem): Shopper {
  const { planter, assessment } = evaluate(design);
  const sheet = buildSheet(planter, assessment.figures, units);
  const name = design.variant ? `${design.name}, ${design.variant}` : design.name;
  return asShopper(name, sheet, assessment.figures);
}

/** Every good that some designs take, in the order in which they take it, and the usual small ones; each once, and none that is dug. */
export function goodsOf(designs: readonly PlanterDesign[], units: UnitSystem): Good[] {
  const goods = new Map<string, Good>();
  const take = (good: Good) => void (good.dug || goods.has(good.id) || goods.set(good.id, good));
  for (const design of designs) {
    for (const { good, ingredients } of shopperOf(design, units).parts) {
      if (good) take(good);
      for (const { id } of ingredients ?? []) take(ingredientGood(id));
    }
  }
  Object.values(SMALL_GOODS).forEach(take);
  return [...goods.values()];
}
