import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { PlanterResource } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';

const design = STARTING_POINTS[0]!.design;
const ROOT = resolve(__dirname, '../..');

async function freePort(): Promise<number> {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address() as AddressInfo;
  probe.close();
  await once(probe, 'close');
  return port;
}

async function start(folder: string, port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: ROOT,
    env: {
      ...process.env,
      NODE_OPTIONS: '',
      HUERTA_DATA: folder,
      HUERTA_PORT: String(port),
      HUERTA_LOG: 'error',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (let tries = 0; tries < 1800; tries += 1) {
    const up = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null);
    if (up?.ok) return child;
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('The server did not come up');
}

const send = (url: string, method: string, body: object) =>
  fetch(url, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });

test('killed outright during a stream of saves, it comes back with every acknowledged one', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'huerta-cut-'));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}/api/planters`;
  let server = await start(folder, port);
  try {
    const planters = await Promise.all(
      [0, 1, 2].map(
        async () => (await send(base, 'POST', { design })).json() as Promise<PlanterResource>,
      ),
    );
    /** The last revision that the server said it has, by planter. */
    const acknowledged = new Map(planters.map((planter) => [planter.id, 1]));
    let stopped = false;
    const streams = planters.map(async ({ id }) => {
      for (let revision = 1; !stopped; revision += 1) {
        const body = { revision, design: { ...design, notes: `save ${revision}` } };
        const answer = await send(`${base}/${id}`, 'PUT', body).catch(() => null);
        if (answer?.ok) acknowledged.set(id, revision + 1);
        else stopped = true;
      }
    });
    // Well into the stream, however fast the disk is.
    while (!stopped && Math.min(...acknowledged.values()) <= 3) {
      await new Promise((done) => setTimeout(done, 20));
    }
    await new Promise((done) => setTimeout(done, 200));
    server.kill('SIGKILL');
    await once(server, 'exit');
    stopped = true;
    await Promise.all(streams);

    server = await start(folder, port);
    for (const [id, revision] of acknowledged) {
      const found = (await (await fetch(`${base}/${id}`)).json()) as PlanterResource;
      expect(revision).toBeGreaterThan(3);
      // A save may have reached the disk without its answer reaching us; none may be missing.
      expect([revision, revision + 1]).toContain(found.revision);
      expect(found.design.notes).toBe(`save ${found.revision - 1}`);
    }
  } finally {
    server.kill('SIGTERM');
    // A stop by request is a clean one.
    expect(await once(server, 'exit')).toEqual([0, null]);
    await rm(folder, { recursive: true });
  }
}, 60_000);
