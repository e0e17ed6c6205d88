import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import * as contract from '@huerta/contract';
import type { Route } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import { pino } from 'pino';
import request from 'supertest';
import { remoteAccess } from '../access/remoteAccess';
import { secretsOf } from '../access/secrets';
import { servicesOf } from '../services';
import { feedsOf } from '../access/feeds';
import { copiesOf } from '../services/copies';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

const {
  BACKUPS,
  BUILD,
  CROPS_OF_ONES_OWN,
  REMOTE_ACCESS,
  GARDEN,
  LOG,
  PHOTOS,
  PLANS,
  PLANTERS,
  PRICES,
  ROUND,
  SEASONS,
  VESSELS,
  WEATHER,
} = contract;
const TABLES = {
  PLANS,
  PLANTERS,
  GARDEN,
  BACKUPS,
  VESSELS,
  PRICES,
  WEATHER,
  CROPS_OF_ONES_OWN,
  ROUND,
  SEASONS,
  BUILD,
  LOG,
  PHOTOS,
};
const routes = Object.entries(TABLES).flatMap(([table, one]) =>
  Object.entries(one as Record<string, Route>).map(
    ([name, route]) => [`${table}.${name}`, route] as const,
  ),
);

let folder: string;
let database: Database;
let api: ReturnType<typeof request>;
let planter: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-routes-'));
  const file = join(folder, 'huerta.sqlite');
  database = await openDatabase(file);
  const secrets = secretsOf(database.devices);
  const keeper = remoteAccess({
    table: database.devices,
    secrets,
    answer: () => undefined,
    folder,
    port: 0,
    named: null,
    own: null,
  });
  const home = {
    keeper,
    secrets,
    copies: copiesOf(database, file),
    feeds: feedsOf(database.feeds),
  };
  const logger = pino({ level: 'silent' });
  api = request(createApp({ services: servicesOf(database), logger, home }));
  const { design } = STARTING_POINTS[0]!;
  planter = (await api.post('/api/planters').send({ design }).expect(201)).body.id;
});
afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

test.each(routes)('%s is served as the contract says', async (_name, route) => {
  const path = `/api${route.path}`
    .replace(':id', planter)
    .replace(':file', 'platform.svg')
    .replace(':kind', 'planter')
    .replace(':name', planter)
    .replace(':day', '2026-05-01');
  const query = path.endsWith('label.pdf') ? '?at=http://localhost&day=2026-05-01' : '';
  const answer = await api[route.method](`${path}${query}`).buffer();
  // Nothing was sent, so what reads a body or looks for another thing refuses with a reason of its own.
  expect(answer.body?.detail).not.toBe('There is nothing at this address.');
  expect(answer.status).toBeLessThan(500);
  if (answer.status >= 400) {
    expect(contract.problemSchema.safeParse(answer.body).success).toBe(true);
    return;
  }
  expect(answer.status).toBe(route.status ?? 200);
  if (route.answer) expect(route.answer.safeParse(answer.body).error).toBeUndefined();
  if (route.file) expect(answer.type).toBe(route.file.replace(/;.*/, ''));
});

test('the door is described too, and only this machine has it', async () => {
  expect((await api.get('/api/door').expect(200)).body).toMatchObject({ open: false });
  const described = (await api.get('/api/openapi.json').expect(200)).body as { paths: object };
  for (const { path } of Object.values(REMOTE_ACCESS)) {
    expect(described.paths).toHaveProperty([`/api${path.replace(/:(\w+)/g, '{$1}')}`]);
  }
});
