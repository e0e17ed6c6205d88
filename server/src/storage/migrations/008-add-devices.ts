import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Devices that were let in, with a hash of each one's secret, and whether the door is open. */
export const addDevices: RunnableMigration<QueryInterface> = {
  name: '008-add-devices',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE devices (
        id TEXT PRIMARY KEY, name TEXT NOT NULL, hash TEXT NOT NULL,
        created_at TEXT NOT NULL, last_at TEXT NOT NULL)`);
    await sequelize.query('CREATE TABLE settings (key TEXT PRIMARY KEY, value TEXT NOT NULL)');
  },
};
