/**
 * Notes of what is on its way into the browser's database. A database answers later; a window may be closed
 * before it does. What is noted here is there at once, is put into the database when Huerta is next opened,
 * and is taken out as soon as the database has it.
 */

/** What is noted lies under this, the shelf's name, and when it was noted. */
const PREFIX = 'huerta.ahead';

let counted = 0;

/** Notes something for a shelf. @returns the note's key, or null where the browser keeps nothing or no more */
export function noteAhead(shelf: string, what: unknown): string | null {
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
export function notedAhead(shelf: string): { key: string; what: unknown }[] {
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
export function doneAhead(key: string | null): void {
  try {
    if (key) localStorage.removeItem(key);
  } catch {
    // Where nothing is kept there is nothing to take out.
  }
}
