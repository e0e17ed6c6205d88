/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { merged, NEW_BOOK, type ProgressEntry } from '@huerta/core/fabrication';
import type { PlanterDesign } from '@huerta/core/document';
import { Route, Routes } from 'react-router';
import { Around, designOf } from '../../testing/editor';
import { show } from '../../testing/render';
import { installWorker, serveWith } from '../../testing/worker';
import BuildPage from './BuildPage';

const id = '00000000-0000-4000-8000-000000000001';
const at = '2026-05-01T08:00:00.000Z';
const resource = (design: PlanterDesign, which = id) => ({
  id: which,
  revision: 1,
  createdAt: at,
  updatedAt: at,
  design,
});

/** A server that keeps progress, and can be switched off. */
function workshop(design: PlanterDesign | null) {
  const state = { up: true, entries: [] as ProgressEntry[], made: null as PlanterDesign | null };
  const log = serveWith(({ method, path, body }) => {
    if (path.endsWith('/progress')) {
      if (!state.up) throw new TypeError('no server');
      if (method === 'PATCH') {
        state.entries = merged(state.entries, (body as { entries: ProgressEntry[] }).entries);
      }
      return { entries: state.entries };
    }
    if (path === '/prices') return { revision: 0, updatedAt: null, book: NEW_BOOK };
    if (method === 'PUT') {
      // A planter that was made on this device comes with an id of its own.
      state.made = (body as { design: PlanterDesign }).design;
      return resource(state.made, path.replace('/planters/', ''));
    }
    if (path === '/garden') return { by: 'test', entries: [], setAside: [] };
    return path === `/planters/${id}` && design ? resource(design) : null;
  });
  return { state, log };
}

const open = (view = 'steps') => {
  const shown = show(
    <Around at={`/planters/${id}/build?view=${view}`}>
      <Routes>
        <Route path="/planters/:id/build" element={<BuildPage />} />
      </Routes>
    </Around>,
  );
  return { ...shown, user: userEvent.setup() };
};
const steps = async () => within(await screen.findByRole('list', { name: 'Steps' }));
const tick = (name: string) => screen.getByRole('checkbox', { name: `${name}: done` });

beforeAll(() => void installWorker());
beforeEach(() => localStorage.clear());

test('a step is ticked, and the server has it', async () => {
  const { state } = workshop(designOf('tote-pipes'));
  const { user } = open();
  expect(
    await screen.findByRole('heading', { name: 'Build: Tote with its lid on pipes' }),
  ).toBeTruthy();
  await user.click(tick('Inspect the vessel and its place'));
  await waitFor(() => expect(state.entries).toMatchObject([{ key: 'done/inspect', value: true }]));
  expect(screen.getByText(/^1 of 14 steps done/)).toBeTruthy();
});

test('a leak holds the soil up until it is put right', async () => {
  const { state } = workshop(designOf('cloth-pail'));
  const { user } = open();
  await user.click(
    await screen.findByRole('button', { name: 'Open Level it and test it with water' }),
  );
  const leak = screen.getByRole('radiogroup', { name: /runs from the overflow and nowhere else/ });
  await user.click(within(leak).getByRole('radio', { name: 'No' }));
  expect(screen.getByText(/patch or seal it from the inside/)).toBeTruthy();
  expect(screen.getByText(/A check of ‘Level it and test it with water’ failed/)).toBeTruthy();
  expect((tick('Fill in the mix') as HTMLInputElement).disabled).toBe(true);
  expect((tick('Measure it') as HTMLInputElement).disabled).toBe(false);
  await user.click(within(leak).getByRole('radio', { name: 'Yes' }));
  expect(screen.queryByText(/failed/)).toBeNull();
  await user.click(tick('Fill in the mix'));
  await waitFor(() =>
    expect(state.entries.map(({ key, value }) => [key, value])).toEqual([
      ['check/test/leak', 'good'],
      ['done/fill', true],
    ]),
  );
});

test('without a server marks are kept on this device, said, and sent when it answers', async () => {
  const { state } = workshop(designOf('cloth-pail'));
  const first = open();
  await steps();
  state.up = false;
  await first.user.click(tick('Measure it'));
  expect(await screen.findByText(/One mark is not on the server yet/)).toBeTruthy();
  expect((tick('Measure it') as HTMLInputElement).checked).toBe(true);
  first.unmount();

  const again = open();
  await steps();
  await waitFor(() => expect((tick('Measure it') as HTMLInputElement).checked).toBe(true));
  expect(await screen.findByText(/kept on this device and sent later/)).toBeTruthy();
  state.up = true;
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(state.entries).toMatchObject([{ key: 'done/measure', value: true }]));
  await waitFor(() => expect(screen.queryByText(/not on the server yet/)).toBeNull());
  again.unmount();
});

test('a measure that cannot be read is kept and explained; a good one becomes a variant', async () => {
  const { state } = workshop(designOf('cloth-pail'));
  const { user } = open();
  await user.click(await screen.findByRole('button', { name: 'Open Mark and drill the overflow' }));
  const centre = screen.getByLabelText(/^Centre of the hole, planned 86.mm$/);
  await user.type(centre, 'a thumb{Enter}');
  expect(screen.getByText(/not a length that can be read/)).toBeTruthy();
  expect((centre as HTMLInputElement).value).toBe('a thumb');
  await user.clear(centre);
  await user.type(centre, '9.2 cm{Enter}');
  const built = within(await screen.findByRole('region', { name: 'As built' }));
  expect(built.getByText(/Centre of the hole: 92.mm, planned 86.mm/)).toBeTruthy();
  const [, , gap] = within(built.getByRole('row', { name: /^Air gap/ })).getAllByRole('cell');
  expect(gap!.textContent).toMatch(/^14.mm$/);
  await user.click(built.getByRole('button', { name: 'Keep them as a variant ‘as built’' }));
  await waitFor(() =>
    expect(state.made).toMatchObject({ variant: 'as built', overflow: { centre: 0.092 } }),
  );
});

test('parts with packs and prices, cuts on bars, holes with the drill that exists', async () => {
  workshop(designOf('tote-pipes'));
  const parts = open('parts');
  expect(await screen.findByRole('row', { name: /^Coir, loosened 3 parts/ })).toBeTruthy();
  expect(screen.getByRole('row', { name: /^All of it/ }).textContent).toMatch(/€\d+\.\d\d$/);
  expect(screen.getByText(/for each litre that the plants can use/)).toBeTruthy();
  parts.unmount();
  const cuts = open('cuts');
  expect(await screen.findByText(/^50 mm pipe: 1 × 2.m$/)).toBeTruthy();
  expect(screen.getAllByText('No plan takes fewer than 1.')).toHaveLength(2);
  expect(
    screen.getAllByRole('img', { name: /^Length 1: / })[0]!.getAttribute('aria-label'),
  ).toMatch(/14 × Support 90.mm; \d+.mm left/);
  // Each mark is a piece and a saw's width beyond the one before.
  const marks = screen.getAllByText(/^Mark from its end/)[0]!.textContent!;
  const [first, second, third] = [...marks.matchAll(/(\d+).mm/g)].map(([, mm]) => Number(mm));
  expect(first).toBe(90);
  expect(second! - first!).toBeGreaterThanOrEqual(90);
  expect(third! - second!).toBe(second! - first!);
  cuts.unmount();
  const holes = open('holes');
  const wall = await screen.findByRole('row', { name: /^Wall 1 20.mm, step drill/ });
  expect(wall.textContent).toMatch(/lip comes to 66.mm/);
  await holes.user.click(screen.getByRole('link', { name: 'Templates' }));
  const platform = within(screen.getByRole('region', { name: 'Platform' }));
  expect(platform.getByRole('link', { name: 'Platform as DXF' }).getAttribute('href')).toBe(
    `/api/planters/${id}/build/templates/platform.dxf?units=metric&decimal=point`,
  );
});

test('the files are for the paper that was chosen', async () => {
  workshop(designOf('bag-tray'));
  const { user } = open('cuts');
  expect(await screen.findByText('Nothing is cut from lengths.')).toBeTruthy();
  await user.selectOptions(screen.getByLabelText('Paper'), 'letter');
  expect(screen.getByRole('link', { name: /The whole sheet/ }).getAttribute('href')).toContain(
    'paper=letter',
  );
  expect(screen.queryByRole('link', { name: /Templates at 1:1/ })).toBeNull();
});

test('what is still to mend is said before anything is cut', async () => {
  workshop(designOf('cloth-pail', [{ path: ['overflow', 'centre'], value: 0.13 }]));
  open();
  expect(await screen.findByText(/One thing is still to mend/)).toBeTruthy();
});

test('a planter that is not there is said', async () => {
  workshop(null);
  open();
  expect(await screen.findByText('This planter cannot be opened')).toBeTruthy();
});
