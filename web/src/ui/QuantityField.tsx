import { Field, Input } from '@chakra-ui/react';
import type { FieldSpec } from '@huerta/core/document';
import type { Message } from '@huerta/core/units';
import { useEffect, useEffectEvent, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useWords } from './preferences';
import { Label } from './Label';
import { readWithin } from './readWithin';

interface QuantityFieldProps {
  spec: FieldSpec;
  /** SI. */
  value: number;
  /** Takes the new value, or says why it cannot be. */
  onCommit(value: number): Message | null;
  /** What was refused is given up: typed over, taken back, or left with the page. */
  onDrop?(): void;
  label?: string;
  help?: ReactNode;
}

/** Letters that half a row has room for: '45 11/16 in'. */
const HALF = 11;

/**
 * A field for a quantity in any unit. What is typed is read when the field is left or Enter is
 * pressed; what cannot be read or cannot be stays in the field with a sentence, and the design keeps
 * its last sound value. Escape brings that back.
 */
export function QuantityField(props: QuantityFieldProps) {
  const { spec, value, onCommit, onDrop, label, help } = props;
  const { write, tell, units } = useWords();
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState<Message | null>(null);
  const written = write(value, spec.kind);

  // What could not be by itself was taken with another field.
  if (error !== null && draft !== null) {
    const reading = readWithin(draft, spec, units);
    if (reading.ok && Math.abs(reading.value - value) <= 1e-9) {
      setDraft(null);
      setError(null);
    }
  }
  const drop = useEffectEvent(() => error !== null && onDrop?.());
  useEffect(() => () => void drop(), []);

  const commit = () => {
    if (draft === null) return;
    if (draft.trim() === written) {
      setDraft(null);
      setError(null);
      return;
    }
    const refused = take(draft);
    setError(refused);
    if (refused === null) setDraft(null);
  };

  const take = (text: string): Message | null => {
    const reading = readWithin(text, spec, units);
    return reading.ok ? onCommit(reading.value) : reading.message;
  };

  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') {
      if (error !== null) onDrop?.();
      setDraft(null);
      setError(null);
    }
  };

  return (
    // Beside another field there is no room for what is written long: it takes the whole row.
    <Field.Root
      invalid={error !== null}
      {...(written.length > HALF ? { gridColumn: '1 / -1' } : {})}
    >
      <Label>{label ?? spec.label}</Label>
      <Input
        value={draft ?? written}
        inputMode={units === 'us' ? 'text' : 'decimal'}
        autoComplete="off"
        onChange={(event) => {
          if (error !== null) onDrop?.();
          setDraft(event.target.value);
          setError(null);
        }}
        onFocus={(event) => event.target.select()}
        onBlur={commit}
        onKeyDown={onKeyDown}
      />
      {error && <Field.ErrorText>{tell(error)}</Field.ErrorText>}
      {!error && (help ?? spec.help) && <Field.HelperText>{help ?? spec.help}</Field.HelperText>}
    </Field.Root>
  );
}
