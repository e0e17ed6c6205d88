import { Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import type { Round } from '../../compute/roundStates';
import { useGardenDay } from '../../data/gardenDay';
import { useWords } from '../../ui/preferences';
import { sayLevel, verdictOf } from '../../ui/tended';

/** The round for a pocket: who wants what, in the order of the walk, with a box to tick. */
export function PrintedRound({
  planters,
  round,
}: {
  planters: readonly PlanterResource[];
  round: Round;
}) {
  const { write } = useWords();
  const today = useGardenDay();
  return (
    <ul className="printed-round">
      {planters.flatMap(({ id, design }) => {
        const state = round[id];
        if (!state) return [];
        const { head, sub } = verdictOf(state, today, write);
        return (
          <li key={id}>
            <Text>
              <b>{design.name}</b> {design.place.name}
            </Text>
            <Text>
              <b>{sub === '' || sub.endsWith('.') ? `${head}.` : head}</b>{' '}
              {sub === '' || sub.endsWith('.') ? sub : `(${sub}).`} {sayLevel(state, write)}
            </Text>
          </li>
        );
      })}
    </ul>
  );
}
