import { useEffect, useRef, useState, type RefObject } from 'react';
import { usePrinting } from './usePrinting';

/** How far from the window's edge something counts as near. */
const MARGIN = '600px';

/**
 * Whether an element has come near the window, from then on; at once where the browser cannot say, and while the page is
 * printed. For what takes long to draw and stands far down a page.
 */
export function useNearView<T extends Element>(): [RefObject<T | null>, boolean] {
  const element = useRef<T>(null);
  const printing = usePrinting();
  const [near, setNear] = useState(() => typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    if (near || !element.current) return undefined;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) setNear(true);
      },
      { rootMargin: MARGIN },
    );
    observer.observe(element.current);
    return () => observer.disconnect();
  }, [near]);
  return [element, near || printing];
}
