/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanterDesign } from '@huerta/core';
import { Route, Routes } from 'react-router';
import { answers, Around, designOf } from '../../testing/bench';
import { show } from '../../testing/render';
import BuildPage from './BuildPage';

const id = '00000000-0000-4000-8000-000000000001';
const at = '2026-05-01T08:00:00.000Z';

const open = (design: PlanterDesign | null) => {
  answers(
    design
      ? { [`/planters/${id}`]: { id, revision: 1, createdAt: at, updatedAt: at, design } }
      : {},
  );
  show(
    <Around at={`/planters/${id}/build`}>
      <Routes>
        <Route path="/planters/:id/build" element={<BuildPage />} />
      </Routes>
    </Around>,
  );
  return userEvent.setup();
};

test('the sheet of a tote: parts, holes with their drill, and cuts on bars', async () => {
  open(designOf('tote-pipes'));
  expect(
    await screen.findByRole('heading', { name: 'Build: Tote with its lid on pipes' }),
  ).toBeTruthy();
  const wall = screen.getByRole('row', { name: /^Wall 1 20.mm/ });
  expect(wall.textContent).toMatch(/lip comes to 70.mm/);
  expect(screen.getByText(/^50 mm pipe: 1 of 2000.mm$/)).toBeTruthy();
  const bars = screen.getAllByRole('img', { name: /^Length 1:/ });
  expect(bars).toHaveLength(2);
  expect(bars[1]!.getAttribute('aria-label')).toMatch(/Support 90.mm, Support/);
  expect(screen.queryByText(/still to mend/)).toBeNull();
});

test('what is still to mend is said before anything is cut', async () => {
  open(designOf('cloth-pail', [{ path: ['overflow', 'centre'], value: 0.13 }]));
  expect(await screen.findByText(/One thing is still to mend/)).toBeTruthy();
});

test('a shorter length on sale changes the cuts; one that cannot be read is kept and explained', async () => {
  const user = open(designOf('box-legs'));
  const length = await screen.findByLabelText('Lengths on sale');
  await user.clear(length);
  await user.type(length, '1 m');
  expect(screen.getAllByText(/is longer than what is on sale/).length).toBeGreaterThan(0);
  await user.clear(length);
  await user.type(length, 'a pole');
  expect(screen.getByText(/not a length that can be read/)).toBeTruthy();
  expect((length as HTMLInputElement).value).toBe('a pole');
  const saw = screen.getByLabelText('The saw takes');
  await user.clear(length);
  await user.type(length, '3 m');
  await user.clear(saw);
  await user.type(saw, '40');
  expect(screen.getByText(/20.mm at most/)).toBeTruthy();
});

test('nothing cut from lengths says so', async () => {
  open(designOf('bag-tray'));
  expect(await screen.findByText('Nothing is cut from lengths.')).toBeTruthy();
  expect(within(screen.getByRole('main')).getAllByRole('table')).toHaveLength(2);
});

test('a planter that is not there is said', async () => {
  open(null);
  expect(await screen.findByText('This planter cannot be opened')).toBeTruthy();
});
