import { Box } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** A line of its own under the bar along the top, whatever the width: something about the whole device. */
export function BarLine({ of, children }: { of: 'attention' | 'harm'; children: ReactNode }) {
  return (
    <Box
      role="status"
      className="not-printed"
      fontSize="sm"
      lineHeight="1.3"
      flex="1 0 100%"
      order={of === 'attention' ? '3' : '4'}
      mx={{ base: '-3', md: '-5' }}
      px={{ base: '3', md: '5' }}
      mb="-1.5"
      py="1.5"
      bg={of === 'attention' ? 'strawWash' : 'harmWash'}
      color={of === 'attention' ? 'strawInk' : 'ink'}
    >
      {children}
    </Box>
  );
}
