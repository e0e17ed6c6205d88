/** @jest-environment jsdom */
import { configure, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FIRST_PLAN, FIRST_WEATHER, usualPlanted, type LogEntry } from '@huerta/core';
import { Route, Routes } from 'react-router';
import { Notices } from '../../components/notices';
import { Around, designOf } from '../../testing/bench';
import { show } from '../../testing/render';
import { installWorker, serveWith } from '../../testing/worker';
import TodayPage from '../today/TodayPage';
import LogPage from './LogPage';

const id = '00000000-0000-4000-8000-000000000001';
const at = '2026-05-01T08:00:00.000Z';
let log: LogEntry[] = [];
let away = false;

beforeAll(() => {
  configure({ asyncUtilTimeout: 15_000 });
  installWorker();
});
beforeEach(() => {
  log = [];
  away = false;
});

const daysAgo = (days: number): string =>
  new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

const open = (path: string) => {
  const design = designOf('cloth-pail', [
    { path: ['planting', 'crops'], value: [usualPlanted('pepper', 1)] },
  ]);
  const planter = { id, revision: 1, createdAt: at, updatedAt: at, design };
  serveWith(({ path: asked, method, body }) => {
    if (asked === '/log' && method === 'POST') {
      if (away) throw new Error('The server is away.');
      const { entries } = body as { entries: LogEntry[] };
      const fresh = entries.filter((entry) => !log.some((one) => one.id === entry.id));
      log = [...log, ...fresh];
      return { came: fresh.length };
    }
    if (asked === `/planters/${id}/log` || asked === '/log') return { entries: log };
    if (asked === '/weather') return { revision: 1, updatedAt: at, choice: FIRST_WEATHER };
    if (asked === `/planters/${id}/season`)
      return {
        revision: 1,
        updatedAt: at,
        plan: { ...FIRST_PLAN, planted: daysAgo(60) },
      };
    if (asked === '/planters') return { planters: [planter], setAside: [] };
    return asked === `/planters/${id}` ? planter : null;
  });
  show(
    <Around at={path}>
      <Routes>
        <Route path="/planters/:id/log" element={<LogPage />} />
        <Route path="/today" element={<TodayPage />} />
      </Routes>
      <Notices />
    </Around>,
  );
  return userEvent.setup();
};
const entries = () => screen.findByRole('list', { name: /^Entries/ });

test('a press notes a filling, a line anything else; what is taken out can be put back', async () => {
  const user = open(`/planters/${id}/log`);
  expect(await screen.findByText(/Nothing is noted yet/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Filled till it ran' }));
  expect(within(await entries()).getByText('Filled until it ran')).toBeTruthy();
  const line = screen.getByLabelText('Or say what you did');
  await user.type(line, 'stick high{Enter}');
  expect(screen.getByText(/not a length that can be read/)).toBeTruthy();
  expect((line as HTMLInputElement).value).toBe('stick high');
  await user.clear(line);
  await user.type(line, 'picked 3 peppers yesterday{Enter}');
  expect(await within(await entries()).findByText('Harvested 3 peppers')).toBeTruthy();
  await waitFor(() => expect(log).toHaveLength(2));
  expect(log[1]).toMatchObject({
    typed: 'picked 3 peppers yesterday',
    at: expect.stringContaining(daysAgo(1)),
  });

  await user.click(screen.getByRole('button', { name: /^Take out: Harvested 3 peppers/ }));
  await waitFor(() => expect(screen.queryByText('Harvested 3 peppers')).toBeNull());
  await user.click(await screen.findByText('Put it back'));
  expect(await screen.findByText('Harvested 3 peppers')).toBeTruthy();
  // Nothing was ever changed: four entries tell it.
  await waitFor(() => expect(log).toHaveLength(4));
});

test('while the server is away what is noted stands there, and is sent once when it is back', async () => {
  away = true;
  const user = open(`/planters/${id}/log`);
  await user.click(await screen.findByRole('button', { name: 'Filled till it ran' }));
  expect(within(await entries()).getByText('Filled until it ran')).toBeTruthy();
  expect(log).toHaveLength(0);
  away = false;
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(log).toHaveLength(1));
  expect(within(await entries()).getAllByText('Filled until it ran')).toHaveLength(1);
});

test('whoever writes on this device is named in what is written', async () => {
  const user = open(`/planters/${id}/log`);
  await user.type(await screen.findByLabelText('Who writes on this device'), 'Inés{Enter}');
  await user.click(screen.getByRole('button', { name: 'Filled till it ran' }));
  await waitFor(() => expect(log[0]).toMatchObject({ by: 'Inés' }));
  expect(within(await entries()).getByText(/\(Inés\)/)).toBeTruthy();
});

test('today tells what wants water, and a press fills it', async () => {
  const user = open('/today');
  expect(await screen.findByText(/Worked out from the day of planting/)).toBeTruthy();
  await user.click(await screen.findByRole('button', { name: /^Filled till it ran/ }));
  await waitFor(() => expect(log).toHaveLength(1));
  expect(await screen.findByText(/Next filling/)).toBeTruthy();
  await waitFor(() => expect(screen.queryByText(/Worked out from the day of planting/)).toBeNull());
});
