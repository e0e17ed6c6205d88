import { z } from 'zod';
import { fileQuerySchema, labelQuerySchema, progressSchema, sendProgressSchema } from '../build';
import { gardenSchema } from '../planterSummary';
import {
  loggedSchema,
  logQuerySchema,
  logSchema,
  measuredDaysSchema,
  neighbourSchema,
  photoSchema,
  readingsTakenSchema,
  sendDaysSchema,
  sendLogSchema,
  sendReadingsSchema,
  readyStatesSchema,
  tendedLogSchema,
  tendedQuerySchema,
} from '../log';
import { examplesSchema } from '../planter';
import { GONE, routes } from './route';

/** What follows from them: the garden in short, builds and their files. */

const PDF = 'application/pdf';
const CSV = 'text/csv; charset=utf-8';

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
  setAside: {
    method: 'get',
    path: '/set-aside/:n',
    about: 'A row that was found damaged and set aside, as it was.',
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

export const LOG = routes({
  all: {
    method: 'get',
    path: '/log',
    about: 'The log of the garden, latest first, a part at a time.',
    query: logQuerySchema,
    answer: logSchema,
  },
  of: {
    method: 'get',
    path: '/planters/:id/log',
    about: 'The log of a planter, latest first, a part at a time.',
    query: logQuerySchema,
    answer: logSchema,
    problems: GONE,
  },
  tended: {
    method: 'get',
    path: '/round/log',
    about:
      'What the state of planters hangs on: the entries of a season and more, and what counts however old it is.',
    query: tendedQuerySchema,
    answer: tendedLogSchema,
  },
  tendedOf: {
    method: 'get',
    path: '/planters/:id/round/log',
    about: 'The same of one planter.',
    answer: tendedLogSchema,
    problems: GONE,
  },
  add: {
    method: 'post',
    path: '/log',
    about: 'Adds entries; one whose id is known is left as it is.',
    body: sendLogSchema,
    answer: loggedSchema,
    problems: ['invalid', 'too-large', 'not-json'],
  },
  days: {
    method: 'get',
    path: '/weather/days',
    about: 'The weather that was, as it was told, oldest first.',
    answer: measuredDaysSchema,
  },
  tellDays: {
    method: 'post',
    path: '/weather/days',
    about: 'Tells days of weather: °C, metres of rain. A date that is told again is replaced.',
    body: sendDaysSchema,
    answer: measuredDaysSchema,
    problems: ['invalid', 'too-large', 'not-json'],
  },
  readings: {
    method: 'post',
    path: '/planters/:id/readings',
    about: 'Takes readings of a float or a moisture sensor into the log, each once.',
    body: sendReadingsSchema,
    answer: readingsTakenSchema,
    problems: [...GONE, 'invalid', 'too-large', 'not-json'],
  },
  calendar: {
    method: 'get',
    path: '/calendar.ics',
    about: 'Fillings, duties, plantings, harvests and absences, for a calendar to subscribe to.',
    query: fileQuerySchema,
    file: 'text/calendar; charset=utf-8',
  },
  standing: {
    method: 'get',
    path: '/round/standing',
    about:
      'How planters stand today: level, thirst, days left and what is due, as far as it lies ready.',
    answer: readyStatesSchema,
  },
  neighbour: {
    method: 'post',
    path: '/round/neighbour.pdf',
    about: 'A sheet for whoever waters meanwhile: what, when and how much, in walking order.',
    body: neighbourSchema,
    file: PDF,
    problems: ['invalid', 'too-large', 'not-json', 'too-much-work'],
  },
});

export const PHOTOS = routes({
  put: {
    method: 'put',
    path: '/photos/:id',
    about: 'Takes a picture in: turned upright, made smaller, without its place and camera.',
    sends: 'image/*',
    answer: photoSchema,
    problems: ['invalid', 'too-large'],
  },
  get: {
    method: 'get',
    path: '/photos/:id',
    about: 'The picture.',
    file: 'image/jpeg',
    problems: GONE,
  },
  small: {
    method: 'get',
    path: '/photos/:id/small',
    about: 'The picture, small.',
    file: 'image/jpeg',
    problems: GONE,
  },
});
