import { expose } from 'comlink';
import { problemSchema } from '@huerta/contract';
import { tasks, type Tasks } from '../compute/tasks';

type Listener = (event: { data: unknown }) => void;

/** One end of a channel in memory, which jsdom has not: what is posted arrives at the other a moment later. */
class End {
  private readonly listeners = new Map<string, Set<Listener>>();
  private ended = false;
  other: End | null = null;
  addEventListener(kind: string, listener: Listener): void {
    const all = this.listeners.get(kind) ?? new Set();
    this.listeners.set(kind, all.add(listener));
  }
  removeEventListener(kind: string, listener: Listener): void {
    this.listeners.get(kind)?.delete(listener);
  }
  tell(kind: string, data?: unknown): void {
    if (this.ended) return;
    for (const listener of [...(this.listeners.get(kind) ?? [])]) listener({ data });
  }
  postMessage(data: unknown): void {
    setTimeout(() => !this.ended && this.other?.tell('message', data), 0);
  }
  terminate(): void {
    this.ended = true;
  }
  start(): void {}
  close(): void {}
}

class Channel {
  readonly port1 = new End();
  readonly port2 = new End();
  constructor() {
    this.port1.other = this.port2;
    this.port2.other = this.port1;
  }
}

/**
 * Lets the page have workers: they do what they do in the browser, in the page.
 *
 * @param instead what some do otherwise
 * @returns how to let workers that are asked from then on break
 */
export function installWorker(instead: Partial<Tasks> = {}): { broken: boolean } {
  const state = { broken: false };
  globalThis.MessageChannel = Channel as never;
  globalThis.Worker = class extends Channel {
    constructor() {
      super();
      expose({ ...tasks, ...instead }, this.port2 as never);
      const { postMessage } = this.port1;
      this.port1.postMessage = (data) => {
        if (state.broken) setTimeout(() => this.port1.tell('error'), 0);
        else postMessage.call(this.port1, data);
      };
      return this.port1 as never;
    }
  } as never;
  return state;
}

/** How the server says that there is nothing at an address. */
const NOWHERE = {
  type: 'urn:huerta:problem:not-found',
  kind: 'not-found',
  title: 'Not there',
  status: 404,
  detail: 'There is nothing at this address.',
};

interface Asked {
  method: string;
  path: string;
  body: unknown;
}

/**
 * A server of one's own: `answer` gives a body or a problem, or null for nothing there, or throws for no server.
 * Returns what was asked.
 */
export function serveWith(answer: (asked: Asked) => unknown): Asked[] {
  const log: Asked[] = [];
  globalThis.fetch = ((address: string, init?: { method?: string; body?: unknown }) => {
    const asked = {
      method: init?.method ?? 'GET',
      path: address.replace(/^\/api/, ''),
      body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null,
    };
    log.push(asked);
    try {
      const body = answer(asked);
      const said = body ?? NOWHERE;
      const { status } = problemSchema.safeParse(said).data ?? { status: 200 };
      return Promise.resolve({
        ok: status < 400,
        status,
        json: () => Promise.resolve(said),
      } as Response);
    } catch (error) {
      return Promise.reject(error as Error);
    }
  }) as typeof fetch;
  return log;
}
