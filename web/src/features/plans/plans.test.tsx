/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { NEW_BOOK } from '@huerta/core/fabrication';
import { FIRST_WEATHER } from '@huerta/core/physics/climate';
import { usualWish } from '@huerta/core/planning/plans';
import type { PlanterDesign } from '@huerta/core/document';
import { Around, designOf } from '../../testing/editor';
import { show } from '../../testing/render';
import { installWorker, serveWith } from '../../testing/worker';
import PlansPage from './PlansPage';

/** Plans, asked for and made. */

const at = '2026-05-01T08:00:00.000Z';
const ID = '00000000-0000-4000-8000-000000000001';
const NAME = 'B'.repeat(120);
const workers = installWorker();
let made: PlanterDesign[] = [];

beforeEach(() => {
  localStorage.clear();
  workers.broken = false;
  made = [];
  serveWith(({ method, path, body }) => {
    if (path === '/prices') return { revision: 0, updatedAt: null, book: NEW_BOOK };
    if (path === '/weather') return { revision: 0, updatedAt: null, choice: FIRST_WEATHER };
    if (path === '/vessels') return { vessels: [] };
    if (path === `/planters/${ID}` && method === 'GET')
      return {
        ...{ id: ID, revision: 1, createdAt: at, updatedAt: at },
        design: { ...designOf('cup-pail'), name: NAME },
      };
    if (!path.startsWith('/planters/') || method !== 'PUT') return null;
    const { design } = body as { design: PlanterDesign };
    made.push(design);
    return { id: path.slice(10), revision: 1, createdAt: at, updatedAt: at, design };
  });
});

const wished = (part: object): void =>
  localStorage.setItem('huerta.wish', JSON.stringify({ ...usualWish(7), ...part }));
const PEPPERS = {
  vessels: [{ vessel: 'pail-20', count: 2 }],
  crops: [{ crop: 'pepper', count: 2 }],
  buys: false,
  days: 3,
};

test('what was wished before is asked again, and one press makes the planters of a plan', async () => {
  wished(PEPPERS);
  show(<Around at="/plans">{<PlansPage />}</Around>);
  const user = userEvent.setup();
  expect(await screen.findByRole('heading', { level: 1, name: /your 3\sdays$/ })).toBeTruthy();
  await waitFor(() => expect(screen.queryByRole('progressbar')).toBeNull());
  const [best] = await screen.findAllByRole('button', { name: 'Make this one' });
  await user.click(best!);
  expect((await screen.findByText(/^In your garden now:/)).textContent).toContain(
    'Sweet pepper pail, 2 of 2',
  );
  expect(made.map(({ name, variant }) => [name, variant])).toEqual([
    ['Sweet pepper pail', ''],
    ['Sweet pepper pail', '2 of 2'],
  ]);
  const list = screen.getByRole('link', { name: 'Shopping list' });
  expect(list.getAttribute('href')).toMatch(/^\/shopping\?with=[\w-]+,[\w-]+$/);
});

test('a search that breaks off says so, and a wish that cannot be read is none', async () => {
  workers.broken = true;
  wished(PEPPERS);
  const { unmount } = show(<Around at="/plans">{<PlansPage />}</Around>);
  expect(await screen.findByText(/change an answer to try again/)).toBeTruthy();
  unmount();
  localStorage.setItem('huerta.wish', '{"vessels": "many"}');
  show(<Around at="/plans">{<PlansPage />}</Around>);
  expect(
    await screen.findByRole('button', { name: /^What you want Nothing yet/, expanded: true }),
  ).toBeTruthy();
});

test('from a planter its vessel, crops and days are filled in', async () => {
  show(<Around at={`/plans?of=${ID}`}>{<PlansPage />}</Around>);
  const has = await screen.findByRole('button', { name: /^What there is/ });
  expect(has.textContent).toContain(`1 × ${NAME.slice(0, 80)}`);
  expect(screen.getByRole('button', { name: /^What you want/ }).textContent).toContain('3 × basil');
});
