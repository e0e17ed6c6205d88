import { Button, HStack, Text } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { Plus } from 'lucide-react';
import { useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useGarden } from '../../data/api/planters';
import { Fetched, Page } from '../../ui/Page';
import { usePrinting } from '../../ui/usePrinting';
import { toggled } from '../../ui/useChosen';
import { Chosen } from './Chosen';
import { found } from './found';
import './garden.css';
import { ImportButton } from './ImportButton';
import { SetAside, PendingPlanters } from './PendingPlanters';
import { Ledge } from './Ledge';
import { PrintedGarden } from './PrintedGarden';
import { Search, useWanted } from './Search';
import { Welcome } from './Welcome';

/** All planters side by side, as they would stand along a wall. */
export function GardenPage() {
  const garden = useGarden();
  return (
    <Page title="Garden">
      {garden.data?.entries.length !== 0 && <GardenHead />}
      <PendingPlanters />
      <SetAside />
      <Fetched what="the garden" title="The garden cannot be fetched" queries={[garden]}>
        {({ entries, by }) =>
          entries.length > 0 ? <Planters entries={entries} by={by} /> : <Welcome />
        }
      </Fetched>
    </Page>
  );
}

/** What the garden is called, and the ways to another planter. */
function GardenHead() {
  return (
    <HStack
      className="not-printed"
      mb={{ base: '4', md: '6' }}
      gap="4"
      flexWrap="wrap"
      justify="space-between"
    >
      <Text as="h1" fontSize="2xl">
        The garden
      </Text>
      <HStack gap="3" flexWrap="wrap">
        <ImportButton />
        <Button asChild>
          <Link to="/plans">What could I make?</Link>
        </Button>
        <Button asChild variant="solid" order={{ base: -1, md: 0 }}>
          <Link to="/new">
            <Plus size={20} aria-hidden /> New planter
          </Link>
        </Button>
      </HStack>
    </HStack>
  );
}

function Planters({ entries, by }: { entries: readonly PlanterSummary[]; by: string }) {
  const [wanted, want] = useWanted();
  const [chosen, setChosen] = useState<ReadonlySet<string> | null>(null);
  const shown = useMemo(() => found(entries, wanted), [entries, wanted]);
  const printing = usePrinting();
  const choose = useCallback(
    (id: string) => setChosen((now) => new Set(toggled([...(now ?? [])], id))),
    [],
  );
  if (printing) return <PrintedGarden entries={shown} />;
  return (
    <>
      {entries.length > 1 && (
        <Search entries={entries} wanted={wanted} onWant={want}>
          <Button
            aria-pressed={chosen !== null}
            onClick={() => setChosen(chosen ? null : new Set())}
          >
            Select
          </Button>
        </Search>
      )}
      {shown.length < entries.length && (
        <Text role="status" mb="4" color="faint">
          {shown.length === 0
            ? 'No planter fits that.'
            : `${shown.length} of ${entries.length} planters.`}{' '}
          <Button variant="ghost" px="2" asChild>
            <Link to="/" replace>
              Show all
            </Link>
          </Button>
        </Text>
      )}
      <Ledge entries={shown} by={by} chosen={chosen} onChoose={choose} />
      {chosen && (
        <Chosen
          shown={shown}
          chosen={entries.filter(({ id }) => chosen.has(id))}
          onAll={(ids) => setChosen(new Set(ids))}
          onDone={() => setChosen(null)}
        />
      )}
    </>
  );
}
