/** @jest-environment jsdom */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { applyPatch, evaluate, section, STARTING_POINTS, type Patch } from '@huerta/core';
import { show } from '../../testing/render';
import { GardenEntry } from './GardenEntry';

function entry(patch: Patch) {
  const design = applyPatch(STARTING_POINTS[0]!.design, patch);
  const { planter, assessment } = evaluate(design);
  show(
    <QueryClientProvider client={new QueryClient()}>
      <MemoryRouter>
        <GardenEntry
          resource={{
            id: '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d',
            revision: 1,
            createdAt: '2026-05-01T08:00:00.000Z',
            updatedAt: '2026-05-01T08:00:00.000Z',
            design,
          }}
          assessment={assessment}
          drawing={section(planter)}
          scale={400}
          height={200}
        />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return screen.getByRole('listitem');
}

test('leads to its bench, and says what it gives and where it stands', () => {
  const item = entry([{ path: ['place', 'name'], value: 'North wall' }]);
  const link = screen.getByRole('link', { name: 'Pail with a cloth wick' });
  expect(link.getAttribute('href')).toBe('/planters/3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d');
  expect(item.textContent).toContain('North wall');
  expect(item.textContent).toMatch(/4\.2.L to use · lasts [\d.]+.days when hot/);
});

test('says the worst, and how much more there is to mend', () => {
  const item = entry([
    { path: ['overflow', 'centre'], value: 0.12 },
    { path: ['wicks'], value: [] },
    { path: ['vessel', 'formerContents'], value: 'unknown' },
  ]);
  expect(item.textContent).toContain('Danger');
  expect(item.textContent).toContain('Nobody knows what this vessel held');
  expect(item.textContent).toMatch(/and \d more to mend/);
});

test('notes are kept for the bench', () => {
  const item = entry([{ path: ['soil', 'mulch'], value: 'none' }]);
  expect(item.textContent).toContain('Nothing to mend.');
  expect(item.textContent).not.toContain('Note');
});

test('a place without a name, and nothing that drinks', () => {
  const item = entry([
    { path: ['planting', 'count'], value: 0 },
    { path: ['wicks'], value: [] },
  ]);
  expect(item.textContent).toContain('No place yet');
  expect(item.textContent).toContain('0.L to use'.replace('.', '\u00a0'));
});
