import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { WaterLine } from '@huerta/core/document';
import { TILL_IT_RAN } from '@huerta/core/journal';
import { dayAfter } from '@huerta/core/physics/climate';
import { Link } from 'react-router';
import type { Round } from '../../compute/roundStates';
import { useWriteLog } from '../../data/api/log';
import { useGardenDay } from '../../data/gardenDay';
import { writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { useWords } from '../../ui/preferences';

interface JoinedWaterProps {
  lines: readonly WaterLine[];
  planters: readonly PlanterResource[];
  round: Round;
}

/** Planters that share one water: when it wants filling, how much all take, and one press that notes it for all. */
export function JoinedWater({ lines, planters, round }: JoinedWaterProps) {
  const told = lines.flatMap((line) => {
    if (line.supply.kind === 'mains') return [];
    const there = line.members.filter(({ planter }) => planters.some(({ id }) => id === planter));
    const states = there.flatMap(({ planter }) => round[planter] ?? []);
    return states.length > 0 ? [{ line, ids: there.map(({ planter }) => planter), states }] : [];
  });
  if (told.length === 0) return null;
  return (
    <Box as="section" aria-label="Joined planters" mb="4">
      {told.map(({ line, ids, states }) => (
        <LineToday
          key={line.id}
          line={line}
          ids={ids}
          left={Math.min(...states.map(({ daysLeft }) => daysLeft.likely))}
          takes={states.reduce((sum, { room }) => sum + room.middle, 0)}
        />
      ))}
    </Box>
  );
}

interface LineTodayProps {
  line: WaterLine;
  ids: readonly string[];
  /** Days until the first of them reads low. */
  left: number;
  /** What fills them and their barrel, m³. */
  takes: number;
}

function LineToday({ line, ids, left, takes }: LineTodayProps) {
  const { write } = useWords();
  const today = useGardenDay();
  const log = useWriteLog();
  const when = left <= 0 ? 'today' : `by ${writeDate(dayAfter(today, left), 'weekday')}`;
  const far = left > 6 ? `, ${writeDate(dayAfter(today, left), 'short')}` : '';
  const where = line.supply.kind === 'barrel' ? 'Fill its barrel' : 'Fill any of them';
  return (
    <Box className="joined-today">
      <Text>
        <Link to="/joined">
          <b style={{ textDecoration: 'underline' }}>{line.name}</b>
        </Link>
        : {ids.length} planters on one water. {where} {when}
        {far}; now it takes about {write(takes, 'volume')}.
      </Text>
      <Button
        className="not-printed"
        aria-label={`Filled: ${line.name}`}
        variant={left <= 0 ? 'solid' : 'ghost'}
        onClick={() =>
          void log.write(ids, { did: TILL_IT_RAN }).then((entries) =>
            notify(`${line.name}: filled.`, {
              label: 'Undo',
              run: () => entries.forEach((entry) => void log.takeOut(entry)),
            }),
          )
        }
      >
        Filled
      </Button>
    </Box>
  );
}
