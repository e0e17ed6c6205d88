import { Field } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { useWords } from './preferences';
import { GLOSSARY, termIn } from './glossary';
import './label.css';

interface LabelProps {
  children: string;
}

/** A field's label. Where it has a word that not everybody knows, a press says what it means. */
export function Label({ children }: LabelProps): ReactNode {
  const { say } = useWords();
  const [asked, setAsked] = useState(false);
  const term = termIn(children);
  if (term === null) return <Field.Label>{children}</Field.Label>;
  return (
    <>
      <span className="label-term">
        <Field.Label>{children}</Field.Label>
        <button
          type="button"
          aria-label={`What is ${term}?`}
          aria-expanded={asked}
          onClick={() => setAsked(!asked)}
        >
          <span aria-hidden>?</span>
        </button>
      </span>
      {asked && (
        <span className="label-meaning" role="note">
          {say(GLOSSARY[term] ?? '')}
        </span>
      )}
    </>
  );
}
