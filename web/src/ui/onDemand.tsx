import { lazy, type ComponentType, type LazyExoticComponent } from 'react';
import { fetchAgain } from './fetchAgain';

/**
 * Parts of a page that are fetched when they are first wanted, so that the page itself comes sooner. They are fetched ahead
 * of that once the browser has nothing else to do, so that they are there when the server is not.
 */

const loaders: (() => Promise<unknown>)[] = [];

/** A component that is fetched when it is first drawn. @param load imports it */
export function onDemand<P extends object>(
  load: () => Promise<ComponentType<P>>,
): LazyExoticComponent<ComponentType<P>> {
  loaders.push(load);
  return lazy(() => fetchAgain(load).then((part) => ({ default: part })));
}

/** How long after the start parts are fetched where the browser does not say when it is idle, milliseconds. */
const SETTLED_MS = 3000;

/** Fetches all such parts, one after the other, when there is nothing else to do. */
export function fetchPartsWhenIdle(): void {
  const fetchAll = async (): Promise<void> => {
    // What cannot be fetched now is fetched when it is wanted.
    for (const load of loaders) await load().catch(() => undefined);
  };
  if ('requestIdleCallback' in window) requestIdleCallback(() => void fetchAll());
  else setTimeout(() => void fetchAll(), SETTLED_MS);
}
