/** @jest-environment jsdom */
import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { NEW_BOOK, SMALL_GOODS, type PriceBook } from '@huerta/core/fabrication';
import { wordsIn } from '@huerta/core/units';
import { Around, designOf } from '../../testing/editor';
import { gardenOf } from '../../testing/entry';
import { show } from '../../testing/render';
import { installWorker, serveWith } from '../../testing/worker';
import { draftOf, readDraft, withGood } from '../prices/draft';
import PricesPage from '../prices/PricesPage';
import ShoppingPage from './ShoppingPage';

const at = '2026-05-01T08:00:00.000Z';
const planter = (n: number, from: string) => ({
  id: `00000000-0000-4000-8000-00000000000${n}`,
  revision: 1,
  createdAt: at,
  updatedAt: at,
  design: designOf(from),
});
const garden = [planter(1, 'cloth-pail'), planter(2, 'tote-pipes')];

function shop(refuse = false) {
  const state = { revision: 0, book: NEW_BOOK as PriceBook };
  serveWith(({ method, path, body }) => {
    if (path === '/planters') return { planters: garden };
    if (path === '/garden') return gardenOf(garden);
    const one = garden.find(({ id }) => path === `/planters/${id}`);
    if (one) return one;
    if (method === 'PUT') {
      if (refuse) throw new TypeError('no server');
      const { revision, book } = body as typeof state;
      Object.assign(state, { revision: revision + 1, book });
    }
    return path === '/prices' ? { ...state, updatedAt: null } : null;
  });
  return state;
}
beforeAll(() => void installWorker());

test('several planters make one list, and each its share', async () => {
  shop();
  show(<Around at="/shopping">{<ShoppingPage />}</Around>);
  const user = userEvent.setup();
  expect(await screen.findByText(/What they share is bought once/)).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Pail with a cloth wick' }));
  await user.click(screen.getByRole('button', { name: /^Tote/ }));
  const caps = await screen.findByRole('row', { name: /^Cap for a tube 2/ });
  expect(caps.textContent).toContain('all');
  const shares = screen.getAllByRole('row', { name: /^(Pail with|Tote with).*€/ });
  const money = (row: HTMLElement) =>
    Number(within(row).getAllByRole('cell')[1]!.textContent!.replace('€', ''));
  const total = screen.getByRole('row', { name: /^All of it/ }).textContent!.match(/€([\d.]+)/)![1];
  expect(shares.reduce((sum, row) => sum + money(row), 0)).toBeCloseTo(Number(total), 1);
});

test('an own price is saved and counts; one that cannot be read stays in its field', async () => {
  const state = shop();
  show(<Around at="/prices">{<PricesPage />}</Around>);
  const user = userEvent.setup();
  await user.click(await screen.findByRole('button', { name: /^Pipe and fittings/ }));
  const cap = within(screen.getByRole('region', { name: 'Cap for a tube' }));
  expect(cap.getByText(/^Typical price, for /)).toBeTruthy();
  const price = cap.getByLabelText(/^Price, EUR/);
  await user.clear(price);
  await user.type(price, 'dear');
  await user.click(screen.getByRole('button', { name: 'Save the price book' }));
  expect(cap.getByText(/Type a price as a plain number/)).toBeTruthy();
  expect((price as HTMLInputElement).value).toBe('dear');
  await user.clear(price);
  await user.type(price, '2,50');
  await user.type(cap.getByLabelText(/^At hand/), '1');
  await user.click(screen.getByRole('button', { name: 'Save the price book' }));
  await waitFor(() =>
    expect(state).toMatchObject({
      revision: 1,
      book: { prices: { EUR: { cap: [{ size: 1, price: 2.5 }] } }, atHand: { cap: 1 } },
    }),
  );
});

test('while the server is away a book is kept, which is said, and nothing typed is lost', async () => {
  shop(true);
  show(<Around at="/prices">{<PricesPage />}</Around>);
  const user = userEvent.setup();
  // A good is found by its name, without opening its shelf.
  await user.type(await screen.findByLabelText(/^Find a good/), 'CAP tube');
  const cap = within(screen.getByRole('region', { name: 'Cap for a tube' }));
  expect(screen.queryByRole('region', { name: 'Young plant' })).toBeNull();
  await user.type(cap.getByLabelText(/^At hand/), '3');
  await user.click(screen.getByRole('button', { name: 'Save the price book' }));
  expect(await screen.findByText(/^Offline/)).toBeTruthy();
  expect((cap.getByLabelText(/^At hand/) as HTMLInputElement).value).toBe('3');
});

test('typical prices are not kept as one’s own; offcuts are read in any unit', () => {
  const good = SMALL_GOODS.cap;
  const draft = draftOf(good, NEW_BOOK, wordsIn('metric'));
  const same = readDraft(good, draft, 'metric');
  if (!same.ok) throw new Error('typical prices can be read');
  expect(withGood(NEW_BOOK, good, same, 'metric').prices).toEqual({ EUR: {} });
  const post = { ...good, id: 'post', unit: 'length' as const };
  const cut = readDraft(
    post,
    { packs: [{ size: '2 m', price: '9' }], atHand: '', offcuts: '80 cm; 2 ft' },
    'metric',
  );
  expect(cut).toMatchObject({ ok: true, offcuts: [0.8, expect.closeTo(0.6096, 9)] });
  const wrong = readDraft(
    post,
    { packs: [{ size: '0', price: '-1' }], atHand: '', offcuts: '40 m' },
    'us',
  );
  expect(wrong).toMatchObject({
    ok: false,
    errors: {
      'size 0': 'A pack holds more than nothing.',
      'price 0': 'A price is from 0 to 100,000.',
      offcuts: expect.stringContaining('An offcut is from'),
    },
  });
});
