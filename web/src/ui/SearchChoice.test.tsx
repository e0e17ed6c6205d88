/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { typeSlowly } from '../testing/editor';
import { show } from '../testing/render';
import { SearchChoice, type SearchGroup } from './SearchChoice';

const all = ['Beet', 'Carrot', 'Chard'].map((label) => ({ value: label.toLowerCase(), label }));
const find = (typed: string): SearchGroup[] => [
  { label: 'All', options: all.filter(({ label }) => label.toLowerCase().includes(typed)) },
];
const open = (unknown = true) => {
  const chosen: string[] = [];
  const made: string[] = [];
  const make = (typed: string) => void made.push(typed);
  show(
    <SearchChoice
      label="Crop"
      value={all[0]!}
      find={find}
      onChoose={(value) => chosen.push(value)}
      {...(unknown ? { unknown: { say: (typed: string) => `Make ${typed}`, make } } : {})}
    />,
  );
  const field = screen.getByRole<HTMLInputElement>('combobox', { name: 'Crop' });
  return { chosen, made, field, user: userEvent.setup() };
};

test('it shows what is chosen, finds what is typed, and takes what is pressed', async () => {
  const { chosen, field, user } = open();
  expect(field.value).toBe('Beet');
  await user.clear(field);
  await typeSlowly(user, field, 'char');
  expect(screen.getAllByRole('option').map(({ textContent }) => textContent)).toEqual(['Chard']);
  await user.click(screen.getByRole('option', { name: 'Chard' }));
  expect(chosen).toEqual(['chard']);
});

test('what is not found can be made, or is said to be unknown', async () => {
  const { made, field, user } = open();
  await user.clear(field);
  await typeSlowly(user, field, 'oca');
  await user.click(screen.getByRole('option', { name: 'Make oca' }));
  expect(made).toEqual(['oca']);
});

test('nothing found and nothing to make says so', async () => {
  const { field, user } = open(false);
  await user.clear(field);
  await typeSlowly(user, field, 'oca');
  expect(screen.getByText(/^Nothing is called so/)).toBeTruthy();
});
