/** @jest-environment jsdom */
import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { show } from '../../testing/render';
import { Enlarged } from './Enlarged';

function open() {
  let closed = 0;
  show(
    <Enlarged title="Section" onClose={() => (closed += 1)}>
      <p>The drawing</p>
    </Enlarged>,
  );
  const drawing = () => screen.getByText('The drawing').parentElement!;
  return { user: userEvent.setup(), drawing, closed: () => closed };
}

test('is as large as the window at first, larger by steps, and back', async () => {
  const { user, drawing } = open();
  const smaller = screen.getByRole<HTMLButtonElement>('button', { name: 'Smaller' });
  const larger = screen.getByRole<HTMLButtonElement>('button', { name: 'Larger' });
  expect([drawing().style.width, smaller.disabled]).toEqual(['100%', true]);
  const seen: string[] = [];
  while (!larger.disabled) {
    await user.click(larger);
    seen.push(drawing().style.width);
  }
  expect(seen).toEqual(['150%', '250%', '400%']);
  await user.click(smaller);
  expect(drawing().style.width).toBe('250%');
});

test('is left by its button and by Escape', async () => {
  const { user, closed } = open();
  expect(screen.getByRole('dialog', { name: 'Section' })).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Close' }));
  expect(closed()).toBe(1);
  await user.keyboard('{Escape}');
  await waitFor(() => expect(closed()).toBe(2));
});
