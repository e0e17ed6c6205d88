import { Text } from '@chakra-ui/react';
import { boughtOf, type BuildSheet, type ShoppingList } from '@huerta/core/fabrication';
import { Link } from 'react-router';
import { useWords } from '../../ui/preferences';
import { StockBars } from '../../drawing/StockBars';
import { SheetSection, Table } from '../../ui/Table';

interface CutsProps {
  sheet: BuildSheet;
  list: ShoppingList | null;
}

/** What is cut from lengths, and the flat pieces. */
export function Cuts({ sheet, list }: CutsProps) {
  const { tell, write } = useWords();
  const notes = sheet.cuts.flatMap(({ pieces }) => pieces.filter(({ note }) => note !== null));
  return (
    <SheetSection title="Cuts">
      {list?.lines.map(({ good, plan, buy }) =>
        plan ? (
          <StockBars
            key={good.id}
            name={tell(good.name)}
            buy={tell(boughtOf(good, buy))}
            plan={plan}
          />
        ) : null,
      )}
      {sheet.cuts.length === 0 && <Text>Nothing is cut from lengths.</Text>}
      {notes.map(({ label, note }) => (
        <Text key={label} mt="1">
          <strong>{label}:</strong> {note && tell(note)}.
        </Text>
      ))}
      {sheet.cuts.length > 0 && (
        <Text mt="2" mb="4" fontSize="sm" color="faint" className="not-printed">
          Lengths on sale, what the saw takes and offcuts at hand are in the{' '}
          <Link to="/prices" style={{ textDecoration: 'underline' }}>
            price book
          </Link>
          .
        </Text>
      )}
      {sheet.sheets.length > 0 && (
        <Table
          head={['Flat piece', 'How many', 'Size', 'From']}
          rows={sheet.sheets.map(({ id, what, count, length, width, from }) => [
            id,
            what,
            String(count),
            `${write(length, 'length')} by ${write(width, 'length')}`,
            tell(from),
          ])}
        />
      )}
    </SheetSection>
  );
}
