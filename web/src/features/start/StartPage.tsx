import { Box, Button, Grid, Text } from '@chakra-ui/react';
import {
  putVessel,
  applyPatch,
  inInches,
  nameFor,
  STARTING_POINTS,
  type StartingPoint,
} from '@huerta/core/document';
import { contradictions, assemble } from '@huerta/core/assembly';
import { section } from '@huerta/core/drawing';
import { VESSEL_GROUPS, type VesselGroup } from '@huerta/core/catalog';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { v4 as uuid } from 'uuid';
import { useEntries } from '../../data/api/planters';
import type { BegunState } from '../../data/begun';
import { useWeather } from '../../data/api/weather';
import { useVessels } from '../../data/api/vessels';
import { useWords } from '../../ui/preferences';
import { Page } from '../../ui/Page';
import { SiteField } from '../../ui/weather/SiteField';
import { SmallSection } from '../../drawing/SmallSection';

type Filter = VesselGroup | 'all';

/** What have you got? Each answer is a planter to begin from. */
export default function StartPage() {
  const navigate = useNavigate();
  const { data: garden = [] } = useEntries();
  const [search] = useSearchParams();
  const { data: vessels = [] } = useVessels();
  const mine = vessels.find(({ id }) => id === search.get('vessel'));
  const [filter, setFilter] = useState<Filter>('all');
  const groups = (Object.keys(VESSEL_GROUPS) as VesselGroup[]).filter((group) =>
    STARTING_POINTS.some((point) => point.group === group),
  );
  const { units, say } = useWords();
  const points = useMemo(() => {
    const list = STARTING_POINTS.filter((point) => filter === 'all' || point.group === filter).map(
      (point) => (units === 'us' ? { ...point, design: inInches(point.design) } : point),
    );
    if (!mine) return list;
    return list.flatMap((point): StartingPoint[] => {
      const design = applyPatch(point.design, putVessel(point.design, mine.vessel));
      return point.design.bed === null && contradictions(design).length === 0
        ? [{ ...point, design }]
        : [];
    });
  }, [filter, mine, units]);
  // It comes into the garden when something is done with it on the bench.
  const begin = (point: StartingPoint) => {
    const taken = garden.map(({ name }) => name);
    const design = { ...point.design, name: nameFor(point, taken, say) };
    void navigate(`/planters/${uuid()}`, { state: { begun: design } satisfies BegunState });
  };
  return (
    <Page title="New planter">
      <Text as="h1" fontSize="2xl">
        {mine ? `What goes into ${mine.name}?` : 'What have you got?'}
      </Text>
      <Text mt="1" mb="4" maxW="60rem">
        Choose what is nearest. Every measure can be changed on the bench.{' '}
        <Link to="/plans" style={{ textDecoration: 'underline' }}>
          What could I make from what I have?
        </Link>
      </Text>
      <WhereIsIt />
      {!mine && (
        <Box
          role="group"
          aria-label="What is at hand"
          display="flex"
          flexWrap="wrap"
          gap="2"
          mb="6"
        >
          {(['all', ...groups] as Filter[]).map((group) => (
            <Button
              key={group}
              aria-pressed={filter === group}
              bg={filter === group ? 'ink' : 'transparent'}
              color={filter === group ? 'wall' : 'ink'}
              _hover={{ bg: filter === group ? 'ink' : 'clayWash' }}
              onClick={() => setFilter(group)}
            >
              {group === 'all' ? 'Anything' : VESSEL_GROUPS[group].name}
            </Button>
          ))}
        </Box>
      )}
      {points.length === 0 && (
        <Text maxW="40rem">
          None of the usual builds goes into this vessel as it is. Begin with one that is near, and
          put your vessel in on the bench.
        </Text>
      )}
      <Grid
        templateColumns={{ base: '1fr', sm: '1fr 1fr', lg: 'repeat(4, 1fr)' }}
        gap={{ base: '6', md: '8' }}
      >
        {points.map((point) => (
          <Choice key={point.id} point={point} onChoose={() => begin(point)} />
        ))}
      </Grid>
    </Page>
  );
}

/** Where the garden is, asked once: as long as nobody has said so, and until one goes on. */
function WhereIsIt() {
  const { data: choice, chosen } = useWeather();
  const [asked, setAsked] = useState(false);
  if (choice && !chosen && !asked) setAsked(true);
  if (!choice || !asked) return null;
  return (
    <Box mb="5" maxW="24rem">
      <SiteField label="Where is the garden?" choice={choice} chosen={chosen} />
    </Box>
  );
}

interface ChoiceProps {
  point: StartingPoint;
  onChoose(): void;
}

function Choice({ point, onChoose }: ChoiceProps) {
  const drawing = useMemo(() => section(assemble(point.design)), [point.design]);
  return (
    <Box
      as="button"
      textAlign="left"
      cursor="pointer"
      display="flex"
      flexDirection="column"
      _hover={{ bg: 'clayWash' }}
      _focusVisible={{
        outline: '3px solid',
        outlineColor: 'waterInk',
        outlineOffset: '4px',
      }}
      onClick={onChoose}
    >
      <Box borderBottom="3px solid" borderColor="ink" alignSelf="stretch">
        <SmallSection section={drawing} width={260} height={200} />
      </Box>
      <Text as="h2" fontSize="lg" mt="3">
        {point.title}
      </Text>
      <Text mt="1" fontSize="sm">
        {point.says}
      </Text>
    </Box>
  );
}
