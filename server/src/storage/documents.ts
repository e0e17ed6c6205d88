import type { DocumentKind } from '@huerta/contract';
import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/**
 * The one table of documents: planters, vessels, the price book, the weather, season plans. Each is JSON text
 * under a kind and an id, with a revision; what a save replaces is kept by a trigger.
 */

/** Times are ISO 8601 in UTC. */
export interface DocumentRow {
  kind: DocumentKind;
  id: string;
  name: string;
  text: string;
  /** Whose schema the text was checked against; another one reads it again with care. */
  format: string | null;
  revision: number;
  /** Of the save that wrote it, given by the device; null for one that gave none. */
  saveId: string | null;
  createdAt: string;
  updatedAt: string;
}

/** A row without its text, as it is given back by what wrote it. */
export type DocumentHead = Omit<DocumentRow, 'text'>;

export interface RevisionRow {
  revision: number;
  text: string;
  createdAt: string;
}

/** What is written by a save. */
export interface Written {
  kind: DocumentKind;
  id: string;
  name: string;
  text: string;
  format: string;
  saveId: string | null;
}

/** What a save is based on. */
export interface Base {
  revision: number;
  after: readonly string[];
  /** Whether it brings a deleted one back. */
  evenDeleted?: boolean;
}

/** A row as it lies there, deleted or not. */
export interface StoredDocument extends DocumentRow {
  deletedAt: string | null;
}

/** What was worked out from a document, with what it was worked out by. */
export interface SummaryRow {
  id: string;
  name: string;
  revision: number;
  createdAt: string;
  updatedAt: string;
  summary: string | null;
}

/** A summary, and of what. */
export interface MadeSummary {
  id: string;
  revision: number;
  summary: string;
}

const HEAD = `kind, id, name, format, revision, save_id AS saveId,
  created_at AS createdAt, updated_at AS updatedAt`;
const ROW = `${HEAD}, text`;

/** What a statement binds, and nothing more: Sequelize refuses what it does not ask for. */
const pick = ({ kind, id, name, text, format, saveId }: Written) => ({
  kind,
  id,
  name,
  text,
  format,
  saveId,
});

export type DocumentTable = ReturnType<typeof documentTable>;

/** The statements on the table. Each is one statement, so that of two at once one comes first. */
// eslint-disable-next-line max-lines-per-function -- one table: its statements are prepared once and share a transaction.
export function documentTable(sequelize: Sequelize) {
  const select = statementsOf(sequelize);
  const first = async <T extends object>(sql: string, bind: Record<string, unknown>) =>
    (await select<T>(sql, bind))[0] ?? null;
  const now = () => new Date().toISOString();

  return {
    /** All of one kind that are not deleted, oldest first. */
    all: (kind: DocumentKind) =>
      select<DocumentRow>(
        `SELECT ${ROW} FROM documents WHERE kind = $kind AND deleted_at IS NULL
         ORDER BY created_at, rowid`,
        { kind },
      ),

    find: (kind: DocumentKind, id: string) =>
      first<DocumentRow>(
        `SELECT ${ROW} FROM documents WHERE kind = $kind AND id = $id AND deleted_at IS NULL`,
        { kind, id },
      ),

    /** Writes one that is not there; null when the id is taken, also by a deleted one. */
    insert: (written: Written) =>
      first<DocumentHead>(
        `INSERT OR IGNORE INTO documents (kind, id, name, text, format, revision, save_id, created_at, updated_at)
         VALUES ($kind, $id, $name, $text, $format, 1, $saveId, $now, $now)
         RETURNING ${HEAD}`,
        { ...pick(written), now: now() },
      ),

    /** Writes over the revision, or over one of the device's own saves; null when neither is there any more. */
    update: (written: Written, { revision, after, evenDeleted = false }: Base) =>
      first<DocumentHead>(
        `UPDATE documents SET name = $name, text = $text, format = $format, save_id = $saveId,
           revision = revision + 1, updated_at = $now, summary = NULL, deleted_at = NULL
         WHERE kind = $kind AND id = $id AND (deleted_at IS NULL OR $evenDeleted)
           AND (revision = $revision OR save_id IN (SELECT value FROM json_each($after)))
         RETURNING ${HEAD}`,
        {
          ...pick(written),
          revision,
          after: JSON.stringify(after),
          evenDeleted: evenDeleted ? 1 : 0,
          now: now(),
        },
      ),

    /** One as it lies there, deleted or not. */
    stored: (kind: DocumentKind, id: string) =>
      first<StoredDocument>(
        `SELECT ${ROW}, deleted_at AS deletedAt FROM documents WHERE kind = $kind AND id = $id`,
        { kind, id },
      ),

    /** A mark of all that was ever written to the garden: the same as long as nothing is. */
    async changes(): Promise<string> {
      const [own] = await select<{ own: number }>('SELECT total_changes() AS own', {});
      const [others] = await select<{ data_version: number }>('PRAGMA data_version', {});
      return `${own?.own} ${others?.data_version}`;
    },

    /** All there is, deleted or not, oldest first. */
    everything: () =>
      select<StoredDocument>(
        `SELECT ${ROW}, deleted_at AS deletedAt FROM documents ORDER BY kind, created_at, rowid`,
        {},
      ),

    /** Puts one in as it was elsewhere, with what it was before its saves there. */
    async put(row: StoredDocument, before: readonly RevisionRow[] = []): Promise<void> {
      const { deletedAt, ...rest } = row;
      await select(
        `INSERT INTO documents
           (kind, id, name, text, format, revision, save_id, created_at, updated_at, deleted_at)
         VALUES ($kind, $id, $name, $text, $format, $revision, $saveId, $createdAt, $updatedAt, $deletedAt)`,
        { ...rest, deletedAt },
      );
      for (const one of before) {
        await select(
          `INSERT OR IGNORE INTO document_revisions (kind, id, revision, text, created_at)
           VALUES ($kind, $id, $revision, $text, $createdAt)`,
          { kind: row.kind, id: row.id, ...one },
        );
      }
    },

    /** Marks as deleted or not. @returns whether there was one */
    async mark(kind: DocumentKind, id: string, deleted: boolean): Promise<boolean> {
      const found = await first<{ id: string }>(
        `UPDATE documents SET deleted_at = $at
         WHERE kind = $kind AND id = $id AND (deleted_at IS NULL OR $back) RETURNING id`,
        { kind, id, at: deleted ? now() : null, back: deleted ? 0 : 1 },
      );
      return found !== null;
    },

    /** What it was before its saves, newest first. */
    revisions: (kind: DocumentKind, id: string) =>
      select<RevisionRow>(
        `SELECT revision, text, created_at AS createdAt FROM document_revisions
         WHERE kind = $kind AND id = $id ORDER BY revision DESC`,
        { kind, id },
      ),

    async dropRevisions(kind: DocumentKind, id: string, drop: readonly number[]): Promise<void> {
      await select(
        `DELETE FROM document_revisions WHERE kind = $kind AND id = $id
           AND revision IN (SELECT value FROM json_each($drop))`,
        { kind, id, drop: JSON.stringify(drop) },
      );
    },

    /** The summaries of one kind that were worked out by this program, null where there is none. */
    summaries: (kind: DocumentKind, by: string) =>
      select<SummaryRow>(
        `SELECT id, name, revision, created_at AS createdAt, updated_at AS updatedAt,
           CASE WHEN summary_by = $by THEN summary END AS summary
         FROM documents WHERE kind = $kind AND deleted_at IS NULL ORDER BY created_at, rowid`,
        { kind, by },
      ),

    /** Keeps summaries in one go, but for those whose document changed meanwhile. */
    async keepSummaries(
      kind: DocumentKind,
      made: readonly MadeSummary[],
      by: string,
    ): Promise<void> {
      if (made.length === 0) return;
      await select(
        `UPDATE documents SET summary = made.value ->> 'summary', summary_by = $by
         FROM json_each($made) AS made
         WHERE kind = $kind AND documents.id = made.value ->> 'id'
           AND revision = made.value ->> 'revision'`,
        { kind, made: JSON.stringify(made), by },
      );
    },
  };
}
