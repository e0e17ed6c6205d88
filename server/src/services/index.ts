import { sharedWaterReader } from './joined';
import { dayIn, ownZone } from '@huerta/core/physics/climate';
import type { PlanterDesign, OwnCrops, VesselDesign } from '@huerta/core/document';
import type { PriceBook } from '@huerta/core/fabrication';
import type { RoundPlan } from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import type { Database } from '../storage/database';
import { documentsOf, type Documents } from './documents';
import { fileService, type FileService } from './files';
import { gardenService, type GardenService } from './garden';
import { gardenFileService, type GardenFileService } from './gardenFile';
import { ONLY, OWN_CROPS, PLANTER, PRICES, ROUND, SEASON, VESSEL, WEATHER } from './kinds';
import { logService, weatherDayService, type LogService, type WeatherDayService } from './log';
import { OF_PLANS, pdfRenderer } from './pdfRenderer';
import { planService, type PlanService } from './plans';
import { photoService, type PhotoService } from './photos';
import { progressService, type ProgressService } from './progress';
import { reportService, type ReportService } from './reports';
import { planterStateCache, type PlanterStateCache } from './planterStateCache';
import { tendingService, type TendingService } from './tending';

/** Everything that the API does. */
export interface Services {
  planters: Documents<PlanterDesign>;
  vessels: Documents<VesselDesign>;
  prices: Documents<PriceBook>;
  weather: Documents<WeatherChoice>;
  seasons: Documents<SeasonPlan>;
  crops: Documents<OwnCrops>;
  round: Documents<RoundPlan>;
  progress: ProgressService;
  log: LogService;
  weatherDays: WeatherDayService;
  photos: PhotoService;
  tending: TendingService;
  standing: PlanterStateCache;
  files: FileService;
  reports: ReportService;
  plans: PlanService;
  garden: GardenService;
  gardenFile: GardenFileService;
  /** The day that it is, as an ISO date. */
  today(): string;
}

/**
 * The services over an open database.
 *
 * @param by which Huerta this is: what another one worked out and kept is worked out again
 * @param day the day that it is, as an ISO date; the garden's by the clock where it is left out
 */
export function servicesOf(database: Database, by = 'development', day?: () => string): Services {
  let zone = ownZone();
  const today = day ?? (() => dayIn(zone));
  const changed = () => standing.soon();
  const planters = documentsOf(PLANTER, database, () => {
    garden.soon();
    changed();
  });
  const prices = documentsOf(PRICES, database);
  const vessels = documentsOf(VESSEL, database);
  /** Learns in which time zone the garden lies. */
  const locate = async (): Promise<void> => {
    const { value } = await weather.get(ONLY);
    zone = value.zone ?? ownZone();
  };
  const weather = documentsOf(WEATHER, database, () => {
    locate().then(changed, changed);
  });
  void locate().catch(() => undefined);
  const seasons = documentsOf(SEASON, database, changed);
  const crops = documentsOf(OWN_CROPS, database);
  const round = documentsOf(ROUND, database, changed);
  const others = [vessels, prices, weather, seasons, crops, round];
  const sharedWater = sharedWaterReader(planters, round);
  const garden = gardenService({ database, planters, round, others, by });
  const { setAside } = database;
  const progress = progressService(database.progress, planters, setAside);
  const log = logService({
    log: database.log,
    readings: database.readings,
    setAside,
    zone: () => zone,
    onAdd: changed,
  });
  const weatherDays = weatherDayService(database.weatherDays, setAside, changed);
  const photos = photoService(database);
  const papers = pdfRenderer();
  // A thread of their own: no paper waits for plans. It works for the states, too, while nobody looks for plans.
  const planning = pdfRenderer(undefined, undefined, OF_PLANS);
  const tended = { planters, seasons, weather, log, weatherDays, today };
  const standing = planterStateCache({
    ...tended,
    round,
    table: database.planterStates,
    by,
    threads: [papers, planning],
  });
  const tending = tendingService({ ...tended, papers, round });
  return {
    planters,
    prices,
    vessels,
    weather,
    seasons,
    crops,
    round,
    garden,
    progress,
    log,
    weatherDays,
    photos,
    today,
    tending,
    standing,
    gardenFile: gardenFileService(database, () => {
      garden.soon();
      locate().then(changed, changed);
    }),
    files: fileService({ planters, prices, papers, sharedWater }),
    reports: reportService(planters, sharedWater),
    plans: planService({ prices, weather, today, thread: planning }),
  };
}
