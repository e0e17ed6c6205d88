import { shoppingFor, type PriceBook, type Shopper } from '@huerta/core';

/** Stands in for the worker of the shopping list, which jsdom has not: it answers a moment later. */
class ShoppingWorker {
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: (() => void) | null = null;
  postMessage({ id, planters, book }: { id: number; planters: Shopper[]; book: PriceBook }): void {
    setTimeout(() => this.onmessage?.({ data: { id, list: shoppingFor(planters, book) } }), 0);
  }
  terminate(): void {
    this.onmessage = null;
  }
}

export function installWorker(): void {
  globalThis.Worker = ShoppingWorker as never;
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
 * A server of one's own: `answer` gives a body, or null for nothing there, or throws for no server.
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
      const ok = body !== null && body !== undefined;
      return Promise.resolve({
        ok,
        status: ok ? 200 : 404,
        json: () => Promise.resolve(body ?? NOWHERE),
      } as Response);
    } catch (error) {
      return Promise.reject(error as Error);
    }
  }) as typeof fetch;
  return log;
}
