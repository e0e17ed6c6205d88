import { useLayoutEffect, useRef, useState } from 'react';

/** How long water takes to rise or fall to a new level, milliseconds. */
const RISE_MS = 150;

/**
 * Follows `target` in 150 ms, or at once when motion is not wanted. While `active` is false it is
 * the target itself, and costs no frame.
 */
export function useEased(target: number, active: boolean): number {
  const [value, setValue] = useState(target);
  const shown = useRef(target);
  useLayoutEffect(() => {
    if (!active) {
      shown.current = target;
      return undefined;
    }
    const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const from = shown.current;
    let frame = 0;
    const begin = performance.now();
    const tick = (now: number) => {
      const t = still ? 1 : Math.min(Math.max(now - begin, 0) / RISE_MS, 1);
      shown.current = from + (target - from) * t;
      setValue(shown.current);
      if (t < 1) frame = requestAnimationFrame(tick);
    };
    tick(begin);
    return () => cancelAnimationFrame(frame);
  }, [target, active]);
  return active ? value : target;
}
