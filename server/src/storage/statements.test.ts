import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, type Database } from './database';
import { statementsOf, type Statement } from './statements';

/** Statements that stay prepared: what they answer, what they do after an error, and how they are let go of. */

let folder: string;
let database: Database;
let ask: Statement;

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-statements-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  ask = statementsOf(database.sequelize);
  await ask('CREATE TABLE things (id INTEGER PRIMARY KEY, name TEXT NOT NULL)', {});
});
afterEach(async () => {
  await database.close().catch(() => undefined);
  await rm(folder, { recursive: true });
});

const INSERT = 'INSERT INTO things (id, name) VALUES ($id, $name) RETURNING id, name';
const BY_ID = 'SELECT name FROM things WHERE id = $id';

test('each asking has its own values, also many at once', async () => {
  const ids = Array.from({ length: 40 }, (_, i) => i + 1);
  const made = await Promise.all(ids.map((id) => ask(INSERT, { id, name: `thing ${id}` })));
  expect(made.flat()).toEqual(ids.map((id) => ({ id, name: `thing ${id}` })));
  const read = await Promise.all(ids.map((id) => ask<{ name: string }>(BY_ID, { id })));
  expect(read.map(([row]) => row?.name)).toEqual(ids.map((id) => `thing ${id}`));
  expect(await ask(BY_ID, { id: 99 })).toEqual([]);
});

test('an error carries SQLite’s own, and the statement goes on after it', async () => {
  await ask(INSERT, { id: 1, name: 'one' });
  await expect(ask(INSERT, { id: 1, name: 'again' })).rejects.toMatchObject({
    parent: { code: 'SQLITE_CONSTRAINT' },
  });
  expect(await ask(INSERT, { id: 2, name: 'two' })).toEqual([{ id: 2, name: 'two' }]);
  // Nothing is held: another connection writes at once.
  const other = await openDatabase(database.file);
  await statementsOf(other.sequelize)(INSERT, { id: 3, name: 'three' });
  await other.close();
  expect(await ask('SELECT count(*) AS n FROM things', {})).toEqual([{ n: 3 }]);
});

test('what is no statement is said each time it is asked', async () => {
  for (let i = 0; i < 2; i += 1) {
    await expect(ask('SELECT nothing FROM nowhere', {})).rejects.toMatchObject({
      parent: { code: 'SQLITE_ERROR' },
    });
  }
});

test('statements without end do not pile up, and the database closes with all of them', async () => {
  for (let i = 0; i < 200; i += 1) {
    expect(await ask(`SELECT ${i} AS n`, {})).toEqual([{ n: i }]);
  }
  await database.close();
  const again = await openDatabase(database.file);
  expect(await statementsOf(again.sequelize)('SELECT 1 AS one', {})).toEqual([{ one: 1 }]);
  await again.close();
});
