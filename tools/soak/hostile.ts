import { randomUUID } from 'node:crypto';
import { STARTING_POINTS } from '@huerta/core/document';
import { any, base, end, start } from './server';

/** Nonsense that the server is asked; it may answer none of it with 500. */

const { design } = STARTING_POINTS[0]!;
const PATHS = [
  ...['/planters', '/planters/%zz', '/planters/../../etc/passwd', '/planters/7', '/vessels'],
  ...['/prices', '/weather', '/garden', '/garden/look', '/garden/restore?different=huge'],
  ...['/backups/..%2f..', '/door', '/door/codes', '/door/enter', '/documents/planter/%00'],
  ...['/openapi.json', '/nowhere', '/examples', '/log', '/log?most=0', '/log?before=soon'],
  ...['/set-aside/1e99', '/set-aside/-1', '/feeds', '/feeds/x/days', '/feeds/x/calendar.ics'],
  ...['/round/log', '/round/standing', '/weather/days', '/photos/../../x'],
  `/photos/${randomUUID()}`,
  `/planters/${randomUUID()}`,
  `/planters/${randomUUID()}/season`,
  `/planters/${randomUUID()}/progress`,
  `/planters/${randomUUID()}/readings`,
  `/planters/${randomUUID()}/build/sheet.pdf?paper=napkin`,
  ...['/planters?a[b]=c&a=d', '/%C0%AF', '//', '/?%'],
];
const HEADERS: Record<string, string>[] = [
  {},
  { 'content-type': 'application/json' },
  { 'content-type': 'application/json; charset=latin1' },
  { 'content-type': 'text/plain' },
  { 'content-encoding': 'gzip' },
  { 'content-encoding': 'zstd' },
  { 'content-type': 'application/zip' },
  { origin: 'http://evil.example' },
  { 'sec-fetch-site': 'cross-site' },
  { range: 'bytes=99999999-' },
  { accept: 'text/html' },
  { cookie: 'huerta_device=.' },
];
const BODIES = [
  ...['', '{', '[]', 'null', '{"design":null}', '{"revision":-1}', '{"__proto__":{"a":1}}'],
  ...[
    '"\\u0000"',
    '{"entries":[{}]}',
    '{"days":[{"date":"2026-99-99"}]}',
    '{"name":"","kind":"x"}',
  ],
  JSON.stringify({ design: { ...design, vessel: { ...design.vessel, depth: 1e308 } } }),
  JSON.stringify({ design: { ...design, name: '\u0000'.repeat(50) } }),
  JSON.stringify({ revision: 1e99, design }),
  'PK\u0003\u0004garbage',
  'x'.repeat(20_000),
];

/** Asks nonsense until a time. @returns how many were answered with 500 or not at all */
export async function hostile(folder: string, until: number) {
  const server = await start(folder);
  const answers: Record<string, number> = {};
  let requests = 0;
  let bad = 0;
  const ask = async () => {
    const method = any(['GET', 'POST', 'PUT', 'PATCH', 'DELETE']);
    const path = any(PATHS);
    const body = method === 'GET' ? null : any(BODIES);
    const answer = await fetch(`${base}${path}`, { method, headers: any(HEADERS), body }).catch(
      () => null,
    );
    await answer?.arrayBuffer().catch(() => null);
    const status = answer?.status ?? 0;
    answers[status] = (answers[status] ?? 0) + 1;
    requests += 1;
    if (status === 0 || status >= 500) {
      bad += 1;
      if (bad <= 5) console.error(`${method} ${path} was answered ${status}`);
    }
  };
  while (Date.now() < until) await Promise.all(Array.from({ length: 50 }, ask));
  const alive = (await fetch(`${base}/health`)).ok;
  await end(server, 'SIGTERM');
  return { requests, bad, alive, answers };
}
