import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { STARTING_POINTS } from '@huerta/core';
import { DEMO_GARDEN, loadDemoGarden } from '../demo/garden';
import { planterService } from '../services/planters';
import { thinned } from '../services/thinned';
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
  await planterService(first).create(design);
  await first.close();
  const second = await open();
  const [rows] = await second.sequelize.query('SELECT name FROM migrations');
  expect(rows).toEqual([
    { name: '001-create-planters' },
    { name: '002-create-vessels' },
    { name: '003-create-build' },
    { name: '004-create-weather' },
    { name: '005-create-seasons' },
    { name: '006-add-saves' },
  ]);
  expect((await planterService(second).list()).planters).toHaveLength(1);
});

test('the demo garden is planted in an empty garden only', async () => {
  const planters = planterService(await open());
  await loadDemoGarden(planters);
  await loadDemoGarden(planters);
  const names = (await planters.list()).planters.map((planter) => planter.design.name);
  expect(names).toEqual(DEMO_GARDEN.map((planter) => planter.name));
});

test('a row that cannot be read fails loudly instead of being shown as sound', async () => {
  const database = await open();
  const planters = planterService(database);
  const { id } = await planters.create(design);
  await database.planters.update(
    { design: JSON.stringify({ ...design, version: 99 }) },
    { where: { id } },
  );
  await expect(planters.get(id)).rejects.toThrow('later Huerta');
});

test('what is deleted stays restorable, and restoring twice is no harm', async () => {
  const planters = planterService(await open());
  const { id } = await planters.create(design);
  await planters.remove(id);
  await expect(planters.save(id, { revision: 1, saveId: null, after: [] }, design)).rejects.toThrow(
    'not in the garden',
  );
  await expect(planters.remove(id)).rejects.toThrow('not in the garden');
  await planters.restore(id);
  const back = await planters.restore(id);
  expect(back).toMatchObject({ id, revision: 1 });
});

test('one unreadable row is set aside by its name, and the rest of the garden opens', async () => {
  const database = await open();
  const planters = planterService(database);
  const broken = await planters.create({ ...design, name: 'Half written' });
  const newer = await planters.create({ ...design, name: 'From the future' });
  const sound = await planters.create({ ...design, name: 'Sound' });
  await database.planters.update({ design: '{oops' }, { where: { id: broken.id } });
  await database.planters.update(
    { design: JSON.stringify({ ...design, version: 99 }) },
    { where: { id: newer.id } },
  );
  const { planters: read, setAside } = await planters.list();
  expect(read.map(({ id }) => id)).toEqual([sound.id]);
  expect(setAside).toEqual([
    expect.objectContaining({ id: broken.id, name: 'Half written' }),
    expect.objectContaining({ id: newer.id, why: expect.stringContaining('later Huerta') }),
  ]);
  // What is kept of it can be taken away as it is.
  expect(await planters.document(broken.id)).toEqual({ name: 'Half written', text: '{oops' });
});

test('every save leaves what it replaced, in order, and a failed one leaves nothing', async () => {
  const planters = planterService(await open());
  const { id } = await planters.create({ ...design, name: 'One' });
  for (const [i, name] of ['Two', 'Three'].entries()) {
    await planters.save(id, { revision: i + 1, saveId: null, after: [] }, { ...design, name });
  }
  const stale = planters.save(id, { revision: 1, saveId: null, after: [] }, design);
  await expect(stale).rejects.toThrow('another window');
  const { revisions } = await planters.history(id);
  expect(revisions.map((one) => [one.revision, one.design.name])).toEqual([
    [2, 'Two'],
    [1, 'One'],
  ]);
});

test('old revisions are thinned by their age, and the newest are all kept', () => {
  const now = Date.UTC(2026, 5, 1);
  const minutes = (n: number) => now - n * 60_000;
  const hours = (n: number) => minutes(60 * n);
  const recent = [minutes(50), minutes(49), minutes(10), minutes(9), minutes(0)];
  expect(thinned(recent, now)).toEqual([]);
  // Ten in one hour of yesterday: the newest of them stays.
  const yesterday = Array.from({ length: 10 }, (_, i) => hours(24) + i * 60_000);
  expect(thinned([...yesterday, ...recent], now)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  // Years of a save each day come to about one a week.
  const years = Array.from({ length: 730 }, (_, i) => hours(24 * (730 - i)));
  const left = years.length - thinned(years, now).length;
  expect(left).toBeGreaterThan(60 + (730 - 60) / 8);
  expect(left).toBeLessThan(60 + (730 - 60) / 6);
});

test('a garden of a newer Huerta and a damaged one are refused with a sentence', async () => {
  const database = await open();
  await planterService(database).create(design);
  await database.sequelize.query("INSERT INTO migrations (name) VALUES ('999-later')");
  await database.close();
  await expect(openDatabase(file)).rejects.toThrow('kept by a newer Huerta');
  await writeFile(file, 'no database at all, but long enough to be taken for one '.repeat(40));
  await rm(`${file}-wal`, { force: true });
  await expect(openDatabase(file)).rejects.toThrow(`the garden in ${file} is damaged`);
  // A file stands where the folder would have to be.
  await expect(openDatabase(join(file, 'in', 'it.sqlite'))).rejects.toThrow('cannot be made');
});
