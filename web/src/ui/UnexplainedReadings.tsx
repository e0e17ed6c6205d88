import { Text } from '@chakra-ui/react';
import type { UnexplainedReading } from '@huerta/core/journal';
import { Link } from 'react-router';
import { useWords } from './preferences';
import { sayUnexplained } from './tended';
import './tended.css';

/** Which trouble a surprise in the log is. */
const SEEN = { 'falls-fast': 'fast', stays: 'stays', rises: 'stays', 'at-once': 'stays' } as const;

interface SurprisesProps {
  planter: string;
  surprises: readonly UnexplainedReading[];
}

/** Readings that no thirst explains, each with a way to find out why. */
export function UnexplainedReadings({ planter, surprises }: SurprisesProps) {
  const { tell } = useWords();
  return sayUnexplained(surprises, tell).map(({ kind, words }) => (
    <Text key={kind} className="surprise">
      {words}{' '}
      <Link
        className="not-printed"
        to={`/planters/${planter}/trouble?seen=${SEEN[kind]}`}
        style={{ textDecoration: 'underline' }}
      >
        Find out why
      </Link>
    </Text>
  ));
}
