import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { STARTING_POINTS } from '@huerta/core/document';
import type { PdfJob, PdfResult } from '../export/pdfRenderer';
import { ProblemError } from './problems';
import { pdfRenderer, type PdfRenderer } from './pdfRenderer';

/**
 * A thread that does as it is told: `wait` answers after so many milliseconds, `never` not at all, `break` ends the
 * thread, `refuse` says that it cannot.
 */
const PROGRAM = `
const { parentPort, threadId } = require('node:worker_threads');
parentPort.on('message', ({ id, job }) => {
  if (job.what === 'never') return;
  if (job.what === 'break') throw new Error('The thread broke');
  if (job.what === 'refuse') return void parentPort.postMessage({ id, error: 'No ink' });
  setTimeout(() => {
    const result = { ok: true, file: [threadId, job.n] };
    parentPort.postMessage({ id, result });
  }, job.wait);
});
`;

let folder: string;
let program: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-papers-'));
  program = join(folder, 'papers.cjs');
  await writeFile(program, PROGRAM);
});
afterAll(() => rm(folder, { recursive: true }));

type Told = { file: [thread: number, n: number] };
const ask = async (papers: PdfRenderer, job: object): Promise<Told> =>
  (await papers.draw(job as unknown as PdfJob)) as unknown as Told;
const problemOf = (asked: Promise<unknown>): Promise<ProblemError> =>
  asked.then(
    () => {
      throw new Error('It was answered');
    },
    (error: unknown) => error as ProblemError,
  );

test('one after the other, in the order in which they were asked for, by one thread', async () => {
  const papers = pdfRenderer(program);
  const order: number[] = [];
  const told = await Promise.all(
    [30, 1, 10].map((wait, n) =>
      ask(papers, { wait, n }).then((answer) => {
        order.push(n);
        return answer;
      }),
    ),
  );
  expect(order).toEqual([0, 1, 2]);
  expect(told.map(({ file: [, n] }) => n)).toEqual([0, 1, 2]);
  expect(new Set(told.map(({ file: [thread] }) => thread)).size).toBe(1);
});

test('when many wait another is refused at once, with what to do, and the others are drawn', async () => {
  const papers = pdfRenderer(program);
  const waiting = Array.from({ length: 8 }, (_, n) => ask(papers, { wait: 5, n }));
  const refused = await problemOf(ask(papers, { wait: 5, n: 8 }));
  expect(refused).toBeInstanceOf(ProblemError);
  expect(refused.problem).toMatchObject({
    status: 503,
    detail: expect.stringMatching(/Try again/),
  });
  expect((await Promise.all(waiting)).map(({ file: [, n] }) => n)).toEqual([
    0, 1, 2, 3, 4, 5, 6, 7,
  ]);
  // There is room again.
  expect((await ask(papers, { wait: 1, n: 9 })).file[1]).toBe(9);
});

test('one that takes too long is given up, with another way, and the next is drawn by a new thread', async () => {
  const papers = pdfRenderer(program, 400);
  const first = await ask(papers, { wait: 1, n: 0 });
  const endless = problemOf(ask(papers, { what: 'never' }));
  const after = ask(papers, { wait: 1, n: 1 });
  expect((await endless).problem).toMatchObject({
    status: 422,
    detail: expect.stringMatching(/one by one, as SVG or DXF/),
  });
  const { file } = await after;
  expect(file[1]).toBe(1);
  expect(file[0]).not.toBe(first.file[0]);
});

test('a thread that breaks fails what it was drawing and nothing else', async () => {
  const papers = pdfRenderer(program);
  const broken = problemOf(ask(papers, { what: 'break' }));
  const after = ask(papers, { wait: 1, n: 1 });
  expect((await broken).message).toBe('The thread broke');
  expect((await after).file[1]).toBe(1);
});

test('what cannot be drawn says why', async () => {
  const papers = pdfRenderer(program);
  expect((await problemOf(ask(papers, { what: 'refuse' }))).message).toBe('No ink');
});

test('where no thread was built paper is drawn all the same', async () => {
  const { design } = STARTING_POINTS[0]!;
  const job: PdfJob = { what: 'templates', design, book: NEW_BOOK, units: 'metric', paper: 'a4' };
  const result: PdfResult = await pdfRenderer(join(folder, 'nowhere.js')).draw(job);
  expect(result.ok).toBe(true);
});
