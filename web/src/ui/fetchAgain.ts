/** A part of the application that is lost on its way from the server is fetched again before anything is said of it. */

/** How long is waited before each further try, milliseconds. */
const WAITS_MS = [300, 1500, 4000];

/** The address of a module that could not be fetched, as browsers say it in their error; null where they do not. */
function addressIn(error: unknown): string | null {
  const [address] = /https?:\/\/\S+\.js$/.exec(error instanceof Error ? error.message : '') ?? [];
  return address ?? null;
}

const fromAddress = (address: string): Promise<unknown> => import(/* @vite-ignore */ address);

/**
 * Imports something, and again if that fails. A browser may remember that an address failed: after that the module is asked
 * for by another one of the same file; what it imports is the same as ever.
 *
 * @throws what the last try threw
 */
export async function fetchAgain<T>(
  load: () => Promise<T>,
  waits = WAITS_MS,
  importFrom = fromAddress,
): Promise<T> {
  let next = load;
  let address: string | null = null;
  for (const [tries, wait] of waits.entries()) {
    try {
      return await next();
    } catch (error) {
      await new Promise((done) => setTimeout(done, wait));
      address ??= addressIn(error);
      const other = address && `${address}?again=${tries}`;
      if (other !== null) next = () => load().catch(() => importFrom(other) as Promise<T>);
    }
  }
  return next();
}

/** Puts a stylesheet into the page that did not come at first. */
function addStylesheet(href: string, waits: readonly number[]): void {
  const [wait, ...further] = waits;
  if (wait === undefined) return;
  setTimeout(() => {
    const link = document.createElement('link');
    Object.assign(link, { rel: 'stylesheet', href });
    link.onerror = () => {
      link.remove();
      addStylesheet(href, further);
    };
    document.head.append(link);
  }, wait);
}

/** A page whose stylesheet is lost opens all the same, and gets it a moment later. */
export function fetchStylesheetsAgain(): void {
  window.addEventListener('vite:preloadError', (event) => {
    const [, href] = /preload CSS for (\S+)/.exec(event.payload.message) ?? [];
    if (!href) return;
    event.preventDefault();
    addStylesheet(href, WAITS_MS);
  });
}
