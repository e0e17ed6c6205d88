import { Box, Button, Grid, Text } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { GARDEN } from '@huerta/contract';
import { daysToSay, evaluate } from '@huerta/core/assessment';
import { inInches, type PlanterDesign } from '@huerta/core/document';
import { section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { callRoute } from '../../data/api/client';
import { useCreatePlanter } from '../../data/api/planters';
import { useWords } from '../../ui/preferences';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { SmallSection } from '../../drawing/SmallSection';

/** The demo garden to look at: none of it is in one's own until one begins from it. */
export default function ExamplesPage() {
  const examples = useQuery({
    queryKey: ['examples'],
    queryFn: () => callRoute(GARDEN.examples),
    staleTime: Infinity,
  });
  return (
    <Page title="A planted garden">
      <Text as="h1" fontSize="2xl">
        A garden that is planted
      </Text>
      <Text mt="1" mb="6" maxW="42rem">
        The planters of Casa Lumbre, in the dry hills of Vallesol, mistakes included. They are only
        to look at; begin from one and it stands in your own garden.
      </Text>
      <Fetched what="the examples" title="The examples cannot be fetched" queries={[examples]}>
        {({ designs }) => (
          <Grid
            as="ul"
            listStyleType="none"
            templateColumns={{ base: '1fr', sm: 'repeat(auto-fill, minmax(17rem, 1fr))' }}
            gap="8"
            aria-label="Examples"
          >
            {designs.map((design, i) => (
              <Example key={i} design={design} />
            ))}
          </Grid>
        )}
      </Fetched>
    </Page>
  );
}

function Example({ design: metric }: { design: PlanterDesign }) {
  const { write, units } = useWords();
  const design = useMemo(() => (units === 'us' ? inInches(metric) : metric), [metric, units]);
  const create = useCreatePlanter();
  const navigate = useNavigate();
  const { drawing, figures } = useMemo(() => {
    const { planter, assessment } = evaluate(design);
    return { drawing: section(planter), figures: assessment.figures };
  }, [design]);
  const days = daysToSay(figures.lastsHot.days);
  const begin = () =>
    create.mutate(design, {
      onSuccess: ({ id }) => void navigate(`/planters/${id}`),
      onError: (error) => notify(error.message),
    });
  return (
    <Box as="li" display="flex" flexDirection="column">
      <Box borderBottom="3px solid" borderColor="ink">
        <SmallSection section={drawing} width={260} height={200} />
      </Box>
      <Text as="h2" fontSize="lg" mt="3" overflowWrap="anywhere">
        {design.name}
      </Text>
      <Text mt="1" mb="2" fontSize="sm">
        {write(figures.usable, 'volume')} to use
        {days !== null && `, ${write(days, 'days')} until it reads low when hot`}
      </Text>
      <Button alignSelf="flex-start" disabled={create.isPending} onClick={begin}>
        Begin one like it
      </Button>
    </Box>
  );
}
