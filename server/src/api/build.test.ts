import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { problemSchema, progressSchema } from '@huerta/contract';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import { servicesOf } from '../services';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

let folder: string;
let database: Database;
let api: ReturnType<typeof request>;
let planter: string;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-build-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  api = request(createApp({ services: servicesOf(database), logger: pino({ level: 'silent' }) }));
  const design = STARTING_POINTS[0]!.design;
  planter = (await api.post('/api/planters').send({ design }).expect(201)).body.id;
});
afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 8, minute)).toISOString();
const send = (...entries: object[]) =>
  api.patch(`/api/planters/${planter}/progress`).send({ entries });
const problemOf = (response: request.Response) => problemSchema.parse(response.body);

test('what is ticked is kept; of two devices the later holds, whichever comes first', async () => {
  await send({ key: 'done/inspect', value: true, at: at(5) }).expect(200);
  await send({ key: 'done/inspect', value: false, at: at(3) }).expect(200);
  const both = await Promise.all([
    send({ key: 'note/test', value: 'from the phone', at: at(7) }),
    send({ key: 'note/test', value: 'from the bench', at: at(8) }),
  ]);
  expect(both.map(({ status }) => status)).toEqual([200, 200]);
  const { entries } = progressSchema.parse(
    (await api.get(`/api/planters/${planter}/progress`).expect(200)).body,
  );
  expect(entries).toEqual([
    { key: 'done/inspect', value: true, at: at(5) },
    { key: 'note/test', value: 'from the bench', at: at(8) },
  ]);
});

test('a clock that is fast does not hold its mark for ever', async () => {
  await send({ key: 'done/measure', value: true, at: '2099-01-01T00:00:00Z' }).expect(200);
  const now = new Date(Date.now() + 60_000).toISOString();
  const { body } = await send({ key: 'done/measure', value: false, at: now });
  const [mark] = progressSchema.parse(body).entries.filter(({ key }) => key === 'done/measure');
  expect(Date.parse(mark!.at)).toBeLessThanOrEqual(Date.now());
});

test('marks that there are not, and planters that there are not, are refused with a sentence', async () => {
  const bad = await send({ key: 'done/inspect', value: 3, at: at(1) }).expect(400);
  expect(problemOf(bad).detail).toContain('A step is done or not');
  const nowhere = '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';
  await api.get(`/api/planters/${nowhere}/progress`).expect(404);
  await api.get(`/api/planters/${nowhere}/build/sheet.pdf`).expect(404);
});

test.each([
  ['sheet.pdf', 'application/pdf', 'inline'],
  ['booklet.pdf?paper=letter&units=us', 'application/pdf', 'inline'],
  ['templates.pdf?paper=letter&units=us', 'application/pdf', 'inline'],
  ['label.pdf?at=http://localhost:4700&day=2026-05-01', 'application/pdf', 'inline'],
  ['templates/platform.svg', 'image/svg+xml', 'inline'],
  ['templates/overflow.dxf', 'image/vnd.dxf', 'attachment'],
  ['parts.csv', 'text/csv', 'attachment'],
  ['cuts.csv?units=us', 'text/csv', 'attachment'],
])('%s is a file of its kind, with a name to keep it under', async (path, type, how) => {
  const response = await api.get(`/api/planters/${planter}/build/${path}`).buffer().expect(200);
  expect(response.type).toBe(type);
  expect(response.headers['content-disposition']).toMatch(
    new RegExp(`^${how}; filename="Pail with a cloth wick`),
  );
});

test('a planter and its steps come as pictures', async () => {
  const svg = async (query: string) =>
    (await api.get(`/api/planters/${planter}/round.svg${query}`).buffer().expect(200))
      .body as Buffer;
  const whole = String(await svg(''));
  expect(whole).toContain('<title>Pail with a cloth wick</title>');
  expect(String(await svg('?turn=40'))).not.toBe(whole);
  const step = String(await svg('?step=set&width=300'));
  // The platform comes down, and an arrow says so.
  expect(step).toContain('fill="#a3441f"');
  expect(Number(/width="([\d.]+)"/.exec(step)![1])).toBeLessThanOrEqual(300);
  const none = await api.get(`/api/planters/${planter}/round.svg?step=fly`).expect(404);
  expect(problemOf(none).detail).toBe('This planter’s build sheet has no such step.');
  await api.get(`/api/planters/${planter}/round.svg?turn=much`).expect(400);
  const solid = await api.get(`/api/planters/${planter}/round.glb`).buffer().expect(200);
  expect(solid.type).toBe('model/gltf-binary');
  expect(solid.headers['content-disposition']).toMatch(
    /^attachment; filename="Pail with a cloth wick solid.glb/,
  );
});

test('a file that there is not, or a question that cannot be read, is a problem and no file', async () => {
  const file = (path: string) => api.get(`/api/planters/${planter}/build/${path}`);
  expect(problemOf(await file('templates/rows.svg').expect(404)).detail).toBe(
    'This planter has no such template.',
  );
  await file('templates/platform.exe').expect(404);
  await file('sheet.pdf?paper=napkin').expect(400);
  const label = await file('label.pdf?at=javascript:alert(1)&day=2026-05-01').expect(400);
  expect(problemOf(label).detail).toContain('http://');
});

test('the weather of the garden is kept, and one that cannot be is refused with a sentence', async () => {
  const { body } = await api.get('/api/weather').expect(200);
  expect(body).toEqual({
    revision: 0,
    updatedAt: null,
    choice: { site: 'vallesol', normals: null, days: null },
  });
  const day = { date: '2026-05-01', tMin: 10, tMax: 24, rain: 0, et: 5e-8 };
  const own = { site: 'own-days', normals: null, days: { name: 'yard.csv', days: [day] } };
  const put = (choice: object, revision = 0) => api.put('/api/weather').send({ revision, choice });
  expect((await put(own).expect(200)).body).toMatchObject({ revision: 1, choice: own });
  expect((await api.get('/api/weather').expect(200)).body).toMatchObject({ choice: own });
  // Of two that chose at once the second is told what the first chose.
  const late = problemOf(await put(body.choice).expect(409));
  expect(late).toMatchObject({ kind: 'conflict', current: { revision: 1, choice: own } });
  const none = await put({ ...own, days: null }, 1).expect(400);
  expect(problemOf(none).detail).toContain('There are no days of your own yet.');
  await put({ ...own, site: 'the moon' }, 1).expect(400);
});

test('the plan of a season is kept with its planter, and a day that is none is told where', async () => {
  const first = await api.get(`/api/planters/${planter}/season`).expect(200);
  expect(first.body).toEqual({
    revision: 0,
    updatedAt: null,
    plan: { planted: null, filling: { kind: 'when-low' }, waterings: [] },
  });
  const plan = {
    planted: '2026-05-10',
    filling: { kind: 'every', days: 4 },
    waterings: [
      { where: 'top', date: '2026-05-10', volume: 0.003 },
      { where: 'tube', date: '2026-05-12', volume: null },
    ],
  };
  let revision = 0;
  const put = (body: object, id = planter) =>
    api.put(`/api/planters/${id}/season`).send({ revision, plan: body });
  await put({ ...plan, planted: null }).expect(200);
  await put(plan).expect(409);
  revision = 1;
  expect((await put(plan).expect(200)).body).toMatchObject({ revision: 2, plan });
  expect((await api.get(`/api/planters/${planter}/season`).expect(200)).body).toMatchObject({
    plan,
  });
  const wrong = await put({
    ...plan,
    waterings: [{ where: 'top', date: 'Monday', volume: 0.003 }],
  }).expect(400);
  expect(problemOf(wrong).errors).toEqual([
    { path: ['plan', 'waterings', 0, 'date'], message: 'Choose a day.' },
  ]);
  await put(plan, '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d').expect(404);
});

test('the price book is saved over its revision, and a wrong price is told where', async () => {
  expect((await api.get('/api/prices').expect(200)).body).toEqual({
    revision: 0,
    updatedAt: null,
    book: NEW_BOOK,
  });
  const book = { ...NEW_BOOK, currency: 'MXN' };
  await api.put('/api/prices').send({ revision: 0, book }).expect(200);
  const late = await api.put('/api/prices').send({ revision: 0, book }).expect(409);
  expect(problemOf(late).kind).toBe('conflict');
  const wrong = await api
    .put('/api/prices')
    .send({ revision: 1, book: { ...book, prices: { MXN: { cap: [{ size: 1, price: -2 }] } } } })
    .expect(400);
  expect(problemOf(wrong).errors).toEqual([
    { path: ['book', 'prices', 'MXN', 'cap', 0, 'price'], message: 'A price is 0 or more.' },
  ]);
});
