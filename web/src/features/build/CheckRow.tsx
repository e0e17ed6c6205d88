import { Box, Button, Text } from '@chakra-ui/react';
import type { BuildCheck } from '@huerta/core/fabrication';
import { useId } from 'react';
import { useWords } from '../../ui/preferences';

interface CheckRowProps {
  check: BuildCheck;
  state: 'good' | 'bad' | null;
  onCheck(state: 'good' | 'bad' | null): void;
}

/** What must be so before the work goes on; when it is not, what to do about it. */
export function CheckRow({ check, state, onCheck }: CheckRowProps) {
  const { tell } = useWords();
  const id = useId();
  return (
    <Box className="check" data-state={state ?? 'open'}>
      <Text id={id}>{tell(check.must)}</Text>
      <Box role="radiogroup" aria-labelledby={id} className="check-answers not-printed">
        {(
          [
            ['good', 'Yes'],
            ['bad', 'No'],
          ] as const
        ).map(([answer, words]) => (
          <Button
            key={answer}
            role="radio"
            aria-checked={state === answer}
            bg={state === answer ? 'ink' : 'transparent'}
            color={state === answer ? 'wall' : 'ink'}
            _hover={{ bg: state === answer ? 'ink' : 'clayWash' }}
            onClick={() => onCheck(state === answer ? null : answer)}
          >
            {words}
          </Button>
        ))}
      </Box>
      {state === 'bad' && (
        <Text role="status" className="check-mend">
          <strong>Put it right:</strong> {tell(check.mend)} Then answer Yes.
        </Text>
      )}
    </Box>
  );
}
