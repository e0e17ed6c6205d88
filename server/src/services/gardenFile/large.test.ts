import { randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { STARTING_POINTS } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';
import sharp from 'sharp';
import { servicesOf } from '..';
import { backUp } from '../../storage/backups';
import { openDatabase } from '../../storage/database';
import { copiesOf } from '../copies';

/** A garden of many years: everything is taken away, brought in and put back while saves go on. */

const ENTRIES = 200_000;
const PHOTOS = 500;
const { design } = STARTING_POINTS[0]!;
let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-large-'));
});
afterAll(() => rm(folder, { recursive: true }));

const entryAt = (planter: string, i: number): LogEntry => ({
  ...{ id: randomUUID(), planter, by: '', text: '', typed: '', instead: null, gone: false },
  at: new Date(Date.UTC(2010, 0, 1) + i * 2_000_000).toISOString(),
  did: { kind: 'filled', where: 'tube', volume: 0.004, ran: true },
});

async function garden() {
  const file = join(folder, 'huerta.sqlite');
  const database = await openDatabase(file);
  const services = servicesOf(database);
  const { id } = await services.planters.create({ name: 'Old', value: design });
  // By one statement: as entries they would take longer than all that is tried.
  await database.sequelize.query(
    `INSERT INTO log_entries (id, planter, at, entry, received_at)
     WITH RECURSIVE n(i) AS (SELECT 0 UNION ALL SELECT i + 1 FROM n WHERE i + 1 < ${ENTRIES}),
       rows AS (SELECT '00000000-0000-4000-9000-' || printf('%012d', i) AS id,
         strftime('%Y-%m-%dT%H:%M:%S.000Z', 1262304000 + i * 2000, 'unixepoch') AS at FROM n)
     SELECT id, $planter, at, json_object('id', id, 'planter', $planter, 'at', at, 'by', '', 'text', '',
       'typed', '', 'instead', NULL, 'gone', json('false'),
       'did', json('{"kind":"filled","where":"tube","volume":0.004,"ran":true}')), at FROM rows`,
    { bind: { planter: id } },
  );
  for (let i = 0; i < PHOTOS; i += 1) {
    const background = { r: i % 256, g: (i * 7) % 256, b: (i * 13) % 256 };
    const picture = await sharp({ create: { width: 16, height: 16, channels: 3, background } })
      .png()
      .toBuffer();
    await services.photos.put(randomUUID(), picture);
  }
  return { file, database, services, id };
}

const count = async (
  { sequelize }: { sequelize: { query(sql: string): Promise<unknown> } },
  table: string,
) =>
  (
    (await sequelize.query(`SELECT count(*) AS n FROM ${table}`)) as [{ n: number }[], unknown]
  )[0][0]!.n;

test('two hundred thousand entries and five hundred photos, while saves go on', async () => {
  const { file, database, services, id } = await garden();
  let revision = 1;
  let saving = true;
  const acknowledged: { notes: string; entry: string }[] = [];
  const saves = (async () => {
    for (let n = 0; saving; n += 1) {
      const notes = `save ${n}`;
      const save = { revision, saveId: null, after: [] };
      const kept = await services.planters
        .save(id, save, { name: 'Old', value: { ...design, notes } })
        // A put-back in between: what is there now is gone on from.
        .catch(async () => services.planters.get(id));
      revision = kept.revision;
      const entry = entryAt(id, ENTRIES + n);
      await services.log.add([entry]);
      acknowledged.push({ notes, entry: entry.id });
      await new Promise((done) => setTimeout(done, 5));
    }
  })();

  // A copy on the disk, and one as a file.
  await backUp(file, new Date('2026-05-01T08:00:00Z'));
  const zip = join(folder, 'garden.zip');
  await pipeline(services.gardenFile.take(), createWriteStream(zip));
  const saved = acknowledged.length;
  expect(saved).toBeGreaterThan(0);

  const other = await openDatabase(join(folder, 'other', 'huerta.sqlite'));
  const { gardenFile } = servicesOf(other);
  const brought = await gardenFile.restore(createReadStream(zip), 'keep');
  expect([brought.leftOut, brought.photos]).toEqual([[], PHOTOS]);
  expect(brought.log).toBeGreaterThanOrEqual(ENTRIES);
  expect(await count(other, 'log_entries')).toBe(brought.log);
  expect(await count(other, 'photos')).toBe(PHOTOS);
  await other.close();

  // Put back: what was acknowledged since lies in the copy that was made before, or in the garden after.
  const copies = copiesOf(database, file);
  const before = acknowledged.map(({ entry }) => entry);
  const put = await copies.putBack('2026-05-01');
  saving = false;
  await saves;
  const copy = await openDatabase(join(folder, 'backups', `huerta-${put!.before}.sqlite`));
  const there = async (from: { sequelize: { query(sql: string): Promise<unknown> } }) =>
    new Set(
      (
        (await from.sequelize.query(
          `SELECT id FROM log_entries WHERE at >= '${entryAt(id, ENTRIES).at}'`,
        )) as [{ id: string }[], unknown]
      )[0].map((row) => row.id),
    );
  const [inCopy, inGarden] = [await there(copy), await there(database)];
  expect(before.filter((entry) => !inCopy.has(entry))).toEqual([]);
  const after = acknowledged.map(({ entry }) => entry);
  expect(after.filter((entry) => !inCopy.has(entry) && !inGarden.has(entry))).toEqual([]);
  expect(await count(copy, 'log_entries')).toBeGreaterThanOrEqual(ENTRIES + saved);
  await copy.close();
  const [photo] = await services.photos.all();
  expect((await services.photos.get(photo!.id, 'whole')).length).toBeGreaterThan(0);
  await database.close();
});
