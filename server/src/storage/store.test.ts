import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { applyPatch, STARTING_POINTS, type PlanterDesign } from '@huerta/core/document';
import { FIRST_PLAN } from '@huerta/core/simulation/season';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { Sequelize } from 'sequelize';
import sqlite3 from 'sqlite3';
import { DEMO_GARDEN, loadDemoGarden } from '../demo/garden';
import { servicesOf } from '../services';
import { expiredRevisions } from '../services/revisionRetention';
import { readingId } from './readings';
import { openDatabase, type Database } from './database';
import { migrateDatabase } from './migrate';

const design = STARTING_POINTS[0]!.design;
let folder: string;
let file: string;
const opened: Database[] = [];
const open = async () => {
  const database = await openDatabase(file);
  opened.push(database);
  return database;
};

const named = (name: string) => ({ name, value: { ...design, name } });
/** Puts a text into a row as another Huerta would have left it. */
const put = (database: Database, id: string, text: string) =>
  database.sequelize.query('UPDATE documents SET text = $text, format = NULL WHERE id = $id', {
    bind: { id, text },
  });

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
  await servicesOf(first).planters.create(named('One'));
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
    { name: '007-one-table-of-documents' },
    { name: '008-add-devices' },
    { name: '009-add-log' },
    { name: '010-add-weather-days' },
    { name: '011-add-photos' },
    { name: '012-add-readings' },
    { name: '013-add-feeds' },
    { name: '014-add-set-aside' },
    { name: '015-add-planter-states' },
  ]);
  expect((await servicesOf(second).planters.list()).kept).toHaveLength(1);
});

test('the demo garden is planted in an empty garden only', async () => {
  const services = servicesOf(await open());
  await loadDemoGarden(services);
  await loadDemoGarden(services);
  const names = (await services.planters.list()).kept.map(({ name }) => name);
  expect(names).toEqual(DEMO_GARDEN.map((planter) => planter.name));
});

test('a row that cannot be read fails loudly instead of being shown as sound', async () => {
  const database = await open();
  const planters = servicesOf(database).planters;
  const { id } = await planters.create(named('One'));
  await put(database, id, JSON.stringify({ ...design, version: 99 }));
  await expect(planters.get(id)).rejects.toThrow('later Huerta');
});

test('what is deleted stays restorable, and restoring twice is no harm', async () => {
  const planters = servicesOf(await open()).planters;
  const { id } = await planters.create(named('One'));
  await planters.remove(id);
  await expect(
    planters.save(id, { revision: 1, saveId: null, after: [] }, named('Two')),
  ).rejects.toThrow('not in the garden');
  await expect(planters.remove(id)).rejects.toThrow('not in the garden');
  await planters.restore(id);
  const back = await planters.restore(id);
  expect(back).toMatchObject({ id, revision: 1 });
});

test('one unreadable row is set aside by its name, and the rest of the garden opens', async () => {
  const database = await open();
  const planters = servicesOf(database).planters;
  const broken = await planters.create(named('Half written'));
  const newer = await planters.create(named('From the future'));
  const sound = await planters.create(named('Sound'));
  await put(database, broken.id, '{oops');
  await put(database, newer.id, JSON.stringify({ ...design, version: 99 }));
  const { kept: read, setAside } = await planters.list();
  expect(read.map(({ id }) => id)).toEqual([sound.id]);
  expect(setAside).toEqual([
    expect.objectContaining({ id: broken.id, name: 'Half written' }),
    expect.objectContaining({ id: newer.id, why: expect.stringContaining('later Huerta') }),
  ]);
  // What is kept of it can be taken away as it is.
  const { garden } = servicesOf(database);
  const away = await garden.document('planter', broken.id);
  expect(away).toEqual({ name: 'Half written', text: '{oops' });
});

test('every save leaves what it replaced, in order, and a failed one leaves nothing', async () => {
  const planters = servicesOf(await open()).planters;
  const { id } = await planters.create(named('One'));
  for (const [i, name] of ['Two', 'Three'].entries()) {
    await planters.save(id, { revision: i + 1, saveId: null, after: [] }, named(name));
  }
  const stale = planters.save(id, { revision: 1, saveId: null, after: [] }, named('Two'));
  await expect(stale).rejects.toThrow('another window');
  const revisions = await planters.history(id);
  expect(revisions.map((one) => [one.revision, one.value.name])).toEqual([
    [2, 'Two'],
    [1, 'One'],
  ]);
});

test('old revisions are thinned by their age, and the newest are all kept', () => {
  const now = Date.UTC(2026, 5, 1);
  const minutes = (n: number) => now - n * 60_000;
  const hours = (n: number) => minutes(60 * n);
  const recent = [minutes(50), minutes(49), minutes(10), minutes(9), minutes(0)];
  expect(expiredRevisions(recent, now)).toEqual([]);
  // Ten in one hour of yesterday: the newest of them stays.
  const yesterday = Array.from({ length: 10 }, (_, i) => hours(24) + i * 60_000);
  expect(expiredRevisions([...yesterday, ...recent], now)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  // Years of a save each day come to about one a week.
  const years = Array.from({ length: 730 }, (_, i) => hours(24 * (730 - i)));
  const left = years.length - expiredRevisions(years, now).length;
  expect(left).toBeGreaterThan(60 + (730 - 60) / 8);
  expect(left).toBeLessThan(60 + (730 - 60) / 6);
});

test('a garden of a newer Huerta and a damaged one are refused with a sentence', async () => {
  const database = await open();
  await servicesOf(database).planters.create(named('One'));
  await database.sequelize.query("INSERT INTO migrations (name) VALUES ('999-later')");
  await database.close();
  await expect(openDatabase(file)).rejects.toThrow('kept by a newer Huerta');
  await writeFile(file, 'no database at all, but long enough to be taken for one '.repeat(40));
  await rm(`${file}-wal`, { force: true });
  await expect(openDatabase(file)).rejects.toThrow(`the garden in ${file} is damaged`);
  // A file stands where the folder would have to be.
  await expect(openDatabase(join(file, 'in', 'it.sqlite'))).rejects.toThrow('cannot be made');
});

test('a garden from before the one table keeps all that was in it: documents, deletions, history, marks', async () => {
  const old = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  });
  await mkdir(dirname(file), { recursive: true });
  await migrateDatabase(old, '006-add-saves');
  const time = '2026-05-01 08:00:00.000 +00:00';
  const row = (table: string, values: Record<string, unknown>) =>
    old.getQueryInterface().bulkInsert(table, [values]);
  const [here, gone] = [
    '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
    '4f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  ];
  const both = { created_at: time, updated_at: time };
  const text = JSON.stringify(design);
  await row('planters', { id: here, name: 'Here', design: text, revision: 3, ...both });
  await row('planters', {
    id: gone,
    name: 'Gone',
    design: text,
    revision: 1,
    ...both,
    deleted_at: time,
  });
  await row('planter_revisions', { planter_id: here, revision: 2, design: text, created_at: time });
  await row('vessels', { id: gone, name: 'Tote', vessel: JSON.stringify(design.vessel), ...both });
  await row('price_books', { id: 1, revision: 4, book: JSON.stringify(NEW_BOOK), ...both });
  await row('seasons', {
    planter_id: here,
    plan: JSON.stringify({ ...FIRST_PLAN, planted: '2026-05-10' }),
    ...both,
  });
  await row('progress', {
    planter_id: here,
    key: 'done/inspect',
    value: 'true',
    at: '2026-05-01T08:00:00.000Z',
  });
  await old.close();

  const { planters, vessels, prices, seasons, progress } = servicesOf(await open());
  const { kept } = await planters.list();
  expect(kept).toEqual([
    expect.objectContaining({
      id: here,
      revision: 3,
      value: design,
      createdAt: '2026-05-01T08:00:00.000Z',
    }),
  ]);
  expect(await planters.restore(gone)).toMatchObject({ name: 'Gone' });
  expect((await planters.history(here)).map(({ revision }) => revision)).toEqual([2]);
  expect((await vessels.list()).kept).toMatchObject([{ name: 'Tote', revision: 1 }]);
  expect(await prices.get('garden')).toMatchObject({ revision: 4, value: NEW_BOOK });
  expect((await seasons.get(here)).value.planted).toBe('2026-05-10');
  expect((await progress.get(here)).entries).toHaveLength(1);
});

test('what a stricter rule forbids opens as it was kept, and may stay so, but nothing worse may come', async () => {
  const database = await open();
  const { planters } = servicesOf(database);
  const { id } = await planters.create(named('Old'));
  const impossible = applyPatch(design, [{ path: ['reservoir', 'top'], value: 0.5 }]);
  await put(database, id, JSON.stringify(impossible));
  expect((await planters.get(id)).value).toEqual(impossible);
  const save = (revision: number, value: PlanterDesign) =>
    planters.save(id, { revision, saveId: null, after: [] }, { name: 'Old', value });
  await save(1, { ...impossible, notes: 'Still so' });
  const worse = applyPatch(impossible, [{ path: ['overflow', 'centre'], value: 0.9 }]);
  await expect(save(2, worse)).rejects.toThrow();
  await expect(planters.create({ name: 'New', value: impossible })).rejects.toThrow(
    'no room for soil',
  );
});

test('readings among the entries of people become a series of their own; rows of a table stay entries', async () => {
  const old = new Sequelize({
    dialect: 'sqlite',
    dialectModule: sqlite3,
    storage: file,
    logging: false,
  });
  await mkdir(dirname(file), { recursive: true });
  await migrateDatabase(old, '011-add-photos');
  const planter = '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';
  const at = '2026-07-01T08:00:00.000Z';
  const told = readingId(planter, 'Float', at, 'level');
  // A row of a table that was brought in has an id that follows from what it says too.
  const row = '5f0e6c3a-9a4e-5d8c-8f1e-0a6a3a1b2c3d';
  const mine = '6f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';
  for (const [id, by] of [
    [told, 'Float'],
    [row, ''],
    [mine, 'Float'],
  ] as const) {
    const did = { kind: 'level', depth: 0.05 };
    const entry = {
      ...{ id, planter, at, by, did, text: '', typed: '', instead: null, gone: false },
    };
    await old
      .getQueryInterface()
      .bulkInsert('log_entries', [
        { id, planter, at, entry: JSON.stringify(entry), received_at: at },
      ]);
  }
  await old.close();
  const database = await open();
  const series = await database.readings.of(planter, '', '9999', 10);
  expect(series).toMatchObject([{ id: told, sensor: 'Float', kind: 'level', depth: 0.05 }]);
  const { entries } = await servicesOf(database).log.of({ planter });
  expect(entries.map(({ id }) => id).sort()).toEqual([told, row, mine].sort());
  const rows = await database.log.of({ planter, since: '', before: '9999', most: 10 });
  expect(rows.map(({ id }) => id).sort()).toEqual([row, mine].sort());
});
