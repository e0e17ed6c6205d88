/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { q, say } from '@huerta/core';
import { PreferencesProvider, usePreferences, useWords } from './preferences';

window.matchMedia ??= (query) =>
  ({ matches: false, media: query, addEventListener() {}, removeEventListener() {} }) as never;

function Shown() {
  const { units, setUnits, paper, setPaper, decimal, dates, style, setStyle } = usePreferences();
  const { tell } = useWords();
  return (
    <>
      <output>{[units, paper, decimal, dates, style].join(' ')}</output>
      <p>{tell(say`Water the aubergine.`)}</p>
      <p aria-label="poured">{tell(say`Pour ${q(0.0114, 'volume')}.`)}</p>
      <button onClick={() => setUnits('us')}>Inches</button>
      <button onClick={() => setPaper('a4')}>A4</button>
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
