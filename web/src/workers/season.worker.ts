import { answersTo, type SeasonAsked } from '@huerta/core';
import type { SeasonMessage } from './season';

/** Works a season out, away from the screen, and tells what it has as it goes. */
self.onmessage = ({ data }: MessageEvent<SeasonAsked>) => {
  try {
    for (const told of answersTo(data)) tell({ kind: 'told', told });
    tell({ kind: 'done' });
  } catch (error) {
    const why = error instanceof Error ? error.message : 'Something broke';
    tell({ kind: 'trouble', trouble: `${why}. What was worked out last is shown.` });
  }
};

const tell = (message: SeasonMessage): void => self.postMessage(message);
