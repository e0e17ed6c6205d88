import type { PriceBookResource } from '@huerta/contract';
import { NEW_BOOK, priceBookSchema, type PriceBook } from '@huerta/core';
import { UniqueConstraintError } from 'sequelize';
import type { PriceBookModel } from '../store/build';
import { problem } from './problems';

/** The garden's one price book. */
export interface PriceService {
  get(): Promise<PriceBookResource>;
  /** @throws ProblemError conflict when it was changed elsewhere since that revision */
  save(revision: number, book: PriceBook): Promise<PriceBookResource>;
}

const ONLY = 1;

export function priceService(books: PriceBookModel): PriceService {
  const changed = () =>
    problem(
      'conflict',
      409,
      'Changed elsewhere',
      'The price book was changed in another window. Load it again; what you typed here is still in its fields.',
    );
  return {
    async get() {
      const row = await books.findByPk(ONLY);
      if (!row) return { revision: 0, book: NEW_BOOK };
      return { revision: row.revision, book: priceBookSchema.parse(JSON.parse(row.book)) };
    },
    async save(revision, book) {
      const next = { revision: revision + 1, book: JSON.stringify(book) };
      if (revision === 0) {
        await books.create({ id: ONLY, ...next }).catch((error: unknown) => {
          throw error instanceof UniqueConstraintError ? changed() : error;
        });
      } else {
        const [count] = await books.update(next, { where: { id: ONLY, revision } });
        if (count === 0) throw changed();
      }
      return { revision: revision + 1, book };
    },
  };
}
