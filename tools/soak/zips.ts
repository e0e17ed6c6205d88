import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { buffer } from 'node:stream/consumers';
import { ZipFile } from 'yazl';
import { base, end, start } from './server';

/** Garden files that somebody made to do harm. Others are answered meanwhile, and nothing comes in that is not whole. */

export interface Zips {
  files: number;
  /** Answers of 500, and files that the garden does not open after. */
  bad: number;
  /** The slowest answer that others had meanwhile, milliseconds. */
  slowestOther: number;
  /** Most memory of the server, megabytes. */
  memory: number;
}

const sha = (bytes: Buffer): string => createHash('sha256').update(bytes).digest('hex');

async function zipOf(files: Readonly<Record<string, Buffer>>): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [path, bytes] of Object.entries(files)) zip.addBuffer(bytes, path);
  zip.end();
  return buffer(zip.outputStream);
}

const manifest = (documents: unknown[], files: Readonly<Record<string, Buffer>>): Buffer =>
  Buffer.from(
    JSON.stringify({
      ...{ format: 'huerta.garden', version: 2, madeAt: '2026-05-01T08:00:00.000Z', documents },
      files: Object.fromEntries(
        Object.entries(files).map(([path, bytes]) => [
          path,
          { sha256: sha(bytes), bytes: bytes.length },
        ]),
      ),
    }),
  );

const head = (id: string, path: string) => ({
  ...{ kind: 'planter', id, name: id, revision: 1, deletedAt: null, path, history: [] },
  ...{ createdAt: '2026-05-01T08:00:00.000Z', updatedAt: '2026-05-01T08:00:00.000Z' },
});

/** What is sent: each a zip, or something that is none. */
async function hostileFiles(): Promise<Buffer[]> {
  const whole = async (documents: unknown[], files: Readonly<Record<string, Buffer>>) =>
    zipOf({ ...files, 'manifest.json': manifest(documents, files) });
  const zeros = Buffer.alloc(1_300_000_000 / 8);
  const ids = ['__proto__', '../x<script>', 'constructor', '', 'x'.repeat(60)];
  const planter = Buffer.from('{"kind":"nothing"}');
  return [
    Buffer.from('PK\u0003\u0004 no zip'),
    Buffer.alloc(0),
    await whole([], {}),
    // 160 MB of nothing in a few kilobytes, ten times over.
    await whole(
      [],
      Object.fromEntries(Array.from({ length: 10 }, (_, i) => [`log/${i}.json`, zeros])),
    ),
    await whole([], { 'marks.json': zeros }),
    await whole(
      ids.map((id) => head(id, 'planters/x.json')),
      { 'planters/x.json': planter },
    ),
    await whole([], { 'log/000001.json': Buffer.from('[{"id":"no"},null,7]') }),
    await whole([], { 'marks.json': Buffer.from('{"__proto__":[],"../x":[{"key":"done/x"}]}') }),
    await whole([], {
      'photos/3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d.jpg': Buffer.from('no picture'),
    }),
    await whole([], { 'photos/../../x.jpg': Buffer.from('no') }).catch(() => Buffer.from('no')),
  ];
}

const memoryOf = (pid: number): number =>
  Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;

export async function hostileZips(folder: string, until: number): Promise<Zips> {
  const server = await start(folder);
  const told: Zips = { files: 0, bad: 0, slowestOther: 0, memory: 0 };
  const files = await hostileFiles();
  while (Date.now() < until)
    for (const file of files) {
      let asking = true;
      const others = (async () => {
        while (asking) {
          const begin = performance.now();
          await fetch(`${base}/planters`);
          told.slowestOther = Math.max(told.slowestOther, performance.now() - begin);
          await new Promise((done) => setTimeout(done, 20));
        }
      })();
      const answer = await fetch(`${base}/garden/restore?different=take`, {
        method: 'POST',
        headers: { 'content-type': 'application/zip' },
        body: new Uint8Array(file),
      });
      await answer.arrayBuffer();
      asking = false;
      await others;
      told.files += 1;
      if (answer.status >= 500) told.bad += 1;
      for (const path of ['/garden', '/planters', '/log', '/seasons'])
        if (!(await fetch(`${base}${path}`)).ok) told.bad += 1;
    }
  told.memory = Math.round(memoryOf(server.pid ?? 0));
  told.slowestOther = Math.round(told.slowestOther);
  await end(server, 'SIGTERM');
  return told;
}
