/** @jest-environment jsdom */
import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { q, say } from '@huerta/core/units';
import { PreferencesProvider, usePreferences, useWords } from './preferences';

window.matchMedia ??= (query) =>
  ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as never;

function Shown() {
  const { units, setUnits, paper, setPaper, decimal, dates, style, setStyle, setMode } =
    usePreferences();
  const { tell } = useWords();
  return (
    <>
      <output>{[units, paper, decimal, dates, style].join(' ')}</output>
      <p>{tell(say`Water the aubergine.`)}</p>
      <p aria-label="poured">{tell(say`Pour ${q(0.0114, 'volume')}.`)}</p>
      <button onClick={() => setUnits('us')}>Inches</button>
      <button onClick={() => setPaper('a4')}>A4</button>
      <button onClick={() => setMode('dark')}>Dark</button>
      <button onClick={() => setStyle('british')}>British</button>
    </>
  );
}

function open(language: string) {
  Object.defineProperty(navigator, 'language', { value: language, configurable: true });
  const { unmount } = render(
    <PreferencesProvider>
      <Shown />
    </PreferencesProvider>,
  );
  return { unmount, user: userEvent.setup(), now: () => screen.getByRole('status').textContent };
}

beforeEach(() => localStorage.clear());

test.each([
  ['en-US', 'us letter point month-first american'],
  ['en-GB', 'metric a4 point day-first british'],
  ['de-DE', 'metric a4 comma day-first british'],
])('a browser of %s begins with %s', (language, begun) => {
  expect(open(language).now()).toBe(begun);
});

test('what is chosen is remembered; paper follows the measures until one is', async () => {
  const first = open('en-GB');
  await first.user.click(screen.getByRole('button', { name: 'Inches' }));
  expect(first.now()).toMatch(/^us letter/);
  await first.user.click(screen.getByRole('button', { name: 'A4' }));
  expect(first.now()).toMatch(/^us a4/);
  first.unmount();
  expect(open('en-GB').now()).toMatch(/^us a4/);
});

describe('light or dark', () => {
  const usual = window.matchMedia;
  afterEach(() => {
    window.matchMedia = usual;
  });

  /** A device that can grow dark. */
  function device() {
    const listeners = new Set<() => void>();
    const state = { matches: false };
    window.matchMedia = (media) =>
      ({
        media,
        matches: state.matches,
        addEventListener: (_kind: string, listener: () => void) => listeners.add(listener),
        removeEventListener: (_kind: string, listener: () => void) => listeners.delete(listener),
      }) as never;
    return (matches: boolean) => {
      state.matches = matches;
      act(() => listeners.forEach((listener) => listener()));
    };
  }
  const isDark = () => document.documentElement.classList.contains('dark');

  test('follows the device while the page is open, and the next time, until one is chosen', async () => {
    const dark = device();
    const first = open('en-GB');
    expect(isDark()).toBe(false);
    dark(true);
    expect(isDark()).toBe(true);
    first.unmount();
    dark(false);
    const second = open('en-GB');
    expect(isDark()).toBe(false);
    await second.user.click(screen.getByRole('button', { name: 'Dark' }));
    expect(isDark()).toBe(true);
    second.unmount();
    open('en-GB');
    expect(isDark()).toBe(true);
  });

  test('paper is light, and the page as it was afterwards', () => {
    device()(true);
    open('en-GB');
    act(() => void window.dispatchEvent(new Event('beforeprint')));
    expect(isDark()).toBe(false);
    act(() => void window.dispatchEvent(new Event('afterprint')));
    expect(isDark()).toBe(true);
  });
});

test('messages are told in the chosen words', async () => {
  const { user } = open('en-US');
  expect(screen.getByText('Water the eggplant.')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'British' }));
  expect(screen.getByText('Water the aubergine.')).toBeTruthy();
});

test.each([
  ['de-DE', 'Pour 11,4 L.'],
  ['en-GB', 'Pour 11.4 L.'],
  ['en-US', 'Pour 3 gal.'],
])('numbers are written as in %s: %s', (language, words) => {
  open(language);
  expect(screen.getByLabelText('poured').textContent!.replaceAll('\u00a0', ' ')).toBe(words);
});
