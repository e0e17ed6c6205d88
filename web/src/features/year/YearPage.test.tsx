/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { usualPlanted, type PlanterDesign } from '@huerta/core/document';
import type { CropId } from '@huerta/core/catalog';
import { clearResponseCache } from '../../data/offline/responseCache';
import { Around, designOf } from '../../testing/editor';
import { inJuly, serveGarden } from '../../testing/garden';
import { show } from '../../testing/render';
import { installWorker } from '../../testing/worker';
import YearPage from './YearPage';

const growing = (name: string, crops: CropId[], variant = '') =>
  designOf('cloth-pail', [
    { path: ['name'], value: name },
    { path: ['variant'], value: variant },
    { path: ['planting', 'crops'], value: crops.map((crop) => usualPlanted(crop, 1)) },
  ]);

beforeAll(() => {
  inJuly();
  installWorker();
});
afterAll(() => jest.useRealTimers());
// A page shows what was last seen while the server is away.
beforeEach(clearResponseCache);

const open = () =>
  show(
    <Around at="/year">
      <YearPage />
    </Around>,
  );
const strip = (name: string) => screen.findByRole('group', { name });

test('each planter has a strip with a bar for all that grows in it, and leads to its season', async () => {
  serveGarden([growing('By the step', ['pepper', 'basil']), growing('By the well', ['lettuce'])]);
  open();
  const step = within(await strip('By the step'));
  expect(step.getByRole('link').getAttribute('href')).toMatch(/\/planters\/.*\/season\?view=year$/);
  expect(step.getByText(/Sweet pepper/)).toBeTruthy();
  expect(step.getByText(/Basil/)).toBeTruthy();
  expect(within(await strip('By the well')).queryByText(/Basil/)).toBeNull();
  expect(screen.getByText(/Frost is rare from .* to .*: the hatched time/)).toBeTruthy();
});

test('variants are told apart, and what grows nothing is left out', async () => {
  serveGarden([
    growing('By the step', ['pepper']),
    growing('By the step', ['pepper'], 'lower'),
    growing('Empty', []),
  ]);
  open();
  expect(await strip('By the step')).toBeTruthy();
  expect(await strip('By the step, lower')).toBeTruthy();
  expect(screen.queryByRole('group', { name: 'Empty' })).toBeNull();
});

test('any day of the year is read by keys, and other years are a press away', async () => {
  serveGarden([growing('By the step', ['pepper'])]);
  open();
  const user = userEvent.setup();
  const day = await screen.findByRole('slider', { name: 'Day of the year' });
  expect(day.getAttribute('aria-valuetext')).toMatch(/^15\s?July: 1\d hours of daylight, no frost/);
  day.focus();
  await user.keyboard('{Home}');
  expect(day.getAttribute('aria-valuetext')).toMatch(/^1\s?January: 9 hours.*frost/);
  await user.keyboard('{ArrowRight}');
  expect(day.getAttribute('aria-valuetext')).toMatch(/^2\s?January/);
  await user.click(screen.getByRole('button', { name: 'The year before' }));
  expect(await screen.findByRole('heading', { name: 'Nothing grows in 2025' })).toBeTruthy();
});

test('what can be sown now is offered for each planter, and planned in it by a press', async () => {
  const { asked } = serveGarden([
    growing('By the step', ['radish']),
    growing('By the well', ['lettuce']),
  ]);
  open();
  const user = userEvent.setup();
  await user.click(await screen.findByText('What to sow or plant now'));
  const plan = (
    await screen.findAllByRole('button', { name: /^Plan .* in By the (step|well)$/ })
  )[0]!;
  const crops = () =>
    asked
      .filter(({ method, path }) => method === 'PUT' && path.startsWith('/planters/'))
      .map(({ body }) => (body as { design: PlanterDesign }).design.planting.crops);
  await user.click(plan);
  await waitFor(() => expect(crops()).toHaveLength(1));
  // What is there stays, and something comes to it.
  expect(crops()[0]!.length).toBeGreaterThan(1);
  expect(['radish', 'lettuce']).toContain(crops()[0]![0]!.crop);
});

test('a garden in which nothing grows says where to begin', async () => {
  serveGarden([growing('Empty', [])]);
  open();
  expect(await screen.findByText(/Nothing grows yet. Add crops in the soil room/)).toBeTruthy();
});

test('of many planters thirty are shown, and the others at a press', async () => {
  serveGarden(Array.from({ length: 33 }, (_, i) => growing(`Pail ${i + 1}`, ['lettuce'])));
  open();
  expect(await strip('Pail 30')).toBeTruthy();
  expect(screen.queryByRole('group', { name: 'Pail 31' })).toBeNull();
  await userEvent.setup().click(screen.getByRole('button', { name: 'Show 3 more' }));
  expect(await strip('Pail 33')).toBeTruthy();
  expect(screen.queryByRole('button', { name: /more/ })).toBeNull();
});

test('without a server it says so, and what to do', async () => {
  globalThis.fetch = () => Promise.reject(new TypeError('no server'));
  open();
  expect(await screen.findByText('The garden cannot be fetched')).toBeTruthy();
  expect(screen.getByRole('heading', { level: 1, name: 'The year' })).toBeTruthy();
  expect(screen.getByRole('button', { name: /again/i })).toBeTruthy();
});
