import type { PlanterResource } from '@huerta/contract';
import { followedFrom, type LogEntry } from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import { siteOf, type WeatherChoice } from '@huerta/core/physics/climate';
import { useMemo } from 'react';
import { useGardenDay } from '../../data/gardenDay';
import { GardenSowOffers } from '../../ui/year/GardenSowOffers';

interface SowTodayProps {
  /** The planters in the order of the walk. */
  planters: readonly PlanterResource[];
  plans: Readonly<Record<string, SeasonPlan>>;
  entries: readonly LogEntry[];
  choice: WeatherChoice;
}

/** What can be sown or planted on the round today. */
export function SowToday({ planters, plans, entries, choice }: SowTodayProps) {
  const today = useGardenDay();
  const site = useMemo(() => siteOf(choice), [choice]);
  const rows = useMemo(
    () =>
      planters.map((planter) => ({
        planter,
        planted: followedFrom({
          ...{
            design: planter.design,
            planted: plans[planter.id]?.planted ?? null,
            site,
            today,
            days: [],
          },
          entries: entries.filter((one) => one.planter === planter.id),
        }),
      })),
    [planters, plans, entries, site, today],
  );
  return <GardenSowOffers rows={rows} site={site} />;
}
