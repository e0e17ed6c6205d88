import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { root } from '../served';

/** A server that the soak starts, kills and asks. */

export const PORT = 4805;
export const base = `http://127.0.0.1:${PORT}/api`;

/** Servers that run: none outlives the soak, however that ends. */
const running = new Set<ChildProcess>();
process.on('exit', () => {
  for (const child of running) child.kill('SIGKILL');
});

/** Tries at reaching a server that starts, and between two of them, milliseconds. */
const TRIES = 3000;
const BETWEEN_MS = 10;

export async function start(folder: string, port = PORT): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: {
      ...process.env,
      HUERTA_DATA: folder,
      HUERTA_PORT: String(port),
      HUERTA_LOG: 'silent',
      HUERTA_RATE: '0',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  running.add(child);
  child.once('exit', () => running.delete(child));
  for (let tries = 0; tries < TRIES; tries += 1) {
    if (child.exitCode !== null) throw new Error(`The server ended with ${child.exitCode}`);
    const up = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null);
    if (up?.ok) return child;
    // A garden that is damaged as a whole is answered for by the page of its copies.
    if (up?.status === 503) return child;
    await new Promise((done) => setTimeout(done, BETWEEN_MS));
  }
  throw new Error('The server did not come up');
}

export async function end(server: ChildProcess, signal: 'SIGTERM' | 'SIGKILL'): Promise<void> {
  if (server.exitCode !== null || server.signalCode !== null) return;
  server.kill(signal);
  await once(server, 'exit');
}

/** An answer to JSON that is sent, or null where there was none. */
export async function send(method: string, path: string, body?: object): Promise<Response | null> {
  try {
    return await fetch(`${base}${path}`, {
      method,
      ...(body
        ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
        : {}),
    });
  } catch {
    return null;
  }
}

export const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));
export const any = <T>(list: readonly T[]): T => list[Math.floor(Math.random() * list.length)] as T;
