import { createHash, randomUUID } from 'node:crypto';
import { mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { Readable } from 'node:stream';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { servicesOf, type Services } from '..';
import { loadDemoBuild } from '../../demo/build';
import { loadDemoGarden, loadDemoVessels } from '../../demo/garden';
import { loadDemoLog } from '../../demo/log';
import { backUp } from '../../storage/backups';
import { openDatabase, type Database } from '../../storage/database';
import { STARTING_POINTS } from '@huerta/core/document';
import { readingId } from '../../storage/readings';
import { copiesOf } from '../copies';

let folder: string;
const opened: Database[] = [];
async function garden(
  name: string,
): Promise<{ database: Database; services: Services; file: string }> {
  const file = join(folder, `${name}.sqlite`);
  const database = await openDatabase(file);
  opened.push(database);
  return { database, services: servicesOf(database), file };
}
async function demo(name: string) {
  const made = await garden(name);
  await loadDemoGarden(made.services);
  await loadDemoVessels(made.services);
  await loadDemoBuild(made.services);
  await loadDemoLog(made.services, '2026-07-15');
  await made.services.weatherDays.put([{ date: '2026-07-14', tMin: 17, tMax: 33, rain: 0 }]);
  const [first] = (await made.services.planters.list()).kept;
  const readings = [{ at: '2026-07-14T20:00:00.000Z', level: 0.06 }];
  await made.services.log.read(first!.id, 'Float', readings);
  return made;
}
const taken = ({ gardenFile }: Services): Promise<Buffer> => buffer(gardenFile.take());
/** A file as it comes in. */
const sent = (file: Uint8Array): Readable => Readable.from([Buffer.from(file)]);
/** All that a garden holds, but for what is worked out from it. */
const contents = async ({ database }: { database: Database }) => {
  const rows = await database.documents.everything();
  const live = rows.filter(({ deletedAt }) => deletedAt === null);
  const [history] = await database.sequelize.query(
    'SELECT kind, id, revision, text, created_at FROM document_revisions ORDER BY kind, id, revision',
  );
  const [marks] = await database.sequelize.query('SELECT * FROM progress ORDER BY planter_id, key');
  const [weather] = await database.sequelize.query('SELECT date, day FROM weather_days');
  const [log] = await database.sequelize.query('SELECT id, entry FROM log_entries ORDER BY id');
  const [readings] = await database.sequelize.query(
    'SELECT id, planter, at, sensor, kind, depth, feels FROM readings ORDER BY id',
  );
  const [photos] = await database.sequelize.query(
    'SELECT id, hash, width, height FROM photos ORDER BY id',
  );
  return {
    documents: live.map(({ format: _format, saveId: _saveId, ...row }) => row),
    history,
    marks,
    log,
    readings,
    photos,
    weather,
  };
};

beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-garden-'));
});
afterEach(async () => {
  await Promise.all(opened.splice(0).map((database) => database.close()));
  await rm(folder, { recursive: true });
});

test('taken away and brought into an empty garden, everything is as it was', async () => {
  const from = await demo('from');
  const { planters } = from.services;
  const [first, second] = (await planters.list()).kept;
  const value = { ...first!.value, notes: 'changed since' };
  const save = { revision: 1, saveId: null, after: [] };
  await planters.save(first!.id, save, { name: first!.name, value });
  await planters.remove(second!.id);

  const file = await taken(from.services);
  const to = await garden('to');
  const preview = await to.services.gardenFile.look(sent(file));
  expect(new Set(preview.documents.map(({ standing }) => standing))).toEqual(new Set(['new']));
  expect(preview.leftOut).toEqual([]);
  expect((await to.database.documents.everything()).length).toBe(0);

  const { came } = await to.services.gardenFile.restore(sent(file), 'keep');
  expect(came).toBe(preview.documents.length);
  expect(await contents(to)).toEqual(await contents(from));
  // The same once more changes nothing.
  const again = await to.services.gardenFile.restore(sent(file), 'take');
  expect(again.came).toBe(0);
  expect(await contents(to)).toEqual(await contents(from));
});

test('beside what is there: the same stays, and of what differs it goes as it is said', async () => {
  const { services } = await demo('here');
  const { planters, gardenFile } = services;
  const file = await taken(services);
  const [first] = (await planters.list()).kept;
  const mine = { ...first!.value, notes: 'mine, later' };
  const save = { revision: 1, saveId: null, after: [] };
  await planters.save(first!.id, save, { name: first!.name, value: mine });

  const look = await gardenFile.look(sent(file));
  const differ = look.documents.filter(({ standing }) => standing !== 'same');
  expect(differ).toEqual([expect.objectContaining({ id: first!.id, standing: 'older' })]);
  await gardenFile.restore(sent(file), 'keep');
  expect((await planters.get(first!.id)).value.notes).toBe('mine, later');
  await gardenFile.restore(sent(file), 'both');
  const names = (await planters.list()).kept.map(({ name }) => name);
  expect(names).toContain(`${first!.name} (from the file)`);
  await gardenFile.restore(sent(file), 'take');
  expect((await planters.get(first!.id)).value).toEqual(first!.value);
  // What was here before is not lost: it lies in the history.
  expect((await planters.history(first!.id))[0]!.value.notes).toBe('mine, later');
});

test('what is no garden file is refused, and a damaged document is left out and named', async () => {
  const from = await demo('from');
  const to = await garden('to');
  const { gardenFile } = to.services;
  const file = await taken(from.services);
  await expect(gardenFile.look(sent(file.subarray(0, 900)))).rejects.toThrow(
    'not a whole garden file',
  );
  await expect(gardenFile.look(sent(zipSync({ 'a.txt': strToU8('x') })))).rejects.toThrow(
    'not from Huerta',
  );
  const parts = unzipSync(file);
  const later = strFromU8(parts['manifest.json']!).replace('"version": 2', '"version": 9');
  await expect(
    gardenFile.look(sent(zipSync({ ...parts, 'manifest.json': strToU8(later) }))),
  ).rejects.toThrow('a later Huerta');
  const [path] = Object.keys(parts).filter((name) => name.startsWith('planters/'));
  const torn = zipSync({ ...parts, [path!]: strToU8('{"torn":') });
  const { leftOut, came, documents } = await gardenFile.restore(sent(torn), 'keep');
  expect(leftOut).toEqual([{ path, why: 'It is damaged.' }]);
  expect(came).toBe(documents.length);
});

test('a copy is put back whole, after a copy of all that there is, and can be put back again', async () => {
  const here = await demo('huerta');
  const before = await contents(here);
  await backUp(here.file, new Date('2026-05-01T08:00:00Z'));
  const { planters, log, weatherDays, photos, progress } = here.services;
  const { kept } = await planters.list();
  const revisions = new Map(kept.map(({ id, revision }) => [id, revision]));
  const [first, second] = kept;
  const save = { revision: first!.revision, saveId: null, after: [] };
  const changed = { ...first!.value, notes: 'changed since' };
  await planters.save(first!.id, save, { name: first!.name, value: changed });
  await planters.remove(second!.id);
  const { entries } = await log.of();
  await log.add([{ ...entries[0]!, id: randomUUID() }]);
  await weatherDays.put([{ date: '2026-07-14', tMin: 1, tMax: 2, rain: 0 }]);
  await progress.send(first!.id, [
    { key: 'note/level', value: 'since', at: '2026-07-14T08:00:00.000Z' },
  ]);
  const picture = await sharp({
    create: { width: 9, height: 9, channels: 3, background: '#a3441f' },
  })
    .png()
    .toBuffer();
  await photos.put(randomUUID(), picture);
  const after = await contents(here);

  const shown = async () =>
    (JSON.parse(await here.services.garden.entries()) as { entries: { id: string }[] }).entries
      .length;
  expect(await shown()).toBe(kept.length - 1);
  // Of the same day too: what was there since lies in a copy of its own.
  const now = () => new Date('2026-05-01T18:00:00Z');
  const copies = copiesOf(here.database, here.file, () => undefined, now);
  expect(await copies.putBack('2026-05-02')).toBeNull();
  const put = await copies.putBack('2026-05-01');
  expect(put).toEqual({ before: '2026-05-01T180000' });
  expect(await shown()).toBe(kept.length);
  const plain = ({ documents, ...rest }: Awaited<ReturnType<typeof contents>>) => ({
    ...rest,
    history: [],
    documents: documents.map(({ revision: _revision, ...one }) => one),
  });
  expect(plain(await contents(here))).toEqual(plain(before));
  // A revision never comes again with another text: a device that knows the other one meets a clash.
  for (const { id, revision } of (await planters.list()).kept)
    expect(revision).toBeGreaterThan((revisions.get(id) ?? 0) - 1);
  await expect(
    planters.save(first!.id, { ...save, revision: 2 }, { name: 'Old', value: changed }),
  ).rejects.toThrow('changed in another window');
  expect((await copies.list()).copies.map(({ name }) => name)).toEqual([
    '2026-05-01T180000',
    '2026-05-01',
  ]);
  expect(await copies.putBack('2026-05-01T180000')).toEqual({ before: '2026-05-01T180001' });
  expect(plain(await contents(here))).toEqual(plain(after));
});

describe('a file that somebody made', () => {
  const at = '2026-05-01T08:00:00.000Z';
  const head = (id: unknown, path: string, over: object = {}) => ({
    ...{ kind: 'planter', id, name: 'Odd', revision: 1, deletedAt: null, path, history: [] },
    ...{ createdAt: at, updatedAt: at },
    ...over,
  });
  const zipOf = (documents: unknown[], files: Record<string, Uint8Array>) => {
    const listed = Object.entries(files).map(([path, bytes]) => [
      path,
      { sha256: createHash('sha256').update(bytes).digest('hex'), bytes: bytes.length },
    ]);
    const manifest = {
      ...{ format: 'huerta.garden', version: 2, madeAt: at, documents },
      files: Object.fromEntries(listed) as object,
    };
    return zipSync({ ...files, 'manifest.json': strToU8(JSON.stringify(manifest)) });
  };

  test('brings in what is whole, and says of everything else why not before anything comes', async () => {
    const { services } = await garden('to');
    const design = STARTING_POINTS[0]!.design;
    const planter = randomUUID();
    const json = (value: unknown) => strToU8(JSON.stringify(value));
    const entry = (id: unknown): object => ({
      ...{ id, planter, at, by: '', text: '', typed: '', instead: null, gone: false },
      did: { kind: 'did', what: 'planted' },
    });
    const ids = ['__proto__', '../x<script>', 'constructor', '', 7, null, '00000000'];
    const good = randomUUID();
    const file = zipOf(
      [
        ...ids.map((id) => head(id, 'planters/good.json')),
        null,
        'x',
        head(planter, 'planters/good.json'),
        head(randomUUID(), 'planters/good.json', { kind: 'prices' }),
        head(randomUUID(), 'planters/torn.json'),
      ],
      {
        'planters/good.json': json(design),
        'planters/torn.json': strToU8('{"torn":'),
        'log/000001.json': json([
          entry('no'),
          entry(good),
          null,
          { ...entry(randomUUID()), did: 7 },
        ]),
        'marks.json': strToU8(
          `{"__proto__":[],"../x":[],"${planter}":[{"key":"done/measure","value":true,"at":"${at}"},{"key":"x"}]}`,
        ),
        'readings/000001.json': json([{ id: good }]),
        'weather-days.json': json([
          { date: '2026-07-14', tMin: 1, tMax: 2, rain: 0 },
          { date: 'x' },
        ]),
        [`photos/${randomUUID()}.jpg`]: strToU8('no picture'),
      },
    );
    // A path that leads out of the file makes it none that Huerta made.
    const out = zipOf([], { 'photos/../../x.jpg': strToU8('no picture') });
    await expect(services.gardenFile.look(sent(out))).rejects.toThrow('not a whole garden file');
    const look = await services.gardenFile.look(sent(file));
    expect(look.documents.map(({ id }) => id)).toEqual([planter]);
    expect([look.log, look.marks, look.weatherDays, look.photos]).toEqual([1, 1, 1, 0]);
    expect(look.leftOut.length).toBeGreaterThanOrEqual(ids.length + 10);
    expect((await services.planters.list()).kept).toEqual([]);
    const { leftOut, came } = await services.gardenFile.restore(sent(file), 'take');
    expect([leftOut, came]).toEqual([look.leftOut, 1]);
    const { entries } = await services.log.of();
    expect(entries.map(({ id }) => id)).toEqual([good]);
    expect((await services.progress.get(planter)).entries).toHaveLength(1);
    // Nothing of the incoming file lies about.
    expect((await readdir(folder)).filter((name) => name.startsWith('incoming'))).toEqual([]);
  });

  test('that unpacks to more than a garden can be is refused before it is unpacked', async () => {
    const { services } = await garden('to');
    const zeros = new Uint8Array(70_000_000);
    const bomb = zipOf([], { 'log/000001.json': zeros });
    const { leftOut } = await services.gardenFile.look(sent(bomb));
    expect(leftOut).toEqual([{ path: 'log/000001.json', why: 'It is missing or too large.' }]);
    // A central directory that says more than the limit, without the bytes.
    const lies = Buffer.from(bomb);
    const entry = lies.indexOf(Buffer.from([0x50, 0x4b, 1, 2]));
    lies.writeUInt32LE(0x7fffffff, entry + 24);
    await expect(services.gardenFile.look(sent(lies))).rejects.toThrow('larger than 2 GB');
    await expect(services.gardenFile.look(sent(new Uint8Array()))).rejects.toThrow('not a whole');
  });

  test('of the version before, with the whole log in one part and readings among it, comes in whole', async () => {
    const { services } = await garden('to');
    const planter = randomUUID();
    const base = { planter, text: '', typed: '', instead: null, gone: false };
    const id = readingId(planter, 'Float', at, 'level');
    const log = [
      { ...base, id, at, by: 'Float', did: { kind: 'level', depth: 0.05 } },
      { ...base, id: randomUUID(), at, by: '', did: { kind: 'level', depth: 0.04 } },
    ];
    const parts = unzipSync(zipOf([], { 'log.json': strToU8(JSON.stringify(log)) }));
    const manifest = strFromU8(parts['manifest.json']!).replace('"version":2', '"version":1');
    const file = zipSync({ ...parts, 'manifest.json': strToU8(manifest) });
    const { readings, log: entries } = await services.gardenFile.restore(sent(file), 'keep');
    expect([readings, entries]).toEqual([1, 1]);
    expect((await services.log.of({ planter })).entries).toHaveLength(2);
  });
});
