/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanterResource } from '@huerta/contract';
import type { LogEntry } from '@huerta/core/journal';
import type { PlanterDesign } from '@huerta/core/document';
import { Notices } from '../../ui/notices';
import { Around, designOf } from '../../testing/editor';
import { pendingSaves } from '../../data/offline/pendingSaves';
import { gardenOf } from '../../testing/entry';
import { show } from '../../testing/render';
import { serveWith } from '../../testing/worker';
import { EntryMenu } from './EntryMenu';

/** What can be done with a planter from the garden, each as somebody does it, and taken back. */

const id = '3f0e6c3a-9a4e-4d8c-8f1e-0a6a3a1b2c3d';
const at = '2026-05-01T08:00:00.000Z';
let planter: PlanterResource;
let made: PlanterDesign[];
let gone: string[];
let log: LogEntry[];
let refuses: string | null;
let away: boolean;

const refusal = (detail: string) => ({
  ...{ type: 'urn:huerta:problem:invalid', kind: 'invalid', title: 'Not kept', status: 422 },
  detail,
});

beforeEach(() => {
  const design = designOf('cloth-pail', [{ path: ['name'], value: 'By the step' }]);
  planter = { id, revision: 3, createdAt: at, updatedAt: at, design };
  [made, gone, log, refuses, away] = [[], [], [], null, false];
  serveWith(({ method, path, body }) => {
    if (path === '/log' && method === 'POST') {
      log = [...log, ...(body as { entries: LogEntry[] }).entries];
      return { came: 1, has: (body as { entries: LogEntry[] }).entries.map((one) => one.id) };
    }
    if (path === `/planters/${id}` && method === 'DELETE') gone.push('deleted');
    if (path === `/planters/${id}/restore`) gone.push('restored');
    if (path.startsWith('/planters/') && method === 'PUT') {
      if (away) throw new Error('No server.');
      if (refuses) return refusal(refuses);
      const { design: saved } = body as { design: PlanterDesign };
      if (path !== `/planters/${id}`) made.push(saved);
      else planter = { ...planter, revision: planter.revision + 1, design: saved };
      return { ...planter, id: path.slice('/planters/'.length), design: saved };
    }
    if (path === '/garden') return gardenOf([planter]);
    return path.startsWith(`/planters/${id}`) ? planter : null;
  });
});

/** The press that takes back what a notice says. */
const undoOf = (words: string): HTMLElement =>
  within(screen.getByText(words).closest<HTMLElement>('[data-part=root]')!).getByText('Undo');

/** More than there are in the menu. */
const ENTRIES = 12;

async function choose(what: string) {
  const [entry] = gardenOf([planter]).entries;
  show(
    <Around>
      <EntryMenu entry={entry!} />
      <Notices />
    </Around>,
  );
  const user = userEvent.setup();
  await user.click(screen.getByLabelText('More for By the step'));
  const item = (await screen.findByText(what)).closest<HTMLElement>('[role=menuitem]')!;
  // By the keyboard: the menu takes it a moment after it is there.
  await waitFor(() => expect(document.activeElement?.getAttribute('role')).toBe('menu'));
  const isAt = () => item.dataset.highlighted !== undefined;
  for (let steps = 0; steps < ENTRIES && !isAt(); steps += 1) {
    await user.keyboard('{ArrowDown}');
    await waitFor(() => expect(document.querySelector('[data-highlighted]')).not.toBeNull());
  }
  expect(isAt()).toBe(true);
  await user.keyboard('{Enter}');
  return user;
}

describe('a new name', () => {
  test('is asked for when none is given, and kept when one is', async () => {
    const user = await choose('Rename');
    const field = await screen.findByLabelText('Name of the planter');
    expect((field as HTMLInputElement).value).toBe('By the step');
    await user.clear(field);
    await user.click(screen.getByText('Rename', { selector: 'button' }));
    expect(screen.getByText(/Give it a name, such as/)).toBeTruthy();
    expect(planter.design.name).toBe('By the step');
    await user.type(field, '  By the well ');
    await user.click(screen.getByText('Rename', { selector: 'button' }));
    await waitFor(() => expect(planter.design.name).toBe('By the well'));
    await waitFor(() => expect(document.querySelector('[role=dialog]')).toBeNull());
    // Nothing else of it changed.
    expect({ ...planter.design, name: '' }).toEqual({ ...designOf('cloth-pail'), name: '' });
  });

  test('given while the server is away waits on this device', async () => {
    away = true;
    const user = await choose('Rename');
    await user.type(await screen.findByLabelText('Name of the planter'), ', left');
    await user.click(screen.getByText('Rename', { selector: 'button' }));
    await waitFor(() => expect(document.querySelector('[role=dialog]')).toBeNull());
    expect(planter.design.name).toBe('By the step');
    const [waits] = await pendingSaves.of('planter', id);
    expect(waits).toMatchObject({ base: 3, body: { design: { name: 'By the step, left' } } });
    await pendingSaves.drop(waits!.key, waits!.saveId);
  });

  test('that is refused stays in the field, with the reason, and can be left', async () => {
    refuses = 'A name has at most 120 letters.';
    const user = await choose('Rename');
    const field = await screen.findByLabelText('Name of the planter');
    await user.type(field, '!');
    await user.click(screen.getByText('Rename', { selector: 'button' }));
    await screen.findByText('A name has at most 120 letters.');
    expect((field as HTMLInputElement).value).toBe('By the step!');
    await user.click(screen.getByRole('button', { name: 'Leave it' }));
    await waitFor(() => expect(document.querySelector('[role=dialog]')).toBeNull());
    expect(planter.design.name).toBe('By the step');
    expect(await pendingSaves.of('planter', id)).toEqual([]);
  });
});

test('a copy stands beside it under a name of its own', async () => {
  await choose('Duplicate');
  expect(await screen.findByText('‘By the step (copy)’ stands beside it now.')).toBeTruthy();
  expect(made).toHaveLength(1);
  expect({ ...made[0]!, name: planter.design.name }).toEqual(planter.design);
});

test('a variant keeps the name and says that it is another way', async () => {
  await choose('Make a variant');
  expect(await screen.findByText('A variant of ‘By the step’ stands beside it now.')).toBeTruthy();
  expect(made[0]).toMatchObject({ name: 'By the step', variant: 'another way' });
  expect(screen.getByText('Compare')).toBeTruthy();
});

test('a filling is noted till it ran, and taken out again by a press', async () => {
  const user = await choose('Filled to overflow');
  await screen.findByText('‘By the step’: filled to overflow.');
  await waitFor(() => expect(log).toHaveLength(1));
  expect(log[0]).toMatchObject({ planter: id, did: { kind: 'filled', ran: true }, gone: false });
  await user.click(undoOf('‘By the step’: filled to overflow.'));
  await waitFor(() => expect(log).toHaveLength(2));
  expect(log[1]).toMatchObject({ instead: log[0]!.id, gone: true });
});

test('what is deleted comes back by a press', async () => {
  const user = await choose('Delete');
  await screen.findByText('‘By the step’ is deleted.');
  expect(gone).toEqual(['deleted']);
  await user.click(undoOf('‘By the step’ is deleted.'));
  await waitFor(() => expect(gone).toEqual(['deleted', 'restored']));
});

test('a file of it has the whole design under its name', async () => {
  const blobs: Blob[] = [];
  const saved: string[] = [];
  URL.createObjectURL = (blob) => {
    blobs.push(blob as Blob);
    return 'blob:here';
  };
  URL.revokeObjectURL = () => undefined;
  HTMLAnchorElement.prototype.click = function () {
    saved.push(this.download);
  };
  await choose('Export a file');
  await waitFor(() => expect(saved).toEqual(['by-the-step.huerta.json']));
  const file = JSON.parse(await blobs[0]!.text()) as { format: string; name: string };
  expect(file).toMatchObject({ format: 'huerta.planter', name: 'By the step' });
});
