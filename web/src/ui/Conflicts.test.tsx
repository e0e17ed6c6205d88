/** @jest-environment jsdom */
import type { DocumentKind } from '@huerta/contract';
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FIRST_PLAN } from '@huerta/core/simulation/season';
import { FIRST_WEATHER } from '@huerta/core/physics/climate';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { pendingSaves, keyOf } from '../data/offline/pendingSaves';
import { Around, designOf } from '../testing/editor';
import { show } from '../testing/render';
import { serveWith } from '../testing/worker';
import { Conflicts } from './Conflicts';
import type { Bodies, PendingSave } from '../data/offline/types';

const id = '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';

async function clash<K extends DocumentKind>(kind: K, mine: Bodies[K], theirs: Bodies[K]) {
  const kept: PendingSave<K> = {
    key: keyOf(kind, id),
    kind,
    id,
    holder: '',
    base: 3,
    saveId: 'mine',
    after: ['before'],
    body: mine,
    at: 1,
    clash: { revision: 7, body: theirs },
  };
  await pendingSaves.put(kept as PendingSave);
  // Nobody answers: what is settled stays kept, to be looked at.
  serveWith(() => {
    throw new TypeError('no server');
  });
  show(<Around>{<Conflicts />}</Around>);
  const dialog = within(await screen.findByRole('alertdialog'));
  return { dialog, user: userEvent.setup(), now: () => pendingSaves.get(kept.key) };
}
const gone = () => waitFor(() => expect(screen.queryByRole('alertdialog')).toBeNull());
beforeEach(async () => {
  for (const { key, saveId } of await pendingSaves.all()) await pendingSaves.drop(key, saveId);
});

test('of a plan the ticked part is mine and the rest theirs, as a save over theirs', async () => {
  const mine = { plan: { ...FIRST_PLAN, planted: '2026-05-10' } };
  const theirs = { plan: { ...FIRST_PLAN, filling: { kind: 'never' as const } } };
  const { dialog, user, now } = await clash('season', mine, theirs);
  expect(dialog.getByText('Planted: yours 2026-05-10, the other the usual day')).toBeTruthy();
  expect(dialog.getByText('It is filled: yours when it is low, the other never')).toBeTruthy();
  expect(dialog.getAllByRole('checkbox')).toHaveLength(2);
  expect(
    (dialog.getByRole('button', { name: 'Keep what is ticked' }) as HTMLButtonElement).disabled,
  ).toBe(true);
  await user.click(dialog.getByText(/^Planted/));
  await user.click(dialog.getByRole('button', { name: 'Keep what is ticked' }));
  await gone();
  const settled = await now();
  expect(settled).toMatchObject({
    base: 7,
    after: [],
    body: { plan: { planted: '2026-05-10', filling: { kind: 'never' } } },
  });
  expect(settled?.saveId).not.toBe('mine');
  expect(settled).not.toHaveProperty('clash');
});

test('all of mine goes over theirs, and taking theirs gives mine up', async () => {
  const mine = { choice: { ...FIRST_WEATHER, site: 'own-days' as const } };
  const first = await clash('weather', mine, { choice: FIRST_WEATHER });
  expect(first.dialog.getByText(/^Weather of: yours your own, the other Vallesol/)).toBeTruthy();
  await first.user.click(first.dialog.getByRole('button', { name: 'Keep all of yours' }));
  await gone();
  expect(await first.now()).toMatchObject({ base: 7, body: mine });

  const other = await clash('prices', { book: { ...NEW_BOOK, kerf: 0.004 } }, { book: NEW_BOOK });
  expect(other.dialog.getByText(/^Width of a saw cut: yours 4.mm, the other 3.mm/)).toBeTruthy();
  await other.user.click(other.dialog.getByRole('button', { name: 'Take the other' }));
  await waitFor(async () => expect(await other.now()).toBeNull());
});

test('a vessel’s name and measures are chosen apart', async () => {
  const { vessel } = designOf('cloth-pail');
  const { vessel: tote } = designOf('tote-pipes');
  const { dialog, user, now } = await clash(
    'vessel',
    { name: 'Olive pail', vessel },
    { name: 'Old pail', vessel: tote },
  );
  await user.click(dialog.getByText('Name: yours Olive pail, the other Old pail'));
  await user.click(dialog.getByRole('button', { name: 'Keep what is ticked' }));
  await waitFor(async () =>
    expect((await now())?.body).toEqual({ name: 'Olive pail', vessel: tote }),
  );
});
