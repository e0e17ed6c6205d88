import { Box, Button, Text } from '@chakra-ui/react';
import type { Message } from '@huerta/core/units';
import { useState } from 'react';
import { useWords } from './preferences';
import { writeAgo, writeDate } from './dates';

/** So many are shown at first. */
const FIRST = 12;
/** Differences that are told of one. */
const TOLD = 5;

/** What something was before a save. */
interface Revision<T> {
  revision: number;
  at: string;
  value: T;
}

interface EarlierVersionsProps<T> {
  /** Which document. */
  of: string;
  /** Fetches them, newest first. */
  useRevisions(of: string): {
    data: readonly Revision<T>[] | undefined;
    error: Error | null;
    isFetching: boolean;
    refetch(): unknown;
  };
  now: T;
  /** What changed from one to the next, in words. */
  says(before: T, after: T): Message[];
  /** Whether one can still be. */
  possible(value: T): boolean;
  onPutBack(value: T): void;
}

/** What something was before its saves, with what changed in words, each to be put back. Asked for by a press. */
export function EarlierVersions<T>(props: EarlierVersionsProps<T>) {
  const [open, setOpen] = useState(false);
  return open ? (
    <Versions {...props} />
  ) : (
    <Button alignSelf="flex-start" onClick={() => setOpen(true)}>
      Show earlier versions
    </Button>
  );
}

function Versions<T>({
  of,
  useRevisions,
  now,
  says,
  possible,
  onPutBack,
}: EarlierVersionsProps<T>) {
  const [most, setMost] = useState(FIRST);
  const { data, error, isFetching, refetch } = useRevisions(of);
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
            says={says(one.value, revisions[i - 1]?.value ?? now)}
            possible={possible(one.value)}
            onPutBack={() => onPutBack(one.value)}
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
  says: readonly Message[];
  possible: boolean;
  onPutBack(): void;
}

function Earlier({ at, says, possible, onPutBack }: EarlierProps) {
  const { tell } = useWords();
  const when = new Date(at);
  return (
    <Box as="li" borderTop="1px solid" borderColor="rule" py="2">
      <Text fontSize="xs" color="faint" title={writeDate(when, 'time')}>
        Saved {writeAgo(when)}; what changed after it:
      </Text>
      {says.slice(0, TOLD).map((message, i) => (
        <Text key={i} fontSize="sm" overflowWrap="anywhere">
          {tell(message)}
        </Text>
      ))}
      {says.length > TOLD && <Text fontSize="sm">and {says.length - TOLD} more</Text>}
      {says.length === 0 && <Text fontSize="sm">Saved again, with nothing changed.</Text>}
      <Button mt="1" px="2" disabled={!possible} onClick={onPutBack}>
        Put back {writeDate(when, 'time')}
      </Button>
    </Box>
  );
}
