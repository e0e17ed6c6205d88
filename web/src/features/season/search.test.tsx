/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FIRST_WEATHER, siteOf } from '@huerta/core/physics/climate';
import type { PlanterDesign } from '@huerta/core/document';
import { Around, designOf } from '../../testing/editor';
import { show } from '../../testing/render';
import { installWorker, serveWith } from '../../testing/worker';
import { tasks } from '../../compute/tasks';
import { SearchView } from './SearchView';

/** Better designs, as somebody looks for them: a handful of those that are tried. */

const HANDFUL = 9;
const workers = installWorker({
  candidates: (design) => {
    const all = tasks.candidates(design);
    return all.filter((_, i) => i % Math.ceil(all.length / HANDFUL) === 0);
  },
});
let made: PlanterDesign[] = [];

beforeEach(() => {
  workers.broken = false;
  made = [];
  serveWith(({ method, path, body }) => {
    if (!path.startsWith('/planters/') || method !== 'PUT') return null;
    const { design } = body as { design: PlanterDesign };
    made.push(design);
    const at = '2026-05-01T08:00:00.000Z';
    return { id: path.slice(10), revision: 1, createdAt: at, updatedAt: at, design };
  });
});

function open(id: string) {
  const design = designOf(id);
  show(
    <Around>
      <SearchView
        design={design}
        weather={{ site: siteOf(FIRST_WEATHER) }}
        planted="2026-05-01"
        leave="2026-07-15"
      />
    </Around>,
  );
  return { design, user: userEvent.setup() };
}
const tried = async () => {
  const said = await screen.findByText(/^(\d+) of \1 designs tried\.$/);
  return Number(said.textContent!.split(' ')[0]);
};
const rows = () => screen.getAllByRole('row').slice(1);

test('what no other beats stands in a table, each opened as a variant of the planter', async () => {
  const { design, user } = open('cloth-pail');
  await user.click(screen.getByRole('button', { name: 'Search' }));
  expect(await tried()).toBeGreaterThanOrEqual(HANDFUL - 1);
  expect(await screen.findByRole('button', { name: 'Search again' })).toBeTruthy();
  const [first] = await waitFor(() => {
    expect(rows().length).toBeGreaterThan(1);
    return rows().filter((row) => within(row).queryByRole('button', { name: 'As a variant' }));
  });
  const days = /(\d+).days?/.exec(first!.textContent!)![1];
  await user.click(within(first!).getByRole('button', { name: 'As a variant' }));
  await waitFor(() => expect(made).toHaveLength(1));
  expect(made[0]).toMatchObject({ name: design.name, vessel: design.vessel });
  expect(made[0]!.variant).toContain(`not short for ${days} days`);
  // It is another design, and what grows in it is the same.
  expect(made[0]!.planting).toEqual(design.planting);
  expect({ ...made[0]!, variant: '' }).not.toEqual(design);
});

test('a base that wants something besides says so in its row', async () => {
  const { user } = open('nested-totes');
  await user.click(screen.getByRole('button', { name: 'Search' }));
  await tried();
  await waitFor(() =>
    expect(rows().some((row) => /Cut the crates down to \d+.mm/.test(row.textContent!))).toBe(true),
  );
});

test('wishes that no design meets are said, and the nearest shown', async () => {
  const { user } = open('cloth-pail');
  const weight = screen.getByLabelText('Weighs at most, full');
  await user.clear(weight);
  await user.type(weight, '5 kg{Enter}');
  await user.click(screen.getByRole('button', { name: 'Search' }));
  await tried();
  expect(await screen.findByText(/None of \d+ designs gives all of that/)).toBeTruthy();
  expect(rows().length).toBeGreaterThan(0);
});

test('a search that breaks off says so and can be begun again', async () => {
  const { user } = open('cloth-pail');
  workers.broken = true;
  await user.click(screen.getByRole('button', { name: 'Search' }));
  expect(await screen.findByText(/The search broke off/)).toBeTruthy();
  workers.broken = false;
  await user.click(screen.getByRole('button', { name: 'Search again' }));
  expect(await tried()).toBeGreaterThan(0);
});
