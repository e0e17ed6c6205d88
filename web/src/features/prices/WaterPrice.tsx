import { Field, Input } from '@chakra-ui/react';
import { MOST_WATER_PRICE, type PriceBook } from '@huerta/core/fabrication';
import { csvCell } from '@huerta/core/units';
import { useState, type Dispatch, type SetStateAction } from 'react';
import { useWords } from '../../ui/preferences';

/** What water is sold by, cubic metres. */
const SOLD_BY = { metric: 1, us: 3.785411784 } as const;
const NAMES = { metric: 'Tap water, 1000 L', us: 'Tap water, 1000 gal' } as const;

interface WaterPriceProps {
  book: PriceBook;
  onChange: Dispatch<SetStateAction<PriceBook>>;
}

/** What tap water costs, if anything: with it the log tells what the water of a harvest cost. */
export function WaterPrice({ book, onChange }: WaterPriceProps) {
  const { units, mark } = useWords();
  const { currency } = book;
  const price = book.water?.[currency];
  const written = price === undefined ? '' : csvCell((price * SOLD_BY[units]).toFixed(2), mark);
  const [typed, setTyped] = useState<string | null>(null);
  const [error, setError] = useState('');
  const commit = () => {
    if (typed === null) return;
    const text = typed.trim();
    const read = Number(text.replace(',', '.')) / SOLD_BY[units];
    if (text !== '' && !(read >= 0 && read <= MOST_WATER_PRICE)) {
      setError('Type a price as a plain number, such as 3.20, or leave it empty.');
      return;
    }
    setTyped(null);
    onChange(({ water, ...now }) => {
      const { [currency]: _before, ...others } = water ?? {};
      const all = text === '' ? others : { ...others, [currency]: read };
      return Object.keys(all).length > 0 ? { ...now, water: all } : now;
    });
  };
  return (
    <Field.Root invalid={error !== ''}>
      <Field.Label>{NAMES[units]}</Field.Label>
      <Input
        value={typed ?? written}
        inputMode="decimal"
        autoComplete="off"
        onChange={({ target }) => {
          setTyped(target.value);
          setError('');
        }}
        onBlur={commit}
        onKeyDown={({ key }) => key === 'Enter' && commit()}
      />
      {error ? (
        <Field.ErrorText>{error}</Field.ErrorText>
      ) : (
        <Field.HelperText>The log’s years say what a harvest’s water cost.</Field.HelperText>
      )}
    </Field.Root>
  );
}
