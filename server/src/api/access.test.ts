import { mkdtemp, rm, stat } from 'node:fs/promises';
import { get } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import jsQR from 'jsqr';
import request from 'supertest';
import { codeSchema, remoteAccessSchema, problemSchema } from '@huerta/contract';
import { STARTING_POINTS } from '@huerta/core/document';
import { remoteAccess, type RemoteAccess } from '../access/remoteAccess';
import { feedsOf } from '../access/feeds';
import { secretsOf, type Secrets } from '../access/secrets';
import { servicesOf } from '../services';
import { copiesOf } from '../services/copies';
import { openDatabase, type Database } from '../storage/database';
import { createApp } from './app';

const PORT = 4797;
const HOUSE = 'huerta.lan';
const design = STARTING_POINTS[0]!.design;

let folder: string;
let database: Database;
let secrets: Secrets;
let keeper: RemoteAccess;
/** From the machine itself, and from the house. */
let home: ReturnType<typeof request>;
let house: ReturnType<typeof request>;
let now = new Date('2026-05-01T08:00:00.000Z');

beforeEach(async () => {
  now = new Date('2026-05-01T08:00:00.000Z');
  folder = await mkdtemp(join(tmpdir(), 'huerta-door-'));
  const file = join(folder, 'huerta.sqlite');
  database = await openDatabase(file);
  secrets = secretsOf(database.devices, () => now);
  const feeds = feedsOf(database.feeds, () => now);
  const app = { services: servicesOf(database), logger: pino({ level: 'silent' }) };
  const answer = createApp({
    ...app,
    house: { names: () => [HOUSE, '127.0.0.1'], secrets, feeds },
  });
  keeper = remoteAccess({
    table: database.devices,
    secrets,
    answer,
    folder,
    port: PORT,
    named: HOUSE,
    own: null,
  });
  const copies = copiesOf(database, file);
  home = request(createApp({ ...app, home: { keeper, secrets, copies, feeds } }));
  house = request(answer);
});
afterEach(async () => {
  await keeper.stop();
  await database.close();
  await rm(folder, { recursive: true });
});

const problemOf = (response: request.Response) => problemSchema.parse(response.body);
const enter = (code: string, name = 'Phone') =>
  house.post('/api/door/enter').set('Host', HOUSE).send({ code, name });
async function letIn(): Promise<string> {
  const answer = await enter(secrets.makeCode().code).expect(204);
  const [cookie] = answer.headers['set-cookie'] as unknown as string[];
  expect(cookie).toMatch(/HttpOnly; SameSite=Lax/);
  return cookie!.split(';')[0]!;
}

test('a device without a secret gets the page that says how to be let in, and nothing else', async () => {
  await home.post('/api/planters').send({ design }).expect(201);
  for (const path of ['/', '/planters/x', '/assets/a.js', '/mark.svg']) {
    const page = await house.get(path).set('Host', HOUSE).set('Accept', 'text/html').expect(401);
    expect(page.text).toContain('This device has not been let in');
  }
  for (const path of ['/api/planters', '/api/garden.zip', '/api/door', '/api/health']) {
    const refused = await house.get(path).set('Host', HOUSE).expect(401);
    expect(problemOf(refused).kind).toBe('not-let-in');
    expect(refused.text).not.toContain(design.name);
  }
  const save = house.post('/api/planters').set('Host', HOUSE).send({ design });
  expect(problemOf(await save.expect(401)).kind).toBe('not-let-in');
  await house
    .get('/api/planters')
    .set('Host', HOUSE)
    .set('Cookie', 'huerta_device=3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d.guessed')
    .expect(401);
});

test('a code lets one device in, once and within ten minutes, until it is shut out', async () => {
  const { code } = secrets.makeCode();
  await enter(code).expect(204);
  expect(problemOf(await enter(code).expect(401)).detail).toContain('Make a new one');
  const late = secrets.makeCode().code;
  now = new Date(now.getTime() + 10 * 60_000 + 1);
  await enter(late).expect(401);

  const cookie = await letIn();
  const list = () => house.get('/api/planters').set('Host', HOUSE).set('Cookie', cookie);
  await list().expect(200);
  // Its secret is nowhere in the garden's file.
  const rows = JSON.stringify(await database.devices.all());
  expect(rows).not.toContain(cookie.split('.')[1]);
  const { devices } = remoteAccessSchema.parse((await home.get('/api/door').expect(200)).body);
  expect(devices.map(({ name }) => name)).toEqual(['Phone', 'Phone']);
  await home.delete(`/api/door/devices/${devices[1]!.id}`).expect(204);
  await list().expect(401);
});

test('a device that was let in cannot open the door, let others in or put back copies', async () => {
  const cookie = await letIn();
  const asked = (method: 'get' | 'put' | 'post', path: string) =>
    house[method](path)
      .set('Host', HOUSE)
      .set('Cookie', cookie)
      .send({ open: true, secure: false });
  await asked('put', '/api/door').expect(404);
  await asked('post', '/api/door/codes').expect(404);
  await asked('post', '/api/backups/2026-05-01').expect(404);
  await asked('post', '/api/garden/restore').expect(404);
  // It may take the garden away, as it may read all of it.
  await house.get('/api/garden.zip').set('Host', HOUSE).set('Cookie', cookie).expect(200);
});

test('wrong codes are limited, and a page from elsewhere changes nothing', async () => {
  for (let i = 0; i < 10; i += 1) await enter(`guess-${i}`).expect(401);
  expect(problemOf(await enter('one more').expect(429)).kind).toBe('too-many');
  await enter(secrets.makeCode().code).expect(429);
  const { code } = secrets.makeCode();
  const foreign = house
    .post('/api/door/enter')
    .set('Host', HOUSE)
    .set('Origin', 'http://evil.example');
  expect(problemOf(await foreign.send({ code, name: 'Spy' }).expect(403)).kind).toBe(
    'foreign-page',
  );
});

test('the door opens into the network and shuts again, and stays as it was left', async () => {
  const shut = remoteAccessSchema.parse((await home.get('/api/door').expect(200)).body);
  expect(shut).toMatchObject({ open: false, addresses: [] });
  const opened = await home.put('/api/door').send({ open: true, secure: false }).expect(200);
  const { addresses } = remoteAccessSchema.parse(opened.body);
  expect(addresses[0]).toBe(`http://${HOUSE}:${PORT}`);
  const answer = await fetch(`http://127.0.0.1:${PORT}/`, { headers: { accept: 'text/html' } });
  expect(answer.status).toBe(401);
  await keeper.stop();
  await expect(fetch(`http://127.0.0.1:${PORT}/`)).rejects.toThrow();
  await keeper.begin();
  expect((await keeper.state()).open).toBe(true);
  await home.put('/api/door').send({ open: false, secure: false }).expect(200);
  await keeper.begin();
  expect((await keeper.state()).open).toBe(false);
});

test('encrypted, with a certificate of Huerta’s own that names this machine and whose key is for its owner', async () => {
  const { body } = await home.put('/api/door').send({ open: true, secure: true }).expect(200);
  expect(remoteAccessSchema.parse(body)).toMatchObject({
    open: true,
    certificate: 'made',
    trouble: null,
  });
  expect((await stat(join(folder, 'door.key'))).mode & 0o077).toBe(0);
  const [status, names] = await new Promise<[number, string]>((done, fail) => {
    get(
      { port: PORT, host: '127.0.0.1', rejectUnauthorized: false, headers: { host: HOUSE } },
      (response) => {
        const socket = response.socket as import('node:tls').TLSSocket;
        done([response.statusCode ?? 0, socket.getPeerCertificate().subjectaltname ?? '']);
      },
    ).on('error', fail);
  });
  expect(status).toBe(401);
  expect(names).toContain(`DNS:${HOUSE}`);
});

test('the code to scan says the address and the code, and it is not made while the door is shut', async () => {
  const ask = () => home.post('/api/door/codes').send({ address: `http://${HOUSE}:${PORT}` });
  await ask().expect(400);
  await keeper.set({ open: true, secure: false });
  const { rows, link } = codeSchema.parse((await ask().expect(201)).body);
  const [zoom, quiet] = [4, 4];
  const size = (rows.length + 2 * quiet) * zoom;
  const pixels = new Uint8ClampedArray(size * size * 4).fill(255);
  for (let y = 0; y < size; y += 1) {
    for (let x = 0; x < size; x += 1) {
      const dark = rows[Math.floor(y / zoom) - quiet]?.[Math.floor(x / zoom) - quiet];
      if (dark) pixels.fill(0, (y * size + x) * 4, (y * size + x) * 4 + 3);
    }
  }
  expect(jsQR(pixels, size, size)?.data).toBe(link);
  await enter(new URL(link).hash.slice(1)).expect(204);
});

describe('an address with a secret of its own', () => {
  const made = async (kind: string, of: string | null = null) => {
    await home.put('/api/door').send({ open: true, secure: false }).expect(200);
    const { addresses } = remoteAccessSchema.parse((await home.get('/api/door')).body);
    const [address] = addresses;
    const wish = { name: 'Kitchen', kind, planter: of, address };
    const { body } = await home.post('/api/feeds').send(wish).expect(201);
    const { feed, link } = body as { feed: { id: string }; link: string };
    return { id: feed.id, path: new URL(link).pathname };
  };
  const day = { date: '2026-07-14', tMin: 17, tMax: 33, rain: 0 };

  test('reads the calendar, and can do nothing else', async () => {
    const { path, id } = await made('calendar');
    const answer = await house.get(path).set('Host', HOUSE).buffer().expect(200);
    expect(answer.text).toMatch(/^BEGIN:VCALENDAR/);
    const secret = path.split('/')[3]!;
    await house
      .post(`/api/feeds/${secret}/days`)
      .set('Host', HOUSE)
      .send({ days: [day] })
      .expect(401);
    await house.get('/api/planters').set('Host', HOUSE).expect(401);
    await house
      .get(path.replace(secret, `${secret}x`))
      .set('Host', HOUSE)
      .expect(401);
    // It is listed without its secret, and withdrawn.
    const { text } = await home.get('/api/feeds').expect(200);
    expect(text).toContain('Kitchen');
    expect(text).not.toContain(secret);
    await home.delete(`/api/feeds/${id}`).expect(204);
    await house.get(path).set('Host', HOUSE).expect(401);
  });

  test('tells weather, or the readings of one planter', async () => {
    const { body } = await home.post('/api/planters').send({ design }).expect(201);
    const { id: planter } = body as { id: string };
    const weather = await made('weather');
    await house
      .post(weather.path)
      .set('Host', HOUSE)
      .send({ days: [day] })
      .expect(200);
    const float = await made('readings', planter);
    const readings = { by: 'Float', readings: [{ at: '2026-07-14T08:00:00.000Z', level: 0.05 }] };
    await house.post(float.path).set('Host', HOUSE).send(readings).expect(200);
    const { text } = await home.get(`/api/planters/${planter}/log`).expect(200);
    expect(text).toContain('Float');
    await home
      .post('/api/feeds')
      .send({ name: 'x', kind: 'readings', address: 'http://x' })
      .expect(400);
    // Making and withdrawing is for this machine alone.
    await house.get('/api/feeds').set('Host', HOUSE).expect(401);
  });
});
