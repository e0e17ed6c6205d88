import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import type { Services } from '../services';
import type { Feeds } from '../access/feeds';
import { secretsOf } from '../access/secrets';
import type { DeviceTable } from '../storage/devices';
import { createApp } from './app';

let webRoot: string;
beforeAll(async () => {
  webRoot = await mkdtemp(join(tmpdir(), 'huerta-web-'));
  await mkdir(join(webRoot, 'assets'));
  await writeFile(join(webRoot, 'index.html'), '<!doctype html><title>Huerta</title>');
  await writeFile(join(webRoot, 'assets', 'a-1.js'), 'export {}');
});
afterAll(() => rm(webRoot, { recursive: true }));

const broken = (): Promise<never> => Promise.reject(new Error('disk full at /secret/place'));
/** Whatever is asked of it fails. */
const nothing = new Proxy({}, { get: () => broken });
const services = {
  planters: nothing,
  vessels: nothing,
  progress: nothing,
  prices: nothing,
  files: nothing,
  weather: nothing,
  reports: nothing,
  log: nothing,
  gardenFile: nothing,
} as Services;

function open() {
  const lines: string[] = [];
  const sink = new Writable({
    write(chunk: Buffer, _encoding, done) {
      lines.push(chunk.toString());
      done();
    },
  });
  return {
    api: request(createApp({ services, logger: pino(sink), webRoot })),
    lines,
  };
}

test('every address that is no file and no API gets the page', async () => {
  const { api } = open();
  for (const path of ['/', '/new', '/planters/3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d']) {
    const page = await api.get(path).expect(200);
    expect(page.text).toContain('<title>Huerta</title>');
  }
});

test('an address that no page has gets the page that says so, with 404', async () => {
  const { api } = open();
  for (const path of ['/nowhere', '/planters', '/planters/1/2/3', '/settings/x']) {
    const page = await api.get(path).expect(404);
    expect(page.text).toContain('<title>Huerta</title>');
  }
});

test('assets are kept for good, and one that is gone is not answered with a page', async () => {
  const { api } = open();
  const asset = await api.get('/assets/a-1.js').expect(200);
  expect(asset.headers['cache-control']).toContain('immutable');
  const gone = await api.get('/assets/a-0.js').expect(404);
  expect(gone.type).toBe('application/problem+json');
});

test('a failure of our own tells the log what broke, and the person what to do', async () => {
  const { api, lines } = open();
  const answer = await api.get('/api/planters').expect(500);
  expect(answer.body).toMatchObject({ kind: 'internal', status: 500 });
  expect(answer.body.detail).toContain('Something broke on the server');
  expect(answer.text).not.toContain('secret');
  expect(lines.join('')).toContain('disk full at /secret/place');
});

test.each([
  'evil.example',
  'localhost.evil.example',
  '127.0.0.1.evil.example',
  '192.168.0.7:4700',
  '',
])('a request addressed to ‘%s’ is refused, pages too', async (host) => {
  await open().api.get('/').set('Host', host).expect(403);
});

test.each(['localhost', 'localhost:4700', '127.0.0.1:1', '[::1]:4700', 'LOCALHOST:80'])(
  'a request addressed to %s is answered',
  async (host) => {
    await open().api.get('/api/health').set('Host', host).expect(200);
  },
);

test('in the house’s network it answers to the name it was given, and to no other', async () => {
  const api = request(
    createApp({
      services,
      logger: pino({ level: 'silent' }),
      webRoot,
      house: {
        names: () => ['huerta.lan'],
        secrets: secretsOf(nothing as DeviceTable),
        feeds: nothing as Feeds,
      },
    }),
  );
  await api.get('/let-in').set('Host', 'huerta.lan:4700').expect(200);
  await api.get('/let-in').set('Host', 'evil.example').expect(403);
  await api.get('/let-in').set('Host', 'localhost').expect(403);
});
