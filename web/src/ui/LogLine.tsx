import { Box, Button, Field, Input } from '@chakra-ui/react';
import { noonIn } from '@huerta/core/physics/climate';
import { readLine, type DepthOf } from '@huerta/core/journal';
import { useState } from 'react';
import { gardenDay, gardenZone } from '../data/gardenDay';
import { useWords } from './preferences';
import type { Written } from '../data/api/log';

interface LogLineProps {
  label: string;
  /** What stands in it at first. */
  initially?: string;
  /** Of the planter that it is about, so that a level may be told in litres. */
  depthOf?: DepthOf;
  onWrite(written: Written): void;
}

/** A line for the log, as people say it. What cannot be read stays with a sentence. */
export function LogLine({ label, initially = '', depthOf, onWrite }: LogLineProps) {
  const { units } = useWords();
  const [typed, setTyped] = useState(initially);
  const [error, setError] = useState('');
  const write = () => {
    const today = gardenDay();
    const reading = readLine(typed, today, units, depthOf);
    if (!reading.ok) {
      setError(reading.message);
      return;
    }
    const { did, date, text } = reading.line;
    onWrite({
      did,
      ...(text ? { text } : {}),
      typed: typed.slice(0, 200),
      ...(date === today ? {} : { at: noonIn(gardenZone(), date) }),
    });
    setTyped('');
    setError('');
  };
  return (
    <Box
      as="form"
      display="flex"
      gap="2"
      alignItems="flex-end"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <Field.Root invalid={error !== ''} flex="1">
        <Field.Label>{label}</Field.Label>
        <Input
          value={typed}
          autoComplete="off"
          placeholder={
            units === 'us'
              ? 'filled 1.5 gal till it ran yesterday'
              : 'filled 6 L till it ran yesterday'
          }
          onChange={(event) => {
            setTyped(event.target.value);
            setError('');
          }}
        />
        {error && <Field.ErrorText>{error}</Field.ErrorText>}
      </Field.Root>
      <Button type="submit" variant="solid" alignSelf={error ? 'center' : 'flex-end'}>
        Note it
      </Button>
    </Box>
  );
}
