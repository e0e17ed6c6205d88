/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { Around } from '../testing/editor';
import { show } from '../testing/render';
import { BottomNavigation, GardenNavigation, PlanterNavigation } from './Navigation';

const Here = () => <p>at {useLocation().pathname}</p>;
const open = (at: string) =>
  show(
    <Around at={at}>
      <GardenNavigation />
      <PlanterNavigation />
      <BottomNavigation />
      <Here />
    </Around>,
  );
const links = (nav: HTMLElement) =>
  within(nav)
    .getAllByRole('link')
    .map(({ textContent }) => textContent);

test('in the garden there is one row of ways, and the one that is open is told', () => {
  open('/year');
  const [along, below] = screen.getAllByRole('navigation', { name: 'Huerta' });
  expect(links(along!)).toEqual([
    ...['Today', 'Garden', 'Year', 'Away', 'Shopping', 'Joined', 'My vessels'],
    ...['Price book', 'Compare'],
    'Settings',
    'Help',
  ]);
  expect(links(below!)).toEqual(['Today', 'Garden', 'Year', 'Away']);
  for (const nav of [along!, below!])
    expect(within(nav).getByText('Year').getAttribute('aria-current')).toBe('page');
  expect(screen.queryByRole('navigation', { name: 'This planter' })).toBeNull();
});

test('what has no room in the bar of a phone is in its menu, and nothing is missing', async () => {
  const user = userEvent.setup();
  open('/');
  const [along, below] = screen.getAllByRole('navigation', { name: 'Huerta' });
  // Of a narrow desk there is one, too, for what does not stand along its top.
  expect(within(along!).getByRole('button', { name: 'More' })).toBeTruthy();
  await user.click(within(below!).getByRole('button', { name: 'More' }));
  const items = await screen.findAllByRole('menuitem');
  expect(items.map(({ textContent }) => textContent)).toEqual([
    ...['Shopping', 'Joined', 'My vessels', 'Price book', 'Compare', 'Settings', 'Help'],
  ]);
  await user.click(screen.getByRole('menuitem', { name: 'Settings' }));
  expect(await screen.findByText('at /settings')).toBeTruthy();
});

test('at a planter both rows are those of the planter, with words that say where they lead', async () => {
  const user = userEvent.setup();
  open('/planters/one/log');
  const rows = screen.getAllByRole('navigation', { name: 'This planter' });
  expect(rows.map(links)).toEqual([
    ['Bench', 'Build', 'Season', 'Log', 'Trouble'],
    ['Bench', 'Build', 'Season', 'Log', 'Trouble'],
  ]);
  expect(within(rows[0]!).getByText('Log').getAttribute('aria-current')).toBe('page');
  await user.click(within(rows[1]!).getByRole('link', { name: 'Trouble: something is wrong' }));
  expect(screen.getByText('at /planters/one/trouble')).toBeTruthy();
});
