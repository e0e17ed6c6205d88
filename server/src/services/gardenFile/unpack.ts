import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { refuseFile } from './format';
import { FileRefused } from './archive';
import { stage, type Staged } from './read';

/** Where the thread's program lies beside the built server; it is not there in tests. */
const PROGRAM = join(dirname(process.argv[1] ?? ''), 'unpack.js');

/** What the thread says when it is done. */
export type Unpacked =
  { staged: Staged } | { refused: string } | { broke: { message: string; code?: string } };

/**
 * Unpacks and checks a garden file in a thread of its own, so that nobody waits for it who asks for something else.
 *
 * @throws ProblemError with why the file is not taken
 */
export async function unpack(file: string, folder: string, program = PROGRAM): Promise<Staged> {
  const answer = existsSync(program)
    ? await inThread(program, { file, folder })
    : await unpacked(file, folder);
  if ('staged' in answer) return answer.staged;
  if ('refused' in answer) throw refuseFile(answer.refused);
  throw Object.assign(new Error(answer.broke.message), { code: answer.broke.code });
}

/** The same as an answer that goes between threads. */
export async function unpacked(file: string, folder: string): Promise<Unpacked> {
  try {
    return { staged: await stage(file, folder) };
  } catch (error) {
    if (error instanceof FileRefused) return { refused: error.message };
    const { message, code, parent } = error as Error & {
      code?: string;
      parent?: { code?: string };
    };
    const known = code ?? parent?.code;
    return { broke: { message, ...(known === undefined ? {} : { code: known }) } };
  }
}

/** Memory that the thread may take for itself, megabytes: a file that wants more is not one that Huerta made. */
const MOST_MEMORY_MB = 1500;

function inThread(program: string, asked: { file: string; folder: string }): Promise<Unpacked> {
  return new Promise((done) => {
    const worker = new Worker(program, {
      workerData: asked,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEMORY_MB },
    });
    worker.once('message', (answer: Unpacked) => {
      done(answer);
      void worker.terminate();
    });
    worker.once('error', (error: Error & { code?: string }) =>
      done(
        error.code === 'ERR_WORKER_OUT_OF_MEMORY'
          ? { refused: 'Unpacked, this file is larger than a garden can be.' }
          : { broke: { message: error.message } },
      ),
    );
  });
}
