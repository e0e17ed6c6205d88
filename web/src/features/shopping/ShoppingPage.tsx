import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterSummary, PlanterResource } from '@huerta/contract';
import { amountOf, boughtOf, type ShoppingList } from '@huerta/core/fabrication';
import { portionOf } from '@huerta/core/units';
import { Printer } from 'lucide-react';
import { Link } from 'react-router';
import { usePriceBook } from '../../data/api/prices';
import { useEntries, usePlantersOf } from '../../data/api/planters';
import { useWords } from '../../ui/preferences';
import { Chooser } from '../../ui/Chooser';
import { Fetched, Page } from '../../ui/Page';
import { Trouble } from '../../ui/Trouble';
import { toggled, useChosen } from '../../ui/useChosen';
import { Loading } from '../../ui/Loading';
import { useShopping } from '../../compute/shopping';
import { useLinesAmong } from '../../compute/waterLines';
import { StockBars } from '../../drawing/StockBars';
import '../../ui/sheet.css';
import { SheetSection, Table } from '../../ui/Table';

/** One shopping list over chosen planters: packs, cuts from shared lengths, and what each costs. */
export default function ShoppingPage() {
  const planters = useEntries();
  return (
    <Page title="Shopping list" className="sheet">
      <Box className="sheet-top">
        <Text as="h1" fontSize="2xl">
          Shopping list
        </Text>
        <Link className="not-printed beside" to="/prices">
          Price book
        </Link>
      </Box>
      <Fetched what="the garden" title="The garden cannot be fetched" queries={[planters]}>
        {(all) => <Choice planters={all} />}
      </Fetched>
    </Page>
  );
}

function Choice({ planters }: { planters: PlanterSummary[] }) {
  const { among, choose } = useChosen();
  const chosen = among(planters);
  return (
    <>
      <Chooser
        label="Planters to buy for"
        planters={planters}
        chosen={chosen}
        onToggle={(id) => choose(toggled(chosen, id))}
      />
      {chosen.length > 0 ? (
        <Chosen ids={chosen} />
      ) : (
        <Text mt="6" maxW="34rem">
          {planters.length === 0
            ? 'There is no planter to buy for yet. Begin one in the garden.'
            : 'Choose the planters that you build together. What they share is bought once: one length of pipe, one bag.'}
        </Text>
      )}
    </>
  );
}

function Chosen({ ids }: { ids: readonly string[] }) {
  const planters = usePlantersOf(ids);
  return (
    <Fetched what="the planters" title="These planters cannot be fetched" queries={[planters]}>
      {(found) => <List planters={found} />}
    </Fetched>
  );
}

function List({ planters }: { planters: readonly PlanterResource[] }) {
  const { units } = useWords();
  const prices = usePriceBook();
  const designs = planters.map(({ design }) => design);
  // The hose of those that are all bought for.
  const joined = useLinesAmong(planters);
  const { value: list, trouble } = useShopping(designs, units, prices.data?.book, joined);
  if (prices.error && !prices.data) {
    return (
      <Trouble
        title="The price book cannot be fetched"
        detail={prices.error.message}
        retry={() => void prices.refetch()}
      />
    );
  }
  // The list of another choice is not shown for this one.
  const whole = list?.planters.length === designs.length + joined.length ? list : null;
  return (
    <>
      {trouble && (
        <Text role="alert" className="unsent">
          {trouble}
        </Text>
      )}
      {whole ? (
        <Lines list={whole} hoses={joined.length} />
      ) : (
        !trouble && <Loading what="packs and cuts" />
      )}
    </>
  );
}

/** @param hoses how many of the last of the list are hoses between planters, which hold no water of their own */
function Lines({ list, hoses }: { list: ShoppingList; hoses: number }) {
  const words = useWords();
  const { tell, say, units } = words;
  const water = portionOf('water', units);
  const { currency } = list;
  const money = (value: number) => words.money(value, currency);
  const several = list.planters.length > 1;
  const typical = list.lines.some((line) => line.typical && line.cost > 0);
  return (
    <>
      <Box display="flex" gap="4" alignItems="center" flexWrap="wrap" mt="4">
        <Text fontSize="xl" fontFamily="heading" fontWeight="bold">
          {money(list.total)}
        </Text>
        <Button className="not-printed" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print
        </Button>
      </Box>
      <SheetSection title="To buy">
        <Table
          head={[
            'What',
            'Wanted',
            'At hand',
            'Buy',
            'Unit price',
            'Cost',
            ...(several ? ['For'] : []),
          ]}
          rows={list.lines.map((line) => [
            line.good.id,
            tell(line.good.name),
            tell(amountOf(line.good, line.wanted)),
            line.atHand > 0 ? tell(amountOf(line.good, line.atHand)) : '',
            line.buy.length > 0 ? tell(boughtOf(line.good, line.buy)) : 'nothing',
            line.buy.map(({ price }) => money(price)).join(', '),
            `${money(line.cost)}${line.typical && line.cost > 0 ? '*' : ''}`,
            ...(several ? [takers(line.amounts, list)] : []),
          ])}
          foot={['All of it', '', '', '', '', money(list.total), ...(several ? [''] : [])]}
        />
        {list.total - list.used > 0.5 && (
          <Text mt="2">
            Of that, {money(list.used)} go into the planters; the rest stays over as pipe, bags and
            packs.
          </Text>
        )}
        {typical && (
          <Text mt="2" fontSize="sm" color="faint">
            * A typical price, until your own is in the price book.
          </Text>
        )}
      </SheetSection>
      <SheetSection title="What each costs">
        <Table
          head={['Planter', 'Its share', say(`For a usable ${water.name}`)]}
          rows={list.planters.map(({ name, cost, perUsable }, i) => [
            `${i}`,
            name,
            money(cost),
            perUsable !== null
              ? money(perUsable * water.volume)
              : i < list.planters.length - hoses
                ? 'no usable water'
                : '',
          ])}
        />
      </SheetSection>
      {list.lines.some(({ plan }) => plan) && (
        <SheetSection title="Cuts">
          {list.lines.map((line) =>
            line.plan ? (
              <StockBars
                key={line.good.id}
                name={tell(line.good.name)}
                buy={tell(boughtOf(line.good, line.buy))}
                plan={line.plan}
              />
            ) : null,
          )}
        </SheetSection>
      )}
    </>
  );
}

/** Which planters take of it; all of them are not named. */
function takers(amounts: readonly number[], { planters }: ShoppingList): string {
  const names = planters.filter((_, i) => (amounts[i] ?? 0) > 0).map(({ name }) => name);
  return names.length === planters.length ? 'all' : names.join(', ');
}
