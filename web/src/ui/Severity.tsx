import { Box } from '@chakra-ui/react';
import type { Severity } from '@huerta/core/assessment';

const WORDS: Record<Severity, string> = {
  danger: 'Danger',
  fault: 'Fault',
  watch: 'Watch',
  note: 'Note',
};

/** A word with a shape of its own; colour only adds to it. */
export function SeverityMark({ severity }: { severity: Severity }) {
  const colour = { danger: 'harm', fault: 'harm', watch: 'strawInk', note: 'faint' }[severity];
  return (
    <Box
      as="span"
      display="inline-flex"
      alignItems="center"
      gap="1.5"
      color={colour}
      fontWeight="bold"
      fontSize="xs"
      whiteSpace="nowrap"
    >
      <svg width="15" height="15" viewBox="0 0 16 16" aria-hidden="true">
        {severity === 'danger' && <path d="M5 1h6l4 4v6l-4 4H5l-4-4V5z" fill="currentColor" />}
        {severity === 'fault' && <path d="M8 1l7.5 14H.5z" fill="currentColor" />}
        {severity === 'watch' && (
          <path d="M8 1l7 7-7 7-7-7z" fill="none" stroke="currentColor" strokeWidth="2" />
        )}
        {severity === 'note' && (
          <circle cx="8" cy="8" r="5" fill="none" stroke="currentColor" strokeWidth="2" />
        )}
      </svg>
      {WORDS[severity]}
    </Box>
  );
}
