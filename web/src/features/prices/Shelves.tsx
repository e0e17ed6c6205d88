import { Box, Field, Input, Text } from '@chakra-ui/react';
import {
  GOOD_SHELVES,
  shelfOf,
  type Good,
  type GoodInUse,
  type GoodShelf,
} from '@huerta/core/fabrication';
import { plural } from '@huerta/core/units';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useWords } from '../../ui/preferences';

interface ShelvesProps {
  goods: readonly GoodInUse[];
  /** Goods of which something was typed, by id: their shelves stand open. */
  touched: Readonly<Record<string, unknown>>;
  /** Whether a good has a price of one's own. */
  own(good: Good): boolean;
  open: ReadonlySet<GoodShelf>;
  onOpen(open: ReadonlySet<GoodShelf>): void;
  children(good: GoodInUse): ReactNode;
}

const SHELVES = Object.keys(GOOD_SHELVES) as GoodShelf[];

/** Goods on their shelves, each folded until it is opened, or those that a word finds. */
export function Shelves({ goods, touched, own, open, onOpen, children }: ShelvesProps) {
  const { tell } = useWords();
  const [word, setWord] = useState('');
  const sought = word.toLowerCase().split(/\s+/).filter(Boolean);
  const found = goods.filter(({ good, users }) => {
    const text = [tell(good.name), ...users].join(' ').toLowerCase();
    return sought.every((one) => text.includes(one));
  });
  if (goods.length === 0) return null;
  return (
    <>
      <Field.Root maxW="20rem" mt="4" mb="2">
        <Field.Label>Find a good, or what a planter takes</Field.Label>
        <Input
          type="search"
          value={word}
          autoComplete="off"
          onChange={(event) => setWord(event.target.value)}
        />
      </Field.Root>
      {sought.length > 0 && found.length === 0 && (
        <Text>
          Nothing here is called “{word.trim()}”. Goods are here once a planter takes them.
        </Text>
      )}
      {sought.length > 0
        ? found.map(children)
        : SHELVES.map((shelf) => {
            const on = goods.filter(({ good }) => shelfOf(good) === shelf);
            if (on.length === 0) return null;
            const unfolded = open.has(shelf) || on.some(({ good }) => good.id in touched);
            const priced = on.filter(({ good }) => own(good)).length;
            return (
              <Box
                as="section"
                key={shelf}
                className="good-shelf"
                aria-label={GOOD_SHELVES[shelf].name}
              >
                <h2>
                  <button
                    type="button"
                    aria-expanded={unfolded}
                    onClick={() => {
                      const next = new Set(open);
                      if (unfolded) next.delete(shelf);
                      else next.add(shelf);
                      onOpen(next);
                    }}
                  >
                    <span>
                      {unfolded ? (
                        <ChevronDown size={18} aria-hidden />
                      ) : (
                        <ChevronRight size={18} aria-hidden />
                      )}
                      {GOOD_SHELVES[shelf].name}
                    </span>
                    <span className="good-shelf-sum">
                      {on.length} {plural(on.length, 'good')}
                      {priced > 0 && `, ${priced} at your price`}
                    </span>
                  </button>
                </h2>
                {unfolded && on.map(children)}
              </Box>
            );
          })}
    </>
  );
}
