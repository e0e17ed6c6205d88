import type { Server } from 'node:http';

/**
 * How long a connection on which nothing is asked stays open. Node's own five seconds end it just when a page
 * that looks every few seconds asks again: the question meets a closing door and is lost with ECONNRESET. Longer
 * than programs keep one themselves, so that they end it and not we.
 */
const IDLE_MS = 10 * 60_000;

/** Keeps a server's idle connections open until the other side has done with them. */
export function stayOpen(server: Server): void {
  server.keepAliveTimeout = IDLE_MS;
}
