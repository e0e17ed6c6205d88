import type { PlanterResource } from '@huerta/contract';
import type { LogEntry } from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { ReactNode } from 'react';
import { useParams } from 'react-router';
import { useLog } from '../data/api/log';
import { usePlanter } from '../data/api/planters';
import { useSeasonPlan } from '../data/api/season';
import { useWeather } from '../data/api/weather';
import { Fetched, Page } from './Page';

/** A planter with what its tending hangs on. */
export interface Tending {
  resource: PlanterResource;
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: SeasonPlan;
}

interface TendedPlanterProps {
  className: string;
  /** What is fetched, within a sentence. */
  what: string;
  title: string;
  children(tending: Tending): ReactNode;
}

/** A page about the planter of the address, once its log, its plan and the weather are there. */
export function TendedPlanter({ className, what, title, children }: TendedPlanterProps) {
  const { id = '' } = useParams();
  const queries = [usePlanter(id), useLog(id), useWeather(), useSeasonPlan(id)] as const;
  return (
    <Page className={className}>
      <Fetched what={what} title={title} queries={queries}>
        {(resource, entries, choice, plan) => children({ resource, entries, choice, plan })}
      </Fetched>
    </Page>
  );
}
