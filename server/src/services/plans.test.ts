import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { plansSchema, type PlansResource } from '@huerta/contract';
import { usualWish, type PlanWish } from '@huerta/core/planning/plans';
import { openDatabase, type Database } from '../storage/database';
import { ONLY } from './kinds';
import { servicesOf, type Services } from '.';

let folder: string;
let database: Database;
let services: Services;

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'huerta-plans-'));
  database = await openDatabase(join(folder, 'huerta.sqlite'));
  services = servicesOf(database, 'test', () => '2026-07-15');
});
afterAll(async () => {
  await database.close();
  await rm(folder, { recursive: true });
});

const wish: PlanWish = {
  ...usualWish(8),
  vessels: [{ vessel: 'pail-20', count: 2 }],
  crops: [{ crop: 'pepper', count: 2 }],
  days: 3,
  buys: false,
};

test('plans come in words and figures, in the garden’s weather and by its price book', async () => {
  const plans = await services.plans.find(wish, 'metric');
  expect(plansSchema.safeParse(plans).error?.issues ?? []).toEqual([]);
  expect(plans.plans.length).toBeGreaterThan(1);
  expect(plans.currency).toBe('EUR');
  const [best] = plans.plans;
  expect(best!.title).toMatch(/^Two pails over /);
  expect(best!.planters[0]!.crops).toEqual([{ crop: 'pepper', count: 1 }]);

  // Elsewhere the same pails last longer.
  const { revision, value } = await services.weather.get(ONLY);
  const save = { revision, saveId: null, after: [] };
  await services.weather.save(ONLY, save, {
    name: 'Weather',
    value: { ...value, site: 'cool-coast' },
  });
  const longest = ({ plans: all }: PlansResource): number =>
    Math.max(...all.map(({ days }) => days.short));
  expect(longest(await services.plans.find(wish, 'us'))).toBeGreaterThan(longest(plans));
});
