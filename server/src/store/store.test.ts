import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { STARTING_POINTS } from '@huerta/core';
import { DEMO_GARDEN, loadDemoGarden } from '../demo/garden';
import { planterService } from '../services/planters';
import { openDatabase, type Database } from './database';

const design = STARTING_POINTS[0]!.design;
let folder: string;
let file: string;
const opened: Database[] = [];
const open = async () => {
  const database = await openDatabase(file);
  opened.push(database);
  return database;
};

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-store-'));
  file = join(folder, 'deep', 'down', 'huerta.sqlite');
});
afterEach(async () => {
  await Promise.all(opened.splice(0).map((database) => database.close().catch(() => undefined)));
  await rm(folder, { recursive: true });
});

test('makes its folder, and opening again migrates nothing twice', async () => {
  const first = await open();
  await planterService(first.planters).create(design);
  await first.close();
  const second = await open();
  const [rows] = await second.sequelize.query('SELECT name FROM migrations');
  expect(rows).toEqual([
    { name: '001-create-planters' },
    { name: '002-create-vessels' },
    { name: '003-create-build' },
    { name: '004-create-weather' },
    { name: '005-create-seasons' },
  ]);
  expect(await planterService(second.planters).list()).toHaveLength(1);
});

test('the demo garden is planted in an empty garden only', async () => {
  const planters = planterService((await open()).planters);
  await loadDemoGarden(planters);
  await loadDemoGarden(planters);
  const names = (await planters.list()).map((planter) => planter.design.name);
  expect(names).toEqual(DEMO_GARDEN.map((planter) => planter.name));
});

test('a row that cannot be read fails loudly instead of being shown as sound', async () => {
  const database = await open();
  const planters = planterService(database.planters);
  const { id } = await planters.create(design);
  await database.planters.update(
    { design: JSON.stringify({ ...design, version: 99 }) },
    { where: { id } },
  );
  await expect(planters.get(id)).rejects.toThrow('later Huerta');
});

test('what is deleted stays restorable, and restoring twice is no harm', async () => {
  const planters = planterService((await open()).planters);
  const { id } = await planters.create(design);
  await planters.remove(id);
  await expect(planters.save(id, 1, design)).rejects.toThrow('not in the garden');
  await expect(planters.remove(id)).rejects.toThrow('not in the garden');
  await planters.restore(id);
  const back = await planters.restore(id);
  expect(back).toMatchObject({ id, revision: 1 });
});
