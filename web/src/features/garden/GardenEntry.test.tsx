/** @jest-environment jsdom */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import type { PlanterSummary, DesignSummary } from '@huerta/contract';
import { say, q } from '@huerta/core/units';
import { show } from '../../testing/render';
import { found, wantedOf } from './found';
import { GardenEntry } from './GardenEntry';

const summary: DesignSummary = {
  variant: '',
  place: 'North wall',
  crop: 'Sweet pepper',
  usable: 0.0042,
  days: 4.2,
  worst: null,
  serious: 0,
  steps: 9,
  height: 0.4,
};
const entryOf = (
  over: Partial<DesignSummary> = {},
  rest: Partial<PlanterSummary> = {},
): PlanterSummary => ({
  id: '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
  name: 'Pail with a cloth wick',
  revision: 1,
  createdAt: '2026-05-01T08:00:00.000Z',
  updatedAt: '2026-05-01T08:00:00.000Z',
  done: 0,
  ...rest,
  summary: { ...summary, ...over },
});

function shown(entry: PlanterSummary) {
  const client = new QueryClient({ defaultOptions: { queries: { enabled: false } } });
  show(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <GardenEntry
          entry={entry}
          drawing={null}
          scale={1}
          told={false}
          height={200}
          wide
          chosen={null}
          onChoose={() => undefined}
        />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.getByRole('listitem');
}

test('leads to its bench, and says what it gives and where it stands', () => {
  const item = shown(entryOf());
  const link = screen.getByRole('link', { name: 'Pail with a cloth wick' });
  expect(link.getAttribute('href')).toBe('/planters/3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d');
  expect(item.textContent).toContain('North wall');
  expect(item.textContent).toMatch(/4\.2.L to use · [\d.]+.days? until it reads low when hot/);
  expect(item.textContent).toContain('Nothing to mend.');
});

test('says the worst, and how much more there is to mend', () => {
  const worst = { severity: 'danger', text: say`Nobody knows: ${q(0.1, 'length')}` } as const;
  const item = shown(entryOf({ worst, serious: 3 }));
  expect(item.textContent).toContain('Danger');
  expect(item.textContent).toMatch(/Nobody knows: 100.mm/);
  expect(item.textContent).toContain('and 2 more to mend');
});

test('a place without a name, and nothing that drinks', () => {
  const item = shown(entryOf({ place: '', days: null, usable: 0 }));
  expect(item.textContent).toContain('No place yet');
  expect(item.textContent).toContain('nothing planted');
});

test('planters are found by every word, whatever its accents, and by what the choices say', () => {
  const fault = { severity: 'fault', text: ['x'] } as const;
  const garden = [
    entryOf({ crop: 'Jalapeño chilli', days: 9 }, { name: 'Pail 10', done: 9 }),
    entryOf({ place: 'Roof', worst: fault, serious: 1, days: 2 }, { name: 'Pail 9', done: 3 }),
    entryOf({ days: null }, { name: 'Tote', updatedAt: '2026-07-01T08:00:00.000Z' }),
  ];
  const names = (search: string) =>
    found(garden, wantedOf(new URLSearchParams(search))).map(({ name }) => name);
  expect(names('')).toEqual(['Pail 10', 'Pail 9', 'Tote']);
  expect(names('q=PAIL jalapeno')).toEqual(['Pail 10']);
  expect(names('q=pail tote')).toEqual([]);
  expect(names('place=Roof')).toEqual(['Pail 9']);
  expect(names('trouble=fault')).toEqual(['Pail 9']);
  expect(names('trouble=none')).toEqual(['Pail 10', 'Tote']);
  expect(names('build=built')).toEqual(['Pail 10']);
  expect(names('build=begun')).toEqual(['Pail 9']);
  expect(names('order=name')).toEqual(['Pail 9', 'Pail 10', 'Tote']);
  expect(names('order=changed')[0]).toBe('Tote');
  expect(names('order=thirst')).toEqual(['Pail 9', 'Pail 10', 'Tote']);
  // An address that asks for what there is not asks for nothing.
  expect(names('order=sideways&trouble=huge')).toEqual(['Pail 10', 'Pail 9', 'Tote']);
});
