/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanterSummary } from '@huerta/contract';
import { designOf } from '../testing/editor';
import { gardenOf } from '../testing/entry';
import { show } from '../testing/render';
import { Chooser } from './Chooser';

/** So many planters, in turn on the step and on the roof. */
const garden = (count: number): readonly PlanterSummary[] =>
  gardenOf(
    Array.from({ length: count }, (_, i) => ({
      id: `${i + 1}`,
      revision: 1,
      createdAt: '2026-05-01T00:00:00.000Z',
      updatedAt: '2026-05-01T00:00:00.000Z',
      design: designOf('cloth-pail', [
        { path: ['name'], value: `Planter ${i + 1}` },
        { path: ['place', 'name'], value: i % 2 ? 'Roof' : 'Kitchen step' },
      ]),
    })),
  ).entries;
const open = (planters: readonly PlanterSummary[], chosen: string[] = []) => {
  const pressed: string[] = [];
  const toggle = (id: string) => void pressed.push(id);
  show(<Chooser label="Planters" planters={planters} chosen={chosen} onToggle={toggle} />);
  return { pressed, user: userEvent.setup() };
};

test('with nothing planned it stays away, and the page says what to do', () => {
  open([]);
  expect(screen.queryByRole('group')).toBeNull();
});

test('a few are not searched for; many are found by name, place or crop', async () => {
  const { pressed, user } = open(garden(30));
  expect(screen.getByText(/^And 6 more/)).toBeTruthy();
  await user.type(screen.getByRole('searchbox', { name: 'Find a planter' }), 'roof 28');
  await user.click(screen.getByRole('button', { name: 'Planter 28' }));
  expect(pressed).toEqual(['28']);
  expect(screen.queryByRole('button', { name: 'Planter 27' })).toBeNull();
  await user.type(screen.getByRole('searchbox'), ' nowhere');
  expect(screen.getByText(/^No planter is called so/)).toBeTruthy();
});

test('what is chosen stands first, once, whatever is searched for', () => {
  open(garden(4), ['2']);
  expect(screen.queryByRole('searchbox')).toBeNull();
  const chosen = screen.getAllByRole('button', { name: 'Planter 2', pressed: true });
  expect(chosen).toHaveLength(1);
  expect(within(screen.getByRole('group', { name: 'Planters' })).getByText('Chosen')).toBeTruthy();
});
