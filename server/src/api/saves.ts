import { toAnswer, type Kept, type Kind, type Save } from '../services/documents';

/** What a saved document of a kind is answered as. */
export const answering =
  <T>(kind: Kind<T>) =>
  (kept: Kept<T>) =>
    toAnswer(kind, kept);

interface Mark {
  revision: number;
  saveId?: string | undefined;
  after?: string[] | undefined;
}

/** How a save says what it is based on. */
export const saveOf = ({ revision, saveId = undefined, after = [] }: Mark): Save => ({
  revision,
  saveId: saveId ?? null,
  after,
});
