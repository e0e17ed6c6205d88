/** @jest-environment jsdom */
import { noteSaved, passOverPreloaded } from './preloads';

const fetched = jest.fn<Promise<Response>, [string]>();
const preload = (href: string): void => {
  const link = document.createElement('link');
  link.setAttribute('rel', 'preload');
  link.setAttribute('as', 'fetch');
  link.setAttribute('href', href);
  document.head.append(link);
};

beforeEach(() => {
  document.head.replaceChildren();
  fetched.mockReset().mockResolvedValue({} as Response);
  globalThis.fetch = fetched as unknown as typeof fetch;
});

test('an answer that was asked for ahead serves until the page has saved something, and then once no more', async () => {
  preload('/api/round');
  preload('/api/seasons');
  await passOverPreloaded('/api/round');
  expect(fetched).not.toHaveBeenCalled();
  noteSaved();
  // It was taken already; what was never asked for ahead is not either.
  await passOverPreloaded('/api/round');
  await passOverPreloaded('/api/weather');
  expect(fetched).not.toHaveBeenCalled();
  await passOverPreloaded('/api/seasons');
  await passOverPreloaded('/api/seasons');
  expect(fetched.mock.calls).toEqual([['/api/seasons']]);
});
