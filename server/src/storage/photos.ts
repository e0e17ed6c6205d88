import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** A photo as it lies in the table. */
interface PhotoRow {
  id: string;
  hash: string;
  width: number;
  height: number;
}

/** The table of photos. One that is known stays as it is. */
export interface PhotoTable {
  add(row: PhotoRow, receivedAt: string): Promise<void>;
  find(id: string): Promise<PhotoRow | null>;
  all(): Promise<PhotoRow[]>;
}

export function photoTable(sequelize: Sequelize): PhotoTable {
  const ask = statementsOf(sequelize);
  return {
    async add(row, receivedAt) {
      await ask(
        `INSERT INTO photos (id, hash, width, height, received_at)
         VALUES ($id, $hash, $width, $height, $receivedAt) ON CONFLICT (id) DO NOTHING`,
        { ...row, receivedAt },
      );
    },
    async find(id) {
      const [row] = await ask<PhotoRow>(
        'SELECT id, hash, width, height FROM photos WHERE id = $id',
        { id },
      );
      return row ?? null;
    },
    all: () => ask<PhotoRow>('SELECT id, hash, width, height FROM photos ORDER BY id', {}),
  };
}
