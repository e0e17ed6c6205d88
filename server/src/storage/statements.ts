import type { Sequelize } from 'sequelize';
import type sqlite3 from 'sqlite3';

/** Runs one statement and gives its rows. Names in it are written as `$name`. */
export type Statement = <T extends object>(
  sql: string,
  bind: Readonly<Record<string, unknown>>,
) => Promise<T[]>;

/** The connection that Sequelize holds, and the statements that were prepared on it, by their text. */
interface Connection {
  database: sqlite3.Database;
  prepared: Map<string, Promise<sqlite3.Statement>>;
}

const connections = new WeakMap<Sequelize, Promise<Connection>>();

/** Statements that are kept prepared; those whose text changes with what is asked would be without end. */
const MOST_PREPARED = 200;

async function connect(sequelize: Sequelize): Promise<Connection> {
  const { connectionManager } = sequelize as unknown as {
    connectionManager: { getConnection(options: object): Promise<sqlite3.Database> };
  };
  return { database: await connectionManager.getConnection({}), prepared: new Map() };
}

function connectionOf(sequelize: Sequelize): Promise<Connection> {
  const known = connections.get(sequelize);
  if (known) return known;
  const made = connect(sequelize);
  connections.set(sequelize, made);
  return made;
}

/** A statement ready to run: prepared once, and kept where it is asked again and again. */
function preparedIn({ database, prepared }: Connection, sql: string): Promise<sqlite3.Statement> {
  const known = prepared.get(sql);
  if (known) return known;
  const made = new Promise<sqlite3.Statement>((done, fail) => {
    const statement = database.prepare(sql, (error: Error | null) =>
      error ? fail(error) : done(statement),
    );
  });
  if (prepared.size < MOST_PREPARED) prepared.set(sql, made);
  made.catch(() => prepared.delete(sql));
  return made;
}

const finalized = (statement: sqlite3.Statement): Promise<void> =>
  new Promise((done) => statement.finalize(() => done()));

/** Lets go of what is kept prepared, without which a database does not close. */
export async function letGo(sequelize: Sequelize): Promise<void> {
  const connection = await connections.get(sequelize);
  connections.delete(sequelize);
  for (const made of connection?.prepared.values() ?? []) {
    const statement = await made.catch(() => null);
    if (statement) await finalized(statement);
  }
}

/** What writes wait for, while another connection has the garden to itself. */
const held = new WeakMap<Sequelize, Promise<void>>();

/**
 * Holds back what is to be written on the one connection while something is done on another that writes too. Waiting
 * in SQLite itself would take the threads that the other one needs.
 */
export async function withWritesHeld<T>(sequelize: Sequelize, work: () => Promise<T>): Promise<T> {
  await held.get(sequelize);
  let letGoOf: () => void = () => undefined;
  held.set(
    sequelize,
    new Promise((done) => {
      letGoOf = done;
    }),
  );
  try {
    return await work();
  } finally {
    held.delete(sequelize);
    letGoOf();
  }
}

const READS = /^\s*(SELECT|PRAGMA)/i;

/**
 * Statements straight to SQLite, on the one connection that Sequelize holds, so that they keep its order. What
 * is asked with every request has no need of its machinery, which takes three times as long as the asking.
 *
 * @returns errors carry SQLite's own as `parent`, as Sequelize's do
 */
export function statementsOf(sequelize: Sequelize): Statement {
  return async <T extends object>(sql: string, bind: Readonly<Record<string, unknown>>) => {
    const named = Object.fromEntries(Object.entries(bind).map(([name, of]) => [`$${name}`, of]));
    if (!READS.test(sql)) await held.get(sequelize);
    const connection = await connectionOf(sequelize);
    try {
      const statement = await preparedIn(connection, sql);
      const rows = await allOf<T>(statement, named);
      if (!connection.prepared.has(sql)) await finalized(statement);
      return rows;
    } catch (error) {
      throw Object.assign(new Error((error as Error).message), { parent: error });
    }
  };
}

const allOf = <T>(statement: sqlite3.Statement, named: object): Promise<T[]> =>
  new Promise((done, fail) => {
    statement.all(named, (error: Error | null, rows: T[]) => (error ? fail(error) : done(rows)));
  });
