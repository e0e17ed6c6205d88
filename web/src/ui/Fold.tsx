import { Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { usePrinting } from './usePrinting';
import './fold.css';

interface FoldProps {
  title: ReactNode;
  className?: string;
  /** Whether it is open on paper. */
  printed?: boolean;
  children: ReactNode;
}

/** A section that is seldom needed: folded, and made when it is opened. */
export function Fold({ title, className, printed = false, children }: FoldProps) {
  const [opened, setOpened] = useState(false);
  const open = usePrinting() ? printed : opened;
  return (
    <details
      className={['fold', className].filter(Boolean).join(' ')}
      open={open}
      onToggle={({ currentTarget }) => setOpened((currentTarget as HTMLDetailsElement).open)}
    >
      <summary>
        <Text as="h2" fontSize="lg">
          {title}
        </Text>
      </summary>
      {open && children}
    </details>
  );
}
