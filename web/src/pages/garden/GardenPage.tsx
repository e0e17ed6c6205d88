import { Box, Button, Grid, HStack, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { evaluate, section } from '@huerta/core';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { usePlanters } from '../../api/planters';
import { Fetched, Page } from '../../components/Page';
import { GardenEntry } from './GardenEntry';
import { ImportButton } from './ImportButton';
import { SetAside, Unsent } from './Kept';

/** Height of the tallest drawing on the ledge, pixels. */
const TALLEST = 210;

/** All planters side by side at one scale, as they would stand along a wall. */
export function GardenPage() {
  const planters = usePlanters();
  return (
    <Page title="Garden">
      <HStack mb={{ base: '4', md: '6' }} gap="4" flexWrap="wrap" justify="space-between">
        <Text as="h1" fontSize="2xl">
          The garden
        </Text>
        <HStack gap="3" maxW="full" overflowX="auto">
          <Button asChild variant="ghost" flexShrink="0">
            <Link to="/vessels">My vessels</Link>
          </Button>
          <Button asChild variant="ghost" flexShrink="0">
            <Link to="/compare">Compare</Link>
          </Button>
          <Button asChild variant="ghost" flexShrink="0">
            <Link to="/shopping">Shopping list</Link>
          </Button>
          <Button asChild variant="ghost" flexShrink="0">
            <Link to="/prices">Price book</Link>
          </Button>
          <ImportButton />
          <Button asChild variant="solid" order={{ base: -1, md: 0 }} flexShrink="0">
            <Link to="/new">
              <Plus size={20} aria-hidden /> New planter
            </Link>
          </Button>
        </HStack>
      </HStack>
      <Unsent />
      <SetAside />
      <Fetched what="the garden" title="The garden cannot be fetched" queries={[planters]}>
        {(all) => (all.length > 0 ? <Ledge planters={all} /> : <EmptyGarden />)}
      </Fetched>
    </Page>
  );
}

function Ledge({ planters }: { planters: PlanterResource[] }) {
  const entries = useMemo(
    () =>
      planters.map((resource) => {
        const { planter, assessment } = evaluate(resource.design);
        return { resource, assessment, drawing: section(planter) };
      }),
    [planters],
  );
  const tallest = Math.max(
    ...entries.map(({ drawing }) => drawing.bounds.top - drawing.bounds.bottom),
  );
  return (
    <Grid
      as="ul"
      listStyleType="none"
      templateColumns={{ base: '1fr', md: 'repeat(auto-fill, minmax(17rem, 1fr))' }}
      rowGap={{ base: '4', md: '8' }}
      aria-label="Planters"
    >
      {entries.map((entry) => (
        <GardenEntry
          key={entry.resource.id}
          {...entry}
          scale={TALLEST / tallest}
          height={TALLEST + 6}
        />
      ))}
    </Grid>
  );
}

function EmptyGarden() {
  return (
    <Box maxW="34rem" borderTop="2px solid" borderColor="ink" pt="5">
      <Text as="h2" fontSize="xl">
        Nothing planned yet
      </Text>
      <Text mt="2" mb="4">
        Take a pail and a tape measure. Huerta draws the planter to scale, counts its litres, and
        says what would go wrong before anything is drilled.
      </Text>
      <Button asChild variant="solid">
        <Link to="/new">Begin the first planter</Link>
      </Button>
    </Box>
  );
}
