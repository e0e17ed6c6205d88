import type { DocumentKind } from '@huerta/contract';
import { Box, Button, Text } from '@chakra-ui/react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { SITES } from '@huerta/core/catalog';
import type { PriceBook } from '@huerta/core/fabrication';
import type { QuantityKind } from '@huerta/core/units';
import type { RoundPlan } from '@huerta/core/journal';
import type { SeasonPlan } from '@huerta/core/simulation/season';
import type { WeatherChoice } from '@huerta/core/physics/climate';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { useWords } from './preferences';
import { documentKey } from '../data/api/useDocument';
import { pendingSaves, wakeOutbox } from '../data/offline/pendingSaves';
import { TickField } from './ChoiceField';
import type { Bodies, PendingSave } from '../data/offline/types';

/** Documents other than designs that two devices changed at once: what differs, and whose is kept. */

type Write = (value: number, kind: QuantityKind) => string;

interface Part<B> {
  label: string;
  of(body: B): unknown;
  /** What it is, in a few words. */
  says(body: B, write: Write): string;
  /** The one with this part of the other. */
  take(into: B, from: B): B;
}

/** A part of the value that lies under a name in the body. */
const part = <B, V>(
  label: string,
  value: (body: B) => V,
  says: (value: V, write: Write) => string,
  put: (body: B, value: V) => B,
): Part<B> => ({
  label,
  of: value,
  says: (body, write) => says(value(body), write),
  take: (into, from) => put(into, value(from)),
});

const many = (n: number, one: string, more: string): string => (n === 1 ? one : `${n} ${more}`);
const countIn = (record: object): number => Object.keys(record).length;

/** Parts of a document that lies under a name: each a field of it. */
const fieldsOf =
  <D extends object>() =>
  <K extends string>(name: K) =>
  <F extends keyof D>(
    label: string,
    field: F,
    says: (value: D[F], write: Write) => string,
  ): Part<Record<K, D>> =>
    part<Record<K, D>, D[F]>(
      label,
      (body) => body[name][field],
      says,
      (body, value) => ({ ...body, [name]: { ...body[name], [field]: value } }),
    );

const bookPart = fieldsOf<PriceBook>()('book');
const planPart = fieldsOf<SeasonPlan>()('plan');
const roundPart = fieldsOf<RoundPlan>()('plan');
const weatherPart = fieldsOf<WeatherChoice>()('choice');

const FILLING = { 'when-low': 'when it is low', every: 'every so many days', never: 'never' };

const PARTS: { [K in DocumentKind]: readonly Part<Bodies[K]>[] } = {
  // A planter's clash is settled on its bench.
  planter: [],
  vessel: [
    part(
      'Name',
      ({ name }) => name,
      (name) => name,
      (body, name) => ({ ...body, name }),
    ),
    part(
      'Measures',
      ({ vessel }) => vessel,
      ({ kind }) => `as measured (${kind})`,
      (body, vessel) => ({ ...body, vessel }),
    ),
  ],
  prices: [
    bookPart('Currency', 'currency', (currency) => currency),
    bookPart('Growing mix', 'mixing', (mixing) => (mixing === 'own' ? 'mixed at home' : 'ready')),
    bookPart('Width of a saw cut', 'kerf', (kerf, write) => write(kerf, 'length')),
    bookPart('Prices', 'prices', (prices) =>
      many(
        Object.values(prices).reduce((sum, one) => sum + countIn(one ?? {}), 0),
        'one good',
        'goods',
      ),
    ),
    bookPart('At hand', 'atHand', (goods) => many(countIn(goods), 'one good', 'goods')),
    bookPart('Offcuts', 'offcuts', (goods) => many(countIn(goods), 'one good', 'goods')),
  ],
  weather: [
    weatherPart('Weather of', 'site', (site) =>
      site in SITES ? SITES[site as keyof typeof SITES].name : 'your own',
    ),
    weatherPart('Your own averages', 'normals', (normals) => normals?.name ?? 'none'),
    weatherPart('Days from a file', 'days', (days) => days?.name ?? 'none'),
  ],
  crops: [
    part(
      'Crops',
      ({ own }) => own.crops,
      (crops) => crops.map(({ name }) => name).join(', ') || 'none',
      (_body, crops) => ({ own: { crops } }),
    ),
  ],
  round: [
    roundPart('Order of the walk', 'order', (order) =>
      many(order.length, 'one planter', 'planters'),
    ),
    roundPart('Rain tank', 'tank', (tank, write) => (tank ? write(tank.size, 'volume') : 'none')),
    roundPart('Away', 'away', (away) => (away ? `${away.from} to ${away.until}` : 'not')),
  ],
  season: [
    planPart('Planted', 'planted', (day) => day ?? 'the usual day'),
    planPart('It is filled', 'filling', ({ kind }) => FILLING[kind]),
    planPart('Waterings by hand', 'waterings', (list) => many(list.length, 'one', 'of them')),
  ],
};

const NAMES: Readonly<Record<DocumentKind, string>> = {
  planter: 'A planter',
  vessel: 'A vessel',
  prices: 'The price book',
  weather: 'The weather of the garden',
  season: 'The plan of a season',
  crops: 'The list of your own crops',
  round: 'The plan of the round',
};

/** Asks about every document that was changed here and elsewhere at once. */
export function Conflicts() {
  const { data: clashes = [] } = useQuery({
    queryKey: ['kept', 'clashes'],
    queryFn: async () => (await pendingSaves.all()).filter(({ clash }) => clash),
  });
  return clashes.map((kept) => <Clash key={kept.saveId} kept={kept} />);
}

function Clash<K extends DocumentKind>({ kept }: { kept: PendingSave<K> }) {
  const { key, kind, id, body, clash, saveId } = kept;
  const client = useQueryClient();
  const { write } = useWords();
  const [mine, setMine] = useState<readonly string[]>([]);
  if (!clash) return null;
  const parts = PARTS[kind] as readonly Part<Bodies[K]>[];
  const differ = parts.filter(
    (one) => JSON.stringify(one.of(body)) !== JSON.stringify(one.of(clash.body)),
  );
  const settled = () => {
    void client.invalidateQueries({ queryKey: ['kept'] });
    void client.invalidateQueries({
      queryKey: kind === 'vessel' ? ['vessels'] : documentKey(kind, id),
    });
    wakeOutbox();
  };
  const goOn = async (next: Bodies[K]) => {
    const { clash: _settled, ...rest } = kept;
    await pendingSaves.put({
      ...rest,
      base: clash.revision,
      saveId: uuid(),
      after: [],
      body: next,
    } as PendingSave);
    settled();
  };
  const take = async () => {
    await pendingSaves.drop(key, saveId);
    settled();
  };
  const ticked = () =>
    differ
      .filter(({ label }) => mine.includes(label))
      .reduce((next, one) => one.take(next, body), clash.body);
  return (
    <Box
      role="alertdialog"
      aria-label={`${NAMES[kind]} was changed elsewhere too`}
      borderLeft="6px solid"
      borderColor="clay"
      bg="sheet"
      px="5"
      py="4"
      mb="5"
      maxW="44rem"
    >
      <Text as="h2" fontSize="lg">
        {NAMES[kind]} was changed elsewhere too
      </Text>
      <Text mt="1">
        Both versions are safe. Tick what to keep of yours; the rest is taken from the other.
      </Text>
      {differ.map((one) => (
        <Box key={one.label} borderTop="1px solid" borderColor="rule" py="1">
          <TickField
            label={`${one.label}: yours ${one.says(body, write)}, the other ${one.says(clash.body, write)}`}
            checked={mine.includes(one.label)}
            onTick={(on) =>
              setMine(on ? [...mine, one.label] : mine.filter((label) => label !== one.label))
            }
          />
        </Box>
      ))}
      <Box mt="3" display="flex" gap="3" flexWrap="wrap">
        <Button variant="solid" onClick={() => void goOn(body)}>
          Keep all of yours
        </Button>
        <Button disabled={mine.length === 0} onClick={() => void goOn(ticked())}>
          Keep what is ticked
        </Button>
        <Button onClick={() => void take()}>Take the other</Button>
      </Box>
    </Box>
  );
}
