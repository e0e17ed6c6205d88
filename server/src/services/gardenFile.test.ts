import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { servicesOf, type Services } from '.';
import { loadDemoBuild } from '../demo/build';
import { loadDemoGarden, loadDemoVessels } from '../demo/garden';
import { loadDemoLog } from '../demo/log';
import { backUp, backupFile } from '../store/backups';
import { openDatabase, type Database } from '../store/database';
import { copiesOf } from './copies';

let folder: string;
const opened: Database[] = [];
async function garden(
  name: string,
): Promise<{ database: Database; services: Services; file: string }> {
  const file = join(folder, `${name}.sqlite`);
  const database = await openDatabase(file);
  opened.push(database);
  return { database, services: servicesOf(database), file };
}
async function demo(name: string) {
  const made = await garden(name);
  await loadDemoGarden(made.services);
  await loadDemoVessels(made.services);
  await loadDemoBuild(made.services);
  await loadDemoLog(made.services, '2026-07-15');
  await made.services.weatherDays.put([{ date: '2026-07-14', tMin: 17, tMax: 33, rain: 0 }]);
  return made;
}
/** All that a garden holds, but for what is worked out from it. */
const contents = async ({ database }: { database: Database }) => {
  const rows = await database.documents.everything();
  const live = rows.filter(({ deletedAt }) => deletedAt === null);
  const [history] = await database.sequelize.query(
    'SELECT kind, id, revision, text, created_at FROM document_revisions ORDER BY kind, id, revision',
  );
  const [marks] = await database.sequelize.query('SELECT * FROM progress ORDER BY planter_id, key');
  const [weather] = await database.sequelize.query('SELECT date, day FROM weather_days');
  const [log] = await database.sequelize.query('SELECT id, entry FROM log_entries ORDER BY id');
  return {
    documents: live.map(({ format: _format, saveId: _saveId, ...row }) => row),
    history,
    marks,
    log,
    weather,
  };
};

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-garden-'));
});
afterEach(async () => {
  await Promise.all(opened.splice(0).map((database) => database.close()));
  await rm(folder, { recursive: true });
});

test('taken away and brought into an empty garden, everything is as it was', async () => {
  const from = await demo('from');
  const { planters } = from.services;
  const [first, second] = (await planters.list()).kept;
  const value = { ...first!.value, notes: 'changed since' };
  const save = { revision: 1, saveId: null, after: [] };
  await planters.save(first!.id, save, { name: first!.name, value });
  await planters.remove(second!.id);

  const file = await from.services.gardenFile.take();
  const to = await garden('to');
  const preview = await to.services.gardenFile.look(file);
  expect(new Set(preview.documents.map(({ standing }) => standing))).toEqual(new Set(['new']));
  expect(preview.leftOut).toEqual([]);
  expect((await to.database.documents.everything()).length).toBe(0);

  const { came } = await to.services.gardenFile.restore(file, 'keep');
  expect(came).toBe(preview.documents.length);
  expect(await contents(to)).toEqual(await contents(from));
  // The same once more changes nothing.
  const again = await to.services.gardenFile.restore(file, 'take');
  expect(again.came).toBe(0);
  expect(await contents(to)).toEqual(await contents(from));
});

test('beside what is there: the same stays, and of what differs it goes as it is said', async () => {
  const { services } = await demo('here');
  const { planters, gardenFile } = services;
  const file = await gardenFile.take();
  const [first] = (await planters.list()).kept;
  const mine = { ...first!.value, notes: 'mine, later' };
  const save = { revision: 1, saveId: null, after: [] };
  await planters.save(first!.id, save, { name: first!.name, value: mine });

  const look = await gardenFile.look(file);
  const differ = look.documents.filter(({ standing }) => standing !== 'same');
  expect(differ).toEqual([expect.objectContaining({ id: first!.id, standing: 'older' })]);
  await gardenFile.restore(file, 'keep');
  expect((await planters.get(first!.id)).value.notes).toBe('mine, later');
  await gardenFile.restore(file, 'both');
  const names = (await planters.list()).kept.map(({ name }) => name);
  expect(names).toContain(`${first!.name} (from the file)`);
  await gardenFile.restore(file, 'take');
  expect((await planters.get(first!.id)).value).toEqual(first!.value);
  // What was here before is not lost: it lies in the history.
  expect((await planters.history(first!.id))[0]!.value.notes).toBe('mine, later');
});

test('what is no garden file is refused, and a damaged document is left out and named', async () => {
  const from = await demo('from');
  const to = await garden('to');
  const { gardenFile } = to.services;
  const file = await from.services.gardenFile.take();
  await expect(gardenFile.look(file.subarray(0, 900))).rejects.toThrow('not a whole garden file');
  await expect(gardenFile.look(zipSync({ 'a.txt': strToU8('x') }))).rejects.toThrow(
    'not from Huerta',
  );
  const parts = unzipSync(file);
  const later = strFromU8(parts['manifest.json']!).replace('"version": 1', '"version": 9');
  await expect(
    gardenFile.look(zipSync({ ...parts, 'manifest.json': strToU8(later) })),
  ).rejects.toThrow('a later Huerta');
  const [path] = Object.keys(parts).filter((name) => name.startsWith('planters/'));
  const torn = zipSync({ ...parts, [path!]: strToU8('{"torn":') });
  const { leftOut, came, documents } = await gardenFile.restore(torn, 'keep');
  expect(leftOut).toEqual([{ path, why: 'It is damaged.' }]);
  expect(came).toBe(documents.length);
});

test('a daily copy is put back by one press, and what there was is copied first', async () => {
  const here = await demo('huerta');
  const before = await contents(here);
  await backUp(here.database.sequelize, here.file, '2026-05-01');
  const { planters } = here.services;
  for (const { id } of (await planters.list()).kept) await planters.remove(id);
  const copies = copiesOf(here.database, here.file, () => new Date('2026-06-10T08:00:00Z'));
  expect(await copies.putBack('2026-05-02')).toBe(false);
  expect(await copies.putBack('2026-05-01')).toBe(true);
  expect(await contents(here)).toEqual(before);
  const { days } = await copies.list();
  expect(days.map(({ day }) => day)).toEqual(['2026-06-10', '2026-05-01']);
  // The copy of today holds the garden as it was a moment ago, with nothing in it.
  const emptied = await openDatabase(backupFile(here.file, '2026-06-10'));
  opened.push(emptied);
  expect((await servicesOf(emptied).planters.list()).kept).toEqual([]);
});
