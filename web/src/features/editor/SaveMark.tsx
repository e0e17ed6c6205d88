import { Box, Button } from '@chakra-ui/react';
import { useConnectivity } from '../../data/offline/connectivity';
import { useStorage } from '../../data/offline/storage';
import type { Saving } from './useAutosave';

/** Says whether the work is on the server. */
export function SaveMark({ saving }: { saving: Saving }) {
  const { state } = saving;
  const away = useConnectivity((heard) => heard.away);
  const keeps = useStorage((storage) => storage.keeps);
  const words = {
    new: '',
    saved: away ? 'Offline. Kept here.' : 'Saved',
    waiting: 'Not saved yet',
    saving: 'Saving…',
    later: keeps ? 'Not saved yet. Kept here, trying again.' : 'Not saved yet. Trying again.',
    refused: 'Not saved.',
    conflict: 'Changed in another window',
  }[state.kind];
  const bad = state.kind === 'later' || state.kind === 'refused' || state.kind === 'conflict';
  return (
    <Box
      role="status"
      fontSize="xs"
      lineHeight="1.2"
      color={bad ? 'harm' : 'faint'}
      fontWeight={bad ? 'bold' : 'normal'}
      // As wide for all of the usual words: what stands beside it does not move away under a press.
      minW={{ lg: away ? '0' : '6rem' }}
      maxW={{ base: '9rem', md: '20rem' }}
      display="flex"
      alignItems="center"
      gap="2"
    >
      {words} {(state.kind === 'refused' || state.kind === 'later') && state.detail}
      {state.kind === 'new' && (
        <Button px="2" title="Put it into the garden as it is" onClick={saving.retry}>
          Save
        </Button>
      )}
      {(state.kind === 'later' || state.kind === 'refused') && (
        <Button px="2" onClick={saving.retry}>
          Save now
        </Button>
      )}
    </Box>
  );
}
