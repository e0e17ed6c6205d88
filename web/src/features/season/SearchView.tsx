import { Box, Button, Text } from '@chakra-ui/react';
import { applyPatch, type FieldSpec, type PlanterDesign } from '@huerta/core/document';
import { evaluate } from '@huerta/core/assessment';
import {
  bestAt,
  frontOf,
  meets,
  SEARCH_DAYS,
  type Scored,
  type Wishes,
} from '@huerta/core/planning';
import { NEW_BOOK, shopperOf, shoppingFor } from '@huerta/core/fabrication';
import { weatherOf, type WeatherDay } from '@huerta/core/physics/climate';
import type { Site } from '@huerta/core/catalog';
import type { Words } from '@huerta/core/units';
import { Download, Search, Square } from 'lucide-react';
import { memo, useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import { usePriceBook } from '../../data/api/prices';
import { useCreatePlanter } from '../../data/api/planters';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { QuantityField } from '../../ui/QuantityField';
import { useSearch } from '../../compute/search';
import { Table } from '../../ui/Table';
import { saveCsv } from '../../ui/saveCsv';

interface SearchViewProps {
  design: PlanterDesign;
  weather: { site: Site } | { days: readonly WeatherDay[] };
  planted: string;
  /** The day from which it must last. */
  leave: string;
}

/** Weathers that each design is tried in. */
const TRIES = 4;
const SPECS = {
  days: { label: 'Until plants go short, at least', kind: 'days', min: 0, max: SEARCH_DAYS },
  roots: { label: 'Root room at least', kind: 'span', min: 0, max: 1.5 },
  weight: { label: 'Weighs at most, full', kind: 'mass', min: 1, max: 10_000 },
  cost: { label: 'Costs at most', kind: 'ratio', min: 0, max: 1_000_000 },
} as const satisfies Record<string, FieldSpec>;

/** Other heights, wicks and mixes in the same vessel, and those that no other beats. */
export function SearchView({ design, weather, planted, leave }: SearchViewProps) {
  const words = useWords();
  const { units } = words;
  const prices = usePriceBook();
  const book = prices.data?.book ?? NEW_BOOK;
  const { points, done, of, begun, running, trouble, start, stop } = useSearch();
  const [wishes, setWishes] = useState<Wishes>(() => {
    const { figures } = evaluate(design).assessment;
    const own = shoppingFor([shopperOf(design, units)], book, units);
    return {
      days: design.place.daysAway,
      roots: Math.round(figures.growingDepth * 80) / 100,
      weight: Math.ceil(figures.weight.full * 1.25),
      cost: Math.ceil(own.total * 1.5),
    };
  });
  const begin = () =>
    start({
      design,
      weathers:
        'site' in weather
          ? Array.from({ length: TRIES }, (_, seed) =>
              weatherOf(weather.site, leave, SEARCH_DAYS, seed),
            )
          : [weather.days.filter(({ date }) => date >= leave).slice(0, SEARCH_DAYS)],
      planted,
      shop: { book, units },
    });
  // Drawn when there is time, so that a key never waits for the chart.
  const shown = useDeferredValue(points);
  const front = frontOf(shown);
  const good = front.filter((one) => meets(one, wishes));
  const wish = (key: keyof typeof SPECS) => (
    <QuantityField
      spec={SPECS[key]}
      label={key === 'cost' ? `${SPECS.cost.label}, ${book.currency}` : SPECS[key].label}
      value={wishes[key]}
      onCommit={(value) => {
        setWishes((now) => ({ ...now, [key]: value }));
        return null;
      }}
    />
  );
  return (
    <Box>
      <Text maxW="44rem" mt="4">
        Huerta tries other heights of base and overflow, more wick and another mix in this vessel,
        lets each go without filling from {writeDate(leave, 'long')} on, and keeps those that no
        other beats.
      </Text>
      <Box className="away-dates">
        {wish('days')}
        {wish('roots')}
        {wish('weight')}
        {wish('cost')}
      </Box>
      <Box className="progress">
        {running ? (
          <Button onClick={stop}>
            <Square size={16} aria-hidden /> Stop
          </Button>
        ) : (
          <Button variant="solid" onClick={begin}>
            <Search size={18} aria-hidden /> {begun ? 'Search again' : 'Search'}
          </Button>
        )}
        {running && of === 0 && <Text role="status">Looking which designs can be built…</Text>}
        {of > 0 && (
          <>
            <Text role="status">
              {done} of {of} designs tried{running ? '' : done < of ? ', then stopped' : ''}.
            </Text>
            <progress value={done} max={of} aria-label="Designs tried" />
          </>
        )}
      </Box>
      {trouble && (
        <Text role="alert" className="unsent">
          {trouble}
        </Text>
      )}
      {front.length > 0 && <Front front={front} good={good} />}
      {shown.length > 0 && shown === points && !running && good.length === 0 && (
        <Text mt="4">
          None of {points.length} designs gives all of that. The nearest are below: ask for fewer
          days, or for less room.
        </Text>
      )}
      {front.length > 0 && (
        <Choices
          design={design}
          list={good.length > 0 ? good : front}
          words={words}
          currency={book.currency}
        />
      )}
    </Box>
  );
}

/** Whether two lists hold the same designs: most that are tried change nothing of what is shown. */
const alike = (a: readonly Scored[], b: readonly Scored[]): boolean =>
  a.length === b.length && a.every((one, i) => one === b[i]);

interface FrontProps {
  front: readonly Scored[];
  good: readonly Scored[];
}

/** Days against root room; what meets every wish is filled. */
const Front = memo(FrontChart, (a, b) => alike(a.front, b.front) && alike(a.good, b.good));

function FrontChart({ front, good }: FrontProps) {
  const { units } = useWords();
  const [unit, symbol] = units === 'us' ? [0.0254, 'in'] : [0.01, 'cm'];
  const data = (list: readonly Scored[]) =>
    list.map(({ days, roots }) => ({ days, roots: Math.round((roots / unit) * 10) / 10 }));
  return (
    <Box
      mt="4"
      h="14rem"
      role="img"
      aria-label="Days until plants go short against root room; the table below has the numbers"
    >
      <ResponsiveContainer>
        <ScatterChart margin={{ top: 8, right: 12, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--hu-colors-rule)" />
          <XAxis
            type="number"
            dataKey="roots"
            domain={[
              (least: number) => Math.floor(least - 1),
              (most: number) => Math.ceil(most + 1),
            ]}
            allowDecimals={false}
            stroke="var(--hu-colors-ink)"
            tick={{ fontSize: 14 }}
            label={{
              value: `root room, ${symbol}`,
              position: 'insideBottom',
              offset: -8,
              fontSize: 14,
            }}
          />
          <YAxis
            type="number"
            dataKey="days"
            stroke="var(--hu-colors-ink)"
            tick={{ fontSize: 14 }}
            label={{ value: 'days', angle: -90, position: 'insideLeft', offset: 12, fontSize: 14 }}
          />
          <Scatter
            data={data(front)}
            fill="none"
            stroke="var(--hu-colors-ink)"
            isAnimationActive={false}
          />
          <Scatter data={data(good)} fill="var(--hu-colors-clay)" isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </Box>
  );
}

interface ChoicesProps {
  design: PlanterDesign;
  list: readonly Scored[];
  words: Words;
  currency: string;
}

const MOST_SHOWN = 14;

const Choices = memo(
  ChoicesTable,
  (a, b) =>
    alike(a.list, b.list) &&
    a.design === b.design &&
    a.words === b.words &&
    a.currency === b.currency,
);

function ChoicesTable({ design, list, words, currency }: ChoicesProps) {
  const { write, tell, money } = words;
  const create = useCreatePlanter();
  const navigate = useNavigate();
  const open = (one: Scored) => {
    const variant = `not short for ${one.days} days, ${write(one.roots, 'span')} of roots`.slice(
      0,
      60,
    );
    create.mutate(
      { ...applyPatch(design, one.patch), variant },
      {
        onSuccess: ({ id }) => void navigate(`/planters/${id}`),
        onError: (error) => notify(error.message),
      },
    );
  };
  return (
    <Box mt="4">
      <Button mb="2" onClick={() => saveCsv(`${design.name} designs`, list.map(plain))}>
        <Download size={18} aria-hidden /> As CSV
      </Button>
      <Table
        head={[
          'What for',
          'Until plants go short',
          'Root room',
          'Weighs full',
          'Costs',
          'Base, lip',
          'And with that',
          'Wick, mix',
          'Open',
        ]}
        rows={list.slice(0, MOST_SHOWN).map((one, i) => [
          `${i}`,
          bestAt(one, list) || 'between',
          write(one.days, 'days'),
          write(one.roots, 'span'),
          write(one.weight, 'mass'),
          money(one.cost, currency),
          `${write(one.base, 'length')}, ${one.lip === null ? 'none' : write(one.lip, 'length')}`,
          one.besides.map(tell).join('; ') || 'nothing',
          `${one.wick === 1 ? 'as it is' : `${one.wick} times`}, ${one.mix.toLowerCase()}`,
          <Button key="open" disabled={create.isPending} onClick={() => open(one)}>
            {one.patch.length === 0 ? 'As it is' : 'As a variant'}
          </Button>,
        ])}
      />
    </Box>
  );
}

/** A design's row in a file: millimetres, kilograms, the book's currency. */
const plain = (one: Scored): Record<string, string | number> => ({
  days: one.days,
  'root room mm': Math.round(one.roots * 1000),
  'weight kg': Number(one.weight.toFixed(1)),
  cost: Number(one.cost.toFixed(2)),
  'base mm': Number((one.base * 1000).toFixed(1)),
  'lip mm': one.lip === null ? '' : Number((one.lip * 1000).toFixed(1)),
  'wick times': one.wick,
  mix: one.mix,
});
