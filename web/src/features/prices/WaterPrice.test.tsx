/** @jest-environment jsdom */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { NEW_BOOK, priceBookSchema, type PriceBook } from '@huerta/core/fabrication';
import { useState } from 'react';
import { show } from '../../testing/render';
import { WaterPrice } from './WaterPrice';

test('water has a price in each currency, or none; what is no price stays with a sentence', async () => {
  let now: PriceBook = { ...NEW_BOOK, water: { USD: 2 } };
  const Book = () => {
    const [book, setBook] = useState(now);
    now = book;
    return <WaterPrice book={book} onChange={setBook} />;
  };
  show(<Book />);
  const user = userEvent.setup();
  const field = screen.getByLabelText<HTMLInputElement>('Tap water, 1000 L');
  const type = async (text: string) => {
    await user.clear(field);
    await user.type(field, `${text}{Enter}`);
  };
  await type('3,20');
  expect(priceBookSchema.parse(now).water).toEqual({ USD: 2, EUR: 3.2 });
  expect(field.value).toBe('3.20');
  await type('cheap');
  expect(screen.getByText(/^Type a price as a plain number/)).toBeTruthy();
  expect([field.value, now.water?.EUR]).toEqual(['cheap', 3.2]);
  await user.clear(field);
  await user.tab();
  expect(now.water).toEqual({ USD: 2 });
});
