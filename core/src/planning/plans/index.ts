export { readMeans, type MeansRead } from './readMeans';
export { plansFor, MOST_PLANS, type PlansFound } from './plans';
export { type GardenPlan, type PlanPlanter } from './plan';
export { yearOfMonth, type PlanSetting } from './setting';
export {
  buildWords,
  cropWords,
  headingOf,
  impossible,
  kindOf,
  monthName,
  speaksAgainst,
  reasonFor,
  vesselsOf,
} from './words';
export {
  BASE_SCHOOLS,
  MEANS,
  MEANS_IDS,
  meansOf,
  MOST_CROPS,
  MOST_DAYS,
  MOST_VESSELS,
  planWishSchema,
  TOOLS,
  TOOL_IDS,
  usualWish,
  wishOf,
  WICK_SCHOOLS,
  type MeansId,
  type PlanWish,
  type ToolId,
} from './wish';
