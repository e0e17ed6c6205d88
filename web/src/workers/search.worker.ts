import {
  faultsOf,
  score,
  type Candidate,
  type PlanterDesign,
  type PriceBook,
  type WeatherDay,
} from '@huerta/core';
import type { SearchMessage } from './search';

interface Question {
  design: PlanterDesign;
  candidates: Candidate[];
  weathers: WeatherDay[][];
  planted: string;
  book: PriceBook;
}

/** Scores candidates one after the other and tells of each. */
self.onmessage = ({ data }: MessageEvent<Question>) => {
  const { design, candidates, weathers, planted, book } = data;
  const known = faultsOf(design);
  for (const one of candidates) {
    let message: SearchMessage;
    try {
      message = { point: score(design, one, weathers, planted, book, known) };
    } catch {
      message = { point: null };
    }
    self.postMessage(message);
  }
};
