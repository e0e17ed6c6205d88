import { mkdtemp, readdir, rm, writeFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { STARTING_POINTS } from '@huerta/core/document';
import { pino } from 'pino';
import request from 'supertest';
import { openOrRecover } from './recovery';
import { servicesOf } from '../services';
import { backUp, backupFile } from '../storage/backups';
import { DamagedGarden, openDatabase } from '../storage/database';

let folder: string;
let file: string;
const quiet = pino({ level: 'silent' });

/** Nothing that SQLite would take for its own. */
const GARBAGE = 'no database at all, but long enough to be taken for one '.repeat(40);

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-mend-'));
  file = join(folder, 'huerta.sqlite');
});
afterEach(() => rm(folder, { recursive: true }));

async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  const { port } = server.address() as { port: number };
  await new Promise((done) => server.close(done));
  return port;
}

/** A garden of two days: one planter in the copy of the first, two in that of the second. */
async function gardenOfTwoDays(): Promise<void> {
  const database = await openDatabase(file);
  const { planters } = servicesOf(database);
  for (const [i, name] of ['First', 'Second'].entries()) {
    await planters.create({ name, value: { ...STARTING_POINTS[0]!.design, name } });
    await backUp(file, new Date(`2026-05-0${i + 1}T08:00:00Z`));
  }
  await database.close();
}

async function damage(): Promise<void> {
  await writeFile(file, GARBAGE);
  for (const end of ['-wal', '-shm']) await rm(`${file}${end}`, { force: true });
}

/** Opens a garden that has to be mended first, with what a browser at that port gets meanwhile. */
async function mending() {
  const port = await freePort();
  const opened = openOrRecover(file, port, quiet);
  const browser = request(`http://127.0.0.1:${port}`);
  for (let i = 0; i < 100; i += 1) {
    const there = await browser.get('/api/mend').catch(() => null);
    if (there) break;
    await new Promise((done) => setTimeout(done, 50));
  }
  return { opened, browser };
}

const namesIn = async (database: Awaited<ReturnType<typeof openDatabase>>) =>
  (await servicesOf(database).planters.list()).kept.map(({ value }) => value.name).sort();

test('a damaged garden offers its copies by a press, newest first, and opens with the one that was taken', async () => {
  await gardenOfTwoDays();
  await damage();
  const { opened, browser } = await mending();

  const page = await browser.get('/').redirects(1).expect(200);
  expect(page.text).toContain('is damaged');
  expect(page.text.indexOf('2 May 2026')).toBeLessThan(page.text.indexOf('1 May 2026'));
  expect(page.text).toContain(file);
  const api = await browser.get('/api/planters').expect(503);
  expect(api.type).toBe('application/problem+json');
  expect(JSON.parse(api.text)).toMatchObject({ kind: 'garden-damaged' });

  const done = await browser.post('/api/mend').type('form').send({ day: '2026-05-02' }).expect(200);
  expect(done.text).toContain('is in its place');
  const database = await opened;
  expect(await namesIn(database)).toEqual(['First', 'Second']);
  await database.close();
  // What was damaged is kept beside it, and nothing else is left over.
  const left = (await readdir(folder)).filter((name) => !name.endsWith('-wal'));
  expect(left.filter((name) => name.includes('damaged'))).toHaveLength(1);
  expect(left.some((name) => name.includes('putting'))).toBe(false);
});

test('a copy that is damaged too is said, changes nothing, and an older one can be taken', async () => {
  await gardenOfTwoDays();
  await damage();
  await writeFile(backupFile(file, '2026-05-02'), GARBAGE);
  const { opened, browser } = await mending();
  const refused = await browser.post('/api/mend').type('form').send({ day: '2026-05-02' });
  expect([refused.status, /cannot be put in its place/.test(refused.text)]).toEqual([422, true]);
  expect(await readdir(folder)).not.toContainEqual(expect.stringContaining('damaged'));
  await browser.post('/api/mend').type('form').send({ day: '2026-05-01' }).expect(200);
  const database = await opened;
  expect(await namesIn(database)).toEqual(['First']);
  await database.close();
});

test('a page from elsewhere, a foreign name and a day without a copy put nothing in place', async () => {
  await gardenOfTwoDays();
  await damage();
  const { opened, browser } = await mending();
  const press = () => browser.post('/api/mend').type('form');
  await press().set('Origin', 'http://elsewhere.test').send({ day: '2026-05-02' }).expect(403);
  await press().set('Sec-Fetch-Site', 'cross-site').send({ day: '2026-05-02' }).expect(403);
  await press().set('Host', 'elsewhere.test').send({ day: '2026-05-02' }).expect(403);
  await press().send({ day: '2020-01-01' }).expect(404);
  await press().send({ day: '../../etc/passwd' }).expect(404);
  await press().send({ day: '2026-05-01' }).expect(200);
  await (await opened).close();
});

test('without a copy it says so; what is no damage is not taken for one', async () => {
  await writeFile(file, GARBAGE);
  await expect(openDatabase(file)).rejects.toThrow(DamagedGarden);
  const port = await freePort();
  const enough = new AbortController();
  const waiting = openOrRecover(file, port, quiet, enough.signal);
  const browser = request(`http://127.0.0.1:${port}`);
  let text = '';
  for (let i = 0; i < 100 && text === ''; i += 1) {
    text = await browser.get('/api/mend').then(
      (answer) => answer.text,
      () => '',
    );
    await new Promise((done) => setTimeout(done, 50));
  }
  expect(text).toMatch(/no copy beside it/);
  expect(text).not.toMatch(/<button/);
  // The folder of another file: refused at once, and not mended.
  await expect(
    openOrRecover(join(file, 'in', 'it.sqlite'), await freePort(), quiet),
  ).rejects.toThrow('cannot be made');
  enough.abort();
  await expect(waiting).rejects.toThrow(DamagedGarden);
  expect(dirname(file)).toBe(folder);
});
