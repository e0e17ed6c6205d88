import { startTransition, useEffect, useState } from 'react';

/**
 * How many of a long list are shown: the first ones at once, the rest a few at a time while the page has nothing else to
 * do.
 *
 * @param step how many come at a time, the first ones too
 * @param goesOn whether more come; what is shown stays
 */
export function useGradually(count: number, step: number, goesOn = true): number {
  const [shown, setShown] = useState(step);
  useEffect(() => {
    if (!goesOn || shown >= count) return undefined;
    const timer = setTimeout(() => startTransition(() => setShown(shown + step)));
    return () => clearTimeout(timer);
  }, [count, goesOn, shown, step]);
  return Math.min(shown, count);
}
