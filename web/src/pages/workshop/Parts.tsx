import { Text } from '@chakra-ui/react';
import {
  boughtOf,
  ingredientGood,
  mixedFrom,
  writeMoney,
  type BuildSheet,
  type ShoppingList,
} from '@huerta/core';
import { Link } from 'react-router';
import { useWords } from '../../app/preferences';
import { Part, Table } from './sheet';

interface PartsProps {
  sheet: BuildSheet;
  list: ShoppingList | null;
}

/** What it takes, what of it is bought, and what that costs. */
export function Parts({ sheet, list }: PartsProps) {
  const { tell, write } = useWords();
  const lines = new Map((list?.lines ?? []).map((line) => [line.good.id, line]));
  const said = new Set<string>();
  /** Packs and price of a good, at its first part. */
  const buying = (id: string | undefined): [string, string, string] => {
    const line = id ? lines.get(id) : undefined;
    if (!id) return ['not bought', '', ''];
    if (!line) return ['', '', ''];
    if (said.has(id)) return ['with the above', '', ''];
    said.add(id);
    const { good, buy, cost, typical, atHand } = line;
    const packs = buy.length > 0 ? tell(boughtOf(good, buy)) : '';
    const own = atHand > 0 ? 'at hand' : '';
    return [
      [packs, own].filter(Boolean).join(', '),
      buy.map(({ price }) => writeMoney(price, list?.currency ?? 'EUR')).join(', '),
      buy.length > 0
        ? `${writeMoney(cost, list?.currency ?? 'EUR')}${typical && cost > 0 ? '*' : ''}`
        : '',
    ];
  };
  const rows = sheet.parts.flatMap(({ id, what, amount, use, good, ingredients }) => {
    const mixed = list ? mixedFrom({ good, ingredients }, (one) => lines.has(one)) : null;
    const [packs, unit, cost] = mixed ? ['mixed from', '', ''] : buying(good?.id);
    const own = [id, what, tell(amount), use, packs, unit, cost] as const;
    if (!mixed) return [own];
    return [
      own,
      ...mixed.map((one) => {
        const { id: goodId, name } = ingredientGood(one.id);
        const [from, unitPrice, price] = buying(goodId);
        const share = `${one.parts} ${one.parts === 1 ? 'part' : 'parts'}, ${write(one.volume, 'volume')}`;
        return [
          `mix-${one.id}`,
          <span className="of-mix" key="name">
            {tell(name)}
          </span>,
          share,
          'In the mix',
          from,
          unitPrice,
          price,
        ] as const;
      }),
    ];
  });
  const [own] = list?.planters ?? [];
  return (
    <Part title="What it takes">
      <Table
        head={['Part', 'How much', 'Where', 'Buy', 'Unit price', 'Cost']}
        rows={rows}
        {...(list
          ? { foot: ['All of it', '', '', '', '', writeMoney(list.total, list.currency)] }
          : {})}
      />
      {own?.perUsable != null && list && (
        <Text mt="3">
          That is {writeMoney(own.perUsable / 1000, list.currency)} for each litre that the plants
          can use.
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
    </Part>
  );
}
