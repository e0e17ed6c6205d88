/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { closeBench, useBenchesClosed } from './closingBenches';

const opened = (planter: string) => renderHook(() => useBenchesClosed(planter)).result;

test('a bench waits for the last save of the one before it, and not for those of other planters', async () => {
  let answer: () => void = () => undefined;
  const saved = new Promise<void>((done) => (answer = done));
  const ended: string[] = [];
  closeBench('one', saved, () => ended.push('one'));
  const [same, other] = [opened('one'), opened('two')];
  expect([same.current, other.current]).toEqual([false, true]);
  await act(async () => {
    answer();
    await saved;
  });
  expect(ended).toEqual(['one']);
  expect([same.current, opened('one').current]).toEqual([true, true]);
});

test('a save that could not be sent ends the wait, and one that is never answered does so after a while', async () => {
  const ended: string[] = [];
  closeBench('refused', Promise.reject(new Error('no server')), () => ended.push('refused'));
  closeBench('never', new Promise(() => undefined), () => ended.push('never'), 20);
  const [refused, never] = [opened('refused'), opened('never')];
  await act(async () => new Promise((done) => setTimeout(done, 60)));
  expect(ended).toEqual(['refused', 'never']);
  expect([refused.current, never.current]).toEqual([true, true]);
});

test('what is saved while a bench is open does not close it', () => {
  const bench = renderHook(() => useBenchesClosed('three'));
  closeBench('three', new Promise(() => undefined), () => undefined);
  bench.rerender();
  expect(bench.result.current).toBe(true);
});
