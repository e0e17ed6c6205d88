import { rowCacheOf } from './rowCache';

/** A table in memory whose changes take a while, as a disk's do. */
function slowTable() {
  let rows = ['phone', 'calendar'];
  let ended: () => void = () => {};
  const cache = rowCacheOf(() => Promise.resolve([...rows]));
  const removing = () =>
    cache.change(
      () =>
        new Promise<void>((resolve) => {
          ended = () => {
            rows = rows.filter((one) => one !== 'phone');
            resolve();
          };
        }),
    );
  return { cache, removing, end: () => ended() };
}

test('a read in the midst of a removal does not bring the removed row back', async () => {
  const { cache, removing, end } = slowTable();
  expect(await cache.rows()).toContain('phone');
  const removed = removing();
  expect(await cache.rows()).toContain('phone');
  end();
  await removed;
  expect(await cache.rows()).toEqual(['calendar']);
});

test('rows are read once while nothing changes, and again after a read that failed', async () => {
  const read = jest
    .fn<Promise<string[]>, []>()
    .mockRejectedValueOnce(new Error('disk'))
    .mockResolvedValue(['phone']);
  const cache = rowCacheOf(read);
  await expect(cache.rows()).rejects.toThrow('disk');
  expect(await cache.rows()).toEqual(['phone']);
  expect(await cache.rows()).toEqual(['phone']);
  expect(read).toHaveBeenCalledTimes(2);
});
