import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import { logSchema, problemSchema } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';
import { servicesOf } from '../services';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
let folder: string;
let database: Database;
let api: ReturnType<typeof request>;
let planter: string;

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-log-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  api = request(createApp({ services: servicesOf(database), logger: pino({ level: 'silent' }) }));
  const design = STARTING_POINTS[0]!.design;
  planter = (await api.post('/api/planters').send({ design }).expect(201)).body.id;
});
afterEach(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const entriesIn = (response: request.Response) => logSchema.parse(response.body).entries;

const entryOf = (n: number, at: string): LogEntry => ({
  id: uuid(n),
  planter,
  at,
  by: 'Inés',
  did: { kind: 'filled', where: 'tube', volume: 0.004, ran: true },
  text: '',
  typed: 'filled 4 L till it ran',
  instead: null,
  gone: false,
});

test('entries are added once, however often they are sent, and come latest first', async () => {
  const entries = [entryOf(1, '2026-07-01T06:00:00.000Z'), entryOf(2, '2026-07-03T06:00:00.000Z')];
  const has = [uuid(1), uuid(2)];
  expect((await api.post('/api/log').send({ entries }).expect(200)).body).toEqual({ came: 2, has });
  expect((await api.post('/api/log').send({ entries }).expect(200)).body).toEqual({ came: 0, has });
  const mine = entriesIn(await api.get(`/api/planters/${planter}/log`).expect(200));
  expect(mine.map(({ id }) => id)).toEqual([uuid(2), uuid(1)]);
  const all = await api.get('/api/log').query({ since: '2026-07-02T00:00:00.000Z' }).expect(200);
  expect(entriesIn(all)).toHaveLength(1);
});

test('what is known is never changed by what comes later under the same id', async () => {
  const first = entryOf(1, '2026-07-01T06:00:00.000Z');
  await api.post('/api/log').send({ entries: [first] });
  await api.post('/api/log').send({ entries: [{ ...first, text: 'otherwise' }] });
  expect(entriesIn(await api.get(`/api/planters/${planter}/log`))).toEqual([first]);
});

test('a station tells days; a date that is told again is replaced, and a day that cannot be is refused', async () => {
  const day = { date: '2026-07-14', tMin: 17, tMax: 33, rain: 0 };
  await api
    .post('/api/weather/days')
    .send({ days: [day] })
    .expect(200);
  await api
    .post('/api/weather/days')
    .send({
      days: [
        { ...day, rain: 0.004 },
        { ...day, date: '2026-07-13' },
      ],
    })
    .expect(200);
  const { body } = await api.get('/api/weather/days').expect(200);
  expect(body).toEqual({
    days: [
      { ...day, date: '2026-07-13' },
      { ...day, rain: 0.004 },
    ],
  });
  const turned = await api
    .post('/api/weather/days')
    .send({ days: [{ ...day, tMin: 40 }] })
    .expect(400);
  expect(problemSchema.parse(turned.body).kind).toBe('invalid');
});

test('what is no entry is refused with where and why, and nothing is taken', async () => {
  const bad = { ...entryOf(1, '2026-07-01T06:00:00.000Z'), did: { kind: 'drank' } };
  const answer = await api
    .post('/api/log')
    .send({ entries: [entryOf(2, '2026-07-01T06:00:00.000Z'), bad] })
    .expect(400);
  expect(problemSchema.parse(answer.body).kind).toBe('invalid');
  expect(entriesIn(await api.get('/api/log'))).toEqual([]);
  await api.get(`/api/planters/${uuid(99)}/log`).expect(404);
});

test('a float of every quarter of an hour does not push out what people wrote', async () => {
  const planted: LogEntry = {
    ...entryOf(1, '2026-05-01T06:00:00.000Z'),
    did: { kind: 'did', what: 'planted' },
  };
  await api
    .post('/api/log')
    .send({ entries: [planted] })
    .expect(200);
  const now = Date.now();
  const quarter = 15 * 60_000;
  for (let from = 0; from < 6000; from += 500) {
    const readings = Array.from({ length: 500 }, (_, i) => ({
      at: new Date(now - (from + i) * quarter).toISOString(),
      level: 0.05,
    }));
    await api.post(`/api/planters/${planter}/readings`).send({ by: 'Float', readings }).expect(200);
  }
  const { entries } = (await api.get(`/api/planters/${planter}/round/log`).expect(200)).body as {
    entries: LogEntry[];
  };
  expect(entries.map(({ id }) => id)).toContain(planted.id);
  // All of two days, one an hour for two weeks, one a day before: what an estimate needs.
  const told = entries.filter(({ by }) => by === 'Float').map(({ at }) => now - Date.parse(at));
  const day = 24 * 3_600_000;
  expect(told.filter((age) => age < 2 * day - quarter)).toHaveLength(191);
  const middle = told.filter((age) => age >= 2 * day && age < 14 * day).length;
  expect(middle).toBeGreaterThan(12 * 24 - 4);
  expect(middle).toBeLessThan(12 * 24 + 4);
  expect(told.filter((age) => age >= 14 * day).length).toBeLessThan(52);
  // Told again, each stays one.
  const again = [{ at: new Date(now).toISOString(), level: 0.05 }];
  const { body } = await api
    .post(`/api/planters/${planter}/readings`)
    .send({ by: 'Float', readings: again });
  expect(body).toEqual({ came: 0 });
});

test('a reading that cannot stand in the vessel is refused, and none of the others is stored', async () => {
  const readings = [
    { at: '2026-07-14T08:00:00.000Z', level: 0.05 },
    { at: '2026-07-14T09:00:00.000Z', level: 2.5 },
  ];
  const send = (list: typeof readings) =>
    api.post(`/api/planters/${planter}/readings`).send({ by: 'Ultrasound', readings: list });
  const refused = await send(readings).expect(400);
  expect(refused.headers['content-type']).toMatch(/problem\+json/);
  expect((refused.body as { detail: string }).detail).toMatch(
    /2500 mm of water cannot stand in a vessel that is \d+ mm deep/,
  );
  const { body } = await send(readings.slice(0, 1)).expect(200);
  expect(body).toEqual({ came: 1 });
});

test('a log is asked for in parts until there is no more, and what is old and counts comes with the season', async () => {
  const hour = (n: number) => new Date(Date.UTC(2020, 0, 1) + n * 3_600_000).toISOString();
  const entries = Array.from({ length: 400 }, (_, i) => entryOf(i + 1, hour(i)));
  entries[3] = { ...entries[3]!, did: { kind: 'did', what: 'wick' } };
  await api.post('/api/log').send({ entries }).expect(200);
  const seen = new Set<string>();
  let before = '';
  for (let parts = 0; parts < 10; parts += 1) {
    const query = { most: 150, ...(before ? { before } : {}) };
    const answer = logSchema.parse((await api.get('/api/log').query(query).expect(200)).body);
    answer.entries.forEach(({ id }) => seen.add(id));
    if (!answer.more) break;
    before = answer.entries.at(-1)!.at;
  }
  expect(seen.size).toBe(400);
  const { body } = await api.get('/api/round/log').expect(200);
  expect((body as { entries: LogEntry[] }).entries.map(({ id }) => id)).toEqual([uuid(4)]);
});
