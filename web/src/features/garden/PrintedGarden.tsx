import { Box, Text } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { useWords } from '../../ui/preferences';
import { buildOf, BUILDS } from './found';

/** The garden on paper: a line for each planter that is shown. */
export function PrintedGarden({ entries }: { entries: readonly PlanterSummary[] }) {
  const { say, tell, write } = useWords();
  return (
    <Box className="for-paper">
      <Text as="h1" fontSize="2xl" mb="3">
        The garden
      </Text>
      <table>
        <thead>
          <tr>
            {[
              'Planter',
              'Where',
              'What grows',
              'To use',
              'Refill after, hot',
              'Build',
              'To mend',
            ].map((head) => (
              <th key={head} scope="col">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => {
            const { id, name, summary } = entry;
            return (
              <tr key={id}>
                <td style={{ overflowWrap: 'anywhere' }}>
                  <b>{name}</b>
                  {summary.variant && `, ${summary.variant}`}
                </td>
                <td style={{ overflowWrap: 'anywhere' }}>{summary.place}</td>
                <td>{say(summary.crop)}</td>
                <td>{write(summary.usable, 'volume')}</td>
                <td>{summary.days === null ? '' : write(summary.days, 'days')}</td>
                <td>{BUILDS[buildOf(entry)].name}</td>
                <td>{summary.worst ? tell(summary.worst.text) : ''}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </Box>
  );
}
