import {
  createServer,
  request as ask,
  type IncomingMessage,
  type Server,
  type ServerResponse,
} from 'node:http';
import { once } from 'node:events';
import { any } from './server';

/**
 * What stands between a device and the server: it answers in the server's place, with a problem of Huerta's own or
 * with a page of its own, is slow, cuts the way there or the way back, or lets things through.
 */
export interface Proxy {
  /** Whether it does mischief. */
  faulty: boolean;
  counts: Record<string, number>;
  /** Log entries and photos that went out again after their acknowledgement had reached the device. */
  sentAgain: number;
  close(): Promise<void>;
}

const STATUSES = [429, 500, 502, 503, 507];
const PROBLEM_OF: Readonly<Record<number, string>> = {
  429: 'too-many',
  500: 'internal',
  502: 'internal',
  503: 'too-much-work',
  507: 'internal',
};

export async function proxyTo(target: number, port: number): Promise<Proxy> {
  const acknowledged = new Set<string>();
  const proxy: Proxy = {
    faulty: true,
    counts: {},
    sentAgain: 0,
    async close() {
      server.closeAllConnections();
      server.close();
      await once(server, 'close');
    },
  };
  const count = (what: string) => {
    proxy.counts[what] = (proxy.counts[what] ?? 0) + 1;
  };
  const server: Server = createServer((incoming, outgoing) => {
    const chunks: Buffer[] = [];
    incoming.on('data', (chunk: Buffer) => chunks.push(chunk));
    incoming.on('end', () => void handle(incoming, outgoing, Buffer.concat(chunks)));
  });
  const handle = async (incoming: IncomingMessage, outgoing: ServerResponse, body: Buffer) => {
    const api = incoming.url?.startsWith('/api') ?? false;
    const mischief = proxy.faulty && api && Math.random() < 0.5 ? any(MISCHIEFS) : 'through';
    count(mischief);
    if (mischief === 'cut') {
      incoming.socket.destroy();
      return;
    }
    if (mischief === 'slow') await new Promise((done) => setTimeout(done, 400));
    if (mischief === 'problem' || mischief === 'page') {
      const status = any(STATUSES);
      count(`${status} ${mischief}`);
      const problem = {
        ...{ type: '', title: '', status, kind: PROBLEM_OF[status] },
        detail: 'Not now.',
      };
      outgoing.writeHead(status, {
        'content-type': mischief === 'problem' ? 'application/problem+json' : 'text/html',
      });
      outgoing.end(mischief === 'problem' ? JSON.stringify(problem) : '<h1>Gateway</h1>');
      return;
    }
    if (mischief === 'imposter') {
      // A page that answers in the network's name, as in a hotel.
      outgoing.writeHead(200, { 'content-type': 'text/html' }).end('<h1>Welcome</h1>');
      return;
    }
    const ids = idsIn(incoming, body);
    for (const id of ids) if (acknowledged.has(id)) proxy.sentAgain += 1;
    const forward = ask(
      {
        port: target,
        host: '127.0.0.1',
        method: incoming.method,
        path: incoming.url,
        headers: {
          ...incoming.headers,
          host: `localhost:${target}`,
          ...originOf(incoming, target),
        },
      },
      (answer) => {
        if (mischief === 'unheard') {
          // It was taken in, and nobody hears of it.
          answer.resume();
          incoming.socket.destroy();
          return;
        }
        outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(outgoing);
        if (answer.statusCode === 200)
          outgoing.once('finish', () => ids.forEach((id) => acknowledged.add(id)));
      },
    );
    forward.on('error', () => {
      if (outgoing.headersSent) outgoing.destroy();
      else outgoing.writeHead(502, { 'content-type': 'text/html' }).end('<h1>Away</h1>');
    });
    forward.end(body);
  };
  server.listen(port, '127.0.0.1');
  await once(server, 'listening');
  return proxy;
}

const MISCHIEFS = [
  'problem',
  'problem',
  'page',
  'page',
  'cut',
  'unheard',
  'slow',
  'imposter',
] as const;

/** The origin that the server takes for its own. */
const originOf = ({ headers }: IncomingMessage, target: number): Record<string, string> =>
  headers.origin ? { origin: `http://localhost:${target}` } : {};

/** What a request brings that counts once. */
function idsIn({ method, url }: IncomingMessage, body: Buffer): string[] {
  const photo =
    method === 'PUT' ? /^\/api\/photos\/([0-9a-f-]{36})$/.exec(url ?? '')?.[1] : undefined;
  if (photo) return [photo];
  if (method !== 'POST' || url !== '/api/log') return [];
  try {
    return (JSON.parse(body.toString()) as { entries: { id: string }[] }).entries.map(
      ({ id }) => id,
    );
  } catch {
    return [];
  }
}
