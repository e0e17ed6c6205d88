/**
 * What the page asks of the server before its application has begun (`app/routes.ts`) is answered once to whoever asks
 * first. An answer from before something was saved by this page is older than that: it is passed over.
 */

let saved = false;

/** Notes that the server has taken something from this page. */
export const noteSaved = (): void => {
  saved = true;
};

/** Takes an answer that was asked for ahead out of the way, where the page has saved something since. */
export async function passOverPreloaded(url: string): Promise<void> {
  if (typeof document === 'undefined') return;
  const links = document.querySelectorAll<HTMLLinkElement>('link[rel=preload][as=fetch]');
  const link = [...links].find((one) => one.getAttribute('href') === url && !one.dataset.taken);
  if (!link) return;
  link.dataset.taken = 'true';
  if (saved) await fetch(url).catch(() => undefined);
}
