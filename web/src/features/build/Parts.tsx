import { Text } from '@chakra-ui/react';
import { billOf, sourcingOf, type BuildSheet, type ShoppingList } from '@huerta/core/fabrication';
import { portionOf } from '@huerta/core/units';
import { Link } from 'react-router';
import { useWords } from '../../ui/preferences';
import { SheetSection, Table } from '../../ui/Table';

interface PartsProps {
  sheet: BuildSheet;
  list: ShoppingList | null;
}

/** What it takes, what of it is bought, and what that costs. */
export function Parts({ sheet, list }: PartsProps) {
  const { tell, say, units, money } = useWords();
  const water = portionOf('water', units);
  const currency = list?.currency ?? 'EUR';
  const rows = billOf(sheet, list).map((one) => {
    const { id, what, amount, use, into, line } = one;
    const name = tell(what);
    return [
      id,
      into === null ? (
        name
      ) : (
        <span className="of-mix" key="name">
          {name}
        </span>
      ),
      tell(amount),
      use,
      tell(sourcingOf(one)),
      line?.buy.map(({ price }) => money(price, currency)).join(', ') ?? '',
      line && line.buy.length > 0
        ? `${money(line.cost, currency)}${line.typical && line.cost > 0 ? '*' : ''}`
        : '',
    ] as const;
  });
  const [own] = list?.planters ?? [];
  return (
    <SheetSection title="What it takes">
      <Table
        head={['Part', 'How much', 'Where', 'Buy', 'Unit price', 'Cost']}
        rows={rows}
        {...(list ? { foot: ['All of it', '', '', '', '', money(list.total, list.currency)] } : {})}
      />
      {list && list.total - list.used > 0.5 && (
        <Text mt="3">
          Of that, {money(list.used, list.currency)} go into this planter; the rest stays over as
          pipe, bags and packs for the next one.
        </Text>
      )}
      {own?.perUsable != null && list && (
        <Text mt="3">
          That is {money(own.perUsable * water.volume, list.currency)} for each {say(water.name)}{' '}
          that the plants can use.
        </Text>
      )}
      {sheet.feeding.says.map((words, i) => (
        <Text key={i} mt="2">
          {tell(words)}
        </Text>
      ))}
      <Text mt="3" fontSize="sm" color="faint" className="not-printed">
        * A typical price. Put in your own, and what you have at hand, in the{' '}
        <Link to="/prices" style={{ textDecoration: 'underline' }}>
          price book
        </Link>
        .
      </Text>
    </SheetSection>
  );
}
