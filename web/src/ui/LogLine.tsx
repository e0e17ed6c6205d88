import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import { dayAfter } from '@huerta/core/physics/climate';
import {
  describeEntry,
  readLine,
  type LinePlanter,
  type ReadDeed,
  type ReadLine,
} from '@huerta/core/journal';
import { useDeferredValue, useId, useMemo, useRef, useState } from 'react';
import { useGardenDay } from '../data/gardenDay';
import { writeDate } from './dates';
import { usePreferences, useWords } from './preferences';
import type { Written } from '../data/api/log';
import { whenNoted } from './whenNoted';
import './logLine.css';

interface LogLineProps {
  label: string;
  /** What stands in it at first. */
  initially?: string;
  /** The planter that it is about, so that levels may be told in litres and shares, and what cannot be is asked. */
  planter?: LinePlanter;
  /** Takes what the line tells, in its order: at least one. */
  onWrite(written: Written[]): void;
}

/** A line for the log, as people say it, with how it is read under it. What is in doubt is asked before it counts. */
export function LogLine({ label, initially = '', planter, onWrite }: LogLineProps) {
  const { units, can, dates } = usePreferences();
  const today = useGardenDay();
  const [typed, setTyped] = useState(initially);
  const [error, setError] = useState('');
  /** The line that was asked about: sent once more it counts. */
  const [asked, setAsked] = useState<string | null>(null);
  const field = useRef<HTMLInputElement>(null);
  const doubtId = useId();
  const context = useMemo(
    () => ({
      today,
      system: units,
      monthFirst: dates === 'month-first',
      can,
      planter: planter ?? null,
    }),
    [today, units, dates, can, planter],
  );
  const shown = useDeferredValue(typed);
  const reading = useMemo(
    () => (shown.trim() === '' ? null : readLine(shown, context)),
    [shown, context],
  );
  const write = () => {
    const now = readLine(typed, context);
    if (!now.ok) {
      setError(now.message);
      return;
    }
    if (now.line.doubts.length > 0 && asked !== typed) {
      setAsked(typed);
      setError('');
      return;
    }
    onWrite(writtenOf(now.line, typed, context.today));
    setTyped('');
    setError('');
    setAsked(null);
  };
  const line = reading?.ok ? reading.line : null;
  const doubted = line !== null && line.doubts.length > 0;
  return (
    <Box
      as="form"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <Box display="flex" gap="2" alignItems="flex-end">
        <Field.Root invalid={error !== ''} flex="1">
          <Field.Label>{label}</Field.Label>
          <Input
            ref={field}
            value={typed}
            autoComplete="off"
            aria-describedby={doubted ? doubtId : undefined}
            placeholder={
              units === 'us'
                ? 'filled 1.5 gal to overflow yesterday'
                : 'filled 6 L to overflow yesterday'
            }
            onChange={(event) => {
              setTyped(event.target.value);
              setError('');
              setAsked(null);
            }}
          />
          {error && <Field.ErrorText>{error}</Field.ErrorText>}
        </Field.Root>
        <Button type="submit" variant="solid" alignSelf={error ? 'center' : 'flex-end'}>
          {asked === typed && doubted ? 'Note it so' : 'Note it'}
        </Button>
      </Box>
      {line && (
        <Reading
          line={line}
          today={context.today}
          onPress={(said) => {
            const at = typed.indexOf(said);
            field.current?.focus();
            if (at >= 0) field.current?.setSelectionRange(at, at + said.length);
          }}
        />
      )}
      {doubted && (
        <Text
          id={doubtId}
          role={asked === typed ? 'alert' : undefined}
          className="log-doubt"
          mt="1"
        >
          {line.doubts.join(' ')}
          {asked === typed && ' Change the line, or note it so.'}
        </Text>
      )}
    </Box>
  );
}

interface ReadingProps {
  line: ReadLine;
  today: string;
  /** Chooses the words of a part in the line, to be typed anew. */
  onPress(said: string): void;
}

/** How a line is read, a part for each thing that it tells. */
function Reading({ line: { deeds, date, time }, today, onPress }: ReadingProps) {
  const { tell } = useWords();
  const words = ({ did, text }: ReadDeed): string => {
    if (did.kind === 'did' && did.what === 'note') return `Note: ${text}`;
    const named = tell(describeEntry(did));
    if (!text) return named;
    return did.kind === 'did' ? `${named}: ${text}` : `${named} (${text})`;
  };
  const day =
    date === today ? '' : date === dayAfter(today, -1) ? 'yesterday' : writeDate(date, 'long');
  const when = [day, time].filter(Boolean).join(', ');
  return (
    <Box className="log-reading" role="group" aria-label="How the line is read" mt="2">
      {deeds.map((one, i) => (
        <button
          key={`${i} ${one.said}`}
          type="button"
          title="Change these words in the line"
          onClick={() => onPress(one.said)}
        >
          {words(one)}
        </button>
      ))}
      {when && <span>{when}</span>}
    </Box>
  );
}

/** What a line tells as it is written down: one after the other, at the time that it says. */
const writtenOf = ({ deeds, date, time }: ReadLine, typed: string, today: string): Written[] =>
  deeds.map(({ did, text }, i) => ({
    did,
    ...(text ? { text } : {}),
    typed: typed.slice(0, 200),
    ...(date === today && time === null && deeds.length === 1
      ? {}
      : { at: whenNoted(date, today, time, deeds.length - 1 - i) }),
  }));
