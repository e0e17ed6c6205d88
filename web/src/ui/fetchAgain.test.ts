import { fetchAgain } from './fetchAgain';

test('what is lost twice on its way comes at the third try', async () => {
  let tries = 0;
  const part = await fetchAgain(async () => {
    tries += 1;
    if (tries < 3) throw new Error('lost');
    return 'part';
  }, [0, 0]);
  expect([part, tries]).toEqual(['part', 3]);
});

test('what never comes says why', async () => {
  await expect(fetchAgain(() => Promise.reject(new Error('away')), [0])).rejects.toThrow('away');
});

test('an address that the browser remembers as failed is asked for by another one of the same file', async () => {
  const asked: string[] = [];
  const load = () =>
    Promise.reject(new TypeError('Failed to fetch module: http://home/assets/Page-1.js'));
  const importFrom = (address: string) => {
    asked.push(address);
    return asked.length < 2 ? Promise.reject(new Error('still away')) : Promise.resolve('here');
  };
  await expect(fetchAgain<unknown>(load, [0, 0], importFrom)).resolves.toBe('here');
  expect(asked).toEqual([
    'http://home/assets/Page-1.js?again=0',
    'http://home/assets/Page-1.js?again=1',
  ]);
});
