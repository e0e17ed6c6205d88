import 'fake-indexeddb/auto';
import { alone, holdOpen, isHeldOpen } from './lease';

/** Plain http: the browser has no locks. */
Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
globalThis.window ??= globalThis as never;
globalThis.document ??= { hidden: false, addEventListener() {}, removeEventListener() {} } as never;
globalThis.addEventListener ??= () => undefined;
globalThis.removeEventListener ??= () => undefined;

test('without locks of the browser, of several windows one at a time does the work', async () => {
  let running = 0;
  let most = 0;
  const work = async () => {
    running += 1;
    most = Math.max(most, running);
    await new Promise((done) => setTimeout(done, 5));
    running -= 1;
  };
  const did = await Promise.all(Array.from({ length: 8 }, () => alone('work', work)));
  expect(most).toBe(1);
  expect(did.filter(Boolean)).toHaveLength(1);
  expect(await alone('work', work)).toBe(true);
  // One that fails lets go too.
  await expect(alone('work', () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect(await alone('work', work)).toBe(true);
});

test('a bench that is open is known to be, and a window that was killed is not for long', async () => {
  const close = holdOpen('bench');
  await new Promise((done) => setTimeout(done, 20));
  expect(await isHeldOpen('bench')).toBe(true);
  expect(await isHeldOpen('another')).toBe(false);
  const now = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 20_000);
  expect(await isHeldOpen('bench')).toBe(false);
  now.mockRestore();
  close();
  await new Promise((done) => setTimeout(done, 20));
  expect(await isHeldOpen('bench')).toBe(false);
});
