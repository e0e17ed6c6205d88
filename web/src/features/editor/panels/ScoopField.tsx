import { Field, Input } from '@chakra-ui/react';
import { readQuantity, type Message } from '@huerta/core/units';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';

interface ScoopFieldProps {
  label: string;
  /** Kilograms, and what a cubic metre of it weighs. */
  mass: number;
  density: number;
  onCommit(mass: number): Message | null;
}

/** An amount that people give by cups and spoons, or weigh: any of them is understood, both are said. */
export function ScoopField({ label, mass, density, onCommit }: ScoopFieldProps) {
  const { write, tell, say, units } = useWords();
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState('');
  const written = write(mass, 'dash');
  const commit = () => {
    if (draft === null) return;
    if (draft.trim() === written) {
      setDraft(null);
      return;
    }
    const weighed = readQuantity(draft, 'dash', units);
    const scooped = readQuantity(draft, 'scoop', units);
    if (!weighed.ok && !scooped.ok) {
      setError(`${weighed.message} Or by the cup: 1/2 cup, 3 tbsp.`);
      return;
    }
    const refused = onCommit(weighed.ok ? weighed.value : scooped.ok ? scooped.value * density : 0);
    setError(refused ? tell(refused) : '');
    if (!refused) setDraft(null);
  };
  return (
    <Field.Root invalid={error !== ''}>
      <Field.Label>{label}</Field.Label>
      <Input
        value={draft ?? written}
        autoComplete="off"
        onChange={(event) => {
          setDraft(event.target.value);
          setError('');
        }}
        onFocus={(event) => event.target.select()}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key === 'Escape') {
            setDraft(null);
            setError('');
          }
        }}
      />
      {error ? (
        <Field.ErrorText>{error}</Field.ErrorText>
      ) : (
        <Field.HelperText>
          {mass > 0
            ? `That is ${write(mass / density, 'scoop')}, at ${write(density * SCOOP, 'dash')} a ${units === 'us' ? 'cup' : say('quarter litre')}.`
            : 'In cups, spoons or by weight.'}
        </Field.HelperText>
      )}
    </Field.Root>
  );
}

/** A cup, or a quarter of a litre, which is near enough to say a density by. m³ */
const SCOOP = 0.00025;
