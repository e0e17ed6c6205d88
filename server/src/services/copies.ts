import { stat } from 'node:fs/promises';
import { dirname } from 'node:path';
import type { Backups } from '@huerta/contract';
import { backUp, backupFile, backupsOf, putBack } from '../storage/backups';
import { openDatabase, type Database } from '../storage/database';

/** The copies of the garden beside it. */
export interface Copies {
  list(): Promise<Backups>;
  /** Copies the garden if it changed since the last copy. */
  make(): Promise<boolean>;
  /**
   * Puts the garden back as it was in a copy.
   *
   * @returns the copy of what was there until now; null where there is no copy of that name
   */
  putBack(name: string): Promise<{ before: string } | null>;
}

/** @param onPutBack told after the garden became another */
export function copiesOf(
  { sequelize }: Database,
  file: string,
  onPutBack: () => void = () => undefined,
  now: () => Date = () => new Date(),
): Copies {
  /** One after the other: each begins from what the last one left. */
  let last: Promise<unknown> = Promise.resolve();
  const inTurn = <T>(work: () => Promise<T>): Promise<T> => {
    const mine = last.then(work, work);
    last = mine.catch(() => undefined);
    return mine;
  };
  return {
    async list() {
      const copies = await Promise.all(
        (await backupsOf(file)).map(async (name) => {
          const { size, mtime } = await stat(backupFile(file, name));
          return {
            name,
            at: mtime.toISOString(),
            daily: !name.includes('T'),
            bytes: size,
          };
        }),
      );
      return { folder: dirname(file), copies: copies.reverse() };
    },
    make: () => inTurn(() => backUp(file, now())),
    putBack: (name) =>
      inTurn(async () => {
        if (!(await backupsOf(file)).includes(name)) return null;
        const before = await putBack(sequelize, file, name, now(), async (copy) => {
          await (await openDatabase(copy)).close();
        });
        onPutBack();
        return { before };
      }),
  };
}
