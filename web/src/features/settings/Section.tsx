import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** One matter of the settings under its heading. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" aria-label={title} borderTop="2px solid" borderColor="ink" pt="4" mt="6">
      <Text as="h2" fontSize="xl" mb="2">
        {title}
      </Text>
      {children}
    </Box>
  );
}
