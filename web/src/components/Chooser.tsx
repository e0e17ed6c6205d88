import { Box, Button } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';

interface ChooserProps {
  label: string;
  planters: readonly PlanterResource[];
  chosen: readonly PlanterResource[];
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
      {planters.map(({ id, design }) => {
        const on = chosen.some((one) => one.id === id);
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
            {design.name}
            {design.variant && `, ${design.variant}`}
          </Button>
        );
      })}
    </Box>
  );
}
