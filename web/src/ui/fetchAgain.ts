/** A part of the application that is lost on its way from the server is fetched again before anything is said of it. */

/** How long is waited before each further try, milliseconds. */
const WAITS_MS = [300, 1500];

/** Imports something, and again if that fails. @throws what the last try threw */
export async function fetchAgain<T>(load: () => Promise<T>, waits = WAITS_MS): Promise<T> {
  for (const wait of waits) {
    try {
      return await load();
    } catch {
      await new Promise((done) => setTimeout(done, wait));
    }
  }
  return load();
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
