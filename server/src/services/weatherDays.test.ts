import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Database } from '../storage/database';
import { servicesOf } from '.';

let folder: string;
let database: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-days-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
});
afterEach(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

test('what is measured takes the place of what was expected, and never the other way round', async () => {
  const { weatherDays } = servicesOf(database);
  const measured = { date: '2026-07-14', tMin: 15, tMax: 30, rain: 0 };
  const expected = { ...measured, tMax: 39, forecast: true as const };
  const later = { ...expected, date: '2026-07-15' };
  await weatherDays.put([expected, later]);
  await weatherDays.put([measured]);
  await weatherDays.put([expected, { ...later, tMax: 36 }]);
  expect(await weatherDays.from()).toEqual([measured, { ...later, tMax: 36 }]);
});
