import type { PlanterSummary, PlanterResource } from '@huerta/contract';

/** A planter as the garden's list would have it. */
const entryOf = ({ design, ...head }: PlanterResource): PlanterSummary => ({
  ...head,
  name: design.name,
  done: 0,
  summary: {
    variant: design.variant,
    place: design.place.name,
    crop: '',
    usable: 0.004,
    days: 4,
    worst: null,
    serious: 0,
    steps: 9,
    height: 0.4,
  },
});

/** The garden's list of some planters. */
export const gardenOf = (planters: readonly PlanterResource[]) => ({
  by: 'test',
  entries: planters.map(entryOf),
  setAside: [],
});
