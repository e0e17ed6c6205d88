import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import request from 'supertest';
import {
  assessmentReportSchema,
  planterResourceSchema,
  problemSchema,
  sheetReportSchema,
  vesselHistorySchema,
  vesselListSchema,
  type PlanterResource,
} from '@huerta/contract';
import { applyPatch, depthOf, STARTING_POINTS, vesselFrom } from '@huerta/core/document';
import { evaluate } from '@huerta/core/assessment';
import { servicesOf } from '../services';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

const design = STARTING_POINTS[0]!.design;

let folder: string;
let services: ReturnType<typeof servicesOf>;
let database: Database;
let api: ReturnType<typeof request>;

async function open(): Promise<void> {
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  const logger = pino({ level: 'silent' });
  services = servicesOf(database);
  const app = createApp({ services, logger });
  api = request(app);
}

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-'));
  await open();
});
afterEach(async () => {
  await Promise.all([services.garden.stop(), services.standing.stop()]);
  await database.close();
  await rm(folder, { recursive: true });
});

const create = async (body: object = design): Promise<PlanterResource> => {
  const response = await api.post('/api/planters').send({ design: body }).expect(201);
  return planterResourceSchema.parse(response.body);
};
const problemOf = (response: request.Response) => {
  expect(response.type).toBe('application/problem+json');
  expect(response.text).not.toMatch(/at .*\.(ts|js):\d/);
  return problemSchema.parse(response.body);
};

test('a planter is created, saved, found again after a restart, and listed in order', async () => {
  const first = await create();
  const renamed = { ...design, name: 'Second' };
  const saved = await api
    .put(`/api/planters/${first.id}`)
    .send({ revision: 1, design: renamed })
    .expect(200);
  expect(saved.body).toMatchObject({ revision: 2, design: { name: 'Second' } });
  await create({ ...design, name: 'Third' });

  await database.close();
  await open();
  const list = await api.get('/api/planters').expect(200);
  expect(list.body.planters.map((p: PlanterResource) => p.design.name)).toEqual([
    'Second',
    'Third',
  ]);
  const again = await api.get(`/api/planters/${first.id}`).expect(200);
  expect(again.body.design).toEqual(renamed);
});

test('the database waits for the disk and keeps a write-ahead log', async () => {
  const [[journal], [sync], [keys]] = (await Promise.all(
    ['journal_mode', 'synchronous', 'foreign_keys'].map((name) =>
      database.sequelize.query(`PRAGMA ${name}`, { raw: true, plain: false }),
    ),
  )) as unknown as [[[object]], [[object]], [[object]]];
  expect(JSON.stringify([journal, sync, keys])).toMatch(/wal.*2.*1/);
});

test('a save whose answer was lost is known when it comes again, and the next one follows it', async () => {
  const { id } = await create();
  const [first, second] = [
    '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
    '4f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  ];
  const put = (body: object) => api.put(`/api/planters/${id}`).send(body);
  const once = { revision: 1, saveId: first, design: { ...design, name: 'First' } };
  await put(once).expect(200);
  // Its answer never came: the device sends the same again, or what was done since.
  const again = await put(once).expect(200);
  expect(again.body).toMatchObject({ revision: 2, design: { name: 'First' } });
  const next = {
    revision: 1,
    saveId: second,
    after: [first],
    design: { ...design, name: 'Second' },
  };
  const followed = await put(next).expect(200);
  expect(followed.body).toMatchObject({ revision: 3, design: { name: 'Second' } });
  // From elsewhere, on what is gone, it is a conflict as before.
  const other = await put({ ...once, saveId: '5f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d' });
  expect(problemOf(other).kind).toBe('conflict');
  const { body } = await api.get(`/api/planters/${id}/history`).expect(200);
  expect(body.revisions.map((one: { design: { name: string } }) => one.design.name)).toEqual([
    'First',
    design.name,
  ]);
});

test('an unreadable planter closes nothing, and its file can be taken away', async () => {
  const { id } = await create({ ...design, name: 'Torn' });
  await create({ ...design, name: 'Whole' });
  await database.sequelize.query("UPDATE documents SET text = '{oops' WHERE id = $id", {
    bind: { id },
  });
  const list = await api.get('/api/planters').expect(200);
  expect(list.body.planters).toHaveLength(1);
  expect(list.body.setAside).toEqual([expect.objectContaining({ id, name: 'Torn' })]);
  expect(problemOf(await api.get(`/api/planters/${id}`)).detail).toMatch(/‘Torn’ cannot be opened/);
  const file = await api.get(`/api/documents/planter/${id}`).expect(200);
  expect(file.headers['content-disposition']).toMatch(/attachment/);
});

test('a stale save is refused and answers with both versions safe', async () => {
  const { id } = await create();
  const mine = applyPatch(design, [{ path: ['name'], value: 'Mine' }]);
  const theirs = applyPatch(design, [{ path: ['name'], value: 'Theirs' }]);
  await api.put(`/api/planters/${id}`).send({ revision: 1, design: theirs }).expect(200);
  const refused = await api.put(`/api/planters/${id}`).send({ revision: 1, design: mine });
  expect(problemOf(refused)).toMatchObject({
    status: 409,
    kind: 'conflict',
    current: { revision: 2, design: { name: 'Theirs' } },
  });
});

test('of many saves on one revision exactly one is taken', async () => {
  const { id } = await create();
  const answers = await Promise.all(
    Array.from({ length: 8 }, (_, i) =>
      api
        .put(`/api/planters/${id}`)
        .send({ revision: 1, design: { ...design, name: `Save ${i}` } }),
    ),
  );
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, ...Array(7).fill(409)]);
});

test('deleting can be undone', async () => {
  const { id } = await create();
  await api.delete(`/api/planters/${id}`).expect(204);
  expect(problemOf(await api.get(`/api/planters/${id}`)).kind).toBe('not-found');
  expect((await api.get('/api/planters')).body.planters).toEqual([]);
  await api.post(`/api/planters/${id}/restore`).expect(200);
  expect((await api.get('/api/planters')).body.planters).toHaveLength(1);
});

describe('bad input is refused with a sentence and changes nothing', () => {
  const bad: [string, object, number, string][] = [
    [
      'a depth in words',
      { design: { ...design, vessel: { ...design.vessel, depth: 'deep' } } },
      400,
      'vessel, depth',
    ],
    ['no design', {}, 400, 'design'],
    ['an unknown field', { design, colour: 'red' }, 400, 'colour'],
    [
      'a negative freeboard',
      { design: { ...design, soil: { ...design.soil, freeboard: -1 } } },
      400,
      'freeboard',
    ],
    [
      'a platform above the rim',
      { design: applyPatch(design, [{ path: ['reservoir', 'top'], value: 0.5 }]) },
      422,
      'no room for soil',
    ],
  ];
  test.each(bad)('%s', async (_name, body, status, part) => {
    const problem = problemOf(await api.post('/api/planters').send(body).expect(status));
    expect(problem.detail).toContain(part);
    expect(problem.errors?.length).toBeGreaterThan(0);
    expect((await api.get('/api/planters')).body.planters).toEqual([]);
  });

  test('broken JSON, too much of it, and addresses where nothing is', async () => {
    const broken = api.post('/api/planters').type('json').send('{"design":');
    expect(problemOf(await broken).kind).toBe('not-json');
    const huge = { design: { ...design, notes: 'x'.repeat(1_000_001) } };
    expect(problemOf(await api.post('/api/planters').send(huge)).status).toBe(413);
    expect(problemOf(await api.get('/api/planters/7')).status).toBe(404);
    expect(problemOf(await api.get('/api/gardens')).status).toBe(404);
  });
});

test('only requests to a local name are answered, with a strict policy for scripts', async () => {
  const foreign = await api.get('/api/planters').set('Host', 'garden.example:4700');
  expect(problemOf(foreign)).toMatchObject({ status: 403, kind: 'foreign-host' });
  const local = await api.get('/api/health').set('Host', 'localhost:4700').expect(200);
  const policy = local.headers['content-security-policy'];
  expect(policy).toContain("script-src 'self'");
  expect(policy).toContain("default-src 'none'");
  expect(policy).not.toMatch(/script-src[^;]*unsafe/);
});

test('the file format is published', async () => {
  const { body } = await api.get('/api/planter.schema.json').expect(200);
  expect(body.title).toBe('Huerta planter design');
});

describe('vessels that were measured', () => {
  const kept = { name: 'The olive pail', vessel: vesselFrom('tote-50') };

  test('are kept, changed, deleted and brought back', async () => {
    const { body } = await api.post('/api/vessels').send(kept).expect(201);
    const changed = { ...kept, name: 'The larger tote' };
    const put = (revision: number) =>
      api.put(`/api/vessels/${body.id}`).send({ revision, ...changed });
    await put(1).expect(200);
    // Another window that has not seen it is told, and overwrites nothing.
    expect(problemOf(await put(1)).kind).toBe('conflict');
    const list = async () =>
      vesselListSchema.parse((await api.get('/api/vessels')).body).vessels.map(({ name }) => name);
    expect(await list()).toEqual(['The larger tote']);
    const deeper = { ...changed, vessel: vesselFrom('pail-20') };
    await api
      .put(`/api/vessels/${body.id}`)
      .send({ revision: 2, ...deeper })
      .expect(200);
    const was = await api.get(`/api/vessels/${body.id}/history`).expect(200);
    const { revisions } = vesselHistorySchema.parse(was.body);
    expect(revisions.map(({ revision, vessel }) => [revision, depthOf(vessel)])).toEqual([
      [2, depthOf(kept.vessel)],
      [1, depthOf(kept.vessel)],
    ]);
    await api.delete(`/api/vessels/${body.id}`).expect(204);
    expect(await list()).toEqual([]);
    expect(problemOf(await put(3)).status).toBe(404);
    await api.post(`/api/vessels/${body.id}/restore`).expect(200);
    expect(await list()).toEqual(['The larger tote']);
  });

  test('that cannot be are refused at the measure', async () => {
    const poured = {
      ...kept.vessel,
      kind: 'poured',
      plan: 'box',
      ratio: 0.7,
      depth: 0.3,
      readings: [
        { volume: 0.01, height: 0.1 },
        { volume: 0.008, height: 0.2 },
      ],
    };
    for (const field of ['topLength', 'topWidth', 'bottomLength', 'bottomWidth', 'corner']) {
      delete (poured as Record<string, unknown>)[field];
    }
    const refused = problemOf(await api.post('/api/vessels').send({ name: 'Odd', vessel: poured }));
    expect(refused).toMatchObject({ status: 422, kind: 'contradiction' });
    expect(refused.detail).toContain('Water only rises');
    const nameless = await api.post('/api/vessels').send({ ...kept, name: ' ' });
    expect(problemOf(nameless).kind).toBe('invalid');
    expect(problemOf(await api.delete('/api/vessels/7')).status).toBe(404);
  });
});

test('every starting point is taken in, saved, and comes back as it went', async () => {
  for (const { design: from } of STARTING_POINTS) {
    const { id } = await create(from);
    const { body } = await api.get(`/api/planters/${id}`).expect(200);
    expect(body.design).toEqual(from);
  }
});

test('what a client gets wrong is answered as that, never as 500', async () => {
  const { id } = await create();
  const body = JSON.stringify({ revision: 1, design });
  const put = () => api.put(`/api/planters/${id}`).set('content-type', 'application/json');
  const answers = await Promise.all([
    api.get('/api/planters/%zz'),
    put().set('content-encoding', 'zstd').send(body),
    put().set('content-encoding', 'gzip').send(body),
    api
      .put(`/api/planters/${id}`)
      .set('content-type', 'application/json; charset=latin1')
      .send(body),
    put().send('{oops'),
  ]);
  for (const answer of answers) {
    const { status, detail } = problemOf(answer);
    expect([status, status >= 400 && status < 500]).toEqual([answer.status, true]);
    expect(detail).toMatch(/\.$/);
  }
});

test('a page from elsewhere changes nothing; this one’s own and other programs may', async () => {
  const { id } = await create();
  const restore = () => api.post(`/api/planters/${id}/restore`);
  for (const [name, value] of [
    ['origin', 'https://elsewhere.example'],
    ['origin', 'null'],
    ['sec-fetch-site', 'cross-site'],
    ['sec-fetch-site', 'same-site'],
  ] as const) {
    const answer = await restore().set(name, value);
    expect([answer.status, problemOf(answer).kind]).toEqual([403, 'foreign-page']);
    await api.delete(`/api/planters/${id}`).set(name, value).expect(403);
    // Reading is for whoever is let in.
    await api.get(`/api/planters/${id}`).set(name, value).expect(200);
  }
  await restore().set('sec-fetch-site', 'same-origin').expect(200);
  await restore().expect(200);
});

test('ten thousand problems in one document are counted, not listed', async () => {
  const { id } = await create();
  const wicks = Array.from({ length: 10_000 }, () => ({ kind: 'cup', count: -1 }));
  const answer = await api
    .put(`/api/planters/${id}`)
    .send({ revision: 1, design: { ...design, soil: { freeboard: 'x' }, wicks } });
  expect(problemOf(answer).errors!.length).toBeLessThanOrEqual(20);
  expect(answer.text.length).toBeLessThan(20_000);
});

test('other programs read what core makes of a planter, of every family and in both systems', async () => {
  for (const { id: family, design: one } of STARTING_POINTS) {
    const { id } = await create({ ...one, name: family });
    for (const units of ['metric', 'us'] as const) {
      const { body } = await api.get(`/api/planters/${id}/assessment?units=${units}`).expect(200);
      const report = assessmentReportSchema.parse(body);
      const { figures } = evaluate(one).assessment;
      expect(report.figures.find((figure) => figure.id === 'usable')!.value).toBe(figures.usable);
      const answer = await api.get(`/api/planters/${id}/sheet?units=${units}`).expect(200);
      const sheet = sheetReportSchema.parse(answer.body);
      expect(sheet.steps.length).toBeGreaterThan(5);
      expect(answer.text).not.toMatch(/undefined|NaN|\[object/);
    }
  }
  const wrong = await api.get(`/api/planters/${(await create()).id}/sheet?units=cubits`);
  expect([wrong.status, problemOf(wrong).kind]).toEqual([400, 'invalid']);
});
