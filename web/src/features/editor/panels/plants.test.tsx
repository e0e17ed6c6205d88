/** @jest-environment jsdom */
import { screen, within } from '@testing-library/react';
import { usualPlanted, type OwnCrops } from '@huerta/core/document';
import { chooseCrop, designOf, openPart, typeSlowly } from '../../../testing/editor';
import { serveWith } from '../../../testing/worker';
import { SoilPanel } from './SoilPanel';

let own: OwnCrops = { crops: [] };
beforeEach(() => {
  own = { crops: [] };
  serveWith(({ path, method, body }) => {
    if (path !== '/crops') return null;
    if (method === 'PUT') ({ own } = body as { own: OwnCrops });
    return { revision: 1, updatedAt: '2026-05-01T08:00:00.000Z', own };
  });
});

const grow = (...crops: ReturnType<typeof usualPlanted>[]) =>
  openPart(
    designOf('trough-pipes', [{ path: ['planting', 'crops'], value: crops }]),
    <SoilPanel />,
  );

test('lettuce, then a pepper where it stood: added, timed and taken out again', async () => {
  const { now, user } = grow(usualPlanted('lettuce', 4));
  await user.click(screen.getByRole('checkbox', { name: 'Cleared before the end' }));
  expect(now().planting.crops[0]!.stays).toBe(75);
  await user.click(screen.getByRole('button', { name: 'Add a crop' }));
  await chooseCrop(user, 'Which one', 'Sweet pepper');
  expect(now().planting.crops[1]).toMatchObject({ crop: 'pepper', count: 1, from: 0 });
  const after = screen.getByLabelText('Days after the first');
  await user.clear(after);
  await user.type(after, '75{Enter}');
  expect(now().planting.crops[1]!.from).toBe(75);
  expect(screen.getByRole('button', { name: /1 × Sweet pepper after 75.days/ })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Take sweet pepper out' }));
  expect(now().planting.crops.map(({ crop }) => crop)).toEqual(['lettuce']);
});

test('another crop in its place keeps the time and the share of the surface, not the places and the stake', async () => {
  const { now, user } = grow(
    usualPlanted('tomato', 2, {
      from: 10,
      support: 'cage',
      places: [
        { x: 0.1, y: 0 },
        { x: -0.1, y: 0 },
      ],
    }),
  );
  await chooseCrop(user, 'What grows', 'Basil');
  expect(now().planting.crops[0]).toMatchObject({
    crop: 'basil',
    count: 10,
    from: 10,
    support: 'none',
    places: null,
    spacing: 0.2,
  });
});

test('a crop of one’s own is made from the nearest one and kept for other planters', async () => {
  const { now, user } = grow(usualPlanted('tomato', 1));
  await user.click(screen.getByRole('button', { name: 'Make it a crop of my own' }));
  const mine = within(screen.getByRole('group', { name: 'A crop of your own' }));
  const name = mine.getByLabelText('Its name');
  await user.clear(name);
  await user.type(name, 'Aunt’s tomato{Enter}');
  const roots = mine.getByLabelText('Root room');
  await user.clear(roots);
  await user.type(roots, '35 cm{Enter}');
  expect(now().planting.crops[0]!.own?.name).toBe('Aunt’s tomato');
  expect(now().planting.crops[0]!.own?.roots).toBeCloseTo(0.35, 12);
  await user.click(mine.getByRole('button', { name: 'Keep it for other planters' }));
  expect(await mine.findByText(/is kept in the garden/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Add a crop' }));
  await user.click(await screen.findByRole('combobox', { name: 'Which one' }));
  expect(await screen.findByRole('option', { name: 'Aunt’s tomato' })).toBeTruthy();
});

test('crops are found by other names, and what is not found becomes a crop of one’s own', async () => {
  const { now, user } = grow(usualPlanted('tomato', 1));
  const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'What grows' });
  await screen.findByRole('combobox', { name: 'What grows' });
  await user.clear(field());
  await typeSlowly(user, field(), 'zucchinis');
  const found = await screen.findByRole('option', { name: /^Courgette.*zucchini/ });
  await user.click(found);
  expect(now().planting.crops[0]!.crop).toBe('courgette');
  await user.clear(field());
  await typeSlowly(user, field(), 'Oca');
  await user.click(await screen.findByRole('option', { name: 'Make “Oca” a crop of your own' }));
  expect(now().planting.crops[0]!.own?.name).toBe('Oca');
});

test('feed by the cup: what is typed is weighed, what is weighed is told in cups', async () => {
  const { now, user } = grow(usualPlanted('pepper', 3));
  await user.selectOptions(screen.getByLabelText('Feed'), 'organic');
  expect(now().soil).toMatchObject({ feed: 'organic', feedHow: 'strip', feedNitrogen: 0.05 });
  const field = screen.getByLabelText('For this planter');
  await user.clear(field);
  await user.type(field, '2 cups{Enter}');
  // Two cups of granules at 700 g a litre.
  expect((field as HTMLInputElement).value).toMatch(/^331.g$/);
  await user.clear(field);
  await user.type(field, 'a handful{Enter}');
  expect(screen.getByText(/Or by the cup/)).toBeTruthy();
  expect((field as HTMLInputElement).value).toBe('a handful');
});
