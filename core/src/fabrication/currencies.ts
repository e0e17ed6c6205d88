/** Currencies that prices can be kept in, with what one of the base currency is roughly worth. */
export const CURRENCIES = {
  EUR: { name: 'Euro', worth: 1 },
  USD: { name: 'US dollar', worth: 1.1 },
  GBP: { name: 'Pound sterling', worth: 0.86 },
  CAD: { name: 'Canadian dollar', worth: 1.5 },
  AUD: { name: 'Australian dollar', worth: 1.65 },
  MXN: { name: 'Mexican peso', worth: 20 },
} as const;
export type Currency = keyof typeof CURRENCIES;
export const CURRENCY_IDS = Object.keys(CURRENCIES) as [Currency, ...Currency[]];
