/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { TILL_IT_RAN } from '@huerta/core/journal';
import { clearResponseCache } from '../../data/offline/responseCache';
import { Around, designOf } from '../../testing/editor';
import { idAt, inJuly, serveGarden } from '../../testing/garden';
import { show } from '../../testing/render';
import { installWorker } from '../../testing/worker';
import TodayPage from '../today/TodayPage';
import JoinedPage from './JoinedPage';

const named = (name: string, start: Parameters<typeof designOf>[0]) =>
  designOf(start, [{ path: ['name'], value: name }]);

beforeAll(() => {
  inJuly();
  installWorker();
  // The picture is drawn once its frame has a width.
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', {
    configurable: true,
    get: () => 1200,
  });
});
afterAll(() => jest.useRealTimers());
beforeEach(clearResponseCache);

const open = (page: 'joined' | 'today' = 'joined') =>
  show(<Around at={`/${page}`}>{page === 'joined' ? <JoinedPage /> : <TodayPage />}</Around>);

/** Two totes and a pail, joined through the form. */
async function joinAll() {
  const garden = serveGarden([
    named('First tote', 'tote-pipes'),
    named('Second tote', 'tote-pipes'),
    named('The pail', 'cloth-pail'),
  ]);
  const page = open();
  const user = userEvent.setup();
  await user.click(await screen.findByRole('button', { name: 'Join planters' }));
  const name = screen.getByRole('textbox', { name: 'What you call them' });
  await user.clear(name);
  await user.type(name, 'By the wall');
  for (const one of ['First tote', 'Second tote', 'The pail'])
    await user.click(screen.getByRole('checkbox', { name: one }));
  await user.click(screen.getByRole('button', { name: 'Join them' }));
  const line = within(await screen.findByRole('region', { name: 'By the wall' }));
  await line.findByText(/^All last .* days in hot weather/);
  return { garden, page, user, line };
}

test('planters are joined with their lips level and no fault, and the garden keeps it', async () => {
  const { garden, line } = await joinAll();
  const [kept] = garden.plan.lines;
  expect(kept).toMatchObject({ name: 'By the wall', supply: { kind: 'barrel' } });
  expect(kept?.members.map(({ planter }) => planter)).toEqual([1, 2, 3].map(idAt));
  expect(line.queryByText('Fault')).toBeNull();
  expect(line.getAllByText(/^Water \d+\smm deep/)).toHaveLength(3);
  expect(line.getByText(/If one leaks/)).toBeTruthy();
});

test('one alone cannot be joined, and that is said', async () => {
  serveGarden([named('First tote', 'tote-pipes'), named('Second tote', 'tote-pipes')]);
  open();
  const user = userEvent.setup();
  await user.click(await screen.findByRole('button', { name: 'Join planters' }));
  await user.click(screen.getByRole('checkbox', { name: 'First tote' }));
  await user.click(screen.getByRole('button', { name: 'Join them' }));
  expect(screen.getByRole('alert').textContent).toBe('Choose two planters or more.');
});

test('the water is moved by keys; over a lip it is a fault, and one press mends it', async () => {
  const { garden, user, line } = await joinAll();
  const before = garden.plan.lines[0]!.level;
  const tab = line.getByRole('slider', { name: 'Water stands at, above the ground' });
  tab.focus();
  await user.keyboard('{PageUp}{PageUp}');
  const findings = within(await line.findByRole('list', { name: 'Findings' }));
  await waitFor(() => expect(findings.getAllByText('Fault').length).toBeGreaterThan(0));
  await waitFor(() => expect(garden.plan.lines[0]!.level).toBeCloseTo(before + 0.04, 6));
  await user.click(findings.getAllByRole('button', { name: /^Set the water to/ })[0]!);
  await waitFor(() => expect(line.queryByText('Fault')).toBeNull());
  await waitFor(() => expect(garden.plan.lines[0]!.level).toBeLessThan(before + 0.02));
});

test('one is left out, and another joined at the end of the hose with its lip where theirs are', async () => {
  const { garden, user, line } = await joinAll();
  const left = line.getAllByRole('button', { name: 'Leave it out', hidden: true });
  expect(left).toHaveLength(3);
  await user.click(left[2]!);
  await waitFor(() => expect(garden.plan.lines[0]!.members).toHaveLength(2));
  // Two are the fewest.
  await waitFor(() =>
    expect(line.queryByRole('button', { name: 'Leave it out', hidden: true })).toBeNull(),
  );
  await user.click(line.getByText('Join another'));
  await user.click(line.getByRole('button', { name: 'The pail', hidden: true }));
  await waitFor(() => expect(garden.plan.lines[0]!.members).toHaveLength(3));
  expect(garden.plan.lines[0]!.members[2]).toMatchObject({ planter: idAt(3) });
  await waitFor(() => expect(line.getAllByText(/^Water \d+\smm deep/)).toHaveLength(3));
  expect(line.queryByText('Fault')).toBeNull();
});

test('by hand, from the mains, and taken apart again with a way back', async () => {
  const { garden, user, line } = await joinAll();
  const from = line.getByRole('combobox', { name: 'Comes from' });
  await user.selectOptions(from, 'The mains with a float valve');
  expect(await line.findByText('The mains keep all of them full.')).toBeTruthy();
  await user.selectOptions(from, 'Filled by hand at any planter');
  await line.findByText(/^All last/);
  expect(line.queryByRole('textbox', { name: 'Barrel holds' })).toBeNull();
  await user.click(line.getByRole('button', { name: 'Take apart' }));
  await waitFor(() => expect(garden.plan.lines).toEqual([]));
  expect(screen.queryByRole('region', { name: 'By the wall' })).toBeNull();
});

test('Today says when their barrel is to be filled, and one press notes it for all', async () => {
  const { garden, page } = await joinAll();
  page.unmount();
  open('today');
  const user = userEvent.setup();
  const joined = within(await screen.findByRole('region', { name: 'Joined planters' }));
  expect(joined.getByText(/3 planters on one water\. Fill its barrel/)).toBeTruthy();
  await user.click(joined.getByRole('button', { name: 'Filled: By the wall' }));
  await waitFor(() => expect(garden.log).toHaveLength(3));
  for (const { did } of garden.log) expect(did).toEqual(TILL_IT_RAN);
});
