import { stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { Backups } from '@huerta/contract';
import { backUp, backupFile, backupsOf, putBack } from '../store/backups';
import { openDatabase, type Database } from '../store/database';

/** The daily copies of the garden beside it. */
export interface Copies {
  list(): Promise<Backups>;
  /** Copies the garden if it changed since the last copy. */
  make(): Promise<boolean>;
  /** Puts the garden back as it was on a day. @returns whether there is a copy of it */
  putBack(day: string): Promise<boolean>;
}

export function copiesOf(
  { sequelize }: Database,
  file: string,
  now: () => Date = () => new Date(),
): Copies {
  const today = () => now().toISOString().slice(0, 10);
  return {
    async list() {
      const days = await Promise.all(
        (await backupsOf(file)).map(async (day) => ({
          day,
          bytes: (await stat(backupFile(file, day))).size,
        })),
      );
      return { folder: dirname(file), days: days.reverse() };
    },
    make: () => backUp(sequelize, file, today()),
    async putBack(day) {
      if (!(await backupsOf(file)).includes(day)) return false;
      await putBack(sequelize, file, day, today(), async (copy) => {
        await (await openDatabase(copy)).close();
      });
      return true;
    },
  };
}
