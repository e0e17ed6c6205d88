import { planterDesignSchema, type PlanterDesign } from './schema';

/** Whether designs keep to the schema, for those that are tried by the hundred: each part is looked at once. */

const PARTS = Object.entries(planterDesignSchema.shape);
/** What was found of parts, by their names: a document is never changed in place. */
const found = new Map(PARTS.map(([name]) => [name, new WeakMap<object, boolean>()]));

function isSound(name: string, schema: (typeof PARTS)[number][1], part: unknown): boolean {
  if (typeof part !== 'object' || part === null) return schema.safeParse(part).success;
  const known = found.get(name);
  const before = known?.get(part);
  if (before !== undefined) return before;
  const { success } = schema.safeParse(part);
  known?.set(part, success);
  return success;
}

/** Whether every part of a design is as `planterDesignSchema` asks for it. */
export const isWithinBounds = (design: PlanterDesign): boolean =>
  Object.keys(design).every((name) => found.has(name)) &&
  PARTS.every(([name, schema]) => isSound(name, schema, design[name as keyof PlanterDesign]));
