import {
  priceBookResourceSchema,
  savePriceBookSchema,
  saveSeasonSchema,
  saveWeatherSchema,
  seasonResourceSchema,
  seasonsSchema,
  ownCropsResourceSchema,
  saveOwnCropsSchema,
  roundResourceSchema,
  saveRoundSchema,
  weatherResourceSchema,
} from '../garden';
import {
  createPlanterSchema,
  historySchema,
  planterListSchema,
  planterResourceSchema,
  roundPlantersSchema,
  savePlanterSchema,
} from '../planter';
import { assessmentReportSchema, reportQuerySchema, sheetReportSchema } from '../report';
import {
  keepVesselSchema,
  saveVesselSchema,
  vesselHistorySchema,
  vesselListSchema,
  vesselResourceSchema,
} from '../vessel';
import { GONE, routes, SAVED } from './route';

/** The documents of the garden, fetched and saved. */

export const PLANTERS = routes({
  list: {
    method: 'get',
    path: '/planters',
    about: 'All planters with their designs, oldest first, and what cannot be read.',
    answer: planterListSchema,
  },
  round: {
    method: 'get',
    path: '/round/planters',
    about: 'The planters of the round: those that grow something.',
    answer: roundPlantersSchema,
  },
  create: {
    method: 'post',
    path: '/planters',
    about: 'Puts a new planter into the garden.',
    body: createPlanterSchema,
    answer: planterResourceSchema,
    status: 201,
    problems: SAVED,
  },
  get: {
    method: 'get',
    path: '/planters/:id',
    about: 'One planter.',
    answer: planterResourceSchema,
    problems: GONE,
  },
  save: {
    method: 'put',
    path: '/planters/:id',
    about: 'Saves over a known revision; with revision 0 the id is the device’s own.',
    body: savePlanterSchema,
    answer: planterResourceSchema,
    problems: [...GONE, ...SAVED],
  },
  history: {
    method: 'get',
    path: '/planters/:id/history',
    about: 'What it was before its saves, newest first.',
    answer: historySchema,
    problems: GONE,
  },
  remove: {
    method: 'delete',
    path: '/planters/:id',
    about: 'Deletes it; this can be undone.',
    status: 204,
    problems: GONE,
  },
  restore: {
    method: 'post',
    path: '/planters/:id/restore',
    about: 'Takes a deletion back.',
    answer: planterResourceSchema,
    problems: GONE,
  },
  assessment: {
    method: 'get',
    path: '/planters/:id/assessment',
    about: 'What core makes of it: figures in SI and words, findings with their remedies.',
    query: reportQuerySchema,
    answer: assessmentReportSchema,
    problems: GONE,
  },
  sheet: {
    method: 'get',
    path: '/planters/:id/sheet',
    about: 'Parts, holes, cuts and steps of its build sheet. Lengths in metres.',
    query: reportQuerySchema,
    answer: sheetReportSchema,
    problems: GONE,
  },
});

export const VESSELS = routes({
  list: {
    method: 'get',
    path: '/vessels',
    about: 'Vessels that were measured and kept, oldest first.',
    answer: vesselListSchema,
  },
  create: {
    method: 'post',
    path: '/vessels',
    about: 'Keeps a vessel.',
    body: keepVesselSchema,
    answer: vesselResourceSchema,
    status: 201,
    problems: SAVED,
  },
  save: {
    method: 'put',
    path: '/vessels/:id',
    about: 'Saves a vessel over a known revision.',
    body: saveVesselSchema,
    answer: vesselResourceSchema,
    problems: [...GONE, ...SAVED],
  },
  history: {
    method: 'get',
    path: '/vessels/:id/history',
    about: 'What it was before its saves, newest first.',
    answer: vesselHistorySchema,
    problems: GONE,
  },
  remove: {
    method: 'delete',
    path: '/vessels/:id',
    about: 'Deletes it; this can be undone.',
    status: 204,
    problems: GONE,
  },
  restore: {
    method: 'post',
    path: '/vessels/:id/restore',
    about: 'Takes a deletion back.',
    answer: vesselResourceSchema,
    problems: GONE,
  },
});

export const PRICES = routes({
  get: {
    method: 'get',
    path: '/prices',
    about: 'The price book.',
    answer: priceBookResourceSchema,
  },
  save: {
    method: 'put',
    path: '/prices',
    about: 'Saves the price book over a known revision.',
    body: savePriceBookSchema,
    answer: priceBookResourceSchema,
    problems: SAVED,
  },
});

export const WEATHER = routes({
  get: {
    method: 'get',
    path: '/weather',
    about: 'Which weather the garden has.',
    answer: weatherResourceSchema,
  },
  save: {
    method: 'put',
    path: '/weather',
    about: 'Saves the choice of weather over a known revision.',
    body: saveWeatherSchema,
    answer: weatherResourceSchema,
    problems: SAVED,
  },
});

export const CROPS_OF_ONES_OWN = routes({
  get: {
    method: 'get',
    path: '/crops',
    about: 'The crops of one’s own that the garden keeps.',
    answer: ownCropsResourceSchema,
  },
  save: {
    method: 'put',
    path: '/crops',
    about: 'Saves the crops of one’s own over a known revision.',
    body: saveOwnCropsSchema,
    answer: ownCropsResourceSchema,
    problems: SAVED,
  },
});

export const ROUND = routes({
  get: {
    method: 'get',
    path: '/round',
    about: 'The order of the walk, the rain tank, and when nobody is at home.',
    answer: roundResourceSchema,
  },
  save: {
    method: 'put',
    path: '/round',
    about: 'Saves them over a known revision.',
    body: saveRoundSchema,
    answer: roundResourceSchema,
    problems: SAVED,
  },
});

export const SEASONS = routes({
  all: {
    method: 'get',
    path: '/seasons',
    about: 'The plans of all planters that have one.',
    answer: seasonsSchema,
  },
  get: {
    method: 'get',
    path: '/planters/:id/season',
    about: 'What is meant to be done in a planter’s season.',
    answer: seasonResourceSchema,
    problems: GONE,
  },
  save: {
    method: 'put',
    path: '/planters/:id/season',
    about: 'Saves the plan of a season over a known revision.',
    body: saveSeasonSchema,
    answer: seasonResourceSchema,
    problems: [...GONE, ...SAVED],
  },
});
