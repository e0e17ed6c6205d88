/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FIELDS } from '@huerta/core/document';
import { say, type Message } from '@huerta/core/units';
import { act, useState } from 'react';
import { show } from '../testing/render';
import { QuantityField } from './QuantityField';

const spec = FIELDS.reservoir.top;

async function field(refuse: Message | null = null) {
  const commits: number[] = [];
  show(
    <QuantityField
      spec={spec}
      value={0.1}
      onCommit={(value) => {
        if (refuse === null) commits.push(value);
        return refuse;
      }}
    />,
  );
  const input = await screen.findByLabelText<HTMLInputElement>(spec.label);
  return { input, commits, user: userEvent.setup() };
}

test('takes over what is typed when it is left, in SI', async () => {
  const { input, commits, user } = await field();
  await user.clear(input);
  await user.type(input, '4 1/2 in');
  expect(commits).toEqual([]);
  await user.tab();
  expect(commits[0]).toBeCloseTo(0.1143, 12);
});

test('left as it was, it commits nothing, so that no rounding creeps in', async () => {
  const { input, commits, user } = await field();
  await user.click(input);
  await user.tab();
  await user.click(input);
  await user.keyboard('{Enter}');
  expect(commits).toEqual([]);
});

test('keeps what cannot be read, with a sentence, until Escape', async () => {
  const { input, commits, user } = await field();
  await user.clear(input);
  await user.type(input, 'about so{Enter}');
  expect(screen.getByText(/is not a length that can be read/)).toBeTruthy();
  expect(input.value).toBe('about so');
  expect(input.getAttribute('aria-invalid')).toBe('true');
  await user.keyboard('{Escape}');
  expect(input.value).toBe('100\u00a0mm');
  expect(screen.queryByText(/cannot/)).toBeNull();
  expect(commits).toEqual([]);
});

test('says the range where a value is outside it', async () => {
  const { input, commits, user } = await field();
  await user.clear(input);
  await user.type(input, '3 m{Enter}');
  expect(screen.getByText(/can be from 5.mm to 1200.mm/)).toBeTruthy();
  expect(commits).toEqual([]);
});

test('passes on why a value cannot be, and clears it at the next key', async () => {
  const { input, user } = await field(say`The tube is in the way.`);
  await user.clear(input);
  await user.type(input, '120{Enter}');
  expect(screen.getByText('The tube is in the way.')).toBeTruthy();
  await user.type(input, '1');
  expect(screen.queryByText('The tube is in the way.')).toBeNull();
});

test('what is refused turns sound when it is taken with another field, and is given up by Escape and by typing on', async () => {
  let take = (_value: number): void => undefined;
  const dropped: string[] = [];
  function Shown() {
    const [value, setValue] = useState(0.1);
    take = setValue;
    return (
      <QuantityField
        {...{ spec, value }}
        onCommit={() => say`Not yet.`}
        onDrop={() => dropped.push('dropped')}
      />
    );
  }
  show(<Shown />);
  const user = userEvent.setup();
  const input = await screen.findByLabelText<HTMLInputElement>(spec.label);
  const type = async (text: string) => {
    await user.clear(input);
    await user.type(input, text);
  };
  await type('120 mm{Enter}');
  expect(screen.getByText('Not yet.')).toBeTruthy();
  act(() => take(0.12));
  expect(screen.queryByText('Not yet.')).toBeNull();
  expect(input.value).toMatch(/^120/);
  expect(dropped).toEqual([]);
  await type('130 mm{Enter}');
  await user.keyboard('{Escape}');
  expect(dropped).toHaveLength(1);
  await type('140 mm{Enter}');
  await user.type(input, '5');
  expect(dropped).toHaveLength(2);
});
