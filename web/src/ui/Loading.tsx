import { Box } from '@chakra-ui/react';

/** Shown while something is fetched; quiet, because it is soon gone. */
export function Loading({ what }: { what: string }) {
  return (
    <Box p="8" color="faint" role="status">
      Fetching {what}…
    </Box>
  );
}
