import { z } from 'zod';

/**
 * The log of a garden: what was done, seen and given, each an entry of its own that is never changed. A correction is
 * another entry that takes the place of the first; taking one out is an entry that takes its place and is gone. So two
 * devices that write at once lose nothing, and an entry that is sent twice is stored once.
 */

/** The most that an entry can say, in SI: what is more is a slip of the hand. */
export const ENTRY_LIMITS = {
  /** m³ */
  filled: 10,
  /** Metres of water in the planter, of soil down to where it was felt, of rain in a day. */
  level: 3,
  finger: 1,
  rain: 1,
  /** Kilograms. */
  fed: 100,
  harvested: 1000,
  count: 100_000,
  /** Letters. */
  text: 2000,
} as const;

const amount = (most: number) => z.number().min(0).max(most);
const words = (most: number) => z.string().trim().max(most);

/** What is done without a number, with what it is called. */
export const ACTIVITIES = {
  planted: { name: 'Planted' },
  sown: { name: 'Sown' },
  thinned: { name: 'Thinned' },
  tied: { name: 'Tied up' },
  limed: { name: 'Limed' },
  topped: { name: 'Topped up with compost or mulch' },
  worms: { name: 'Fed the worms' },
  wick: { name: 'Renewed the wick' },
  overflow: { name: 'Cleared the overflow' },
  flushed: { name: 'Flushed with water from the top' },
  emptied: { name: 'Emptied for winter' },
  moved: { name: 'Moved' },
  trouble: { name: 'Pest or trouble' },
  note: { name: 'Note' },
} as const;
export type Activity = keyof typeof ACTIVITIES;
export const ACTIVITY_IDS = Object.keys(ACTIVITIES) as [Activity, ...Activity[]];

export const FEELS = {
  dry: { name: 'dry' },
  moist: { name: 'moist' },
  wet: { name: 'wet' },
} as const;
export type Feel = keyof typeof FEELS;

/** What was done. SI: m³, metres, kilograms. */
export const entryBodySchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('filled'),
    where: z.enum(['tube', 'top']),
    volume: amount(ENTRY_LIMITS.filled).nullable().describe('m³; null where nobody measured'),
    ran: z.boolean().describe('Until the overflow ran'),
  }),
  z.strictObject({
    kind: z.literal('level'),
    depth: amount(ENTRY_LIMITS.level).describe('Water, metres'),
  }),
  z.strictObject({
    kind: z.literal('finger'),
    depth: amount(ENTRY_LIMITS.finger).describe('How deep it was felt, metres'),
    feels: z.enum(['dry', 'moist', 'wet']),
  }),
  z.strictObject({ kind: z.literal('rain'), depth: amount(ENTRY_LIMITS.rain) }),
  z.strictObject({
    kind: z.literal('fed'),
    what: words(80),
    mass: amount(ENTRY_LIMITS.fed).nullable(),
  }),
  z.strictObject({
    kind: z.literal('harvested'),
    what: words(80),
    mass: amount(ENTRY_LIMITS.harvested).nullable(),
    count: z.int().min(0).max(ENTRY_LIMITS.count).nullable(),
  }),
  z.strictObject({ kind: z.literal('did'), what: z.enum(ACTIVITY_IDS) }),
  z.strictObject({
    kind: z.literal('todo'),
    what: words(300).describe('What is to be done; due until an entry takes its place'),
    then: z.enum(ACTIVITY_IDS).describe('What is noted when it is done'),
  }),
  z.strictObject({
    kind: z.literal('photo'),
    photo: z.uuid().describe('Made on the device; the picture is fetched by it'),
  }),
]);
export type EntryBody = z.infer<typeof entryBodySchema>;

/** What is noted most: filled through the tube until the overflow ran, nothing measured. */
export const TILL_IT_RAN: EntryBody = { kind: 'filled', where: 'tube', volume: null, ran: true };

export const logEntrySchema = z.strictObject({
  id: z.uuid().describe('Made on the device, so that sending twice stores once'),
  planter: z.uuid(),
  at: z.iso.datetime({ offset: true }).describe('When it was done, with the offset of its place'),
  by: words(40).describe('Who wrote it, as the device is called'),
  did: entryBodySchema,
  text: words(ENTRY_LIMITS.text).describe('What else there is to say'),
  typed: words(200).describe('As it was typed, where it was'),
  instead: z.uuid().nullable().describe('The entry whose place it takes'),
  gone: z.boolean().describe('Takes that entry out, and says nothing itself'),
});
export type LogEntry = z.infer<typeof logEntrySchema>;

/** The entries that hold: not replaced and not taken out, latest first. Each id counts once. */
export function currentEntries(entries: readonly LogEntry[]): LogEntry[] {
  const all = [...new Map(entries.map((entry) => [entry.id, entry])).values()];
  const replaced = new Set(all.flatMap(({ instead }) => instead ?? []));
  const times = new Map(all.map(({ id, at }) => [id, Date.parse(at)]));
  const timeOf = ({ id }: LogEntry): number => times.get(id) ?? 0;
  return all
    .filter(({ id, gone }) => !gone && !replaced.has(id))
    .sort((a, b) => timeOf(b) - timeOf(a) || (a.id < b.id ? 1 : -1));
}

/** Takes an entry out, as an entry. @param id of the new one */
export const takenOut = (entry: LogEntry, id: string): LogEntry => ({
  ...entry,
  id,
  instead: entry.id,
  gone: true,
});

/** Puts back what was taken out, as an entry. @param out the entry that took it out */
export const putBack = (entry: LogEntry, out: LogEntry, id: string): LogEntry => ({
  ...entry,
  id,
  instead: out.id,
  gone: false,
});
