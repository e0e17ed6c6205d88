import { QueryTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';
import { checksumOf } from '../checksum';

interface Checked {
  id: number;
  format: string;
  text: string;
}

/** Rows that were found damaged, with their bytes as they were: taken out of their tables, so that the rest opens. */
export const addSetAside: RunnableMigration<QueryInterface> = {
  name: '014-add-set-aside',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE set_aside (
        n INTEGER PRIMARY KEY, origin TEXT NOT NULL, name TEXT NOT NULL, why TEXT NOT NULL, row TEXT NOT NULL,
        at TEXT NOT NULL)`);
    // What was checked by a schema says from now on which text it was.
    for (const { id, format, text } of await sequelize.query<Checked>(
      'SELECT rowid AS id, format, text FROM documents WHERE format IS NOT NULL',
      { type: QueryTypes.SELECT },
    ))
      await sequelize.query('UPDATE documents SET format = $format WHERE rowid = $id', {
        bind: { id, format: `${format}.${checksumOf(text)}` },
      });
  },
};
