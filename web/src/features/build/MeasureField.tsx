import { Field, Input } from '@chakra-ui/react';
import type { Measure } from '@huerta/core/fabrication';
import type { Message } from '@huerta/core/units';
import { useState } from 'react';
import { useWords } from '../../ui/preferences';
import { readWithin } from '../../ui/readWithin';

interface MeasureFieldProps {
  measure: Measure;
  /** What was measured, in SI, or null. */
  built: number | null;
  onMeasure(value: number | null): void;
}

/** A measure taken at the bench, beside its plan. Emptied, it counts as not taken. */
export function MeasureField({ measure, built, onMeasure }: MeasureFieldProps) {
  const { write, tell, units } = useWords();
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<Message | null>(null);
  const commit = () => {
    if (draft === null) return;
    if (draft.trim() === '') {
      setDraft(null);
      setError(null);
      if (built !== null) onMeasure(null);
      return;
    }
    const reading = readWithin(draft, measure, units);
    if (!reading.ok) {
      setError(reading.message);
      return;
    }
    setDraft(null);
    setError(null);
    onMeasure(reading.value);
  };
  return (
    <Field.Root invalid={error !== null}>
      <Field.Label>
        {measure.label}, planned {write(measure.planned, measure.kind)}
      </Field.Label>
      <Input
        value={draft ?? (built === null ? '' : write(built, measure.kind))}
        placeholder="as built"
        inputMode={units === 'us' ? 'text' : 'decimal'}
        autoComplete="off"
        onChange={(event) => {
          setDraft(event.target.value);
          setError(null);
        }}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') {
            setDraft(null);
            setError(null);
          }
        }}
      />
      {error && <Field.ErrorText>{tell(error)}</Field.ErrorText>}
    </Field.Root>
  );
}
