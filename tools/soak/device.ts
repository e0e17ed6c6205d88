import 'fake-indexeddb/auto';
import { randomUUID } from 'node:crypto';
import { FIRST_ROUND, type LogEntry } from '@huerta/core/journal';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import type { SeasonPlan } from '@huerta/core/simulation/season';

/**
 * A device as a program: the very queues of the web application, over the network that the soak gives it. It does
 * things for a while, sends what waits meanwhile, and in the end says what it did.
 */

const [proxy = '', planter = '', seconds = '20'] = process.argv.slice(2);

class Storage {
  [key: string]: unknown;
  getItem(key: string): string | null {
    return Object.hasOwn(this, key) ? (this[key] as string) : null;
  }
  setItem(key: string, value: string): void {
    this[key] = value;
  }
  removeItem(key: string): void {
    delete this[key];
  }
}
Object.assign(globalThis, { window: globalThis, localStorage: new Storage() });
globalThis.dispatchEvent ??= () => true;
Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
const network = globalThis.fetch;
globalThis.fetch = ((path: string, options?: RequestInit) =>
  network(`${proxy}${path}`, options)) as typeof fetch;

const { sendProgress } = await import('../../web/src/data/api/build');
const { conflictOf, sendPendingSave } = await import('../../web/src/data/api/documents');
const { sendLog } = await import('../../web/src/data/api/log');
const { sendPhoto } = await import('../../web/src/data/api/photos');
const { addPendingSave, pendingSaves } = await import('../../web/src/data/offline/pendingSaves');
const { addPendingEntries } = await import('../../web/src/data/offline/pendingEntries');
const { addPendingProgress } = await import('../../web/src/data/offline/pendingProgress');
const { addPendingPhoto } = await import('../../web/src/data/offline/pendingPhotos');
const { sendDocuments, sendPendingEntries, sendProgressMarks, sendPhotos } =
  await import('../../web/src/data/offline/outbox');
const { allUnsent } = await import('../../web/src/data/offline/unsent');

const { design } = STARTING_POINTS[0]!;
/** Of each document the number that was last done. */
const did = { planter: 0, vessel: 0, prices: 0, season: 0, round: 0, mark: 0 };
const vessel = randomUUID();
const entries: string[] = [];
const photos: string[] = [];
let refused = 0;

const entry = (id: string): LogEntry => ({
  ...{ id, planter, at: new Date().toISOString(), by: '', text: '', typed: '' },
  did: { kind: 'did', what: 'note' },
  ...{ instead: null, gone: false },
});
const plan = (n: number): SeasonPlan => ({
  planted: null,
  filling: { kind: 'when-low' },
  waterings: [{ where: 'top', date: '2026-05-01', volume: n / 1e5 }],
});
/** A small picture (PNG, one pixel). */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const ACTS: (() => Promise<unknown>)[] = [
  () =>
    addPendingSave('planter', planter, 1, {
      design: { ...design, notes: `${(did.planter += 1)}` },
    }),
  () =>
    addPendingSave('vessel', vessel, 0, { name: `${(did.vessel += 1)}`, vessel: design.vessel }),
  () =>
    addPendingSave('prices', 'garden', 0, {
      book: { ...NEW_BOOK, atHand: { cap: (did.prices += 1) } },
    }),
  () => addPendingSave('season', planter, 0, { plan: plan((did.season += 1)) }),
  () =>
    addPendingSave('round', 'garden', 0, {
      plan: {
        ...FIRST_ROUND,
        tank: {
          size: 1 + (did.round += 1) / 1e4,
          roof: 0,
          firstFlush: 0,
          water: 0,
          seen: '2026-05-01',
        },
      },
    }),
  () =>
    addPendingProgress(planter, {
      key: 'note/test',
      value: `${(did.mark += 1)}`,
      at: new Date().toISOString(),
    }),
  async () => {
    const id = randomUUID();
    await addPendingEntries([entry(id)]);
    entries.push(id);
  },
  async () => {
    // One that the server will never take, among the others.
    if (Math.random() < 0.1) {
      await addPendingEntries([{ ...entry(randomUUID()), text: 'x'.repeat(3000) }]);
      refused += 1;
    }
  },
  async () => {
    const id = randomUUID();
    await addPendingPhoto(id, new Blob([PIXEL], { type: 'image/png' }));
    photos.push(id);
  },
];

async function sendAll(): Promise<void> {
  await sendDocuments({ save: sendPendingSave, conflictOf });
  await sendProgressMarks(sendProgress);
  await sendPendingEntries(sendLog);
  await sendPhotos(sendPhoto);
  // Who meets a clash here chooses what is here.
  for (const kept of await pendingSaves.all()) {
    if (!kept.clash) continue;
    const { clash, ...mine } = kept;
    await pendingSaves.put({ ...mine, base: clash.revision, saveId: randomUUID(), after: [] });
  }
}

const until = Date.now() + Number(seconds) * 1000;
let sending: Promise<void> = Promise.resolve();
while (Date.now() < until) {
  await ACTS[Math.floor(Math.random() * ACTS.length)]!();
  if (Math.random() < 0.3) sending = sending.then(sendAll);
  await new Promise((done) => setTimeout(done, 15));
}
await sending;
process.stdout.write('done\n');
// The network is whole from here on.
await new Promise((done) => process.stdin.once('data', done));
for (let tries = 0; tries < 50; tries += 1) {
  await sendAll();
  if ((await allUnsent()).every((one) => one.refused !== null)) break;
  await new Promise((done) => setTimeout(done, 100));
}
const left = await allUnsent();
for (const one of left)
  if (one.refused === null || one.kind !== 'entry')
    console.error(`left: ${one.kind} ${one.key} ${one.refused?.why ?? 'waiting'}`);
process.stdout.write(
  `${JSON.stringify({
    ...{ planter, vessel, did, entries, photos, refused },
    waiting: left.filter((one) => one.refused === null).length,
    keptRefused: left.filter((one) => one.refused !== null && one.kind === 'entry').length,
    otherRefused: left.filter((one) => one.refused !== null && one.kind !== 'entry').length,
  })}\n`,
);
process.exit(0);
