import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** Two fields side by side; a choice with long names takes a row of its own. */
export function Pair({ children }: { children: ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns="1fr 1fr"
      gap="3"
      alignItems="start"
      css={{ '& > .long-choice': { gridColumn: '1 / -1' } }}
    >
      {children}
    </Box>
  );
}
