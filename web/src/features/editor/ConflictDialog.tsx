import { Box, Button, Dialog, Grid, Portal, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { cautiousDays, evaluate } from '@huerta/core/assessment';
import { contradictions } from '@huerta/core/assembly';
import {
  differences,
  SECTIONS,
  withParts,
  type PlanterDesign,
  type DesignPart,
} from '@huerta/core/document';
import { section } from '@huerta/core/drawing';
import { useMemo, useState } from 'react';
import { useWords } from '../../ui/preferences';
import { TickField } from '../../ui/ChoiceField';
import { SmallSection } from '../../drawing/SmallSection';
import { useEditor } from './editorState';
import type { Saving } from './useAutosave';

interface ConflictDialogProps {
  saving: Saving;
  /** The version on the server. */
  current: PlanterResource;
}

/** Two windows changed the same planter: both versions side by side, and what to do with them. */
export function ConflictDialog({ saving, current }: ConflictDialogProps) {
  const { design } = useEditor();
  const [error, setError] = useState('');
  const { tell } = useWords();
  const found = useMemo(() => differences(current.design, design), [current.design, design]);
  const [mine, setMine] = useState<readonly DesignPart[]>([]);
  const parts = () => {
    const merged = withParts(current.design, design, mine);
    const [first] = contradictions(merged);
    if (first) setError(`These do not go together: ${tell(first.message)}`);
    else saving.keepParts(merged);
  };
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
              <Text as="h3" fontSize="md" mt="4">
                What differs, theirs and then yours. Tick what to take from yours
              </Text>
              {found.map(({ section, says }) => (
                <Box key={section} borderTop="1px solid" borderColor="rule" py="1">
                  <TickField
                    label={SECTIONS[section]}
                    checked={mine.includes(section)}
                    onTick={(on) =>
                      setMine(on ? [...mine, section] : mine.filter((one) => one !== section))
                    }
                  />
                  {says.slice(0, 4).map((message, i) => (
                    <Text key={i} fontSize="sm" ps="8" overflowWrap="anywhere">
                      {tell(message)}
                    </Text>
                  ))}
                </Box>
              ))}
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
              <Button onClick={parts} disabled={mine.length === 0}>
                Take what is ticked
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
        {write(figures.usable, 'volume')} to use,{' '}
        {write(cautiousDays(figures.lastsHot.days), 'days')} until it reads low when hot,{' '}
        {findings.length === 1 ? 'one finding' : `${findings.length} findings`}
      </Text>
    </Box>
  );
}
