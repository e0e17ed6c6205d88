import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import { daysBetween } from '@huerta/core/physics/climate';
import type { Patch } from '@huerta/core/document';
import type { Watering, AwayAnswer } from '@huerta/core/simulation/season';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { shortAfter } from '../../ui/shortAfter';

interface AwayViewProps {
  leave: string;
  back: string;
  /** Why the two dates do not go together; empty when they do. */
  error: string;
  answer: AwayAnswer | null;
  seeds: number;
  onLeave(date: string): void;
  onBack(date: string): void;
  /** Whether somebody is to water it meanwhile. */
  watered: boolean;
  /** Puts waterings into the plan of the season. */
  onPlan(waterings: readonly Watering[]): void;
  /** Opens a changed design as a variant. */
  onVariant(patch: Patch, label: string): void;
}

const longDay = (date: string): string => writeDate(date, 'long');

/** Will it last while nobody is there, and if not, what would have to change. */
export function AwayView({
  leave,
  back,
  error,
  answer,
  seeds,
  onLeave,
  onBack,
  watered,
  onPlan,
  onVariant,
}: AwayViewProps) {
  const { write, tell } = useWords();
  const days = error === '' ? daysBetween(leave, back) : 0;
  const filled = `Filled when you leave on ${error === '' ? longDay(leave) : ''}${watered ? ' and watered meanwhile as planned' : ''}`;
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
      {error === '' && !answer && <Text role="status">Calculating…</Text>}
      {error === '' && answer && (
        <Box role="status" mt="4">
          <Text fontSize="xl" fontFamily="heading" fontWeight="bold" maxW="40rem">
            {answer.answer.safe >= days
              ? `Yes. ${filled}, plants do not go short for ${write(answer.answer.safe, 'days')} or more in nine weathers of ten.`
              : `No. ${filled}, plants may go short ${shortAfter(answer.answer.safe, write)}, and you are away for ${write(days, 'days')}.`}
          </Text>
          <Text mt="2">
            {Math.round(answer.answer.sure * seeds)} of {seeds} weathers see it through
            {answer.answer.middling === null
              ? '; typically plants do not go short for more than two months.'
              : `; typically plants go short ${shortAfter(answer.answer.middling, write)}.`}
          </Text>
          {answer.answer.safe < days && (
            <Box mt="4">
              <Text as="h2" fontSize="lg">
                What would make it last longer
              </Text>
              {answer.trying && <Text>Changes are being tried …</Text>}
              {!answer.trying &&
                answer.mends.length > 0 &&
                answer.mends.every(({ safe }) => safe < days) && (
                  <Text>
                    None of these is enough by itself. Ask somebody to fill it every{' '}
                    {write(Math.max(answer.answer.safe, 1), 'days')} meanwhile, or begin with the
                    first.
                  </Text>
                )}
              {answer.mends.length === 0 && !answer.trying ? (
                <Text>
                  None of the usual changes. Ask somebody to fill it every{' '}
                  {write(Math.max(answer.answer.safe, 1), 'days')} meanwhile.
                </Text>
              ) : (
                <ul className="mends">
                  {answer.mends.map(({ label, safe, patch, waterings }) => (
                    <li key={tell(label)}>
                      <span>
                        {tell(label)}: plants go short {shortAfter(safe, write)} at the earliest
                        {safe >= days ? ', which is enough' : ''}.
                      </span>
                      {waterings.length > 0 ? (
                        <Button onClick={() => onPlan(waterings)}>Put it in the plan</Button>
                      ) : (
                        <Button onClick={() => onVariant(patch, tell(label))}>As a variant</Button>
                      )}
                    </li>
                  ))}
                </ul>
              )}
            </Box>
          )}
        </Box>
      )}
    </Box>
  );
}
