import { Box, Field, Input, Text } from '@chakra-ui/react';
import { daysBetween, type Absence } from '@huerta/core';
import { format, parseISO } from 'date-fns';
import { useWords } from '../../app/preferences';
import type { Mend } from '../../workers/season';

interface AwayViewProps {
  leave: string;
  back: string;
  /** Why the two dates do not go together; empty when they do. */
  error: string;
  answer: { answer: Absence; mends: Mend[] } | null;
  seeds: number;
  onLeave(date: string): void;
  onBack(date: string): void;
}

const longDay = (date: string): string => format(parseISO(date), 'd MMMM');

/** Will it last while nobody is there, and if not, what would have to change. */
export function AwayView({ leave, back, error, answer, seeds, onLeave, onBack }: AwayViewProps) {
  const { write, tell } = useWords();
  const days = error === '' ? daysBetween(leave, back) : 0;
  return (
    <Box>
      <Box className="away-dates">
        <Field.Root invalid={error !== ''}>
          <Field.Label>You leave on</Field.Label>
          <Input type="date" value={leave} onChange={(event) => onLeave(event.target.value)} />
          <Field.ErrorText>{error}</Field.ErrorText>
        </Field.Root>
        <Field.Root>
          <Field.Label>and are back on</Field.Label>
          <Input type="date" value={back} onChange={(event) => onBack(event.target.value)} />
        </Field.Root>
      </Box>
      {error === '' && !answer && <Text role="status">The weathers are being worked out …</Text>}
      {error === '' && answer && (
        <Box role="status" mt="4">
          <Text fontSize="xl" fontFamily="heading" fontWeight="bold" maxW="40rem">
            {answer.answer.safe >= days
              ? `Yes. Filled when you leave on ${longDay(leave)}, it lasts ${write(answer.answer.safe, 'days')} or more in nine weathers of ten.`
              : `No. Filled when you leave on ${longDay(leave)}, it is sure for ${write(answer.answer.safe, 'days')}, and you are away for ${write(days, 'days')}.`}
          </Text>
          <Text mt="2">
            {Math.round(answer.answer.sure * seeds)} of {seeds} weathers see it through
            {answer.answer.middling === null
              ? '; in the middling one it lasts for more than two months.'
              : `; in the middling one it lasts ${write(answer.answer.middling, 'days')}.`}
          </Text>
          {answer.answer.safe < days && (
            <Box mt="4">
              <Text as="h2" fontSize="lg">
                What would make it last longer
              </Text>
              {answer.mends.length === 0 ? (
                <Text>None of the usual changes. Ask a neighbour to fill it once in between.</Text>
              ) : (
                <Box as="ul" listStyleType="none">
                  {answer.mends.map(({ label, safe }) => (
                    <li key={tell(label)}>
                      {tell(label)}: sure for {write(safe, 'days')}.
                    </li>
                  ))}
                </Box>
              )}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
