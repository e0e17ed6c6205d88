import { Box, Button } from '@chakra-ui/react';
import type { Entry } from '@huerta/contract';

interface ChooserProps {
  label: string;
  planters: readonly Entry[];
  chosen: readonly string[];
  onToggle(id: string): void;
}

/** Some of the garden's planters, each a button that is pressed or not. */
export function Chooser({ label, planters, chosen, onToggle }: ChooserProps) {
  return (
    <Box
      role="group"
      aria-label={label}
      className="not-printed"
      display="flex"
      gap="2"
      flexWrap={{ base: 'nowrap', md: 'wrap' }}
      overflowX="auto"
      mt="3"
      pb="2"
    >
      {planters.map(({ id, name, summary }) => {
        const on = chosen.includes(id);
        return (
          <Button
            key={id}
            aria-pressed={on}
            flexShrink="0"
            bg={on ? 'ink' : 'transparent'}
            color={on ? 'wall' : 'ink'}
            _hover={{ bg: on ? 'ink' : 'clayWash' }}
            onClick={() => onToggle(id)}
          >
            {name}
            {summary.variant && `, ${summary.variant}`}
          </Button>
        );
      })}
    </Box>
  );
}
