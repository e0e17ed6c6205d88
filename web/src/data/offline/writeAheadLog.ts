/**
 * Notes of what is on its way into the browser's database. A database answers later; a window may be closed
 * before it does. What is noted here is there at once, is put into the database when Huerta is next opened,
 * and is taken out as soon as the database has it.
 */

/** What is noted lies under this, the shelf's name, and when it was noted. */
const PREFIX = 'huerta.ahead';

let counted = 0;

/** Notes something for a shelf. @returns the note's key, or null where the browser keeps nothing or no more */
export function appendWrite(shelf: string, what: unknown): string | null {
  counted += 1;
  const at = [Date.now(), counted].map((part) => String(part).padStart(15, '0')).join('.');
  const key = `${PREFIX}/${shelf}/${at}`;
  try {
    localStorage.setItem(key, JSON.stringify(what));
    return key;
  } catch {
    return null;
  }
}

/** What is noted for a shelf, in the order in which it was noted. */
export function pendingWrites(shelf: string): { key: string; what: unknown }[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(`${PREFIX}/${shelf}/`))
      .sort()
      .flatMap((key) => {
        const text = localStorage.getItem(key);
        return text ? [{ key, what: JSON.parse(text) as unknown }] : [];
      });
  } catch {
    return [];
  }
}

/** Takes a note out. */
export function removeWrite(key: string | null): void {
  try {
    if (key) localStorage.removeItem(key);
  } catch {
    // Where nothing is kept there is nothing to take out.
  }
}

/** What the database refused lies under this, the shelf's name and its key there. */
const VALUES = 'huerta.beside';
const valueKey = (shelf: string, key: string): string => `${VALUES}/${shelf}/${key}`;

/** Notes what a shelf has under a key, or that it has nothing. @returns whether the browser took the note */
export function noteValue(shelf: string, key: string, value: unknown): boolean {
  try {
    // A picture has no words.
    if (holdsBlob(value)) return false;
    localStorage.setItem(valueKey(shelf, key), JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

const holdsBlob = (value: unknown): boolean =>
  typeof value === 'object' &&
  value !== null &&
  Object.values(value).some((part) => part instanceof Blob);

export const dropValue = (shelf: string, key: string): void => removeWrite(valueKey(shelf, key));

/** What is noted for a shelf in this way; null for what was taken away. */
export function notedValues<T>(shelf: string): { key: string; value: T | null }[] {
  try {
    const prefix = valueKey(shelf, '');
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .flatMap((key) => {
        const text = localStorage.getItem(key);
        return text ? [{ key: key.slice(prefix.length), value: JSON.parse(text) as T | null }] : [];
      });
  } catch {
    return [];
  }
}
