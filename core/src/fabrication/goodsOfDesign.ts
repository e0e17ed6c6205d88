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

/** A good, and the names of the planters that take it, in their order. */
export interface GoodInUse {
  good: Good;
  users: string[];
}

/**
 * Every good that some designs take, in the order in which they take it, and the usual small ones; each once, and none
 * that is dug.
 *
 * @param others what takes goods besides, as hoses that join planters
 */
export function goodsOf(
  designs: readonly PlanterDesign[],
  units: UnitSystem,
  others: readonly Shopper[] = [],
): GoodInUse[] {
  const goods = new Map<string, GoodInUse>();
  const take = (good: Good, user?: string) => {
    if (good.dug) return;
    const known = goods.get(good.id) ?? { good, users: [] };
    goods.set(good.id, known);
    if (user !== undefined && !known.users.includes(user)) known.users.push(user);
  };
  for (const { name, parts } of [...designs.map((design) => shopperOf(design, units)), ...others]) {
    for (const { good, ingredients } of parts) {
      if (good) take(good, name);
      for (const { id } of ingredients ?? []) take(ingredientGood(id), name);
    }
  }
  Object.values(SMALL_GOODS).forEach((good) => take(good));
  return [...goods.values()];
}
