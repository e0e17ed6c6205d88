import { Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { Link } from 'react-router';
import { usePlanters } from '../../api/planters';
import { Chooser } from '../../components/Chooser';
import { Fetched, Page } from '../../components/Page';
import { toggled, useChosen } from '../../components/useChosen';
import { CompareTable } from './CompareTable';

/** How many planters stand side by side. */
const MOST = 4;
const LEAST = 2;

/** Two to four planters or variants at one scale, with what sets them apart. */
export default function ComparePage() {
  const planters = usePlanters();
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

function Choice({ planters }: { planters: PlanterResource[] }) {
  const choice = useChosen();
  const chosen = (choice.ids ? choice.of(planters) : twinsIn(planters)).slice(0, MOST);
  const ids = chosen.map(({ id }) => id);
  return (
    <>
      <Chooser
        label="Planters to compare"
        planters={planters}
        chosen={chosen}
        onToggle={(id) => choice.choose(toggled(ids, id).slice(-MOST))}
      />
      {choice.missing(planters) && (
        <Text mt="4" role="status">
          One that was to be compared is not in the garden any more.
        </Text>
      )}
      {chosen.length >= LEAST ? (
        <CompareTable planters={chosen} />
      ) : (
        <Text mt="6" maxW="34rem">
          {planters.length < LEAST ? (
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

/** The variants of the first planter that has some. */
function twinsIn(planters: readonly PlanterResource[]): PlanterResource[] {
  const twins = planters.find((one) =>
    planters.some((other) => other.id !== one.id && other.design.name === one.design.name),
  );
  return planters.filter(({ design }) => design.name === twins?.design.name);
}
