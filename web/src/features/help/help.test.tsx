/** @jest-environment jsdom */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FIELDS } from '@huerta/core/document';
import { GLOSSARY, termIn } from '../../ui/glossary';
import { QuantityField } from '../../ui/QuantityField';
import { answers, Around } from '../../testing/editor';
import { show } from '../../testing/render';
import { PANELS } from '../editor/usePanel';
import { HELP } from './help';
import HelpPage from './HelpPage';

test('each room has its lines, and each word its meaning', () => {
  answers({});
  show(
    <Around>
      <HelpPage />
    </Around>,
  );
  for (const { title } of PANELS)
    expect(screen.getByRole('heading', { level: 2, name: title })).toBeTruthy();
  const words = screen.getByRole('region', { name: 'Words' });
  for (const term of Object.keys(GLOSSARY)) expect(within(words).getByText(term)).toBeTruthy();
});

test('a field with a word that not everybody knows says what it means', async () => {
  const user = userEvent.setup();
  const { freeboard } = FIELDS.soil;
  show(<QuantityField spec={freeboard} value={0.025} onCommit={() => null} />);
  expect(screen.getByLabelText('Freeboard')).toBeTruthy();
  expect(screen.queryByRole('note')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'What is freeboard?' }));
  expect(screen.getByRole('note').textContent).toBe(GLOSSARY.freeboard);
});

test.each([
  ['Freeboard', 'freeboard'],
  ['Allowed for settling', 'settling'],
  ['Lip above the centre', 'lip'],
  ['Valve keeps the water at', 'valve'],
  ['Inside depth', null],
  // Not within another word.
  ['Clipped slipper', null],
])('%s is about %s', (label, term) => {
  expect(termIn(label)).toBe(term);
});

test('words are short, plain sentences, and the list of the project settles those that have synonyms', () => {
  for (const text of [...Object.values(GLOSSARY), ...HELP.flatMap(({ lines }) => lines)]) {
    expect(text).toMatch(/^[A-Z].*[.]$/);
    expect(text.length).toBeLessThan(260);
  }
  const settled = readFileSync(join(process.cwd(), 'docs/glossary.md'), 'utf8');
  const avoided = settled
    .split('\n')
    .flatMap((line) => line.split('|')[4]?.split(',') ?? [])
    .map((word) => word.trim())
    .filter((word) => /^[a-z-]+$/.test(word) && word.length > 4 && word !== 'tank');
  expect(avoided.length).toBeGreaterThan(20);
  const said = Object.values(GLOSSARY).join(' ').toLowerCase();
  for (const word of ['autonomy', 'substrate', 'standpipe', 'headspace']) {
    expect(avoided).toContain(word);
    expect(said).not.toContain(word);
  }
});
