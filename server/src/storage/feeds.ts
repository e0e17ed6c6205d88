import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** An address with a secret of its own, for a calendar or a station: it can do one thing. */
export interface FeedRow {
  id: string;
  name: string;
  kind: 'calendar' | 'weather' | 'readings';
  /** The planter whose readings are told. */
  planter: string | null;
  /** SHA-256 of its secret. */
  hash: string;
  createdAt: string;
  /** When it was last used. */
  lastAt: string | null;
}

export interface FeedTable {
  all(): Promise<FeedRow[]>;
  add(row: FeedRow): Promise<void>;
  used(id: string, at: string): Promise<void>;
  /** @returns whether there was one */
  remove(id: string): Promise<boolean>;
}

const ROW = 'id, name, kind, planter, hash, created_at AS createdAt, last_at AS lastAt';

export function feedTable(sequelize: Sequelize): FeedTable {
  const ask = statementsOf(sequelize);
  return {
    all: () => ask<FeedRow>(`SELECT ${ROW} FROM feeds ORDER BY created_at, id`, {}),
    async add(row) {
      await ask(
        `INSERT INTO feeds (id, name, kind, planter, hash, created_at, last_at)
         VALUES ($id, $name, $kind, $planter, $hash, $createdAt, $lastAt)`,
        { ...row },
      );
    },
    async used(id, at) {
      await ask('UPDATE feeds SET last_at = $at WHERE id = $id', { id, at });
    },
    async remove(id) {
      return (await ask('DELETE FROM feeds WHERE id = $id RETURNING id', { id })).length > 0;
    },
  };
}
