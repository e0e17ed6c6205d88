import { QueryTypes, type Sequelize } from 'sequelize';

/** A device that was let in. */
export interface DeviceRow {
  id: string;
  name: string;
  /** SHA-256 of its secret. */
  hash: string;
  createdAt: string;
  lastAt: string;
}

export type DeviceTable = ReturnType<typeof deviceTable>;

const ROW = 'id, name, hash, created_at AS createdAt, last_at AS lastAt';

/** The devices that were let in, and settings of this garden that are no documents. */
export function deviceTable(sequelize: Sequelize) {
  const select = <T extends object>(sql: string, bind: Record<string, unknown>): Promise<T[]> =>
    sequelize.query<T>(sql, { bind, type: QueryTypes.SELECT });
  return {
    all: () => select<DeviceRow>(`SELECT ${ROW} FROM devices ORDER BY created_at, id`, {}),

    async add(row: DeviceRow): Promise<void> {
      await sequelize.query(
        `INSERT INTO devices (id, name, hash, created_at, last_at)
         VALUES ($id, $name, $hash, $createdAt, $lastAt)`,
        { bind: { ...row } },
      );
    },

    async came(id: string, lastAt: string): Promise<void> {
      await sequelize.query('UPDATE devices SET last_at = $lastAt WHERE id = $id', {
        bind: { id, lastAt },
      });
    },

    /** @returns whether there was one */
    async remove(id: string): Promise<boolean> {
      const rows = await select<{ id: string }>('DELETE FROM devices WHERE id = $id RETURNING id', {
        id,
      });
      return rows.length > 0;
    },

    async setting(key: string): Promise<string | null> {
      const rows = await select<{ value: string }>('SELECT value FROM settings WHERE key = $key', {
        key,
      });
      return rows[0]?.value ?? null;
    },

    async set(key: string, value: string): Promise<void> {
      await sequelize.query(
        `INSERT INTO settings (key, value) VALUES ($key, $value)
         ON CONFLICT (key) DO UPDATE SET value = excluded.value`,
        { bind: { key, value } },
      );
    },
  };
}
