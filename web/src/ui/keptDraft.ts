/** What is being typed and not saved yet, kept in the browser so that a reload does not lose it. */

/** Reads a draft; null where there is none, or where the browser keeps nothing. */
export function readKeptDraft<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as T) : null;
  } catch {
    return null;
  }
}

/** Keeps a draft, or takes it out when there is nothing to keep. */
export function keepDraft(key: string, draft: unknown): void {
  try {
    if (draft === null) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(draft));
  } catch {
    // Without storage the draft lasts as long as the page.
  }
}
