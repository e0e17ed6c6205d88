import { z } from 'zod';
import { askCodeSchema } from './access';
import { fileQuerySchema } from './build';
import { readingsTakenSchema, sendReadingsSchema } from './log';
import { routes, GONE } from './route';
import { sendDaysSchema, measuredDaysSchema } from './weather';

/** Addresses with a secret of their own, for calendars and stations that have no cookie. */

/** What an address with a secret of its own is for: it can do that one thing. */
export const FEED_KINDS = ['calendar', 'weather', 'readings'] as const;
export type FeedKind = (typeof FEED_KINDS)[number];
const feedName = z
  .string()
  .trim()
  .min(1, 'Give it a name, such as Kitchen calendar.')
  .max(40, 'A shorter name, please: 40 letters at most.');

export const feedSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  kind: z.enum(FEED_KINDS),
  /** The planter whose readings are told. */
  planter: z.uuid().nullable(),
  createdAt: z.iso.datetime(),
  /** When it was last used; null before. */
  lastAt: z.iso.datetime().nullable(),
});
export type Feed = z.infer<typeof feedSchema>;

/** Answer to GET /api/feeds. */
export const feedsSchema = z.object({ feeds: z.array(feedSchema) });

/** Body of POST /api/feeds. */
export const makeFeedSchema = z
  .strictObject({
    name: feedName,
    kind: z.enum(FEED_KINDS),
    planter: z.uuid().nullable().default(null),
    address: askCodeSchema.shape.address,
  })
  .refine(({ kind, planter }) => (kind === 'readings') === (planter !== null), {
    path: ['planter'],
    message: 'Say of which planter the readings are.',
  });

/** Answer to POST /api/feeds: the address is shown this once, because only its secret's hash is kept. */
export const madeFeedSchema = z.object({ feed: feedSchema, link: z.url() });
export type MadeFeed = z.infer<typeof madeFeedSchema>;

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
