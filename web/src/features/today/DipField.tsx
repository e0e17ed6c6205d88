import { Button, Field, Input } from '@chakra-ui/react';
import { depthOf, type PlanterDesign } from '@huerta/core/document';
import type { Message } from '@huerta/core/units';
import { useState, type FormEvent } from 'react';
import { readWithin } from '../../ui/readWithin';
import { useWords } from '../../ui/preferences';

interface DipFieldProps {
  design: PlanterDesign;
  onDip(depth: number): void;
  onClose(): void;
}

/** What the stick says, in one number. */
export function DipField({ design, onDip, onClose }: DipFieldProps) {
  const { tell, units, write } = useWords();
  const [text, setText] = useState('');
  const [error, setError] = useState<Message | null>(null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const reading = readWithin(
      text,
      { kind: 'length', min: 0, max: depthOf(design.vessel) },
      units,
    );
    if (!reading.ok) return setError(reading.message);
    onDip(reading.value);
    onClose();
    return undefined;
  };
  return (
    <form
      className="dip-field"
      onSubmit={submit}
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <Field.Root invalid={error !== null}>
        <Field.Label>Wet on the stick</Field.Label>
        <Input
          autoFocus
          autoComplete="off"
          inputMode={units === 'us' ? 'text' : 'decimal'}
          placeholder={write(0.05, 'length')}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setError(null);
          }}
        />
        {error && <Field.ErrorText>{tell(error)}</Field.ErrorText>}
      </Field.Root>
      <Button type="submit" variant="solid">
        Note it
      </Button>
    </form>
  );
}
