/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { depthOf, vesselFrom, type PlanterDesign } from '@huerta/core/document';
import { PIPES } from '@huerta/core/catalog';
import { Route, Routes, useParams } from 'react-router';
import { useBegun } from '../data/begun';
import { answers, Around, designOf } from '../testing/editor';
import { clearResponseCache } from '../data/offline/responseCache';
import { gardenOf } from '../testing/entry';
import { show } from '../testing/render';
import { serveWith } from '../testing/worker';
import ComparePage from '../features/compare/ComparePage';
import StartPage from '../features/start/StartPage';
import VesselsPage from '../features/vessels/VesselsPage';

const id = (n: number) => `00000000-0000-4000-8000-00000000000${n}`;
const at = { createdAt: '2026-05-01T08:00:00.000Z', updatedAt: '2026-05-01T08:00:00.000Z' };
const planter = (n: number, design = designOf('cloth-pail')) => ({
  id: id(n),
  revision: 1,
  ...at,
  design,
});
/** A garden of some planters, and each of them. */
const served = (planters: ReturnType<typeof planter>[]) => ({
  '/garden': gardenOf(planters),
  ...Object.fromEntries(planters.map((one) => [`/planters/${one.id}`, one])),
});
beforeEach(clearResponseCache);
const open = (page: React.ReactNode, address = '/') => show(<Around at={address}>{page}</Around>);

describe('side by side', () => {
  const twins = [
    planter(1, designOf('cup-pail', [{ path: ['name'], value: 'Twin' }])),
    planter(
      2,
      designOf('cup-pail', [
        { path: ['name'], value: 'Twin' },
        { path: ['variant'], value: 'lower' },
        { path: ['reservoir', 'top'], value: 0.06 },
        { path: ['overflow', 'centre'], value: 0.046 },
      ]),
    ),
    planter(3, designOf('trough-pipes')),
  ];

  test('begins with the variants of one planter, and marks what is better', async () => {
    answers(served(twins));
    open(<ComparePage />);
    const heads = await screen.findAllByRole('columnheader');
    expect(heads.map((head) => head.textContent)).toEqual(['At one scale', 'Twin', 'Twinlower']);
    const cells = (name: string) =>
      within(screen.getByRole('row', { name: new RegExp(`^${name}`) })).getAllByRole('cell');
    expect(cells('Root room')[1]!.textContent).toContain('best');
    expect(cells('Water to use')[0]!.textContent).toContain('best');
    expect(cells('Drinks, hot day')[0]!.textContent).not.toContain('best');
  });

  test('takes others in and out, and at most four', async () => {
    answers(served(twins));
    open(<ComparePage />, `/?with=${id(1)},${id(2)}`);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: /Stock trough/ }));
    await waitFor(() => expect(screen.getAllByRole('columnheader')).toHaveLength(4));
    expect(screen.getByRole('row', { name: /^Perforated pipe/ }).textContent).toContain('–');
    await user.click(screen.getByRole('button', { name: 'Twin' }));
    await user.click(screen.getByRole('button', { name: /Stock trough/ }));
    expect(screen.getByText('Choose two to four planters.')).toBeTruthy();
  });

  test('one that is gone from the garden is said to be', async () => {
    answers(served(twins));
    open(<ComparePage />, `/?with=${id(1)},${id(7)}`);
    expect(await screen.findByText(/is not in the garden any more/)).toBeTruthy();
    const user = userEvent.setup();
    await user.click(screen.getByRole('button', { name: /Stock trough/ }));
    expect(screen.queryByText(/is not in the garden any more/)).toBeNull();
    await waitFor(() => expect(screen.getAllByRole('columnheader')).toHaveLength(3));
  });

  test('one planter alone is told what to do', async () => {
    answers(served([twins[2]!]));
    open(<ComparePage />);
    expect(await screen.findByText(/Duplicate it in the/)).toBeTruthy();
  });
});

describe('what have you got', () => {
  test('only what is begun with that vessel is shown', async () => {
    answers({ '/vessels': { vessels: [] } });
    open(<StartPage />);
    const user = userEvent.setup();
    expect((await screen.findAllByRole('heading', { level: 2 })).length).toBeGreaterThan(18);
    await user.click(screen.getByRole('button', { name: 'Barrel' }));
    const titles = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(titles).toHaveLength(5);
    expect(titles.join()).toMatch(/barrel/i);
  });

  test('where the garden is, is asked until somebody has said so', async () => {
    const saved: { site: string }[] = [];
    serveWith(({ path, method, body }) => {
      if (path === '/vessels') return { vessels: [] };
      if (path !== '/weather') return null;
      if (method === 'PUT') saved.push((body as { choice: { site: string } }).choice);
      const choice = saved.at(-1) ?? { site: 'vallesol', normals: null, days: null };
      return { choice, revision: saved.length, updatedAt: new Date().toISOString() };
    });
    const page = open(<StartPage />);
    const user = userEvent.setup();
    const field = await screen.findByLabelText<HTMLSelectElement>('Where is the garden?');
    expect(field.selectedOptions[0]!.textContent).toBe('Choose the weather that is nearest');
    await user.selectOptions(field, 'Cool north coast');
    await waitFor(() => expect(saved.at(-1)?.site).toBe('cool-coast'));
    expect(await screen.findByText(/55.5° north, 15 m above the sea/)).toBeTruthy();
    page.unmount();
    open(<StartPage />);
    await screen.findByRole('heading', { name: 'What have you got?' });
    await waitFor(() => expect(screen.queryByLabelText('Where is the garden?')).toBeNull());
  });

  test('a vessel of one’s own is offered only the builds that go into it', async () => {
    const mine = { id: id(7), revision: 1, name: 'Zinc box', vessel: vesselFrom('tote-50'), ...at };
    answers({ '/vessels': { vessels: [mine] } });
    open(<StartPage />, `/new?vessel=${id(7)}`);
    expect(await screen.findByText('What goes into Zinc box?')).toBeTruthy();
    const titles = screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(titles).toContain('A tote, its lid and pipe offcuts');
    expect(titles).not.toContain('A bottle and twine');
  });
});

describe('in inches', () => {
  beforeEach(() => localStorage.setItem('huerta.units', 'us'));
  afterEach(() => localStorage.clear());

  test('a new planter has inch pipe and measures on the marks of a rule', async () => {
    const asked = serveWith(({ path }) =>
      path === '/vessels' ? { vessels: [] } : path === '/garden' ? gardenOf([]) : null,
    );
    let opened: PlanterDesign | null = null;
    function Bench() {
      opened = useBegun(useParams().id ?? '');
      return <h1>Bench</h1>;
    }
    open(
      <Routes>
        <Route path="/new" element={<StartPage />} />
        <Route path="/planters/:id" element={<Bench />} />
      </Routes>,
      '/new',
    );
    await userEvent.click(await screen.findByRole('button', { name: /^A pail, its lid/ }));
    expect(await screen.findByRole('heading', { name: 'Bench' })).toBeTruthy();
    // Nothing is in the garden yet.
    expect(asked.every(({ method }) => method === 'GET')).toBe(true);
    const { name, vessel, reservoir, fillTube } = opened as unknown as PlanterDesign;
    expect(name).toBe('Sweet pepper pail');
    expect(PIPES[fillTube!.pipe].family).toBe('inch');
    expect(reservoir.top / 0.0254).toBeCloseTo(4, 9);
    expect(vessel.kind === 'round' && vessel.depth / 0.0254).toBeCloseTo(14.5, 9);
  });

  test('a vessel that is measured begins with a usual one in inches', async () => {
    answers({ '/vessels': { vessels: [] } });
    open(<VesselsPage />);
    await userEvent.click(await screen.findByRole('button', { name: 'Measure the first vessel' }));
    const depth = await screen.findByLabelText('Inside depth');
    expect((depth as HTMLInputElement).value.replaceAll('\u00a0', ' ')).toBe('14 1/2 in');
  });
});

describe('my vessels', () => {
  test('none yet says what to do', async () => {
    answers({ '/vessels': { vessels: [] } });
    open(<VesselsPage />);
    expect(await screen.findByText('No vessel measured yet')).toBeTruthy();
  });

  test('a server that does not answer is said', async () => {
    answers({});
    open(<VesselsPage />);
    expect(await screen.findByText('Your vessels cannot be fetched')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy();
  });

  test('each shows its litres, and is measured again in a dialog', async () => {
    const mine = {
      id: id(7),
      revision: 1,
      name: 'Olive pail',
      vessel: vesselFrom('pail-15'),
      ...at,
    };
    answers({ '/vessels': { vessels: [mine] } });
    open(<VesselsPage />);
    const user = userEvent.setup();
    const entry = await screen.findByRole('listitem');
    expect(entry.textContent).toMatch(/16.L to the rim/);
    await user.click(within(entry).getByRole('button', { name: 'Change Olive pail' }));
    const dialog = await screen.findByRole('dialog', { name: 'Measure Olive pail again' });
    const depth = within(dialog).getByLabelText('Inside depth');
    await user.clear(depth);
    await user.type(depth, '0.4 m{Enter}');
    await waitFor(() => expect(dialog.textContent).toMatch(/Holds 22\.\d.L/));
  });

  test('what it was before is told in words and put back by a press', async () => {
    const now = vesselFrom('pail-15');
    const before = { ...now, depth: depthOf(now) - 0.05, material: 'metal' as const };
    const mine = { id: id(7), revision: 2, name: 'Olive pail', vessel: now, ...at };
    answers({
      [`/vessels/${id(7)}/history`]: {
        revisions: [{ revision: 1, at: at.createdAt, vessel: before }],
      },
      '/vessels': { vessels: [mine] },
    });
    open(<VesselsPage />);
    const user = userEvent.setup();
    await user.click(await screen.findByRole('button', { name: 'Change Olive pail' }));
    const dialog = await screen.findByRole('dialog', { name: 'Measure Olive pail again' });
    const holds = () => /Holds ([\d.]+)/.exec(dialog.textContent ?? '')?.[1];
    const full = holds();
    await user.click(within(dialog).getByRole('button', { name: 'Show earlier versions' }));
    const earlier = await within(dialog).findByRole('list', { name: 'Earlier versions' });
    await waitFor(() => expect(earlier.textContent).toMatch(/Inside depth: 235.mm, then 285.mm/));
    expect(earlier.textContent).toMatch(/Material: .*metal.*, then/i);
    await user.click(within(earlier).getByRole('button', { name: /^Put back/ }));
    expect(Number(holds())).toBeLessThan(Number(full));
    const depth = within(dialog).getByLabelText('Inside depth') as HTMLInputElement;
    expect(depth.value).toContain('235');
  });
});
