import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Addresses with a secret of their own, for calendars and stations: each can ask or tell one thing. */
export const addFeeds: RunnableMigration<QueryInterface> = {
  name: '013-add-feeds',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE feeds (
        id TEXT PRIMARY KEY, name TEXT NOT NULL, kind TEXT NOT NULL, planter TEXT, hash TEXT NOT NULL,
        created_at TEXT NOT NULL, last_at TEXT) WITHOUT ROWID`);
  },
};
