import {
  aboutSchema,
  backupsSchema,
  putBackSchema,
  restorePreviewSchema,
  restoreQuerySchema,
} from '../backup';
import {
  askCodeSchema,
  codeSchema,
  remoteAccessSchema,
  enterSchema,
  feedsSchema,
  madeFeedSchema,
  makeFeedSchema,
  setRemoteAccessSchema,
} from '../access';
import { fileQuerySchema } from '../build';
import {
  measuredDaysSchema,
  readingsTakenSchema,
  sendDaysSchema,
  sendReadingsSchema,
} from '../log';
import { GONE, routes } from './route';

/** What belongs to the machine at home: the garden as a file, copies, the door. */

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
    about: 'The copies of the garden on this machine.',
    answer: backupsSchema,
  },
  putBack: {
    method: 'post',
    path: '/backups/:name',
    about: 'Puts the whole garden back as it was in a copy. What it is now is copied first.',
    answer: putBackSchema,
    problems: GONE,
  },
});

/** Only from this machine, but for entering. */
export const DOOR = routes({
  get: {
    method: 'get',
    path: '/door',
    about: 'Whether the door to the house’s network is open, and which devices were let in.',
    answer: remoteAccessSchema,
  },
  set: {
    method: 'put',
    path: '/door',
    about: 'Opens or shuts the door.',
    body: setRemoteAccessSchema,
    answer: remoteAccessSchema,
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

/** Addresses with a secret of their own. Made and withdrawn on this machine alone. */
export const FEEDS = routes({
  list: {
    method: 'get',
    path: '/feeds',
    about: 'The addresses that calendars and stations were given.',
    answer: feedsSchema,
  },
  make: {
    method: 'post',
    path: '/feeds',
    about: 'Makes an address with a secret of its own, which can do one thing.',
    body: makeFeedSchema,
    answer: madeFeedSchema,
    status: 201,
    problems: [...GONE, 'invalid'],
  },
  withdraw: {
    method: 'delete',
    path: '/feeds/:id',
    about: 'Withdraws an address.',
    status: 204,
    problems: GONE,
  },
  calendar: {
    method: 'get',
    path: '/feeds/:secret/calendar.ics',
    about: 'The calendar, for a program that has no cookie.',
    query: fileQuerySchema,
    file: 'text/calendar; charset=utf-8',
    problems: ['not-let-in'],
  },
  weather: {
    method: 'post',
    path: '/feeds/:secret/days',
    about: 'Tells days of weather, as POST /api/weather/days.',
    body: sendDaysSchema,
    answer: measuredDaysSchema,
    problems: ['invalid', 'not-let-in'],
  },
  readings: {
    method: 'post',
    path: '/feeds/:secret/readings',
    about: 'Tells readings of one planter, as POST /api/planters/:id/readings.',
    body: sendReadingsSchema,
    answer: readingsTakenSchema,
    problems: ['invalid', 'not-let-in'],
  },
});
