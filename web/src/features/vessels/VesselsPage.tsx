import { Box, Button, Grid, HStack, Text } from '@chakra-ui/react';
import type { VesselResource } from '@huerta/contract';
import { MATERIALS } from '@huerta/core/catalog';
import { shapeOf } from '@huerta/core/geometry/vessels';
import { SHAPES } from '@huerta/core/document';
import { Pencil, Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDeleteVessel, useRestoreVessel, useVessels } from '../../data/api/vessels';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { MeasureDialog } from './MeasureDialog';
import { VesselDrawing } from './VesselDrawing';

/** The vessels that somebody measured, to be used in any planter. */
export default function VesselsPage() {
  const vessels = useVessels();
  const [open, setOpen] = useState<VesselResource | 'new' | null>(null);
  return (
    <Page title="My vessels">
      <HStack mb="6" gap="4" flexWrap="wrap" justify="space-between">
        <Text as="h1" fontSize="2xl">
          My vessels
        </Text>
        <Button variant="solid" onClick={() => setOpen('new')}>
          <Plus size={20} aria-hidden /> Measure a vessel
        </Button>
      </HStack>
      <Fetched what="your vessels" title="Your vessels cannot be fetched" queries={[vessels]}>
        {(all) =>
          all.length > 0 ? (
            <Grid
              as="ul"
              listStyleType="none"
              templateColumns={{ base: '1fr', md: 'repeat(auto-fill, minmax(17rem, 1fr))' }}
              gap="8"
              aria-label="Vessels"
            >
              {all.map((one) => (
                <Entry key={one.id} resource={one} onOpen={() => setOpen(one)} />
              ))}
            </Grid>
          ) : (
            <Box maxW="34rem" borderTop="2px solid" borderColor="ink" pt="5">
              <Text as="h2" fontSize="xl">
                No vessel measured yet
              </Text>
              <Text mt="2" mb="4">
                Take a tape, or a measuring jug: pour a known amount in and read how high it stands.
                A vessel that is kept here can go into any planter.
              </Text>
              <Button variant="solid" onClick={() => setOpen('new')}>
                Measure the first vessel
              </Button>
            </Box>
          )
        }
      </Fetched>
      {open && <MeasureDialog kept={open === 'new' ? null : open} onClose={() => setOpen(null)} />}
    </Page>
  );
}

function Entry({ resource, onOpen }: { resource: VesselResource; onOpen(): void }) {
  const { write, say } = useWords();
  const remove = useDeleteVessel();
  const restore = useRestoreVessel();
  const { id, name, vessel } = resource;
  const shape = shapeOf(vessel);
  const discard = () =>
    remove.mutate(id, {
      onSuccess: () =>
        notify(`‘${name}’ is no longer among your vessels.`, {
          label: 'Undo',
          run: () => restore.mutate(id),
        }),
      onError: (error) => notify(error.message),
    });
  return (
    <Box as="li" display="flex" flexDirection="column">
      <Box borderBottom="3px solid" borderColor="ink">
        <VesselDrawing vessel={vessel} width={260} height={170} />
      </Box>
      <Text as="h2" fontSize="lg" mt="3" overflowWrap="anywhere">
        {name}
      </Text>
      <Text color="faint" fontSize="sm">
        {SHAPES[vessel.kind].name}; {say(MATERIALS[vessel.material].name.toLowerCase())}
      </Text>
      <Text mt="1">
        <b>{write(shape.volumeBelow(shape.depth), 'volume')}</b> to the rim,{' '}
        {write(shape.depth, 'length')} deep
      </Text>
      <HStack mt="2" gap="2" flexWrap="wrap">
        <Button asChild>
          <Link to={`/new?vessel=${id}`}>Begin a planter in it</Link>
        </Button>
        <Button variant="ghost" px="2" aria-label={`Change ${name}`} onClick={onOpen}>
          <Pencil size={18} />
        </Button>
        <Button variant="ghost" px="2" aria-label={`Delete ${name}`} onClick={discard}>
          <Trash2 size={18} />
        </Button>
      </HStack>
    </Box>
  );
}
