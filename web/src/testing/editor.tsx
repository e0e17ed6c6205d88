import { applyPatch, STARTING_POINTS, type Patch, type PlanterDesign } from '@huerta/core/document';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { screen } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { Outbox } from '../app/Outbox';
import { EditorProvider } from '../features/editor/editorState';
import { createEditorStore } from '../features/editor/editorStore';
import { show } from './render';

/** A starting point with changes. */
export function designOf(id: string, patch: Patch = []): PlanterDesign {
  const start = STARTING_POINTS.find((point) => point.id === id);
  if (!start) throw new Error(`No starting point ${id}`);
  return applyPatch(start.design, patch);
}

/** A page's surroundings: an address and a place for what the server answers. */
export function Around({ children, at = '/' }: { children: ReactNode; at?: string }) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return (
    <QueryClientProvider client={client}>
      <MemoryRouter initialEntries={[at]}>{children}</MemoryRouter>
      <Outbox />
    </QueryClientProvider>
  );
}

/** A part of the bench over a design, with the store to look into. */
export function openPart(design: PlanterDesign, part: ReactNode) {
  const store = createEditorStore(design);
  show(
    <Around>
      <EditorProvider store={store}>{part}</EditorProvider>
    </Around>,
  );
  return { store, now: () => store.getState().design, user: userEvent.setup() };
}

/** Answers what the page asks of the server, by the end of the address. */
export function answers(bodies: Record<string, unknown>): void {
  globalThis.fetch = ((address: string) => {
    const key = Object.keys(bodies).find((end) => address.endsWith(end));
    return Promise.resolve({
      ok: key !== undefined,
      status: key === undefined ? 404 : 200,
      json: () => Promise.resolve(key === undefined ? null : bodies[key]),
    } as Response);
  }) as typeof fetch;
}

/** Types as fast as hands do: a list that is searched takes a moment for each letter. */
export async function typeSlowly(user: UserEvent, field: Element, text: string): Promise<void> {
  for (const letter of text) await user.type(field, letter, { skipClick: true });
}

/** Chooses a crop by typing what it is called. */
export async function chooseCrop(user: UserEvent, label: string, crop: string): Promise<void> {
  const field = await screen.findByRole('combobox', { name: label });
  await user.clear(field);
  await typeSlowly(user, field, crop);
  await user.click(await screen.findByRole('option', { name: new RegExp(`^${crop}`, 'i') }));
}
