import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gardenSchema } from '@huerta/contract';
import { evaluate } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import { servicesOf } from '.';
import { loadDemoBuild } from '../demo/build';
import { loadDemoGarden } from '../demo/garden';
import { openDatabase, type Database } from '../storage/database';

let folder: string;
let database: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-short-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
});
afterEach(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});
const listed = async (by = 'one') =>
  gardenSchema.parse(JSON.parse(await servicesOf(database, by).garden.entries()));
const kept = (by: string) =>
  database.documents
    .summaries('planter', by)
    .then((rows) => rows.filter(({ summary }) => summary !== null).length);

test('the list in short says what the planters themselves say, and is kept for the next time', async () => {
  const services = servicesOf(database, 'one');
  await loadDemoGarden(services);
  await loadDemoBuild(services);
  const { entries, setAside } = await listed();
  const planters = (await services.planters.list()).kept;
  expect(setAside).toEqual([]);
  expect(entries.map(({ id }) => id)).toEqual(planters.map(({ id }) => id));
  for (const [i, { value }] of planters.entries()) {
    const { planter, assessment } = evaluate(value);
    const { summary } = entries[i]!;
    expect(summary.usable).toBe(assessment.figures.usable);
    const worst = assessment.findings.find(({ severity }) => severity !== 'note');
    expect(summary.worst?.text ?? null).toEqual(worst?.text ?? null);
    const { top, bottom } = section(planter).bounds;
    expect(summary.height).toBeCloseTo(top - bottom, 9);
  }
  const built = entries.find(({ done }) => done > 0)!;
  expect(built).toMatchObject({ name: 'Peppers on the kitchen step', done: 4 });
  expect(await kept('one')).toBe(entries.length);
  // Another Huerta works it out again, and a save only what was saved.
  expect(await kept('two')).toBe(0);
  const [first] = planters;
  const save = { revision: 1, saveId: null, after: [] };
  const value = { ...first!.value, place: { ...first!.value.place, name: 'Elsewhere' } };
  await services.planters.save(first!.id, save, { name: first!.name, value });
  expect(await kept('one')).toBe(entries.length - 1);
  expect((await listed()).entries[0]!.summary.place).toBe('Elsewhere');
});

test('one that cannot be read is set aside by name, of whatever kind', async () => {
  const services = servicesOf(database);
  await loadDemoGarden(services);
  const [first] = (await services.planters.list()).kept;
  const weather = await services.weather.get('garden');
  const none = { revision: 0, saveId: null, after: [] };
  await services.weather.save('garden', none, { name: 'Weather', value: weather.value });
  await database.sequelize.query("UPDATE documents SET text = '{', format = NULL, summary = NULL");
  const { entries, setAside } = await listed();
  expect(entries).toEqual([]);
  expect(setAside).toContainEqual(expect.objectContaining({ kind: 'planter', name: first!.name }));
  expect(setAside).toContainEqual(expect.objectContaining({ kind: 'weather', name: 'Weather' }));
  // What there is one of goes on from the beginning; what it was can be taken away.
  expect((await services.weather.get('garden')).value).toEqual(weather.value);
  expect((await services.garden.document('weather', 'garden')).text).toBe('{');
});
