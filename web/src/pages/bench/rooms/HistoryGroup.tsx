import { Box, Button, Text } from '@chakra-ui/react';
import { contradictions, differences, type PlanterDesign } from '@huerta/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useHistory } from '../../../api/planters';
import { useWords } from '../../../app/preferences';
import { writeAgo, writeDate } from '../../../components/dates';
import { useBench } from '../bench';
import { Group } from './parts';

/** So many are shown at first. */
const FIRST = 12;

/** What the planter was before its saves, with what changed in words, each to be put back. */
export function HistoryGroup() {
  const [open, setOpen] = useState(false);
  return (
    <Group title="Earlier versions">
      {open ? (
        <Versions />
      ) : (
        <Button alignSelf="flex-start" onClick={() => setOpen(true)}>
          Show earlier versions
        </Button>
      )}
    </Group>
  );
}

function Versions() {
  const { id = '' } = useParams();
  const [most, setMost] = useState(FIRST);
  const { data, error, isFetching, refetch } = useHistory(id);
  const { design, store } = useBench();
  const revisions = data ?? [];
  return (
    <>
      {error && (
        <>
          <Text role="alert" color="harm" fontSize="sm">
            {error.message}
          </Text>
          <Button alignSelf="flex-start" disabled={isFetching} onClick={() => void refetch()}>
            Try again
          </Button>
        </>
      )}
      {!error && revisions.length === 0 && (
        <Text fontSize="sm">{isFetching ? 'Fetching …' : 'It was never otherwise.'}</Text>
      )}
      <Box as="ol" listStyleType="none" aria-label="Earlier versions">
        {revisions.slice(0, most).map((one, i) => (
          <Earlier
            key={one.revision}
            at={one.at}
            design={one.design}
            next={revisions[i - 1]?.design ?? design}
            onPutBack={() => store.replace(one.design)}
          />
        ))}
      </Box>
      {revisions.length > most && (
        <Button alignSelf="flex-start" onClick={() => setMost(most + 4 * FIRST)}>
          Show older ones
        </Button>
      )}
    </>
  );
}

interface EarlierProps {
  at: string;
  design: PlanterDesign;
  /** What came after it. */
  next: PlanterDesign;
  onPutBack(): void;
}

function Earlier({ at, design, next, onPutBack }: EarlierProps) {
  const { tell } = useWords();
  const says = differences(design, next).flatMap((one) => one.says);
  const when = new Date(at);
  const possible = contradictions(design).length === 0;
  return (
    <Box as="li" borderTop="1px solid" borderColor="rule" py="2">
      <Text fontSize="xs" color="faint" title={writeDate(when, 'time')}>
        Saved {writeAgo(when)}; what changed after it:
      </Text>
      {says.slice(0, 5).map((message, i) => (
        <Text key={i} fontSize="sm" overflowWrap="anywhere">
          {tell(message)}
        </Text>
      ))}
      {says.length > 5 && <Text fontSize="sm">and {says.length - 5} more</Text>}
      {says.length === 0 && <Text fontSize="sm">Saved again, with nothing changed.</Text>}
      <Button mt="1" px="2" disabled={!possible} onClick={onPutBack}>
        Put back {writeDate(when, 'time')}
      </Button>
    </Box>
  );
}
