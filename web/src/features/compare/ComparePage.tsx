import { Text } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { Link } from 'react-router';
import { useEntries, usePlantersOf } from '../../data/api/planters';
import { Chooser } from '../../ui/Chooser';
import { Fetched, Page } from '../../ui/Page';
import { toggled, useChosen } from '../../ui/useChosen';
import { CompareTable } from './CompareTable';

/** How many planters stand side by side. */
const MOST = 4;
const LEAST = 2;

/** Two to four planters or variants at one scale, with what sets them apart. */
export default function ComparePage() {
  const planters = useEntries();
  return (
    <Page title="Compare">
      <Text as="h1" fontSize="2xl">
        Side by side
      </Text>
      <Fetched what="the garden" title="The garden cannot be fetched" queries={[planters]}>
        {(all) => <Choice planters={all} />}
      </Fetched>
    </Page>
  );
}

function Choice({ planters }: { planters: PlanterSummary[] }) {
  const choice = useChosen();
  const ids = (choice.ids ? choice.among(planters) : twinsIn(planters)).slice(0, MOST);
  const gone = choice.ids !== null && choice.among(planters).length < choice.ids.length;
  return (
    <>
      <Chooser
        label="Planters to compare"
        planters={planters}
        chosen={ids}
        onToggle={(id) => choice.choose(toggled(ids, id).slice(-MOST))}
      />
      {gone && (
        <Text mt="4" role="status">
          One that was to be compared is not in the garden any more.
        </Text>
      )}
      {ids.length >= LEAST ? (
        <Table ids={ids} />
      ) : (
        <Text mt="6" maxW="34rem">
          {planters.length === 0 ? (
            <>
              Nothing is planned yet.{' '}
              <Link to="/new" style={{ textDecoration: 'underline' }}>
                Draw my first planter
              </Link>
              , and a second to compare it with.
            </>
          ) : planters.length < LEAST ? (
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
  );
}

function Table({ ids }: { ids: readonly string[] }) {
  const planters = usePlantersOf(ids);
  return (
    <Fetched what="the planters" title="These planters cannot be fetched" queries={[planters]}>
      {(found) => <CompareTable planters={found} />}
    </Fetched>
  );
}

/** The variants of the first planter that has some. */
function twinsIn(planters: readonly PlanterSummary[]): string[] {
  const twins = planters.find((one) =>
    planters.some((other) => other.id !== one.id && other.name === one.name),
  );
  return planters.filter(({ name }) => name === twins?.name).map(({ id }) => id);
}
