import { parentPort } from 'node:worker_threads';
import { renderPdf, type PdfJob } from './export/pdfRenderer';

/** A thread of its own for paper, so that nobody waits for it who asks for something else. */

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
