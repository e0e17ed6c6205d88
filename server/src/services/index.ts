import type {
  PlanterDesign,
  OwnCrops,
  PriceBook,
  SeasonPlan,
  VesselDesign,
  WeatherChoice,
} from '@huerta/core';
import type { Database } from '../store/database';
import { documentsOf, type Documents } from './documents';
import { fileService, type FileService } from './files';
import { gardenService, type GardenService } from './garden';
import { gardenFileService, type GardenFileService } from './gardenFile';
import { OWN_CROPS, PLANTER, PRICES, SEASON, VESSEL, WEATHER } from './kinds';
import { logService, weatherDayService, type LogService, type WeatherDayService } from './log';
import { papersOf } from './papers';
import { progressService, type ProgressService } from './progress';
import { reportService, type ReportService } from './reports';

/** Everything that the API does. */
export interface Services {
  planters: Documents<PlanterDesign>;
  vessels: Documents<VesselDesign>;
  prices: Documents<PriceBook>;
  weather: Documents<WeatherChoice>;
  seasons: Documents<SeasonPlan>;
  crops: Documents<OwnCrops>;
  progress: ProgressService;
  log: LogService;
  weatherDays: WeatherDayService;
  files: FileService;
  reports: ReportService;
  garden: GardenService;
  gardenFile: GardenFileService;
}

/**
 * The services over an open database.
 *
 * @param by which Huerta this is: what another one worked out and kept is worked out again
 */
export function servicesOf(database: Database, by = 'development'): Services {
  const planters = documentsOf(PLANTER, database, () => garden.soon());
  const prices = documentsOf(PRICES, database);
  const vessels = documentsOf(VESSEL, database);
  const weather = documentsOf(WEATHER, database);
  const seasons = documentsOf(SEASON, database);
  const crops = documentsOf(OWN_CROPS, database);
  const others = [vessels, prices, weather, seasons, crops];
  const garden = gardenService({ database, planters, others, by });
  const progress = progressService(database.progress, planters);
  const log = logService(database.log);
  const weatherDays = weatherDayService(database.weatherDays);
  const kinds = { planter: planters, vessel: vessels, prices, weather, season: seasons, crops };
  return {
    planters,
    prices,
    vessels,
    weather,
    seasons,
    crops,
    garden,
    progress,
    log,
    weatherDays,
    gardenFile: gardenFileService({ database, progress, log, weatherDays, kinds }),
    files: fileService(planters, prices, papersOf()),
    reports: reportService(planters),
  };
}
