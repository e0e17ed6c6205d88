import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Sequelize wrote '2026-05-01 08:00:00.000 +00:00'. */
const iso = (column: string): string => `replace(substr(${column}, 1, 23), ' ', 'T') || 'Z'`;

const NEW = `
  CREATE TABLE documents (
    kind TEXT NOT NULL, id TEXT NOT NULL, name TEXT NOT NULL, text TEXT NOT NULL, format TEXT,
    revision INTEGER NOT NULL, save_id TEXT, created_at TEXT NOT NULL, updated_at TEXT NOT NULL,
    deleted_at TEXT, summary TEXT, summary_by TEXT, PRIMARY KEY (kind, id));
  CREATE TABLE document_revisions (
    kind TEXT NOT NULL, id TEXT NOT NULL, revision INTEGER NOT NULL, text TEXT NOT NULL,
    created_at TEXT NOT NULL, PRIMARY KEY (kind, id, revision));
  CREATE TABLE marks (
    planter_id TEXT NOT NULL, key TEXT NOT NULL, value TEXT NOT NULL, at TEXT NOT NULL,
    PRIMARY KEY (planter_id, key))`;

const MOVED = `
  INSERT INTO documents (kind, id, name, text, revision, save_id, created_at, updated_at, deleted_at)
    SELECT 'planter', id, name, design, revision, save_id, ${iso('created_at')}, ${iso('updated_at')},
      ${iso('deleted_at')} FROM planters;
  INSERT INTO documents (kind, id, name, text, revision, created_at, updated_at, deleted_at)
    SELECT 'vessel', id, name, vessel, 1, ${iso('created_at')}, ${iso('updated_at')},
      ${iso('deleted_at')} FROM vessels;
  INSERT INTO documents (kind, id, name, text, revision, created_at, updated_at)
    SELECT 'prices', 'garden', 'Price book', book, revision, ${iso('created_at')}, ${iso('updated_at')}
    FROM price_books;
  INSERT INTO documents (kind, id, name, text, revision, created_at, updated_at)
    SELECT 'weather', 'garden', 'Weather', choice, 1, ${iso('created_at')}, ${iso('updated_at')} FROM weather;
  INSERT INTO documents (kind, id, name, text, revision, created_at, updated_at)
    SELECT 'season', planter_id, 'Season plan', plan, 1, ${iso('created_at')}, ${iso('updated_at')}
    FROM seasons;
  INSERT INTO document_revisions (kind, id, revision, text, created_at)
    SELECT 'planter', planter_id, revision, design, ${iso('created_at')} FROM planter_revisions;
  INSERT INTO marks SELECT planter_id, key, value, at FROM progress`;

/** Old tables, those that point at others first. */
const OLD = [
  'progress',
  'seasons',
  'planter_revisions',
  'planters',
  'vessels',
  'price_books',
  'weather',
];

/** All documents in one table with one history, instead of a table for each kind. */
export const oneTableOfDocuments: RunnableMigration<QueryInterface> = {
  name: '007-one-table-of-documents',
  async up({ context }) {
    const { sequelize } = context;
    await sequelize.transaction(async (transaction) => {
      const run = (sql: string) => sequelize.query(sql, { transaction });
      for (const sql of [...NEW.split(';'), ...MOVED.split(';')]) await run(sql);
      for (const table of OLD) await run(`DROP TABLE ${table}`);
      await run('ALTER TABLE marks RENAME TO progress');
      await run('CREATE INDEX documents_order ON documents (kind, deleted_at, created_at, id)');
      // The database itself keeps what a save replaces, in the same statement and to the same disk.
      await run(`
        CREATE TRIGGER document_history AFTER UPDATE OF revision ON documents
        WHEN OLD.revision <> NEW.revision
        BEGIN
          INSERT OR REPLACE INTO document_revisions (kind, id, revision, text, created_at)
          VALUES (OLD.kind, OLD.id, OLD.revision, OLD.text, OLD.updated_at);
        END`);
    });
  },
};
