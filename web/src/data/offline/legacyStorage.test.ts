/** @jest-environment jsdom */
import 'fake-indexeddb/auto';
import { FIRST_PLAN } from '@huerta/core/simulation/season';
import type { ProgressEntry } from '@huerta/core/fabrication';
import { migrateLegacyStorage } from './legacyStorage';
import { pendingSaves } from './pendingSaves';
import { pendingProgressOf } from './pendingProgress';

const planter = '00000000-0000-4000-8000-000000000001';
const entry: ProgressEntry = {
  key: 'done/measure',
  value: true,
  at: '2026-05-01T08:00:00.000Z',
};

// jsdom has no structuredClone, which the browser's database copies by.
globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));

beforeEach(() => localStorage.clear());

test('marks that an earlier Huerta left waiting are sent with all else, once', async () => {
  localStorage.setItem(
    `huerta.progress.${planter}`,
    JSON.stringify({ state: { waiting: [entry] }, version: 0 }),
  );
  await migrateLegacyStorage();
  expect(await pendingProgressOf(planter)).toEqual([entry]);
  expect(localStorage.getItem(`huerta.progress.${planter}`)).toBeNull();
  await migrateLegacyStorage();
  expect(await pendingProgressOf(planter)).toEqual([entry]);
});

test('a plan that waited is kept as a change of an unknown revision', async () => {
  localStorage.setItem(`huerta.plan.${planter}`, JSON.stringify(FIRST_PLAN));
  await migrateLegacyStorage();
  const kept = (await pendingSaves.all()).filter(({ kind }) => kind === 'season');
  expect(kept).toEqual([
    expect.objectContaining({ id: planter, base: 0, body: { plan: FIRST_PLAN } }),
  ]);
});

test('what cannot be read stays, and what is not of that sort is left alone', async () => {
  localStorage.setItem(`huerta.plan.${planter}`, '{oops');
  localStorage.setItem(`huerta.progress.${planter}`, JSON.stringify({ state: 7 }));
  localStorage.setItem('huerta.units', 'us');
  await migrateLegacyStorage();
  expect(Object.keys(localStorage).sort()).toEqual([
    `huerta.plan.${planter}`,
    `huerta.progress.${planter}`,
    'huerta.units',
  ]);
});
