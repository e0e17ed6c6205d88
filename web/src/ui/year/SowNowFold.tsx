import { Text } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import './year.css';

/** What can be sown now, folded: worked out when somebody wants to know. */
export function SowNowFold({ className, children }: { className?: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  return (
    <details
      className={['sow-now', className].filter(Boolean).join(' ')}
      onToggle={(event) => setOpen((event.currentTarget as HTMLDetailsElement).open)}
    >
      <summary>
        <Text as="h2" fontSize="lg">
          What to sow or plant now
        </Text>
      </summary>
      {open && children}
    </details>
  );
}
