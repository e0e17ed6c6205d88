import sqlite3 from 'sqlite3';

/**
 * A connection of its own to a SQLite file, so that no other work falls into its transaction and it sees the garden
 * as it was when it began.
 */
export interface Connection {
  run(sql: string, bind?: Readonly<Record<string, unknown>>): Promise<void>;
  all<T extends object>(sql: string, bind?: Readonly<Record<string, unknown>>): Promise<T[]>;
  exec(script: string): Promise<void>;
  close(): Promise<void>;
}

/** How long it waits for another writer, milliseconds. */
const PATIENCE_MS = 30_000;

/** Errors of SQLite as Sequelize carries them, so that one table says what they mean. */
const asParent = (error: Error): Error =>
  Object.assign(new Error(error.message), { parent: error });

/** @param readOnly opens nothing that is not there, and changes nothing */
export async function connectTo(file: string, readOnly = false): Promise<Connection> {
  const mode = readOnly ? sqlite3.OPEN_READONLY : sqlite3.OPEN_READWRITE | sqlite3.OPEN_CREATE;
  const database = await new Promise<sqlite3.Database>((done, fail) => {
    const opened: sqlite3.Database = new sqlite3.Database(file, mode, (error) =>
      error ? fail(asParent(error)) : done(opened),
    );
  });
  database.configure('busyTimeout', PATIENCE_MS);
  const named = (bind: Readonly<Record<string, unknown>>) =>
    Object.fromEntries(Object.entries(bind).map(([name, value]) => [`$${name}`, value]));
  return {
    run: (sql, bind = {}) =>
      new Promise((done, fail) => {
        database.run(sql, named(bind), (error) => (error ? fail(asParent(error)) : done()));
      }),
    all: <T extends object>(sql: string, bind: Readonly<Record<string, unknown>> = {}) =>
      new Promise<T[]>((done, fail) => {
        database.all<T>(sql, named(bind), (error, rows) =>
          error ? fail(asParent(error)) : done(rows),
        );
      }),
    exec: (script) =>
      new Promise((done, fail) => {
        database.exec(script, (error) => (error ? fail(asParent(error)) : done()));
      }),
    close: () =>
      new Promise((done) => {
        database.close(() => done());
      }),
  };
}

/** Does something on a connection of its own, which is closed afterwards. */
export async function withConnection<T>(
  file: string,
  work: (connection: Connection) => Promise<T>,
  readOnly = false,
): Promise<T> {
  const connection = await connectTo(file, readOnly);
  try {
    return await work(connection);
  } finally {
    await connection.close();
  }
}

/** A name of a file within a statement. */
export const quoted = (file: string): string => `'${file.replaceAll("'", "''")}'`;
