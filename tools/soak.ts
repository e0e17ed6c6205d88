import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomUUID } from 'node:crypto';
import { NEW_BOOK, STARTING_POINTS } from '@huerta/core';
import { root, scratchFolder } from './served';

/**
 * What a garden must bear: `npm run soak -- [--kills 1000] [--requests 100000]`. The server is killed in a stream
 * of saves of every kind of document, on a good disk and on one that fills; nothing that it acknowledged may be
 * missing. Then it is asked nonsense, and may answer none of it with 500.
 */

const PORT = 4795;
const base = `http://127.0.0.1:${PORT}/api`;
const argument = (name: string, otherwise: number): number => {
  const at = process.argv.indexOf(`--${name}`);
  return at < 0 ? otherwise : Number(process.argv[at + 1]);
};
const KILLS = argument('kills', 1000);
const REQUESTS = argument('requests', 100_000);
const { design } = STARTING_POINTS[0]!;

async function start(folder: string): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: {
      ...process.env,
      HUERTA_DATA: folder,
      HUERTA_PORT: String(PORT),
      HUERTA_LOG: 'silent',
      HUERTA_RATE: '0',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (let tries = 0; tries < 3000; tries += 1) {
    const up = await fetch(`${base}/health`).catch(() => null);
    if (up?.ok) return child;
    await new Promise((done) => setTimeout(done, 10));
  }
  throw new Error('The server did not come up');
}

async function send(method: string, path: string, body: object): Promise<Response | null> {
  try {
    return await fetch(`${base}${path}`, {
      method,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  } catch {
    return null;
  }
}

/** One document that is written over and over, each time with a number in it. */
interface Stream {
  path: string;
  method: 'PUT' | 'PATCH';
  body(n: number, revision: number): object;
  /** The number that an answer holds. */
  read(answer: never): number;
}

const text = (n: number): string => String(n);
const streams = (planter: string, vessel: string): Stream[] => [
  {
    path: `/planters/${planter}`,
    method: 'PUT',
    body: (n, revision) => ({ revision, design: { ...design, notes: text(n) } }),
    read: ({ design: { notes } }: { design: { notes: string } }) => Number(notes),
  },
  {
    path: `/vessels/${vessel}`,
    method: 'PUT',
    body: (n, revision) => ({ revision, name: text(n), vessel: design.vessel }),
    read: ({ name }: { name: string }) => Number(name),
  },
  {
    path: '/prices',
    method: 'PUT',
    body: (n, revision) => ({ revision, book: { ...NEW_BOOK, atHand: { cap: n } } }),
    read: ({ book }: { book: { atHand: { cap?: number } } }) => book.atHand.cap ?? 0,
  },
  {
    path: `/planters/${planter}/season`,
    method: 'PUT',
    body: (n, revision) => ({
      revision,
      plan: {
        planted: null,
        filling: { kind: 'when-low' },
        waterings: [{ where: 'top', date: '2026-05-01', volume: n / 1e5 }],
      },
    }),
    read: ({ plan }: { plan: { waterings: { volume: number }[] } }) =>
      Math.round((plan.waterings[0]?.volume ?? 0) * 1e5),
  },
  {
    path: `/planters/${planter}/progress`,
    method: 'PATCH',
    body: (n) => ({
      entries: [{ key: 'note/test', value: text(n), at: new Date().toISOString() }],
    }),
    read: ({ entries }: { entries: { value: string }[] }) => Number(entries[0]?.value ?? 0),
  },
];

interface Told {
  kills: number;
  acknowledged: number;
  lost: number;
  /** Refusals because the disk was full. */
  full: number;
}

/** Kills the server again and again while all streams write. */
async function killing(folder: string, kills: number): Promise<Told> {
  const told: Told = { kills: 0, acknowledged: 0, lost: 0, full: 0 };
  let server = await start(folder);
  const [planter, vessel] = [randomUUID(), randomUUID()];
  await send('PUT', `/planters/${planter}`, { revision: 0, design });
  await send('PUT', `/vessels/${vessel}`, { revision: 0, name: '0', vessel: design.vessel });
  const all = streams(planter, vessel);
  const state = all.map(() => ({ revision: 0, last: 0, tried: 0 }));
  const look = async (): Promise<void> => {
    for (const [i, stream] of all.entries()) {
      const path = stream.path.replace('/vessels/', '/vessels?');
      const answer = (await (await fetch(`${base}${path}`)).json()) as never;
      const one = path.startsWith('/vessels')
        ? (answer as { vessels: { id: string }[] }).vessels.find(({ id }) => id === vessel)
        : answer;
      const now = state[i]!;
      const found = stream.read(one as never);
      // What was under way at the kill may be there; what was acknowledged must be.
      if (found < now.last || found > now.tried) told.lost += 1;
      Object.assign(now, { last: found, revision: (one as { revision?: number }).revision ?? 0 });
    }
  };
  await look();
  while (told.kills < kills) {
    let stopped = false;
    const writing = all.map(async (stream, i) => {
      const now = state[i]!;
      while (!stopped) {
        const n = (now.tried = Math.max(now.tried, now.last) + 1);
        const answer = await send(stream.method, stream.path, stream.body(n, now.revision));
        if (answer?.ok) {
          now.last = n;
          now.revision = ((await answer.json()) as { revision?: number }).revision ?? 0;
          told.acknowledged += 1;
        } else if (answer?.status === 507) {
          told.full += 1;
          return;
        } else if (answer && answer.status !== 409) {
          throw new Error(`${stream.path} was answered ${answer.status}: ${await answer.text()}`);
        } else return;
      }
    });
    await new Promise((done) => setTimeout(done, 20 + Math.random() * 120));
    server.kill('SIGKILL');
    await once(server, 'exit');
    stopped = true;
    await Promise.all(writing);
    told.kills += 1;
    server = await start(folder);
    await look();
  }
  server.kill('SIGTERM');
  await once(server, 'exit');
  return told;
}

/** A disk of two megabytes, where the machine allows one to be made. */
async function onFullDisk(kills: number): Promise<Told | string> {
  const folder = mkdtempSync(join(tmpdir(), 'huerta-full-'));
  const made = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=600k', 'tmpfs', folder]);
  if (made.status !== 0) {
    rmSync(folder, { recursive: true });
    return 'not done: this machine lets nobody make a small disk';
  }
  try {
    return await killing(folder, kills);
  } finally {
    spawnSync('umount', [folder]);
    rmSync(folder, { recursive: true, force: true });
  }
}

const any = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)] as T;
const PATHS = [
  '/planters',
  '/planters/%zz',
  '/planters/../../etc/passwd',
  '/planters/7',
  '/vessels',
  '/prices',
  '/weather',
  '/garden',
  '/garden/look',
  '/garden/restore?different=huge',
  '/backups/..%2f..',
  '/door',
  '/door/codes',
  '/door/enter',
  '/documents/planter/%00',
  '/openapi.json',
  '/nowhere',
  '/examples',
  `/planters/${randomUUID()}`,
  `/planters/${randomUUID()}/season`,
  `/planters/${randomUUID()}/progress`,
  `/planters/${randomUUID()}/build/sheet.pdf?paper=napkin`,
  '/planters?a[b]=c&a=d',
  '/%C0%AF',
  '//',
  '/?%',
];
const HEADERS: Record<string, string>[] = [
  {},
  { 'content-type': 'application/json' },
  { 'content-type': 'application/json; charset=latin1' },
  { 'content-type': 'text/plain' },
  { 'content-encoding': 'gzip' },
  { 'content-encoding': 'zstd' },
  { 'content-type': 'application/zip' },
  { origin: 'http://evil.example' },
  { 'sec-fetch-site': 'cross-site' },
  { range: 'bytes=99999999-' },
  { accept: 'text/html' },
  { cookie: 'huerta_device=.' },
];
const BODIES = [
  '',
  '{',
  '[]',
  'null',
  '{"design":null}',
  '{"revision":-1}',
  '{"__proto__":{"a":1}}',
  '"\\u0000"',
  JSON.stringify({ design: { ...design, vessel: { ...design.vessel, depth: 1e308 } } }),
  JSON.stringify({ design: { ...design, name: '\u0000'.repeat(50) } }),
  JSON.stringify({ revision: 1e99, design }),
  'PK\u0003\u0004garbage',
  'x'.repeat(20_000),
];

/** Asks nonsense. @returns how many were answered with 500 or not at all */
async function hostile(folder: string, requests: number) {
  const server = await start(folder);
  const answers: Record<string, number> = {};
  let bad = 0;
  const ask = async () => {
    const method = any(['GET', 'POST', 'PUT', 'PATCH', 'DELETE']);
    const path = any(PATHS);
    const body = method === 'GET' ? null : any(BODIES);
    const answer = await fetch(`${base}${path}`, { method, headers: any(HEADERS), body }).catch(
      () => null,
    );
    await answer?.arrayBuffer().catch(() => null);
    const status = answer?.status ?? 0;
    answers[status] = (answers[status] ?? 0) + 1;
    if (status === 0 || status >= 500) {
      bad += 1;
      if (bad <= 5) console.error(`${method} ${path} was answered ${status}`);
    }
  };
  for (let i = 0; i < requests; i += 50) await Promise.all(Array.from({ length: 50 }, ask));
  const alive = (await fetch(`${base}/health`)).ok;
  server.kill('SIGTERM');
  await once(server, 'exit');
  return { requests, bad, alive, answers };
}

const { folder, remove } = scratchFolder();
try {
  const killed = await killing(folder, KILLS);
  const full = await onFullDisk(Math.ceil(KILLS / 10));
  const asked = await hostile(folder, REQUESTS);
  console.log(JSON.stringify({ killed, full, asked }, null, 2));
  const lost = killed.lost + (typeof full === 'string' ? 0 : full.lost);
  process.exitCode = lost + asked.bad > 0 || !asked.alive ? 1 : 0;
} finally {
  remove();
}
