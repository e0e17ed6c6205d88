import { Box, Button, Text } from '@chakra-ui/react';
import type { PlanterDesign } from '@huerta/core/document';
import { describeEntry, linePlanterOf, TILL_IT_RAN, type TendedState } from '@huerta/core/journal';
import { siteOf } from '@huerta/core/physics/climate';
import { Droplets } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useMemo } from 'react';
import { useWriteLog, type Written } from '../../data/api/log';
import { useGardenDay } from '../../data/gardenDay';
import { SIGN, StandingPlanter } from '../../drawing/StandingPlanter';
import { vesselSize } from '../../drawing/vesselSize';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { Duties } from '../../ui/Duties';
import { LogLine } from '../../ui/LogLine';
import { LogYears } from '../../ui/LogYears';
import { notify } from '../../ui/notices';
import { PageHead } from '../../ui/PageHead';
import { UnexplainedReadings } from '../../ui/UnexplainedReadings';
import { sayLevel, sayNext, sayThirst, verdictOf } from '../../ui/tended';
import { TendedPlanter, type Tending } from '../../ui/TendedPlanter';
import { AuthorField } from '../../ui/AuthorField';
import '../../ui/tended.css';
import { useRound } from '../../compute/round';
import { useWaterDrawing } from '../../compute/waterDrawing';
import type { Round } from '../../compute/roundStates';
import type { Known } from '../../compute/useWorkerQuery';
import { Entries } from './Entries';
import './log.css';
import { PhotoButton } from './PhotoButton';
import { ShortForms } from './ShortForms';

const LogLevels = lazy(() => import('./LogLevels'));

/** What was done to a planter, what it says of its thirst, and when it is to be filled again. */
export default function LogPage() {
  return (
    <TendedPlanter className="log" what="the log" title="The log of this planter cannot be fetched">
      {(tending) => <Log {...tending} />}
    </TendedPlanter>
  );
}

function Log({ resource, entries, choice, plan }: Tending) {
  const { id, design } = resource;
  const planter = useMemo(() => linePlanterOf(design), [design]);
  const planters = useMemo(() => [resource], [resource]);
  const plans = useMemo(() => ({ [id]: plan }), [id, plan]);
  // Worked out in a worker.
  const known = useRound({ planters, plans, entries, choice });
  const state = known.value?.[id];
  // The picture may come a moment after the words.
  const drawn = useDeferredValue(entries);
  const { write: say, tell } = useWords();
  const { write } = useWriteLog();
  const note = (...written: Written[]) =>
    void Promise.all(written.map((one) => write([id], one))).then(() =>
      notify(`Noted: ${written.map(({ did }) => tell(describeEntry(did))).join('; ')}.`),
    );
  return (
    <>
      <title>{`Log of ${design.name} · Huerta`}</title>
      <PageHead>{`Log: ${design.name}`}</PageHead>
      <Box className="log-columns">
        <Box className="log-say">
          <Stands known={known} planter={id} />
          <Box className="log-write" role="group" aria-label="Write into the log">
            <Box display="flex" flexWrap="wrap" gap="3">
              <Button variant="solid" size="lg" onClick={() => note({ did: TILL_IT_RAN })}>
                <Droplets size={20} aria-hidden /> Filled to overflow
              </Button>
              <PhotoButton planter={id} />
            </Box>
            <ShortForms id={id} {...{ design, entries, planter }} onNote={note} />
            <LogLine
              label="Or say what you did"
              planter={planter}
              onWrite={(written) => note(...written)}
            />
            <Text fontSize="sm" color="faint">
              Like: stick {say(0.04, 'length')}; rain {say(0.012, 'length')}; finger dry; filled
              half a can; fed 2 tbsp of 5-5-5; picked 4 lettuces; new wick; or anything as a note.
              Several things go into one line. Say yesterday, Tuesday, 3 days ago, or a date.
            </Text>
          </Box>
        </Box>
        {state && (
          <Box className="log-picture">
            <WaterNow design={design} state={state} />
            <Suspense fallback={null}>
              <LogLevels state={state} entries={drawn} />
            </Suspense>
          </Box>
        )}
        <Box className="log-rest">
          {state && (
            <Box my="3" className="log-detail">
              {state.duties.length > 0 && (
                <Duties planter={id} name={design.name} duties={state.duties} />
              )}
              <UnexplainedReadings planter={id} surprises={state.thirst.surprises} />
            </Box>
          )}
          <Entries planter={id} name={design.name} entries={entries} tended={planter} />
          <LogYears planter={id} name={design.name} latitude={siteOf(choice).latitude} />
          <Box maxW="20rem" mt="6">
            <AuthorField />
          </Box>
        </Box>
      </Box>
    </>
  );
}

/** How high it is drawn, pixels. */
const TALL = 230;
const WIDEST = 300;

/** The planter with its water as it likely stands, and what it wants. */
function WaterNow({ design, state }: { design: PlanterDesign; state: TendedState }) {
  const { write } = useWords();
  const today = useGardenDay();
  const { level } = state.forecast;
  const drawing = useWaterDrawing(design, level.middle);
  const { wide, high } = vesselSize(design);
  const scale = Math.min(TALL / high, WIDEST / wide);
  return (
    <StandingPlanter
      drawing={drawing}
      band={{ ...level, known: state.certain }}
      sign={verdictOf(state, today, write).sign}
      scale={scale}
      wide={Math.ceil(wide * scale)}
      height={Math.ceil(high * scale) + SIGN}
      named
    />
  );
}

/** How it stands today, in words. */
function Stands({ known: { value, trouble }, planter }: { known: Known<Round>; planter: string }) {
  const words = useWords();
  const state = value?.[planter];
  if (trouble) return <Text role="alert">{trouble}</Text>;
  if (value && state === null) return <NotPlanted planter={planter} />;
  if (!state)
    return (
      <Text my="3" role="status">
        Working out how it stands…
      </Text>
    );
  return (
    <Box my="3" role="status" className="log-stands">
      <Text fontSize="xl" fontFamily="heading">
        {sayNext(state)}
      </Text>
      <Text>
        {state.thirst.fullOn !== null &&
          `Last filled to overflow on ${writeDate(state.thirst.fullOn, 'long')}. `}
        {sayLevel(state, words.write)}
      </Text>
      <Text>{sayThirst(state, words)}</Text>
    </Box>
  );
}

/** A planter of which nobody has said that it is planted. */
function NotPlanted({ planter }: { planter: string }) {
  const { write } = useWriteLog();
  return (
    <Box my="3" role="status" display="flex" flexWrap="wrap" gap="3" alignItems="center">
      <Text>It is not planted yet, as far as this log knows.</Text>
      <Button onClick={() => void write([planter], { did: { kind: 'did', what: 'planted' } })}>
        Planted today
      </Button>
    </Box>
  );
}
