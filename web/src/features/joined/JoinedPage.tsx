import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { WaterLine } from '@huerta/core/document';
import type { RoundPlan } from '@huerta/core/journal';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { askUsualLine } from '../../compute/line';
import { usePlanters } from '../../data/api/planters';
import { useChangeRound, useRoundPlan } from '../../data/api/round';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import '../../ui/sheet.css';
import { JoinForm } from './JoinForm';
import { Line } from './Line';
import './joined.css';

/** Planters that hoses join into one water: heights, litres, days, findings, parts and steps. */
export default function JoinedPage() {
  const planters = usePlanters();
  const plan = useRoundPlan();
  return (
    <Page title="Joined planters" className="for-paper">
      <PageHead>Joined planters</PageHead>
      <Fetched what="the garden" title="The garden cannot be fetched" queries={[planters, plan]}>
        {(all, round) => <Lines planters={all} plan={round} />}
      </Fetched>
    </Page>
  );
}

interface LinesProps {
  planters: readonly PlanterResource[];
  plan: RoundPlan;
}

function Lines({ planters, plan }: LinesProps) {
  const change = useChangeRound();
  const { units } = useWords();
  const { lines } = plan;
  const [joining, setJoining] = useState(false);
  const free = planters.filter(
    ({ id }) => !lines.some(({ members }) => members.some((one) => one.planter === id)),
  );
  const save = (next: WaterLine) =>
    change({ lines: lines.map((one) => (one.id === next.id ? next : one)) });
  const remove = (gone: WaterLine) => {
    change({ lines: lines.filter(({ id }) => id !== gone.id) });
    notify(`‘${gone.name}’ is taken apart.`, {
      label: 'Put it back',
      run: () => change({ lines }),
    });
  };
  const join = async (name: string, chosen: readonly PlanterResource[]) => {
    const made = await askUsualLine({ id: uuid(), name }, chosen, units);
    change({ lines: [...lines, made] });
    setJoining(false);
  };
  return (
    <>
      {lines.length === 0 && !joining && (
        <Text maxW="38rem" mb="3">
          Hoses low in their walls make one water of several planters. A float valve keeps them all
          at one level from one barrel, or you fill any of them and the rest follow.
        </Text>
      )}
      {lines.map((line) => (
        <Line
          key={line.id}
          line={line}
          others={lines.filter(({ id }) => id !== line.id)}
          planters={planters}
          free={free}
          onChange={save}
          onRemove={() => remove(line)}
        />
      ))}
      {joining ? (
        <JoinForm
          planters={free}
          name={`Row ${lines.length + 1}`}
          onJoin={join}
          onClose={() => setJoining(false)}
        />
      ) : (
        <Box className="not-printed" mt="5">
          {free.length > 1 ? (
            <Button
              variant={lines.length === 0 ? 'solid' : 'ghost'}
              onClick={() => setJoining(true)}
            >
              <Plus size={18} aria-hidden /> Join planters
            </Button>
          ) : (
            <Text color="faint">
              {planters.length < 2
                ? 'It takes two planters to join. Begin another in the garden.'
                : 'All planters but one are joined.'}
            </Text>
          )}
        </Box>
      )}
    </>
  );
}
