import { Button, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { TILL_IT_RAN, type TendedState } from '@huerta/core/journal';
import { memo } from 'react';
import { Link } from 'react-router';
import { useWriteLog } from '../../data/api/log';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { UnexplainedReadings } from '../../ui/UnexplainedReadings';
import { sayLevel, sayNext } from '../../ui/tended';

/**
 * A planter of the round: how it stands, what else is due, and one press for what is done most. It is drawn anew only when
 * its own planter or state is another: a round is told bit by bit.
 */
export const RoundItem = memo(function RoundItem({
  planter,
  state,
}: {
  planter: PlanterResource;
  state: TendedState;
}) {
  const { id, design } = planter;
  const { write } = useWords();
  const log = useWriteLog();
  const fill = () =>
    void log.write([id], { did: TILL_IT_RAN }).then(([entry]) =>
      notify(`${design.name}: filled till it ran.`, {
        label: 'Undo',
        run: () => void (entry && log.takeOut(entry)),
      }),
    );
  return (
    <li>
      <div>
        <Link to={`/planters/${id}/log`}>
          <b style={{ textDecoration: 'underline' }}>{design.name}</b>
        </Link>
        {design.place.name && <span className="round-place"> {design.place.name}</span>}
        <Text>{sayNext(state)}</Text>
        <Text fontSize="sm" color="faint">
          {sayLevel(state, write)}
        </Text>
        <UnexplainedReadings planter={id} surprises={state.thirst.surprises} />
      </div>
      <Button
        className="not-printed"
        variant={state.wants === 'now' ? 'solid' : 'outline'}
        aria-label={`Filled till it ran: ${design.name}`}
        onClick={fill}
      >
        Filled till it ran
      </Button>
    </li>
  );
});
