import { copyFileSync, cpSync, mkdirSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import sqlite3 from 'sqlite3';
import {
  gardenSchema,
  logSchema,
  measuredDaysSchema,
  planterListSchema,
  progressSchema,
  tendedLogSchema,
  vesselListSchema,
} from '@huerta/contract';
import type { ChildProcess } from 'node:child_process';
import { fillGarden } from './everything';
import { base, end, start } from './server';

/** Flipped bits in every column of every table, and files that are cut: the rest of the garden opens. */

export interface Damaged {
  flips: number;
  /** Answers of 500 or more, and lists that their own schemas do not take. */
  closed: number;
  /** Other rows that were not there any more. */
  lost: number;
  /** Files of the garden that could not be taken away. */
  noFile: number;
  byTable: Record<string, number>;
  /** Columns of which at least one value was flipped so far, all there are, and those that hold nothing. */
  columnsReached: number;
  columnsAll: number;
  columnsEmpty: string;
  cut: { files: number; offered: number; opened: number; wrong: number };
}

type Row = Record<string, unknown>;
const open = (file: string): Promise<sqlite3.Database> =>
  new Promise((done, fail) => {
    const database: sqlite3.Database = new sqlite3.Database(file, (error) =>
      error ? fail(error) : done(database),
    );
  });
const all = (database: sqlite3.Database, sql: string, bind: unknown[] = []): Promise<Row[]> =>
  new Promise((done, fail) => {
    database.all<Row>(sql, bind, (error, rows) => (error ? fail(error) : done(rows)));
  });
const close = (database: sqlite3.Database): Promise<void> =>
  new Promise((done) => database.close(() => done()));

/** Tables whose rows mean nothing to a garden by themselves. */
const NOT_FLIPPED = new Set(['sqlite_sequence']);

/** Flips one bit in one column of one row of a table. @returns what was flipped, or null where it has no row */
async function flip(file: string, table: string, column: string): Promise<boolean> {
  const database = await open(file);
  try {
    const [{ sql = '' } = {}] = (await all(
      database,
      `SELECT sql FROM sqlite_master WHERE name = ?`,
      [table],
    )) as { sql?: string }[];
    const keyed = /WITHOUT ROWID/i.test(sql)
      ? ((await all(database, `SELECT name FROM pragma_table_info(?) WHERE pk = 1`, [table]))[0]
          ?.name as string)
      : 'rowid';
    const [row] = await all(
      database,
      `SELECT ${keyed} AS key, typeof(${column}) AS type, CAST(${column} AS BLOB) AS bytes FROM ${table}
       WHERE ${column} IS NOT NULL ORDER BY random() LIMIT 1`,
    );
    if (!row) return false;
    const bytes = Buffer.from(row.bytes as Buffer);
    if (bytes.length === 0) return false;
    const at = Math.floor(Math.random() * bytes.length);
    bytes[at] = (bytes[at] ?? 0) ^ (1 << Math.floor(Math.random() * 8));
    const value = row.type === 'text' ? `CAST(? AS TEXT)` : '?';
    await all(database, `UPDATE OR IGNORE ${table} SET ${column} = ${value} WHERE ${keyed} IS ?`, [
      row.type === 'integer' ? bytes.toString('latin1') : bytes,
      row.key,
    ]);
    return true;
  } finally {
    await close(database);
  }
}

const LISTS = [
  ['/garden', gardenSchema],
  ['/planters', planterListSchema],
  ['/vessels', vesselListSchema],
  ['/log', logSchema],
  ['/round/log', tendedLogSchema],
  ['/weather/days', measuredDaysSchema],
] as const;
const OTHERS = [
  '/prices',
  '/weather',
  '/round',
  '/crops',
  '/seasons',
  '/door',
  '/feeds',
  '/backups',
];

/** Asks for everything that pages open with. @returns how many could not be read */
async function look(): Promise<{ closed: number; planters: number; entries: number }> {
  let closed = 0;
  const counts = { planters: 0, entries: 0 };
  for (const [path, schema] of LISTS) {
    const answer = await fetch(`${base}${path}`);
    const parsed = schema.safeParse(await answer.json().catch(() => null));
    if (!answer.ok || !parsed.success) {
      closed += 1;
      console.error(`${path} was answered ${answer.status}: ${parsed.error?.message ?? ''}`);
    } else if (path === '/planters')
      counts.planters = (parsed.data as { planters: unknown[] }).planters.length;
    else if (path === '/log')
      counts.entries = (parsed.data as { entries: unknown[] }).entries.length;
  }
  for (const path of OTHERS) {
    const answer = await fetch(`${base}${path}`);
    await answer.arrayBuffer();
    if (answer.status >= 500) {
      closed += 1;
      console.error(`${path} was answered ${answer.status}`);
    }
  }
  const planters = (
    (await (await fetch(`${base}/planters`)).json()) as { planters: { id: string }[] }
  ).planters;
  for (const { id } of planters.slice(0, 3)) {
    for (const path of ['progress', 'season', 'history', 'log', 'drawing']) {
      const answer = await fetch(`${base}/planters/${id}/${path}`);
      const body = (await answer.json().catch(() => null)) as unknown;
      const wrong = path === 'progress' && !progressSchema.safeParse(body).success;
      if (answer.status >= 500 || wrong) {
        closed += 1;
        console.error(`/planters/${id}/${path} was answered ${answer.status}`);
      }
    }
  }
  return { closed, ...counts };
}

/** The next column to be damaged, and those that were or that hold nothing: a turn goes on where the last one ended. */
let next = 0;
const reached = new Set<string>();
const empty = new Set<string>();

/** Columns of all tables, as table and name. */
async function columnsOf(database: sqlite3.Database): Promise<[string, string][]> {
  const tables = (await all(database, `SELECT name FROM sqlite_master WHERE type = 'table'`))
    .map(({ name }) => String(name))
    .filter((name) => !NOT_FLIPPED.has(name));
  const columns: [string, string][] = [];
  for (const table of tables)
    for (const { name } of await all(database, `SELECT name FROM pragma_table_info(?)`, [table]))
      columns.push([table, String(name)]);
  return columns;
}

/** A garden with a row in every table, one of them set aside because it was damaged already. */
async function wholeGarden(folder: string): Promise<void> {
  await fillGarden(folder);
  const database = await open(join(folder, 'huerta.sqlite'));
  await all(
    database,
    `UPDATE log_entries SET entry = '{' WHERE id = (SELECT id FROM log_entries LIMIT 1)`,
  );
  await close(database);
  const server = await start(folder);
  await look();
  await end(server, 'SIGTERM');
}

export async function damaging(scratch: string, until: number): Promise<Damaged> {
  const told: Damaged = {
    ...{ flips: 0, closed: 0, lost: 0, noFile: 0, byTable: {} },
    ...{ columnsReached: 0, columnsAll: 0, columnsEmpty: '' },
    cut: { files: 0, offered: 0, opened: 0, wrong: 0 },
  };
  const good = join(scratch, 'whole');
  mkdirSync(good, { recursive: true });
  await wholeGarden(good);
  const database = await open(join(good, 'huerta.sqlite'));
  const columns = await columnsOf(database);
  const [{ n: planters } = { n: 0 }] = (await all(
    database,
    `SELECT count(*) AS n FROM documents WHERE kind = 'planter' AND deleted_at IS NULL`,
  )) as { n: number }[];
  await close(database);
  const folder = join(scratch, 'damaged');
  for (; Date.now() < until; next += 1) {
    const [table, column] = columns[next % columns.length]!;
    rmSync(folder, { recursive: true, force: true });
    cpSync(good, folder, { recursive: true });
    const file = join(folder, 'huerta.sqlite');
    if (!(await flip(file, table, column))) {
      empty.add(`${table}.${column}`);
      continue;
    }
    reached.add(`${table}.${column}`);
    told.flips += 1;
    told.byTable[table] = (told.byTable[table] ?? 0) + 1;
    const server = await start(folder).catch((error: unknown) => {
      console.error(`${table}.${column}: ${String(error)}`);
      return null;
    });
    if (!server) {
      told.closed += 1;
      continue;
    }
    await judge(server, table, planters, told);
    if (next % 10 === 0) await cut(folder, told);
  }
  const holdNothing = [...empty].filter((column) => !reached.has(column)).join(', ');
  return {
    ...told,
    ...{ columnsReached: reached.size, columnsAll: columns.length, columnsEmpty: holdNothing },
  };
}

async function judge(
  server: ChildProcess,
  table: string,
  planters: number,
  told: Damaged,
): Promise<void> {
  const mending = (await fetch(`${base}/health`)).status === 503;
  // The table of migrations says which Huerta wrote the file: where it is damaged the copies are offered.
  if (mending) {
    if (table !== 'migrations') told.closed += 1;
  } else {
    const seen = await look();
    told.closed += seen.closed;
    // At the most the one row that was damaged is gone.
    if (seen.planters < planters - 1) told.lost += planters - 1 - seen.planters;
    const zip = await fetch(`${base}/garden.zip`);
    const bytes = Buffer.from(await zip.arrayBuffer().catch(() => new ArrayBuffer(0)));
    if (!zip.ok || bytes.subarray(0, 2).toString() !== 'PK') told.noFile += 1;
  }
  await end(server, 'SIGTERM');
}

/** A garden's file that is cut, or empty, beside a good copy: the copy is offered, and never replaced. */
async function cut(folder: string, told: Damaged): Promise<void> {
  const file = join(folder, 'huerta.sqlite');
  for (const end_ of ['-wal', '-shm']) rmSync(`${file}${end_}`, { force: true });
  const copies = join(folder, 'backups');
  mkdirSync(copies, { recursive: true });
  copyFileSync(file, join(copies, 'huerta-2026-05-01.sqlite'));
  const kind = Math.floor(Math.random() * 3);
  if (kind === 0) truncateSync(file, 0);
  else if (kind === 1) truncateSync(file, 4096 * (1 + Math.floor(Math.random() * 8)));
  else writeFileSync(file, 'no garden at all');
  told.cut.files += 1;
  const server = await start(folder).catch(() => null);
  if (!server) {
    told.cut.wrong += 1;
    return;
  }
  const page = await fetch(`${base}/mend`);
  if (page.ok && (await page.text()).includes('2026-05-01')) told.cut.offered += 1;
  else {
    const answer = await fetch(`${base}/planters`);
    const { planters = [] } = (await answer.json()) as { planters?: unknown[] };
    if (planters.length > 0) told.cut.opened += 1;
    else told.cut.wrong += 1;
  }
  await end(server, 'SIGTERM');
}
