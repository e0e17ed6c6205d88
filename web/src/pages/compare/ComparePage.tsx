import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePlanters } from '../../api/planters';
import { Chooser } from '../../components/Chooser';
import { TopBar } from '../../components/TopBar';
import { Trouble } from '../../components/Trouble';
import { Waiting } from '../../components/Waiting';
import { CompareTable } from './CompareTable';

/** How many planters stand side by side. */
const MOST = 4;
const LEAST = 2;

/** Two to four planters or variants at one scale, with what sets them apart. */
export default function ComparePage() {
  const { data, error, isPending, refetch } = usePlanters();
  const [search, setSearch] = useSearchParams();
  const wanted = search.get('with');
  const chosen = useMemo(() => chosenFrom(data ?? [], wanted), [data, wanted]);
  const toggle = (id: string) => {
    const ids = chosen.map((planter) => planter.id);
    const next = ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id].slice(-MOST);
    setSearch({ with: next.join(',') }, { replace: true });
  };
  return (
    <Box minH="full">
      <title>Compare · Huerta</title>
      <TopBar />
      <Box as="main" px={{ base: '4', md: '8' }} pt={{ base: '4', md: '6' }} pb="16">
        <Text as="h1" fontSize="2xl">
          Side by side
        </Text>
        {isPending && <Waiting what="the garden" />}
        {error && !data && (
          <Trouble
            title="The garden cannot be fetched"
            detail={error.message}
            retry={() => void refetch()}
          />
        )}
        {data && (
          <>
            <Chooser
              label="Planters to compare"
              planters={data}
              chosen={chosen}
              onToggle={toggle}
            />
            {chosen.length >= LEAST ? (
              <CompareTable planters={chosen} />
            ) : (
              <Text mt="6" maxW="34rem">
                {data.length < LEAST ? (
                  <>
                    There is only one planter to look at. Duplicate it in the{' '}
                    <Link to="/" style={{ textDecoration: 'underline' }}>
                      garden
                    </Link>
                    , change the copy, and compare the two.
                  </>
                ) : (
                  'Choose two to four planters.'
                )}
              </Text>
            )}
          </>
        )}
      </Box>
    </Box>
  );
}

/** Those asked for; without any, the variants of the first planter that has some. */
function chosenFrom(planters: PlanterResource[], wanted: string | null): PlanterResource[] {
  if (wanted !== null) {
    const ids = wanted.split(',');
    return ids.flatMap((id) => planters.filter((planter) => planter.id === id)).slice(0, MOST);
  }
  const twins = planters.find((one) =>
    planters.some((other) => other.id !== one.id && other.design.name === one.design.name),
  );
  return planters.filter(({ design }) => design.name === twins?.design.name).slice(0, MOST);
}
