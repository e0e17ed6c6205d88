import type { Database } from '../store/database';
import { fileService, type FileService } from './files';
import { planterService, type PlanterService } from './planters';
import { priceService, type PriceService } from './prices';
import { progressService, type ProgressService } from './progress';
import { reportService, type ReportService } from './reports';
import { seasonService, type SeasonService } from './seasons';
import { weatherService, type WeatherService } from './weather';
import { vesselService, type VesselService } from './vessels';

/** Everything that the API does. */
export interface Services {
  planters: PlanterService;
  vessels: VesselService;
  progress: ProgressService;
  prices: PriceService;
  files: FileService;
  weather: WeatherService;
  seasons: SeasonService;
  reports: ReportService;
}

/** The services over an open database. */
export function servicesOf(database: Database): Services {
  const planters = planterService(database);
  const prices = priceService(database.priceBooks);
  return {
    planters,
    prices,
    vessels: vesselService(database.vessels),
    progress: progressService(database.progress, planters),
    files: fileService(planters, prices),
    weather: weatherService(database.weather),
    seasons: seasonService(database.seasons, planters),
    reports: reportService(planters),
  };
}
