import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A line of a list: what it is, and what can be done with it. */
export function Row({ children, action }: { children: ReactNode; action: ReactNode }) {
  return (
    <Box
      as="li"
      display="flex"
      alignItems="center"
      justifyContent="space-between"
      gap="3"
      borderTop="1px solid"
      borderColor="rule"
      py="2"
    >
      <Box minW="0">{children}</Box>
      {action}
    </Box>
  );
}
