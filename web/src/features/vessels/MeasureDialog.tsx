import { Box, Button, Dialog, Portal, Text } from '@chakra-ui/react';
import type { VesselResource } from '@huerta/contract';
import { MATERIALS } from '@huerta/core/catalog';
import { shapeOf } from '@huerta/core/geometry/vessels';
import { vesselContradictions } from '@huerta/core/assembly';
import { vesselDifferences, vesselIn, type VesselDesign } from '@huerta/core/document';
import { useState } from 'react';
import { useKeepVessel, useVesselHistory } from '../../data/api/vessels';
import { useWords } from '../../ui/preferences';
import { ChoiceField } from '../../ui/ChoiceField';
import { EarlierVersions } from '../../ui/EarlierVersions';
import { notify } from '../../ui/notices';
import { TextField } from '../../ui/TextField';
import { VesselFields } from '../../ui/vessel/VesselFields';
import { VesselDrawing } from './VesselDrawing';

interface MeasureDialogProps {
  /** The vessel to change, or null to measure a new one. */
  kept: VesselResource | null;
  onClose(): void;
}

/** Takes a vessel's measures, by tape or by pour, and keeps it. */
export function MeasureDialog({ kept, onClose }: MeasureDialogProps) {
  const { write, units } = useWords();
  const keep = useKeepVessel();
  const [name, setName] = useState(kept?.name ?? '');
  const [vessel, setVessel] = useState<VesselDesign>(kept?.vessel ?? vesselIn('pail-20', units));
  const [missing, setMissing] = useState('');
  const shape = shapeOf(vessel);
  const holds = shape.volumeBelow(shape.depth);
  const change = (next: VesselDesign) => {
    const [first] = vesselContradictions(next);
    if (first) return first.message;
    setVessel(next);
    return null;
  };
  const save = () => {
    if (name === '') {
      setMissing('Give it a name first, such as where it stands.');
      return;
    }
    keep.mutate(
      { ...(kept ? { of: kept } : {}), name, vessel },
      {
        onSuccess: () => {
          notify(`‘${name}’ is among your vessels.`);
          onClose();
        },
      },
    );
  };
  return (
    <Dialog.Root open size="lg" onOpenChange={(event) => !event.open && onClose()}>
      <Portal>
        <Dialog.Backdrop />
        <Dialog.Positioner>
          <Dialog.Content>
            <Dialog.Header>
              <Dialog.Title>
                {kept ? `Measure ${kept.name} again` : 'Measure a vessel'}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body>
              <Box
                display="grid"
                gridTemplateColumns={{ base: '1fr', md: '20rem 1fr' }}
                gap="6"
                alignItems="start"
              >
                <Box display="flex" flexDirection="column" gap="4">
                  <TextField
                    label="Name of the vessel"
                    value={name}
                    maxLength={80}
                    onCommit={(text) => {
                      setName(text);
                      setMissing('');
                    }}
                  />
                  {missing && (
                    <Text color="harm" fontSize="sm" role="alert">
                      {missing}
                    </Text>
                  )}
                  <ChoiceField
                    label="Made of"
                    value={vessel.material}
                    choices={MATERIALS}
                    onChoose={(material) => setVessel({ ...vessel, material })}
                  />
                  <VesselFields vessel={vessel} onChange={change} />
                  {kept && (
                    <EarlierVersions
                      of={kept.id}
                      useRevisions={useVesselHistory}
                      now={vessel}
                      says={vesselDifferences}
                      possible={(one: VesselDesign) => vesselContradictions(one).length === 0}
                      onPutBack={setVessel}
                    />
                  )}
                </Box>
                <Box>
                  <VesselDrawing vessel={vessel} width={300} height={260} />
                  <Text mt="2">
                    Holds <b>{write(holds, 'volume')}</b> to the rim, half of it at{' '}
                    {write(shape.heightForVolume(holds / 2), 'length')}.
                  </Text>
                </Box>
              </Box>
              {keep.error && (
                <Text color="harm" fontSize="sm" role="alert" mt="3">
                  {keep.error.message} What you typed is still here.
                </Text>
              )}
            </Dialog.Body>
            <Dialog.Footer>
              <Button variant="solid" onClick={save} disabled={keep.isPending}>
                Keep it
              </Button>
              <Button variant="ghost" onClick={onClose}>
                Close
              </Button>
            </Dialog.Footer>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
