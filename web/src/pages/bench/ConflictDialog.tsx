import { Box, Button, Dialog, Grid, Portal, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { cautiousDays, evaluate, section, type PlanterDesign } from '@huerta/core';
import { useMemo, useState } from 'react';
import { useWords } from '../../app/preferences';
import { SmallSection } from '../../drawing/SmallSection';
import { useBench } from './bench';
import type { Saving } from './useAutosave';

interface ConflictDialogProps {
  saving: Saving;
  /** The version on the server. */
  current: PlanterResource;
}

/** Two windows changed the same planter: both versions side by side, and what to do with them. */
export function ConflictDialog({ saving, current }: ConflictDialogProps) {
  const { design } = useBench();
  const [error, setError] = useState('');
  const both = () => {
    saving.keepBoth().catch((refused: Error) => setError(refused.message));
  };
  return (
    <Dialog.Root
      open
      role="alertdialog"
      size="lg"
      closeOnEscape={false}
      closeOnInteractOutside={false}
    >
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>This planter was changed in another window</Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Text mb="4">Both versions are safe. Choose which to go on with.</Text>
              <Grid templateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap="6">
                <Version title="Yours, in this window" design={design} />
                <Version title="The other, on the server" design={current.design} />
              </Grid>
              {error && (
                <Text role="alert" color="harm" mt="3">
                  {error}
                </Text>
              )}
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="solid" onClick={both}>
                Keep both, as two planters
              </Button>
              <Button onClick={saving.keepMine}>Keep yours</Button>
              <Button onClick={saving.takeTheirs}>Take the other</Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}

function Version({ title, design }: { title: string; design: PlanterDesign }) {
  const { write } = useWords();
  const { drawing, figures, findings } = useMemo(() => {
    const { planter, assessment } = evaluate(design);
    return { drawing: section(planter), ...assessment };
  }, [design]);
  return (
    <Box>
      <Text as="h3" fontSize="md">
        {title}
      </Text>
      <Box borderBottom="3px solid" borderColor="ink">
        <SmallSection section={drawing} width={240} height={210} label={title} />
      </Box>
      <Text fontWeight="bold" mt="2" overflowWrap="anywhere">
        {design.name}
      </Text>
      <Text fontSize="sm">
        {write(figures.usable, 'volume')} to use, lasts{' '}
        {write(cautiousDays(figures.lastsHot.days), 'days')} when hot,{' '}
        {findings.length === 1 ? 'one finding' : `${findings.length} findings`}
      </Text>
    </Box>
  );
}
