import type { PlanterResource } from '@huerta/contract';
import { buildSheet, evaluate, type Shopper, type UnitSystem } from '@huerta/core';
import { useMemo } from 'react';

/** What some planters take, each with its name and variant. */
export function useShoppers(
  planters: readonly PlanterResource[],
  units: UnitSystem,
): readonly Shopper[] {
  return useMemo(
    () =>
      planters.map(({ design }) => {
        const { planter, assessment } = evaluate(design);
        const { parts, cuts } = buildSheet(planter, assessment.figures, units);
        const name = design.variant ? `${design.name}, ${design.variant}` : design.name;
        return { name, parts, cuts, usable: assessment.figures.usable };
      }),
    [planters, units],
  );
}
