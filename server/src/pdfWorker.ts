import { setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import { renderPdf, type PdfJob } from './export/pdfRenderer';

/** A thread of its own for paper, so that nobody waits for it who asks for something else. */

/** Below what answers people and what shows them pages. */
const NICE = 10;
// Linux keeps it for each thread; elsewhere it would be the whole server's.
if (process.platform === 'linux') setPriority(0, NICE);

parentPort?.on('message', ({ id, job }: { id: number; job: PdfJob }) => {
  renderPdf(job).then(
    (result) => parentPort?.postMessage({ id, result }),
    (error: unknown) =>
      parentPort?.postMessage({
        id,
        error: error instanceof Error ? error.message : String(error),
      }),
  );
});
