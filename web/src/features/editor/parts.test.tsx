/** @jest-environment jsdom */
import { act, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { applyPatch, STARTING_POINTS, type Patch } from '@huerta/core/document';
import { Around } from '../../testing/editor';
import { serveGarden } from '../../testing/garden';
import { show } from '../../testing/render';
import { EditorProvider } from './editorState';
import { createEditorStore } from './editorStore';
import { Figures, FiguresSaid } from './Figures';
import { Findings } from './Findings';
import { CheckPanel } from './panels/CheckPanel';
import { WickPanel } from './panels/WickPanel';

const open = (patch: Patch, part: React.ReactNode) => {
  const store = createEditorStore(applyPatch(STARTING_POINTS[0]!.design, patch));
  show(
    <Around at="/">
      <EditorProvider store={store}>{part}</EditorProvider>
    </Around>,
  );
  return { store, user: userEvent.setup() };
};

// No planter is joined to others.
beforeEach(() => void serveGarden([]));

describe('findings', () => {
  test('once one is mended, the keys go on at the next remedy, or at the word that nothing is left', async () => {
    const { user } = open(
      [
        { path: ['overflow', 'centre'], value: 0.12 },
        { path: ['soil', 'mulch'], value: 'none' },
      ],
      <Findings />,
    );
    const button = (await screen.findAllByRole('button'))[0]!;
    button.focus();
    await user.keyboard('{Enter}');
    await waitFor(() => {
      expect(button.isConnected).toBe(false);
      expect(document.activeElement).not.toBe(document.body);
      expect(screen.getByRole('region').contains(document.activeElement)).toBe(true);
    });
  });

  test('are counted, worst first, and mended by their button', async () => {
    const { store, user } = open(
      [
        { path: ['overflow', 'centre'], value: 0.12 },
        { path: ['soil', 'mulch'], value: 'none' },
      ],
      <Findings />,
    );
    const lines = await screen.findAllByRole('listitem');
    expect(lines[0]!.textContent).toContain('Fault');
    expect(lines.at(-1)!.textContent).toContain('Note');
    await user.click(screen.getByRole('button', { name: /Move the mark/ }));
    const { overflow } = store.getState().design;
    expect(overflow?.kind === 'hole' && overflow.centre).toBeCloseTo(0.086, 12);
    await waitFor(() => expect(screen.queryByText(/Fault/)).toBeNull());
  });

  test('follow a line in the hand; how to mend them follows when the hand rests', async () => {
    jest.useFakeTimers();
    const { store } = open([{ path: ['place', 'hose'], value: 1e-5 }], <Findings />);
    expect(screen.getByRole('heading', { name: 'Nothing to mend' })).toBeTruthy();
    act(() => {
      store.hold();
      store.slide([{ path: ['overflow', 'centre'], value: 0.12 }]);
    });
    expect(screen.getByText('Fault')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
    act(() => void jest.advanceTimersByTime(500));
    expect(screen.getByRole('button', { name: /Move the mark/ })).toBeTruthy();
    act(() => {
      store.slide([{ path: ['overflow', 'centre'], value: 0.125 }]);
      store.release();
    });
    expect(screen.getByRole('button', { name: /Move the mark/ })).toBeTruthy();
    jest.useRealTimers();
  });

  test('none at all says what to do next', () => {
    open([{ path: ['place', 'hose'], value: 1e-5 }], <Findings />);
    expect(screen.getByRole('heading', { name: 'Nothing to mend' })).toBeTruthy();
    expect(screen.getByText(/Ready to build/)).toBeTruthy();
  });
});

describe('figures', () => {
  const said = (label: string) => screen.getByText(label).parentElement!.textContent;

  test('say what is out of reach, and never round days up', () => {
    open([{ path: ['wicks', 0, 'foot'], value: 0.03 }], <Figures compact={false} />);
    expect(said('Water to use')).toMatch(/holds 4\.2.L, 1\.6.L too slow or too low/);
    expect(said('Until it reads low, hot')).toMatch(
      /^Until it reads low, hot\d+(\.5)?days?plants go short after \d/,
    );
  });

  test('are said as one sentence too, which follows a change', async () => {
    const { store } = open([], <FiguresSaid />);
    const sentence = screen.getByText(
      /^Water to use: .*; Until it reads low, hot: .*; Root room: /,
    );
    expect(sentence.getAttribute('aria-live')).toBe('polite');
    const before = sentence.textContent;
    act(() => void store.change([{ path: ['soil', 'freeboard'], value: 0.06 }]));
    await waitFor(() => expect(sentence.textContent).not.toBe(before));
  });

  test('with nothing planted and nothing leaving, nothing drinks', () => {
    open(
      [
        { path: ['planting', 'crops', 0, 'count'], value: 0 },
        { path: ['soil', 'mulch'], value: 'cover' },
      ],
      <Figures compact={false} />,
    );
    expect(said('Until it reads low, hot')).toMatch(/\d{3,}days/);
  });
});

describe('the wick room', () => {
  test('a strip test replaces the typical values and is taken back', async () => {
    const { store, user } = open([], <WickPanel />);
    await user.click(await screen.findByRole('button', { name: 'Enter a strip test' }));
    expect(store.getState().design.wicks[0]).toMatchObject({ strip: { day: 0.165 } });
    const day = screen.getByLabelText('Wet height after a day');
    await user.clear(day);
    await user.type(day, '60{Enter}');
    expect(screen.getByText(/wet higher after a day than after an hour/)).toBeTruthy();
    await user.clear(day);
    await user.type(day, '150{Enter}');
    expect(store.getState().design.wicks[0]).toMatchObject({ strip: { day: 0.15 } });
    await user.click(screen.getByRole('button', { name: 'Use the typical values again' }));
    expect(store.getState().design.wicks[0]).toMatchObject({ strip: null });
  });

  test('wicks are added and taken out', async () => {
    const { store, user } = open([], <WickPanel />);
    await user.click(await screen.findByRole('button', { name: 'Add a packed cup' }));
    await user.click(screen.getByRole('button', { name: 'Take wick 1 out' }));
    expect(store.getState().design.wicks.map((wick) => wick.kind)).toEqual(['cup']);
    expect(screen.getByText(/Pack it wet and tight/)).toBeTruthy();
  });
});

describe('the test with water', () => {
  test.each<[string, Patch, RegExp]>([
    ['as planned', [], /the water must stand at.*until it runs from the overflow/],
    [
      'without an overflow',
      [{ path: ['overflow'], value: null }],
      /the water must stand at.*Pour on to 100.mm/,
    ],
    [
      'drilled too high',
      [{ path: ['overflow', 'centre'], value: 0.12 }],
      /Mend the overflow first/,
    ],
  ])('%s', (_name, patch, words) => {
    open(patch, <CheckPanel />);
    const group = screen.getByRole('heading', { name: /Test with water/ }).parentElement!;
    expect(group.textContent).toMatch(words);
  });
});
