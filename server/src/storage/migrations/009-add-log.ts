import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** The log: entries that are only ever added, each under the id that its device gave it. */
export const addLog: RunnableMigration<QueryInterface> = {
  name: '009-add-log',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE log_entries (
        id TEXT PRIMARY KEY, planter TEXT NOT NULL, at TEXT NOT NULL, entry TEXT NOT NULL,
        received_at TEXT NOT NULL) WITHOUT ROWID`);
    await sequelize.query('CREATE INDEX log_by_planter ON log_entries (planter, at)');
    await sequelize.query('CREATE INDEX log_by_time ON log_entries (at)');
  },
};
