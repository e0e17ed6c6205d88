import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Photos by the id that a device gave them; the pictures lie as files under their hash. */
export const addPhotos: RunnableMigration<QueryInterface> = {
  name: '011-add-photos',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE photos (
        id TEXT PRIMARY KEY, hash TEXT NOT NULL, width INTEGER NOT NULL, height INTEGER NOT NULL,
        received_at TEXT NOT NULL) WITHOUT ROWID`);
  },
};
