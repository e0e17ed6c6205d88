import { z } from 'zod';

/** Letting devices of the house in: the door to its network, one-time codes, and who was let in. */

export const deviceSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  createdAt: z.iso.datetime(),
  /** When it last came. */
  lastAt: z.iso.datetime(),
});
export type Device = z.infer<typeof deviceSchema>;

/** Answer to GET and PUT /api/door. */
export const remoteAccessSchema = z.object({
  open: z.boolean(),
  /** Whether what goes through it is encrypted. */
  secure: z.boolean(),
  /** Under which addresses a phone finds this machine, the likeliest first; empty while the door is shut. */
  addresses: z.array(z.string()),
  /** Who signed the certificate; null without one. */
  certificate: z.enum(['own', 'made']).nullable(),
  devices: z.array(deviceSchema),
  /** Why the door could not be opened. */
  trouble: z.string().nullable(),
});
export type RemoteAccessState = z.infer<typeof remoteAccessSchema>;

/** Body of PUT /api/door. */
export const setRemoteAccessSchema = z.strictObject({ open: z.boolean(), secure: z.boolean() });

/** Body of POST /api/door/codes. */
export const askCodeSchema = z.strictObject({
  address: z.url({ protocol: /^https?$/, error: 'Choose one of the addresses.' }).max(200),
});

/** Answer to POST /api/door/codes. */
export const codeSchema = z.object({
  /** What the code says: opened on the phone, it lets it in once. */
  link: z.url(),
  /** The code to scan, row by row: true where it is dark. */
  rows: z.array(z.array(z.boolean())),
  until: z.iso.datetime(),
});
export type Code = z.infer<typeof codeSchema>;

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

/** Body of POST /api/door/enter. */
export const enterSchema = z.strictObject({
  code: z.string().min(1).max(100),
  name: z
    .string()
    .trim()
    .min(1, 'Give this device a name, such as Phone.')
    .max(40, 'A shorter name, please: 40 letters at most.'),
});
