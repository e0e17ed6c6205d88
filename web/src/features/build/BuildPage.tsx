import { Box, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { buildSheet } from '@huerta/core/fabrication';
import { evaluate } from '@huerta/core/assessment';
import { section } from '@huerta/core/drawing';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { usePriceBook } from '../../data/api/prices';
import { useLineShare } from '../../compute/line';
import { usePlanter } from '../../data/api/planters';
import { usePreferences } from '../../ui/preferences';
import { Fetched, Page } from '../../ui/Page';
import { useView, Views } from '../../ui/Views';
import { SmallSection } from '../../drawing/SmallSection';
import { useShopping } from '../../compute/shopping';
import { AsBuilt } from './AsBuilt';
import { JoinedHole } from './JoinedHole';
import '../../ui/sheet.css';
import './build.css';
import { Cuts } from './Cuts';
import { Holes } from './Holes';
import { Paper } from './Paper';
import { Parts } from './Parts';
import { Steps } from './Steps';
import { Templates } from './Templates';
import { useProgress } from './useProgress';

/** What to take to the workbench: steps, parts, cuts, holes and templates of one planter. */
export default function BuildPage() {
  const { id = '' } = useParams();
  const planter = usePlanter(id);
  return (
    <Page className="sheet">
      <Fetched what="the planter" title="This planter cannot be opened" queries={[planter]}>
        {(resource) => <Sheet resource={resource} />}
      </Fetched>
    </Page>
  );
}

const VIEWS = {
  steps: 'Steps',
  parts: 'Parts',
  cuts: 'Cuts',
  holes: 'Holes',
  templates: 'Templates',
} as const;
type View = keyof typeof VIEWS;

function Sheet({ resource }: { resource: PlanterResource }) {
  const { id, design } = resource;
  const { units, paper, setPaper } = usePreferences();
  const view = useView(VIEWS);
  const { planter, assessment } = useMemo(() => evaluate(design), [design]);
  const sheet = useMemo(
    () => buildSheet(planter, assessment.figures, units),
    [planter, assessment, units],
  );
  const drawing = useMemo(() => section(planter), [planter]);
  const marking = useProgress(id);
  const prices = usePriceBook();
  const { value: list, trouble } = useShopping([design], units, prices.data?.book);
  const share = useLineShare(resource);
  const supplied = useMemo(
    () => (share ? evaluate(design, share).assessment : assessment),
    [design, share, assessment],
  );
  const serious = supplied.findings.filter(
    ({ severity }) => severity === 'danger' || severity === 'fault',
  ).length;
  const pages: Record<View, React.ReactNode> = {
    steps: <Steps planter={planter} sheet={sheet} marking={marking} />,
    parts: <Parts sheet={sheet} list={list} />,
    cuts: <Cuts sheet={sheet} list={list} />,
    holes: <Holes sheet={sheet} />,
    templates: <Templates id={id} sheet={sheet} paper={paper} />,
  };
  const unpriced = prices.error ?? null;
  return (
    <>
      <title>{`Build ${design.name} · Huerta`}</title>
      <Box className="sheet-top">
        <Text as="h1" fontSize={{ base: 'xl', md: '2xl' }} minW="0" overflowWrap="anywhere">
          Build: {design.name}
          {design.variant && (
            <Text as="span" fontFamily="body" fontSize="md" fontWeight="normal" color="faint">
              {' '}
              {design.variant}
            </Text>
          )}
        </Text>
      </Box>
      {serious > 0 && (
        <Text color="harm" fontWeight="medium" mb="2">
          {serious === 1 ? 'One thing is' : `${serious} things are`} still to mend on the bench. Do
          that before anything is cut.
        </Text>
      )}
      <JoinedHole planter={id} />
      <Views label="Views of the sheet" views={VIEWS} view={view} />
      <Box className="sheet-columns">
        <Box className="sheet-main">
          {(unpriced || trouble) && (view === 'parts' || view === 'cuts') && (
            <Text role="alert" className="unsent">
              {trouble ?? `Prices and cuts are missing. ${unpriced?.message ?? ''}`}
            </Text>
          )}
          {(Object.keys(VIEWS) as View[]).map((one) => (
            <Box key={one} className={one === view ? undefined : 'only-printed'}>
              {one === view || PRINTED.includes(one) ? pages[one] : null}
            </Box>
          ))}
        </Box>
        <Box as="aside" className="sheet-side" aria-label="Drawing and paper">
          <SmallSection
            section={drawing}
            width={300}
            height={220}
            label={`Section through ${design.name}`}
          />
          <Paper
            id={id}
            name={design.name}
            paper={paper}
            hasTemplates={sheet.templates.length > 0}
            hasCuts={sheet.cuts.length > 0}
            onPaper={setPaper}
          />
          <AsBuilt resource={resource} steps={sheet.steps} progress={marking.progress} />
        </Box>
      </Box>
    </>
  );
}

/** Views that are printed with the page, whichever is open. */
const PRINTED: readonly View[] = ['parts', 'cuts', 'holes', 'steps'];
