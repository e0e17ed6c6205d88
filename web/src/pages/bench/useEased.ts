import { useEffect, useRef, useState } from 'react';

/** How long water takes to rise or fall to a new level, milliseconds. */
const RISE_MS = 150;

/** Follows `target` in 150 ms, or at once when motion is not wanted or `active` is false. */
export function useEased(target: number, active: boolean): number {
  const [value, setValue] = useState(target);
  const shown = useRef(target);
  useEffect(() => {
    const still = !active || window.matchMedia('(prefers-reduced-motion: reduce)').matches;
    const from = shown.current;
    let frame = 0;
    const begin = performance.now();
    const tick = (now: number) => {
      const t = still ? 1 : Math.min((now - begin) / RISE_MS, 1);
      shown.current = from + (target - from) * t;
      setValue(shown.current);
      if (t < 1) frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [target, active]);
  return value;
}
