import fc from 'fast-check';
import { copyFile, mkdtemp, readdir, rm, stat, utimes, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { STARTING_POINTS } from '@huerta/core/document';
import { servicesOf } from '../services';
import { backUp, backupFile, backupFolder, backupsOf, expired } from './backups';
import { DamagedGarden, openDatabase } from './database';

const { design } = STARTING_POINTS[0]!;
const DAY = 86_400_000;
const dayOf = (n: number): string =>
  new Date(Date.UTC(2026, 0, 1) + n * DAY).toISOString().slice(0, 10);

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-backup-'));
});
afterEach(() => rm(folder, { recursive: true }));

test('a copy is made on a day on which something changed, and opens as the garden that it was', async () => {
  const file = join(folder, 'huerta.sqlite');
  const database = await openDatabase(file);
  const { planters } = servicesOf(database);
  await planters.create({ name: 'Before', value: design });
  expect(await backUp(file, new Date('2026-05-01T08:00:00Z'))).toBe(true);
  // Nothing has changed since: the same copy serves.
  const soon = new Date(Date.now() + 60_000);
  await utimes(backupFile(file, '2026-05-01'), soon, soon);
  expect(await backUp(file, new Date('2026-05-02T08:00:00Z'))).toBe(false);
  const past = new Date(0);
  await utimes(backupFile(file, '2026-05-01'), past, past);
  await planters.create({ name: 'After', value: design });
  expect(await backUp(file, new Date('2026-05-03T08:00:00Z'))).toBe(true);
  expect(await backupsOf(file)).toEqual(['2026-05-01', '2026-05-03']);
  expect(await readdir(backupFolder(file))).not.toContain('half-written.sqlite');
  await database.close();

  // Put in the garden's place, the first copy is the garden of that day.
  const restored = join(folder, 'restored.sqlite');
  await copyFile(backupFile(file, '2026-05-01'), restored);
  const again = await openDatabase(restored);
  const { kept } = await servicesOf(again).planters.list();
  expect(kept.map(({ name }) => name)).toEqual(['Before']);
  await again.close();
});

test('a day’s copy never takes the place of a better one', async () => {
  const file = join(folder, 'huerta.sqlite');
  const database = await openDatabase(file);
  const { planters } = servicesOf(database);
  for (const name of ['One', 'Two', 'Three']) await planters.create({ name, value: design });
  const at = (hour: number) => new Date(Date.UTC(2026, 4, 1, hour));
  expect(await backUp(file, at(8))).toBe(true);
  const past = new Date(0);
  await utimes(backupFile(file, '2026-05-01'), past, past);
  // Something went wrong with the garden, and its rows are gone.
  await database.sequelize.query('DELETE FROM documents');
  expect(await backUp(file, at(9))).toBe(true);
  expect(await backupsOf(file)).toEqual(['2026-05-01', '2026-05-01T090000']);
  await database.close();
  const kept = await openDatabase(backupFile(file, '2026-05-01T090000'));
  expect((await servicesOf(kept).planters.list()).kept).toHaveLength(3);
  await kept.close();
});

test('a garden’s file of no bytes is damage where there are copies or pictures, and else a new garden', async () => {
  const file = join(folder, 'huerta.sqlite');
  await writeFile(file, '');
  await (await openDatabase(file)).close();
  const database = await openDatabase(file);
  await backUp(file, new Date('2026-05-01T08:00:00Z'));
  await database.close();
  await writeFile(file, '');
  await expect(openDatabase(file)).rejects.toThrow(DamagedGarden);
  expect((await stat(file)).size).toBe(0);
});

test('a year of copies, one a day, comes to seven days, four weeks and six months', () => {
  let kept: string[] = [];
  for (let n = 0; n < 365; n += 1) {
    kept = [...kept, dayOf(n)];
    const drop = new Set(expired(kept, dayOf(n)));
    kept = kept.filter((day) => !drop.has(day));
  }
  const today = dayOf(364);
  expect(kept.slice(-7)).toEqual([358, 359, 360, 361, 362, 363, 364].map(dayOf));
  expect(kept.length).toBeLessThanOrEqual(7 + 4 + 6);
  const months = new Set(kept.map((day) => day.slice(0, 7)));
  expect(months.size).toBeGreaterThanOrEqual(5);
  expect(kept).toContain(today);
});

test('a copy beside the daily ones stays four weeks, whatever copies there are, and takes no day’s place', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { minLength: 1 }),
      fc.uniqueArray(fc.integer({ min: 0, max: 90 }), { minLength: 1 }),
      (some, asides) => {
        const days = some.map(dayOf);
        const beside = asides.map((n) => `${dayOf(n)}T081500`);
        const last = Math.max(...some, ...asides);
        const drop = expired([...days, ...beside], dayOf(last));
        const young = asides.filter((n) => last - n < 28).map((n) => `${dayOf(n)}T081500`);
        for (const name of young) expect(drop).not.toContain(name);
        const daily = drop.filter((name) => !name.includes('T'));
        expect(daily).toEqual(expired(days, dayOf(last)));
      },
    ),
  );
});

test('the newest copy is never dropped, and what is dropped was there', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 900 }), { minLength: 1 }), (some) => {
      const days = some.map(dayOf);
      const today = dayOf(Math.max(...some));
      const drop = expired(days, today);
      expect(drop).not.toContain(today);
      for (const day of drop) expect(days).toContain(day);
      // Dropping twice drops no more.
      expect(
        expired(
          days.filter((day) => !drop.includes(day)),
          today,
        ),
      ).toEqual([]);
    }),
  );
});
