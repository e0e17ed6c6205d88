import { Field, Input, Textarea } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';

interface TextFieldProps {
  label: string;
  value: string;
  maxLength: number;
  onCommit(value: string): void;
  /** Sentence for an empty field, if it must not be empty. */
  required?: string;
  long?: boolean;
  hideLabel?: boolean;
}

/** A rest in typing after which what is typed is taken over, milliseconds. */
const REST_MS = 1200;

/** A field for words, taken over when it is left, when typing rests and when the page goes. */
export function TextField({
  label,
  value,
  maxLength,
  onCommit,
  required,
  long,
  hideLabel,
}: TextFieldProps) {
  const [draft, setDraft] = useState<string | null>(null);
  const [error, setError] = useState('');
  const commit = () => {
    if (draft === null) return;
    const text = long ? draft : draft.trim();
    if (required && text === '') {
      setError(required);
      return;
    }
    setDraft(null);
    if (text !== value) onCommit(text);
  };
  const typed = useRef<() => void>(() => undefined);
  useEffect(() => {
    typed.current = () => {
      const text = draft === null ? value : long ? draft : draft.trim();
      if (text !== value && !(required && text === '')) onCommit(text);
    };
  });
  useEffect(() => {
    if (draft === null) return undefined;
    const take = () => typed.current();
    const timer = setTimeout(take, REST_MS);
    window.addEventListener('pagehide', take);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('pagehide', take);
    };
  }, [draft]);
  const shared = {
    value: draft ?? value,
    maxLength,
    onChange: (event: { target: { value: string } }) => {
      setDraft(event.target.value);
      setError('');
    },
    onBlur: commit,
  };
  return (
    <Field.Root invalid={error !== ''}>
      <Field.Label srOnly={hideLabel ?? false}>{label}</Field.Label>
      {long ? (
        <Textarea {...shared} />
      ) : (
        <Input
          {...shared}
          fontFamily="inherit"
          fontWeight="inherit"
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') {
              setDraft(null);
              setError('');
            }
          }}
        />
      )}
      <Field.ErrorText>{error}</Field.ErrorText>
    </Field.Root>
  );
}
