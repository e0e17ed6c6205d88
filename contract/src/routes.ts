import { z } from 'zod';
import { aboutSchema, backupsSchema, restorePreviewSchema, restoreQuerySchema } from './backup';
import { fileQuerySchema, labelQuerySchema, progressSchema, sendProgressSchema } from './build';
import { askCodeSchema, codeSchema, doorSchema, enterSchema, setDoorSchema } from './door';
import { gardenSchema } from './entry';
import {
  priceBookResourceSchema,
  savePriceBookSchema,
  saveSeasonSchema,
  saveWeatherSchema,
  seasonResourceSchema,
  weatherResourceSchema,
} from './garden';
import {
  createPlanterSchema,
  examplesSchema,
  historySchema,
  planterListSchema,
  planterResourceSchema,
  savePlanterSchema,
} from './planter';
import type { ProblemKind } from './problem';
import { assessmentReportSchema, reportQuerySchema, sheetReportSchema } from './report';
import {
  keepVesselSchema,
  saveVesselSchema,
  vesselListSchema,
  vesselResourceSchema,
} from './vessel';

/**
 * Every address of the API, once: method, path, what goes in and what comes out. The server reads requests by
 * it, the pages call by it, and `/api/openapi.json` is made from it.
 */

/** One address and method. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'patch' | 'delete';
  /** Below /api, with `:id` where an id stands. */
  path: string;
  about: string;
  query?: z.ZodType;
  body?: z.ZodType;
  /** Media type of a body that is no JSON. */
  sends?: string;
  /** JSON that is answered; none for 204 and for files. */
  answer?: z.ZodType;
  /** Media type of a file that is answered. */
  file?: string;
  /** Without problems: 200. */
  status?: 201 | 204;
  /** What can go wrong beside what always can. */
  problems?: readonly ProblemKind[];
}

/** Says that a table holds routes, and keeps what exactly each holds. */
const routes = <T extends Record<string, Route>>(table: T): T => table;

const GONE = ['not-found'] as const;
const SAVED = ['invalid', 'contradiction', 'conflict', 'too-large', 'not-json'] as const;
const PDF = 'application/pdf';
const CSV = 'text/csv; charset=utf-8';

export const PLANTERS = routes({
  list: {
    method: 'get',
    path: '/planters',
    about: 'All planters with their designs, oldest first, and what cannot be read.',
    answer: planterListSchema,
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

export const GARDEN = routes({
  examples: {
    method: 'get',
    path: '/examples',
    about: 'The planters of the demo garden, to look at and to begin from.',
    answer: examplesSchema,
  },
  document: {
    method: 'get',
    path: '/documents/:kind/:name',
    about: 'Any document as it is kept, readable or not; ‘name’ is its id.',
    file: 'application/octet-stream',
    problems: GONE,
  },
  entries: {
    method: 'get',
    path: '/garden',
    about: 'All planters in short: names, places, figures and the worst finding, oldest first.',
    answer: gardenSchema,
  },
  drawing: {
    method: 'get',
    path: '/planters/:id/drawing',
    about: 'The section of a planter as shapes in metres.',
    query: z.object({ revision: z.string().optional(), by: z.string().optional() }),
    answer: z.looseObject({ bounds: z.looseObject({}) }),
    problems: GONE,
  },
});

/** Only from this machine, but for taking the garden away. */
export const BACKUPS = routes({
  file: {
    method: 'get',
    path: '/garden.zip',
    about: 'The whole garden as one file.',
    file: 'application/zip',
  },
  look: {
    method: 'post',
    path: '/garden/look',
    about: 'What would come in from such a file, which is the body. Nothing changes.',
    sends: 'application/zip',
    answer: restorePreviewSchema,
    problems: ['invalid', 'too-large'],
  },
  restore: {
    method: 'post',
    path: '/garden/restore',
    about: 'Brings such a file in, beside what is there.',
    sends: 'application/zip',
    query: restoreQuerySchema,
    answer: restorePreviewSchema,
    problems: ['invalid', 'too-large'],
  },
  about: {
    method: 'get',
    path: '/about',
    about: 'Which Huerta this is, and whether it is asked from its own machine.',
    answer: aboutSchema,
  },
  days: {
    method: 'get',
    path: '/backups',
    about: 'The daily copies on this machine.',
    answer: backupsSchema,
  },
  putBack: {
    method: 'post',
    path: '/backups/:day',
    about: 'Puts the garden back as it was on a day. What it is now is copied first.',
    status: 204,
    problems: GONE,
  },
});

/** Only from this machine, but for entering. */
export const DOOR = routes({
  get: {
    method: 'get',
    path: '/door',
    about: 'Whether the door to the house’s network is open, and which devices were let in.',
    answer: doorSchema,
  },
  set: {
    method: 'put',
    path: '/door',
    about: 'Opens or shuts the door.',
    body: setDoorSchema,
    answer: doorSchema,
  },
  code: {
    method: 'post',
    path: '/door/codes',
    about: 'A code that lets one device in, within ten minutes.',
    body: askCodeSchema,
    answer: codeSchema,
    status: 201,
  },
  enter: {
    method: 'post',
    path: '/door/enter',
    about: 'Lets this device in by a code; it is known by a cookie from then on.',
    body: enterSchema,
    status: 204,
  },
  shutOut: {
    method: 'delete',
    path: '/door/devices/:id',
    about: 'Shuts a device out.',
    status: 204,
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

export const SEASONS = routes({
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

export const BUILD = routes({
  progress: {
    method: 'get',
    path: '/planters/:id/progress',
    about: 'How far its build has come.',
    answer: progressSchema,
    problems: GONE,
  },
  mark: {
    method: 'patch',
    path: '/planters/:id/progress',
    about: 'Takes marks in; of two for one key the later holds.',
    body: sendProgressSchema,
    answer: progressSchema,
    problems: [...GONE, 'invalid', 'too-large', 'not-json'],
  },
  sheetPdf: {
    method: 'get',
    path: '/planters/:id/build/sheet.pdf',
    about: 'The build sheet on paper.',
    query: fileQuerySchema,
    file: PDF,
    problems: GONE,
  },
  templatesPdf: {
    method: 'get',
    path: '/planters/:id/build/templates.pdf',
    about: 'Its templates at full size, over as many sheets as they need.',
    query: fileQuerySchema,
    file: PDF,
    problems: [...GONE, 'too-much-work'],
  },
  labelPdf: {
    method: 'get',
    path: '/planters/:id/build/label.pdf',
    about: 'Its label, with a code that opens it.',
    query: labelQuerySchema,
    file: PDF,
    problems: GONE,
  },
  partsCsv: {
    method: 'get',
    path: '/planters/:id/build/parts.csv',
    about: 'Its bill of materials.',
    query: fileQuerySchema,
    file: CSV,
    problems: GONE,
  },
  cutsCsv: {
    method: 'get',
    path: '/planters/:id/build/cuts.csv',
    about: 'Its cut list.',
    query: fileQuerySchema,
    file: CSV,
    problems: GONE,
  },
  template: {
    method: 'get',
    path: '/planters/:id/build/templates/:file',
    about: 'One template, as SVG or DXF by the end of its name.',
    query: fileQuerySchema,
    file: 'image/svg+xml',
    problems: GONE,
  },
});
