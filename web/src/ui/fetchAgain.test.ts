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
