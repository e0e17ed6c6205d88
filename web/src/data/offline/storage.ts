import { create } from 'zustand';

/** Whether this browser keeps what is done until the server has it. */
interface Storage {
  /** `full` and `refused` say why the browser's database does not take it. */
  database: 'ok' | 'full' | 'refused';
  /** Whether what is done here outlives the page, in the database or noted beside it. */
  keeps: boolean;
}

export const useStorage = create<Storage>()(() => ({ database: 'ok', keeps: true }));

/** How many rows that the server sent could not be read by this page. */
export const useLeftOut = create<{ rows: number }>()(() => ({ rows: 0 }));
export const leftOut = (rows: number): void => {
  if (useLeftOut.getState().rows !== rows) useLeftOut.setState({ rows });
};

/** What lies in this page's memory alone, by shelf and key. */
const onlyHere = new Set<string>();

/** Whether the browser takes notes beside its database. */
function takesNotes(): boolean {
  try {
    localStorage.setItem('huerta.probe', '1');
    localStorage.removeItem('huerta.probe');
    return true;
  } catch {
    return false;
  }
}

function tell(database: Storage['database']): void {
  const keeps = onlyHere.size === 0 && (database === 'ok' || takesNotes());
  const now = useStorage.getState();
  if (now.database !== database || now.keeps !== keeps) useStorage.setState({ database, keeps });
}

/** The database took something. */
export const storageTook = (): void => tell('ok');

/** The database did not open, or did not take something. */
export const storageRefused = (error: unknown): void =>
  tell((error as { name?: unknown } | null)?.name === 'QuotaExceededError' ? 'full' : 'refused');

/** Says of something that was done whether it lies in this page's memory alone. */
export function liesOnlyHere(shelf: string, key: string, only: boolean): void {
  const id = `${shelf}/${key}`;
  if (only) onlyHere.add(id);
  else onlyHere.delete(id);
  tell(useStorage.getState().database);
}

/** Whether this browser keeps what is done here. */
export const keepsHere = (): boolean => useStorage.getState().keeps;

/** What is said where it does not, or only just; null where all is well. */
export function sayStorage({ database, keeps }: Storage): string | null {
  if (keeps)
    return database === 'full'
      ? 'This browser’s storage is full. What you write is still kept on this device, photos are not: make room in the browser’s settings.'
      : null;
  return database === 'full'
    ? 'This browser’s storage is full, so what you do now is not kept on this device. Leave this page open until the server has it, or make room in the browser’s settings.'
    : 'This browser keeps nothing for Huerta, as in a private window. What you do now is not kept on this device: leave this page open until the server has it.';
}
