import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { PlanterDesign } from '@huerta/core/document';
import type { UnitSystem } from '@huerta/core/units';

/** The built server with the demo garden in a folder of its own, for tools that look at it. */

export const root = resolve(import.meta.dirname, '..');

export interface Served {
  base: string;
  /** Most memory that the server has taken, megabytes. */
  memory(): number;
  stop(): Promise<void>;
}

export interface ServedPlanter {
  id: string;
  revision: number;
  design: PlanterDesign;
}

/** A folder for a database that is thrown away afterwards. */
export function scratchFolder(): { folder: string; remove(): void } {
  const folder = mkdtempSync(join(tmpdir(), 'huerta-tool-'));
  return { folder, remove: () => rmSync(folder, { recursive: true }) };
}

/** Starts the server, its demo planters built in these units, and waits for its first answer. */
export async function serve(
  folder: string,
  port: number,
  units: UnitSystem = 'metric',
): Promise<Served> {
  const base = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: {
      ...process.env,
      HUERTA_DATA: folder,
      HUERTA_PORT: String(port),
      HUERTA_DEMO: '1',
      HUERTA_DEMO_UNITS: units,
      HUERTA_DEMO_DAY: '2026-07-15',
      HUERTA_LOG: 'error',
      HUERTA_RATE: '0',
    },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  for (;;) {
    const answer = await fetch(`${base}/api/planters`).catch(() => null);
    if (answer?.ok) break;
    await new Promise((done) => setTimeout(done, 10));
  }
  return {
    base,
    memory: () =>
      Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1] ?? 0) /
      1024,
    async stop() {
      server.kill('SIGTERM');
      await once(server, 'exit');
    },
  };
}

export async function plantersAt(base: string): Promise<ServedPlanter[]> {
  const { planters } = (await (await fetch(`${base}/api/planters`)).json()) as {
    planters: ServedPlanter[];
  };
  return planters;
}
