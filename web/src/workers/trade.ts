import type { PlanterDesign, TradePoint } from '@huerta/core';
import { useEffect, useRef, useState } from 'react';

export interface TradeAnswer {
  id: number;
  curve: TradePoint[];
}

/** What is known of a curve: the last good one, and why there is no newer one. */
export interface TradeState {
  curve: readonly TradePoint[];
  trouble: string | null;
}

/** Rest before a changed design is worked out, milliseconds. */
const REST_MS = 120;

/** The trade curve of a design, worked out in a worker; the last good one stays while it works. */
export function useTradeCurve(design: PlanterDesign): TradeState {
  const [state, setState] = useState<TradeState>({ curve: [], trouble: null });
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);

  useEffect(() => {
    const made = new Worker(new URL('./trade.worker.ts', import.meta.url), { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<TradeAnswer>) => {
      if (data.id === asked.current) setState({ curve: data.curve, trouble: null });
    };
    made.onerror = () =>
      setState((now) => ({
        ...now,
        trouble:
          'The curve could not be worked out. The last one is shown; change a measure to try again.',
      }));
    worker.current = made;
    return () => made.terminate();
  }, []);

  useEffect(() => {
    asked.current += 1;
    const id = asked.current;
    const timer = setTimeout(() => worker.current?.postMessage({ id, design }), REST_MS);
    return () => clearTimeout(timer);
  }, [design]);

  return state;
}
