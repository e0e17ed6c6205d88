import fc from 'fast-check';
import { cp, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { strFromU8, unzipSync } from 'fflate';
import { pino } from 'pino';
import request from 'supertest';
import {
  gardenSchema,
  logSchema,
  measuredDaysSchema,
  planterListSchema,
  progressSchema,
  tendedLogSchema,
  vesselListSchema,
} from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import type { LogEntry } from '@huerta/core/journal';
import { createApp } from '../api/app';
import { servicesOf } from '../services';
import { connectTo, withConnection } from './connection';
import { DamagedGarden, openDatabase } from './database';
import { CHECKED_TABLES } from './setAside';

const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;
const AT = '2026-07-01T08:00:00.000Z';
const DAY = { date: '2026-07-01', tMin: 15, tMax: 30, rain: 0 };
let folder: string;
let good: string;

/** A garden with something in every table, closed. */
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-aside-'));
  good = join(folder, 'good.sqlite');
  const database = await openDatabase(good);
  const { planters, vessels, seasons, prices, progress, log, weatherDays, garden } =
    servicesOf(database);
  const value = STARTING_POINTS[0]!.design;
  for (const name of ['One', 'Two', 'Three']) {
    const { id, revision } = await planters.create({ name, value: { ...value, name } });
    const save = { revision, saveId: uuid(7), after: [] };
    await planters.save(id, save, { name, value: { ...value, name, notes: 'changed' } });
    await progress.send(id, [{ key: 'note/level', value: 'even', at: AT }]);
    await log.read(id, 'Float', [{ at: AT, level: 0.05 }]);
    const entry: LogEntry = {
      ...{ id: uuid(Number(AT.slice(0, 4)) + name.length), planter: id, at: AT, by: '' },
      did: { kind: 'did', what: 'planted' },
      ...{ text: name, typed: '', instead: null, gone: false },
    };
    await log.add([{ ...entry, id: uuid(name.charCodeAt(1)) }]);
  }
  await vessels.create({ name: 'Tote', value: value.vessel });
  const { kept } = await planters.list();
  const first = { revision: 0, saveId: null, after: [] };
  const plan = { planted: '2026-05-01', filling: { kind: 'when-low' as const }, waterings: [] };
  await seasons.save(kept[0]!.id, first, { name: 'Season', value: plan });
  await prices.save('garden', first, { name: 'Prices', value: (await prices.get('garden')).value });
  await weatherDays.put([DAY]);
  const row = { createdAt: AT, lastAt: AT, hash: 'x'.repeat(43) };
  await database.devices.add({ ...row, id: uuid(1), name: 'Phone' });
  await database.devices.set('door', '{"open":false,"secure":false}');
  await database.feeds.add({
    ...row,
    id: uuid(2),
    name: 'Calendar',
    kind: 'calendar',
    planter: null,
  });
  await database.photos.add({ id: uuid(3), hash: 'a'.repeat(64), width: 9, height: 9 }, AT);
  await garden.entries();
  await database.close();
});
afterAll(() => rm(folder, { recursive: true }));

/** Columns of a table that a bit can be flipped in. */
const columnsOf = (table: string): Promise<{ name: string }[]> =>
  withConnection(good, (one) => one.all(`SELECT name FROM pragma_table_info('${table}')`), true);

interface Flip {
  table: string;
  column: string;
  /** Which row, which byte of it and which bit, each a share of what there is. */
  row: number;
  byte: number;
  bit: number;
}

/** Copies the garden and flips one bit in it. @returns the copy, and the bytes that it has now */
async function flipped({ table, column, row, byte, bit }: Flip, n: number) {
  const file = join(folder, `flip-${n}.sqlite`);
  await cp(good, file);
  const connection = await connectTo(file);
  const key = ['log_entries', 'readings', 'photos', 'devices', 'feeds'].includes(table)
    ? 'id'
    : table === 'weather_days'
      ? 'date'
      : 'rowid';
  const rows = await connection.all<{ key: unknown; type: string; bytes: Buffer }>(
    `SELECT ${key} AS key, typeof(${column}) AS type, CAST(${column} AS BLOB) AS bytes FROM ${table}
     WHERE length(CAST(${column} AS BLOB)) > 0 ORDER BY ${key}`,
  );
  const one = rows[Math.floor(row * rows.length)];
  let bytes: Buffer | null = null;
  if (one) {
    bytes = Buffer.from(one.bytes);
    const at = Math.floor(byte * bytes.length);
    bytes[at] = (bytes[at] ?? 0) ^ (1 << Math.floor(bit * 8));
    await connection.run(
      `UPDATE OR IGNORE ${table} SET ${column} = CAST($bytes AS TEXT) WHERE ${key} IS $key`,
      { bytes, key: one.key },
    );
  }
  await connection.close();
  return { file, bytes };
}

const LISTS = [
  ['/api/garden', gardenSchema],
  ['/api/planters', planterListSchema],
  ['/api/vessels', vesselListSchema],
  ['/api/log', logSchema],
  ['/api/round/log', tendedLogSchema],
  ['/api/weather/days', measuredDaysSchema],
] as const;

test('whatever bit of whatever row is flipped, the rest opens, and the garden can be taken away', async () => {
  const columns = (
    await Promise.all(
      CHECKED_TABLES.map(async (table) =>
        (await columnsOf(table)).map(({ name }) => [table, name] as const),
      ),
    )
  ).flat();
  const share = fc.double({ min: 0, max: 0.999, noNaN: true });
  let n = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom(...columns),
      share,
      share,
      share,
      async ([table, column], row, byte, bit) => {
        const { file, bytes } = await flipped({ table, column, row, byte, bit }, (n += 1));
        const database = await openDatabase(file);
        try {
          const services = servicesOf(database);
          const api = request(createApp({ services, logger: pino({ level: 'silent' }) }));
          for (const [path, schema] of LISTS) {
            const { body } = await api.get(path).expect(200);
            expect([path, schema.safeParse(body).error]).toEqual([path, undefined]);
          }
          const { planters, setAside } = planterListSchema.parse(
            (await api.get('/api/planters')).body,
          );
          expect(planters.length + setAside.length).toBeGreaterThanOrEqual(2);
          for (const { id } of planters)
            progressSchema.parse((await api.get(`/api/planters/${id}/progress`).expect(200)).body);
          // What is set aside can be taken away, as it is.
          const aside = gardenSchema.parse((await api.get('/api/garden')).body).setAside;
          for (const { file: path } of aside) await api.get(`/api${path}`).buffer().expect(200);
          const zip = unzipSync(await buffer(services.gardenFile.take()));
          const manifest = JSON.parse(strFromU8(zip['manifest.json']!)) as { damaged: unknown[] };
          const moved = await database.setAside.all();
          expect(manifest.damaged.length).toBeGreaterThanOrEqual(moved.length);
          // The bytes of a row that was set aside lie in the file as they are.
          const rows = (await Promise.all(moved.map((one) => database.setAside.one(one.n)))).map(
            (one) => one!.row,
          );
          const held = Object.entries(zip)
            .filter(([path]) => path.startsWith('damaged/'))
            .map(([, content]) => strFromU8(content));
          expect(held.sort()).toEqual(rows.sort());
          if (bytes && moved.length > 0) {
            const value = (JSON.parse(rows[0]!) as Record<string, unknown>)[column];
            const kept =
              typeof value === 'object' && value !== null
                ? Buffer.from((value as { hex: string }).hex, 'hex')
                : Buffer.from(String(value));
            expect(kept.equals(bytes)).toBe(true);
          }
        } finally {
          await database.close();
          await rm(file, { force: true });
        }
      },
    ),
    { numRuns: 60 },
  );
});

test('migrations that are no Huerta’s are damage; those of a newer one are not', async () => {
  const changed = async (name: string, sql: string) => {
    const file = join(folder, name);
    await cp(good, file);
    await withConnection(file, (one) => one.exec(sql));
    return openDatabase(file);
  };
  await expect(
    changed('m1', `UPDATE migrations SET name = '011-add-phot/s' WHERE name = '011-add-photos'`),
  ).rejects.toThrow(DamagedGarden);
  await expect(
    changed('m2', `UPDATE migrations SET name = '811-add-photos' WHERE name = '011-add-photos'`),
  ).rejects.toThrow(DamagedGarden);
  await expect(changed('m3', `DELETE FROM migrations WHERE name LIKE '009%'`)).rejects.toThrow(
    DamagedGarden,
  );
  await expect(
    changed('m4', `INSERT INTO migrations VALUES ('199-add-something')`),
  ).rejects.toThrow('kept by a newer Huerta');
  await expect(changed('m5', 'DROP TABLE progress')).rejects.toThrow(DamagedGarden);
  await writeFile(join(folder, 'm6'), 'no garden');
  await expect(openDatabase(join(folder, 'm6'))).rejects.toThrow(DamagedGarden);
});

test('what programs may write stays: ids in large letters, times without their thousandths', async () => {
  const file = join(folder, 'large.sqlite');
  const database = await openDatabase(file);
  const services = servicesOf(database);
  const id = '3F0E6C3A-9A4E-4D8C-8F1E-0A6A3A1B2C3D';
  const value = STARTING_POINTS[0]!.design;
  await services.planters.save(
    id,
    { revision: 0, saveId: null, after: [] },
    { name: 'Large', value },
  );
  const at = '2026-07-01T08:00:00Z';
  await services.log.add([
    {
      ...{ id: '4F0E6C3A-9A4E-4D8C-8F1E-0A6A3A1B2C3D', planter: id, at, by: '', text: '' },
      ...{ did: { kind: 'did', what: 'planted' }, typed: '', instead: null, gone: false },
    },
  ]);
  await services.progress.send(id, [{ key: 'done/measure', value: true, at }]);
  expect(await database.setAside.check()).toBe(0);
  await database.close();
});
