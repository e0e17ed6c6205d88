import type { Sequelize } from 'sequelize';
import type sqlite3 from 'sqlite3';

/** Runs one statement and gives its rows. Names in it are written as `$name`. */
export type Statement = <T extends object>(
  sql: string,
  bind: Readonly<Record<string, unknown>>,
) => Promise<T[]>;

/**
 * Statements straight to SQLite, on the one connection that Sequelize holds, so that they keep its order. What
 * is asked with every request has no need of its machinery, which takes three times as long as the asking.
 *
 * @returns errors carry SQLite's own as `parent`, as Sequelize's do
 */
export function statementsOf(sequelize: Sequelize): Statement {
  const { connectionManager } = sequelize as unknown as {
    connectionManager: { getConnection(options: object): Promise<sqlite3.Database> };
  };
  let connection: Promise<sqlite3.Database> | null = null;
  return async <T extends object>(sql: string, bind: Readonly<Record<string, unknown>>) => {
    const database = await (connection ??= connectionManager.getConnection({}));
    const named = Object.fromEntries(Object.entries(bind).map(([name, of]) => [`$${name}`, of]));
    return new Promise<T[]>((done, fail) => {
      database.all(sql, named, (error: Error | null, rows: T[]) => {
        if (error) fail(Object.assign(new Error(error.message), { parent: error }));
        else done(rows);
      });
    });
  };
}
