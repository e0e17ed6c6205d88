import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { renderPdf, type PdfJob, type PdfResult } from '../export/pdfRenderer';
import { problem } from './problems';

/** How many papers wait at the most, and how long one is waited for, milliseconds. */
const MOST_WAITING = 8;
const LONGEST_MS = 30_000;
/** How long a new thread may take to begin, milliseconds. */
const BEGINS_MS = 30_000;

interface Waiting {
  id: number;
  job: PdfJob;
  done(result: PdfResult): void;
  fail(error: Error): void;
}

/** Draws paper in a thread of its own, one after the other. */
export interface PdfRenderer {
  draw(job: PdfJob): Promise<PdfResult>;
}

/** What is said where too many wait, and where one takes too long. */
interface Refusals {
  busy: string;
  long: string;
}
const OF_PAPER: Refusals = {
  busy: 'Many papers are being drawn just now. Try again in a minute.',
  long: 'This paper takes longer to draw than half a minute. Take its templates one by one, as SVG or DXF.',
};
export const OF_PLANS: Refusals = {
  busy: 'Plans are being looked for for others just now. Try again in a minute.',
  long: 'Looking for plans took longer than half a minute. Ask for fewer crops or vessels.',
};

/** Where the thread's program lies beside the built server; it is not there in tests. */
const PROGRAM = join(dirname(process.argv[1] ?? ''), 'pdf.js');

/**
 * The papers' thread; where its program was not built they are drawn here.
 *
 * @param longest how long one is waited for, milliseconds
 * @param refusals what is said where it cannot be waited for
 */
export function pdfRenderer(
  program = PROGRAM,
  longest = LONGEST_MS,
  refusals = OF_PAPER,
): PdfRenderer {
  if (!existsSync(program)) return { draw: renderPdf };
  const queue: Waiting[] = [];
  let worker: Worker | null = null;
  let timer: NodeJS.Timeout | undefined;
  /** Whether the thread has begun. */
  let awake = false;
  let count = 0;

  const end = (settle: (first: Waiting) => void): void => {
    clearTimeout(timer);
    const first = queue.shift();
    if (first) settle(first);
    next();
  };
  const give = (message: { id: number; result?: PdfResult; error?: string }): void => {
    if (queue[0]?.id !== message.id) return;
    end(({ done, fail }) => {
      if (message.result) done(message.result);
      else fail(new Error(message.error ?? 'The paper could not be drawn'));
    });
  };
  const begin = (): Worker => {
    const made = new Worker(program);
    awake = false;
    made.once('online', () => {
      if (worker !== made) return;
      awake = true;
      if (queue.length > 0) waitFor(longest);
    });
    made.on('message', give);
    made.on('error', (error) => {
      worker = null;
      end(({ fail }) => fail(error));
    });
    // What waits for nothing but this thread has ended. A listener would hold it again: so last.
    made.unref();
    return made;
  };
  const next = (): void => {
    const first = queue[0];
    if (!first) return;
    worker ??= begin();
    worker.postMessage({ id: first.id, job: first.job });
    // What a new thread takes to begin is not what its paper takes.
    waitFor(awake ? longest : longest + BEGINS_MS);
  };
  const waitFor = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      void worker?.terminate();
      worker = null;
      end(({ fail }) => fail(problem('too-much-work', 422, 'Takes too long', refusals.long)));
    }, ms);
  };
  return {
    draw: (job) =>
      new Promise((done, fail) => {
        if (queue.length >= MOST_WAITING) {
          fail(problem('too-much-work', 503, 'Too much at once', refusals.busy));
          return;
        }
        queue.push({ id: (count += 1), job, done, fail });
        if (queue.length === 1) next();
      }),
  };
}
