import { tradeCurve, type PlanterDesign } from '@huerta/core';
import type { TradeAnswer } from './trade';

/** Works out water against roots, away from the screen. */
self.onmessage = ({ data }: MessageEvent<{ id: number; design: PlanterDesign }>) => {
  const answer: TradeAnswer = { id: data.id, curve: tradeCurve(data.design) };
  self.postMessage(answer);
};
