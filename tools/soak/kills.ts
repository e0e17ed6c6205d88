import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { FIRST_ROUND } from '@huerta/core/journal';
import { FIRST_WEATHER } from '@huerta/core/physics/climate';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import sharp from 'sharp';
import { base, end, pause, send, start } from './server';

/** The server is killed in a stream of everything that it takes in; nothing that it acknowledged may be missing. */

const { design } = STARTING_POINTS[0]!;

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
    path: '/round',
    method: 'PUT',
    body: (n, revision) => ({
      revision,
      plan: {
        ...FIRST_ROUND,
        tank: { size: 1 + n / 1e4, roof: 0, firstFlush: 0, water: 0, seen: '2026-05-01' },
      },
    }),
    read: ({ plan }: { plan: { tank: { size: number } | null } }) =>
      Math.round(((plan.tank?.size ?? 1) - 1) * 1e4),
  },
  {
    path: '/weather',
    method: 'PUT',
    body: (n, revision) => ({
      revision,
      choice: {
        ...FIRST_WEATHER,
        days: {
          name: text(n),
          days: [{ date: '2026-05-01', tMin: 10, tMax: 20, rain: 0, et: 0 }],
        },
      },
    }),
    read: ({ choice }: { choice: { days: { name: string } | null } }) =>
      Number(choice.days?.name ?? 0),
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

/** Things that are added, each once: what was acknowledged must be there. */
interface Additions {
  log: string[];
  readings: number;
  photos: string[];
}

async function add(
  planter: string,
  picture: Buffer,
  acknowledged: Additions,
  stopped: () => boolean,
) {
  const entry = (id: string) => ({
    ...{ id, planter, at: new Date().toISOString(), by: '', text: '', typed: '' },
    did: { kind: 'did', what: 'note' },
    ...{ instead: null, gone: false },
  });
  const logging = async () => {
    while (!stopped()) {
      const ids = [randomUUID(), randomUUID()];
      const answer = await send('POST', '/log', { entries: ids.map(entry) });
      if (!answer?.ok) return;
      acknowledged.log.push(...ids);
    }
  };
  const reading = async () => {
    while (!stopped()) {
      const at = new Date(Date.now() - Math.floor(Math.random() * 1e6)).toISOString();
      const answer = await send('POST', `/planters/${planter}/readings`, {
        by: 'Float',
        readings: [{ at, level: 0.05 }],
      });
      if (!answer?.ok) return;
      acknowledged.readings += ((await answer.json()) as { came: number }).came;
    }
  };
  const showing = async () => {
    while (!stopped()) {
      const id = randomUUID();
      const answer = await fetch(`${base}/photos/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'image/png' },
        body: picture,
      }).catch(() => null);
      if (!answer?.ok) return;
      acknowledged.photos.push(id);
    }
  };
  await Promise.all([logging(), reading(), showing()]);
}

/** Counts of one run of kills. */
export interface Killed {
  kills: number;
  acknowledged: number;
  added: number;
  lost: number;
  /** Refusals because the disk was full. */
  full: number;
  /** Answers that were neither taken, nor a clash, nor a full disk. */
  odd: number;
}

/** Kills the server again and again while all streams write, until a time. */
export async function killing(folder: string, until: number): Promise<Killed> {
  const told: Killed = { kills: 0, acknowledged: 0, added: 0, lost: 0, full: 0, odd: 0 };
  let server = await start(folder);
  const [planter, vessel] = [randomUUID(), randomUUID()];
  await send('PUT', `/planters/${planter}`, { revision: 0, design });
  await send('PUT', `/vessels/${vessel}`, { revision: 0, name: '0', vessel: design.vessel });
  const picture = await sharp({
    create: { width: 24, height: 24, channels: 3, background: '#a3441f' },
  })
    .png()
    .toBuffer();
  const all = streams(planter, vessel);
  const state = all.map(() => ({ revision: 0, last: 0, tried: 0 }));
  const added: Additions = { log: [], readings: 0, photos: [] };
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
    told.lost += await missing(planter, added);
  };
  await look();
  while (Date.now() < until) {
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
        } else {
          if (answer && answer.status !== 409) {
            told.odd += 1;
            console.error(
              `${stream.path}: ${answer.status} ${(await answer.text()).slice(0, 300)}`,
            );
          }
          return;
        }
      }
    });
    writing.push(add(planter, picture, added, () => stopped));
    await pause(20 + Math.random() * 1200);
    await end(server, 'SIGKILL');
    stopped = true;
    await Promise.all(writing);
    told.kills += 1;
    server = await start(folder);
    await look();
  }
  await end(server, 'SIGTERM');
  told.added = added.log.length + added.readings + added.photos.length;
  return told;
}

/** How many of the added things are not there. */
async function missing(planter: string, { log, readings, photos }: Additions): Promise<number> {
  let lost = 0;
  const there = new Set<string>();
  let floats = 0;
  for (let before: string | null = null; ;) {
    const query = before ? `?before=${encodeURIComponent(before)}` : '';
    const page = (await (await fetch(`${base}/planters/${planter}/log${query}`)).json()) as {
      entries: { id: string; at: string; by: string }[];
      more: boolean;
    };
    for (const { id, by } of page.entries) {
      if (there.has(id)) continue;
      there.add(id);
      if (by === 'Float') floats += 1;
    }
    const last = page.entries.at(-1);
    if (!page.more || !last) break;
    before = new Date(Date.parse(last.at) + 1).toISOString();
  }
  lost += log.filter((id) => !there.has(id)).length;
  lost += Math.max(readings - floats, 0);
  // The newest pictures; older ones were looked at before.
  for (const id of photos.slice(-20)) if (!(await fetch(`${base}/photos/${id}`)).ok) lost += 1;
  return lost;
}

/** On a disk that fills, where the machine allows one to be made. */
export async function onFullDisk(until: number): Promise<Killed | string> {
  const folder = mkdtempSync(join(tmpdir(), 'huerta-full-'));
  const made = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=900k', 'tmpfs', folder]);
  if (made.status !== 0) {
    rmSync(folder, { recursive: true });
    return 'not done: this machine lets nobody make a small disk';
  }
  try {
    return await killing(folder, until);
  } finally {
    spawnSync('umount', [folder]);
    rmSync(folder, { recursive: true, force: true });
  }
}
