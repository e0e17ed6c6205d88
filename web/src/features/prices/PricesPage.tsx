import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import {
  CURRENCIES,
  packsIn,
  type GoodInUse,
  type GoodShelf,
  type PriceBook,
} from '@huerta/core/fabrication';
import { q, say, type UnitSystem } from '@huerta/core/units';
import type { FieldSpec } from '@huerta/core/document';
import { useEffect, useMemo, useState, type Dispatch, type SetStateAction } from 'react';
import { Link } from 'react-router';
import { usePriceBook, useSavePriceBook } from '../../data/api/prices';
import { usePlanters } from '../../data/api/planters';
import { useWords } from '../../ui/preferences';
import { ChoiceField } from '../../ui/ChoiceField';
import { keepDraft, readKeptDraft } from '../../ui/keptDraft';
import { notify } from '../../ui/notices';
import { keepsHere } from '../../data/offline/storage';
import { QuantityField } from '../../ui/QuantityField';
import { Loading } from '../../ui/Loading';
import { useGoods } from '../../compute/shopping';
import { useLinesAmong } from '../../compute/waterLines';
import { Fetched, Page } from '../../ui/Page';
import { draftOf, readDraft, withGood, type DraftErrors, type GoodDraft } from './draft';
import { WaterPrice } from './WaterPrice';
import { GoodRow } from './GoodRow';
import { Shelves } from './Shelves';
import './prices.css';

/** One's own prices, what lies in the shed, and how one buys. */
export default function PricesPage() {
  const prices = usePriceBook();
  const planters = usePlanters();
  // Kept here: a book that is saved is shown anew.
  const [open, setOpen] = useState<ReadonlySet<GoodShelf>>(new Set());
  return (
    <Page title="Price book" maxW="70rem">
      <Text as="h1" fontSize="2xl">
        Price book
      </Text>
      <Text maxW="40rem" mt="1">
        What the goods of your planters cost where you buy, and what you have at hand. The{' '}
        <Link to="/shopping" style={{ textDecoration: 'underline' }}>
          shopping list
        </Link>{' '}
        and every build sheet count with it.
      </Text>
      <Fetched
        what="the price book"
        title="The price book cannot be fetched"
        queries={[prices, planters]}
      >
        {(saved, all) => (
          <Book key={saved.revision} {...{ saved, open }} planters={all} onOpen={setOpen} />
        )}
      </Fetched>
    </Page>
  );
}

const MIXING = {
  own: { name: 'Mixed at home' },
  ready: { name: 'Bought ready mixed' },
} as const;
const KERF: FieldSpec = {
  label: 'Width of a saw cut',
  kind: 'length',
  min: 0,
  max: 0.02,
  help: 'Lost with each cut.',
};

const DRAFT = 'huerta.prices.draft';
const NO_GOODS: readonly GoodInUse[] = [];

/** What was typed into the book and not saved. */
interface KeptBook {
  revision: number;
  units: UnitSystem;
  general: PriceBook;
  drafts: Readonly<Record<string, GoodDraft>>;
}

interface BookProps {
  saved: { revision: number; book: PriceBook; waits: boolean };
  planters: PlanterResource[];
  /** Shelves that are open. */
  open: ReadonlySet<GoodShelf>;
  onOpen(open: ReadonlySet<GoodShelf>): void;
}

function Book({ saved, planters, open, onOpen }: BookProps) {
  const words = useWords();
  const { units } = words;
  // What was typed before a reload is there again; if the book was saved elsewhere since, only the goods’ own.
  const [before] = useState(() => readKeptDraft<KeptBook>(DRAFT));
  const [general, setGeneral] = useState<PriceBook>(
    before?.revision === saved.revision ? before.general : saved.book,
  );
  const [drafts, setDrafts] = useState<Readonly<Record<string, GoodDraft>>>(
    before?.units === units ? before.drafts : {},
  );
  const [errors, setErrors] = useState<Readonly<Record<string, DraftErrors>>>({});
  const save = useSavePriceBook();
  const designs = useMemo(() => planters.map(({ design }) => design), [planters]);
  const joined = useLinesAmong(planters);
  const { value, trouble } = useGoods(designs, units, joined);
  const goods = value ?? NO_GOODS;
  // What was typed for goods is read when they are there; the rest of the book can be kept without them.
  const unread = !value && Object.keys(drafts).length > 0;
  const dirty =
    JSON.stringify(general) !== JSON.stringify(saved.book) || Object.keys(drafts).length > 0;
  useEffect(() => {
    const { revision } = saved;
    keepDraft(DRAFT, dirty ? ({ revision, units, general, drafts } satisfies KeptBook) : null);
  }, [dirty, saved, units, general, drafts]);

  const keep = () => {
    const wrong: Record<string, DraftErrors> = {};
    let book = general;
    for (const { good } of goods) {
      const draft = drafts[good.id];
      if (!draft) continue;
      const read = readDraft(good, draft, units);
      if (read.ok) book = withGood(book, good, read, units);
      else wrong[good.id] = read.errors;
    }
    setErrors(wrong);
    if (Object.keys(wrong).length > 0) return;
    void save(book).then(() => {
      keepDraft(DRAFT, null);
      setGeneral(book);
      setDrafts({});
      notify('The price book is kept.');
    });
  };
  const wrongs = Object.keys(errors).length;
  return (
    <>
      <General {...{ general, setGeneral }} typed={Object.keys(drafts).length > 0} />
      <Box className="book-save">
        <Button variant="solid" disabled={!dirty || unread} onClick={keep}>
          Save the price book
        </Button>
        {saved.waits && !dirty && (
          <Text role="status" color="fg.muted">
            {keepsHere()
              ? 'Saved and kept on this device. It is sent when the server takes it.'
              : 'Saved here and not on the server yet: leave this page open until it is.'}
          </Text>
        )}
        {wrongs > 0 && (
          <Text role="alert" color="harm">
            {wrongs === 1 ? 'One good has' : `${wrongs} goods have`} something that cannot be read.
            Nothing is lost; see below.
          </Text>
        )}
      </Box>
      {trouble && (
        <Text role="alert" color="harm" mt="3">
          {trouble}
        </Text>
      )}
      {!value && !trouble && <Loading what="what your planters take" />}
      <Shelves
        {...{ goods, open, onOpen }}
        touched={drafts}
        own={({ id }) => general.prices[general.currency]?.[id] !== undefined}
      >
        {({ good, users }) => (
          <GoodRow
            key={good.id}
            {...{ good, users }}
            draft={drafts[good.id] ?? draftOf(good, general, words)}
            errors={errors[good.id] ?? {}}
            typical={packsIn(general, good, units).typical}
            currency={general.currency}
            onChange={(draft) => {
              setDrafts((now) => ({ ...now, [good.id]: draft }));
              setErrors(({ [good.id]: _gone, ...rest }) => rest);
            }}
          />
        )}
      </Shelves>
    </>
  );
}

interface GeneralProps {
  general: PriceBook;
  setGeneral: Dispatch<SetStateAction<PriceBook>>;
  /** Whether something is typed for a good that is not saved. */
  typed: boolean;
}

/** How one buys and saws. */
function General({ general, setGeneral, typed }: GeneralProps) {
  return (
    <Box className="book-general">
      <ChoiceField
        label="Currency"
        value={general.currency}
        choices={CURRENCIES}
        help={typed ? 'Save what you typed before you change it.' : 'Each has prices of its own.'}
        onChoose={(currency) => {
          if (!typed) setGeneral((now) => ({ ...now, currency }));
        }}
      />
      <ChoiceField
        label="Growing mix"
        value={general.mixing}
        choices={MIXING}
        onChoose={(mixing) => setGeneral((now) => ({ ...now, mixing }))}
      />
      <QuantityField
        spec={KERF}
        value={general.kerf}
        onCommit={(kerf) => {
          if (kerf > KERF.max) return say`${q(KERF.max, 'length')} at most.`;
          setGeneral((now) => ({ ...now, kerf }));
          return null;
        }}
      />
      <WaterPrice key={general.currency} book={general} onChange={setGeneral} />
    </Box>
  );
}
