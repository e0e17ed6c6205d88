import { Box, Button } from '@chakra-ui/react';
import { Trouble } from './Trouble';

/** The last resort when a screen fails: what was saved is safe. */
export function ErrorFallback() {
  return (
    <Box p="8">
      <Trouble
        title="This screen broke"
        detail="What was saved is safe on the server. Load the page again; if it breaks again, go back to the garden and export the planter."
      >
        <Button variant="solid" onClick={() => window.location.reload()}>
          Load again
        </Button>
        <Button asChild>
          <a href="/">To the garden</a>
        </Button>
      </Trouble>
    </Box>
  );
}
