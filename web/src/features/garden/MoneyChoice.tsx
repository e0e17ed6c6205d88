import { CURRENCIES, type Currency } from '@huerta/core/fabrication';
import { useEffect, useRef } from 'react';
import { usePriceBook, useSavePriceBook } from '../../data/api/prices';
import { ChoiceField } from '../../ui/ChoiceField';

/** What is paid with in a region, where Huerta has typical prices in it; the euro elsewhere. */
const REGIONS: Readonly<Record<string, Currency>> = {
  US: 'USD',
  GB: 'GBP',
  CA: 'CAD',
  AU: 'AUD',
  MX: 'MXN',
};

/** The currency of where a browser's language is from. */
export function usualCurrency(language: string): Currency {
  const { region } = new Intl.Locale(language).maximize();
  return REGIONS[region ?? ''] ?? 'EUR';
}

/** What prices are told in: at first that of where the browser is from, then as it is chosen here or in the price book. */
export function MoneyChoice() {
  const { data } = usePriceBook();
  const save = useSavePriceBook();
  const asked = useRef(false);
  useEffect(() => {
    if (!data || data.revision > 0 || asked.current) return;
    asked.current = true;
    const currency = usualCurrency(navigator.language);
    if (data.book.currency !== currency) void save({ ...data.book, currency });
  }, [data, save]);
  if (!data) return null;
  return (
    <ChoiceField
      label="Prices in"
      value={data.book.currency}
      choices={CURRENCIES}
      onChoose={(currency) => void save({ ...data.book, currency })}
    />
  );
}
