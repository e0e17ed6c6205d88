import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { createInterface } from 'node:readline';
import { join } from 'node:path';
import { STARTING_POINTS } from '@huerta/core/document';
import { root } from '../served';
import { proxyTo } from './proxy';
import { base, end, pause, PORT, send, start } from './server';

/** Two devices at once, over a network that does mischief, to a server that is killed meanwhile. */

const PROXY_PORT = 4806;
const { design } = STARTING_POINTS[0]!;

interface DeviceSaid {
  planter: string;
  vessel: string;
  did: Record<'planter' | 'vessel' | 'prices' | 'season' | 'round' | 'mark', number>;
  entries: string[];
  photos: string[];
  refused: number;
  waiting: number;
  keptRefused: number;
  otherRefused: number;
}

/** Counts of one run of devices. */
export interface Kept {
  rounds: number;
  done: number;
  lost: number;
  /** What still waited although the network was whole. */
  stuck: number;
  /** Refused for good and not on the device any more, or the other way round. */
  refusedLost: number;
  sentAgain: number;
  mischief: Record<string, number>;
}

const json = async <T>(path: string): Promise<T> =>
  (await (await fetch(`${base}${path}`)).json()) as T;

export async function withDevices(folder: string, until: number): Promise<Kept> {
  const told: Kept = {
    ...{ rounds: 0, done: 0, lost: 0, stuck: 0, refusedLost: 0, sentAgain: 0 },
    mischief: {},
  };
  let server = await start(folder);
  const proxy = await proxyTo(PORT, PROXY_PORT);
  while (Date.now() < until) {
    proxy.faulty = true;
    const devices = await Promise.all([device(), device()]);
    let working = true;
    const killing = (async () => {
      while (working) {
        await pause(2500);
        await end(server, 'SIGKILL');
        server = await start(folder);
      }
    })();
    await Promise.all(devices.map(({ next }) => next()));
    working = false;
    await killing;
    proxy.faulty = false;
    const all: DeviceSaid[] = [];
    for (const { child, next } of devices) {
      child.stdin?.write('on\n');
      all.push(JSON.parse(await next()) as DeviceSaid);
    }
    for (const said of all) await check(said, all, told);
    told.rounds += 1;
  }
  told.sentAgain = proxy.sentAgain;
  told.mischief = proxy.counts;
  await proxy.close();
  await end(server, 'SIGTERM');
  return told;
}

async function device(): Promise<{ child: ChildProcess; next(): Promise<string> }> {
  const planter = randomUUID();
  await send('PUT', `/planters/${planter}`, { revision: 0, design });
  const child = spawn(
    process.execPath,
    [
      '--import',
      'tsx',
      join(root, 'tools/soak/device.ts'),
      `http://127.0.0.1:${PROXY_PORT}`,
      planter,
      '12',
    ],
    { cwd: root, stdio: ['pipe', 'pipe', 'inherit'] },
  );
  const lines = createInterface({ input: child.stdout! })[Symbol.asyncIterator]();
  return {
    child,
    next: async () => {
      const { value, done } = await lines.next();
      if (done) throw new Error('A device ended before it was done');
      return value as string;
    },
  };
}

async function check(said: DeviceSaid, all: readonly DeviceSaid[], told: Kept): Promise<void> {
  const { planter, vessel, did, entries, photos } = said;
  const wrong = (is: boolean) => {
    if (is) told.lost += 1;
  };
  const resource = await json<{ design: { notes: string } }>(`/planters/${planter}`);
  wrong(did.planter > 0 && Number(resource.design.notes) !== did.planter);
  const { vessels } = await json<{ vessels: { id: string; name: string }[] }>('/vessels');
  wrong(did.vessel > 0 && Number(vessels.find(({ id }) => id === vessel)?.name) !== did.vessel);
  const season = await json<{ plan: { waterings: { volume: number }[] } }>(
    `/planters/${planter}/season`,
  );
  wrong(did.season > 0 && Math.round((season.plan.waterings[0]?.volume ?? 0) * 1e5) !== did.season);
  const { entries: marks } = await json<{ entries: { value: string }[] }>(
    `/planters/${planter}/progress`,
  );
  wrong(did.mark > 0 && Number(marks[0]?.value) !== did.mark);
  // What both change is the last of one of them.
  const { book } = await json<{ book: { atHand: { cap?: number } } }>('/prices');
  wrong(all.every((one) => one.did.prices !== (book.atHand.cap ?? 0)));
  const { plan } = await json<{ plan: { tank: { size: number } | null } }>('/round');
  wrong(all.every((one) => one.did.round !== Math.round(((plan.tank?.size ?? 1) - 1) * 1e4)));
  const log = await json<{ entries: { id: string }[] }>(`/planters/${planter}/log`);
  const there = new Set(log.entries.map(({ id }) => id));
  told.lost += entries.filter((id) => !there.has(id)).length;
  for (const id of photos) wrong(!(await fetch(`${base}/photos/${id}`)).ok);
  told.stuck += said.waiting + said.otherRefused;
  told.refusedLost += Math.abs(said.refused - said.keptRefused);
  told.done +=
    entries.length + photos.length + Object.values(did).reduce((sum, one) => sum + one, 0);
}
