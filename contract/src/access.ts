import { z } from 'zod';
import { routes, GONE } from './route';

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

/** Body of POST /api/door/enter. */
export const enterSchema = z.strictObject({
  code: z.string().min(1).max(100),
  name: z
    .string()
    .trim()
    .min(1, 'Give this device a name, such as Phone.')
    .max(40, 'A shorter name, please: 40 letters at most.'),
});

/** Only from this machine, but for entering. */
export const REMOTE_ACCESS = routes({
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
