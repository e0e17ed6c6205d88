import { Box, Button, NativeSelect, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import {
  sayDid,
  TILL_IT_RAN,
  tell,
  type LogEntry,
  type SeasonPlan,
  type WeatherChoice,
} from '@huerta/core';
import { ChevronDown, Download, Droplets, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { MOST_BY, setWriter, useLog, useWriteLog, writer, type Written } from '../../api/log';
import { usePlanter } from '../../api/planters';
import { useSeasonPlan } from '../../api/season';
import { useWeather } from '../../api/weather';
import { useWords } from '../../app/preferences';
import { writeDate } from '../../components/dates';
import { Duties } from '../../components/Duties';
import { LogLine } from '../../components/LogLine';
import { notify } from '../../components/notices';
import { Fetched, Page } from '../../components/Page';
import { saveCsv } from '../../components/saveCsv';
import { TextField } from '../../components/TextField';
import { sayLevel, sayNext, saySurprises, sayThirst } from '../../components/tended';
import '../../components/tended.css';
import { useRound } from '../../workers/round';
import './log.css';

/** What was done to a planter, what it says of its thirst, and when it is to be filled again. */
export default function LogPage() {
  const { id = '' } = useParams();
  const planter = usePlanter(id);
  const log = useLog(id);
  const weather = useWeather();
  const plan = useSeasonPlan(id);
  return (
    <Page className="log">
      <Fetched
        what="the log"
        title="The log of this planter cannot be fetched"
        queries={[planter, log, weather, plan]}
      >
        {(resource, entries, choice, planned) => (
          <Log resource={resource} entries={entries} choice={choice} plan={planned} />
        )}
      </Fetched>
    </Page>
  );
}

interface LogProps {
  resource: PlanterResource;
  entries: readonly LogEntry[];
  choice: WeatherChoice;
  plan: SeasonPlan;
}

function Log({ resource, entries, choice, plan }: LogProps) {
  const { id, design } = resource;
  const { write: say } = useWords();
  const { write } = useWriteLog();
  const note = (written: Written) =>
    void write([id], written).then(() =>
      notify(`Noted: ${tell(sayDid(written.did), 'metric').toLowerCase()}.`),
    );
  return (
    <>
      <title>{`Log of ${design.name} · Huerta`}</title>
      <Box display="flex" flexWrap="wrap" gap="3" alignItems="baseline">
        <Text as="h1" fontSize={{ base: 'xl', md: '2xl' }} flex="1" overflowWrap="anywhere">
          Log: {design.name}
        </Text>
        <Link to="/today" style={{ textDecoration: 'underline' }}>
          Today
        </Link>
        <Link to={`/planters/${id}`} style={{ textDecoration: 'underline' }}>
          To the bench
        </Link>
      </Box>
      <Stands resource={resource} entries={entries} choice={choice} plan={plan} />
      <Box className="log-write" role="group" aria-label="Write into the log">
        <Button variant="solid" size="lg" onClick={() => note({ did: TILL_IT_RAN })}>
          <Droplets size={20} aria-hidden /> Filled till it ran
        </Button>
        <LogLine label="Or say what you did" onWrite={note} />
        <Text fontSize="sm" color="faint">
          Like: stick {say(0.04, 'length')}; rain {say(0.012, 'length')}; finger dry; picked 4
          lettuces; new wick; or anything as a note. Say yesterday, 3 days ago, or a date.
        </Text>
      </Box>
      <Entries name={design.name} entries={entries} />
      <Writer />
    </>
  );
}

/** How it stands today, worked out in a worker. */
function Stands({ resource, entries, choice, plan }: LogProps) {
  const { id, design } = resource;
  const { write } = useWords();
  const planters = useMemo(() => [resource], [resource]);
  const plans = useMemo(() => ({ [id]: plan }), [id, plan]);
  const { value, trouble } = useRound({ planters, plans, entries, choice });
  const state = value?.[id];
  if (trouble) return <Text role="alert">{trouble}</Text>;
  if (value && state === null) return <NotPlanted planter={id} />;
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
        {state.certain
          ? `Full for certain on ${writeDate(state.thirst.fullOn, 'long')}. `
          : 'No filling is noted yet, so this is worked out from the day of planting. '}
        {sayLevel(state, write)}
      </Text>
      <Text>{sayThirst(state)}</Text>
      {state.duties.length > 0 && <Duties planter={id} name={design.name} duties={state.duties} />}
      {saySurprises(state.thirst.surprises, write).map((words) => (
        <Text key={words} className="surprise">
          {words}
        </Text>
      ))}
    </Box>
  );
}

/** Who writes on this device: a name, no account. */
function Writer() {
  const [by, setBy] = useState(writer);
  return (
    <Box maxW="20rem" mt="6">
      <TextField
        label="Who writes on this device"
        value={by}
        maxLength={MOST_BY}
        onCommit={(name) => {
          setWriter(name);
          setBy(writer());
        }}
      />
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

const KINDS = {
  all: 'Everything',
  filled: 'Fillings',
  level: 'Dip stick',
  finger: 'Finger',
  rain: 'Rain',
  fed: 'Feed',
  harvested: 'Harvest',
  did: 'Other work and notes',
} as const;
/** Entries that are shown at first. */
const AT_ONCE = 60;

function Entries({ name, entries }: { name: string; entries: readonly LogEntry[] }) {
  const { tell: say } = useWords();
  const { takeOut } = useWriteLog();
  const [kind, setKind] = useState<keyof typeof KINDS>('all');
  const [most, setMost] = useState(AT_ONCE);
  const shown = entries.filter(({ did }) => kind === 'all' || did.kind === kind);
  if (entries.length === 0) {
    return <Text mt="4">Nothing is noted yet. Press the button when you have filled it.</Text>;
  }
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="3" mt="5" mb="2" alignItems="center">
        <Text as="h2" fontSize="lg" flex="1">
          What was done
        </Text>
        <NativeSelect.Root w="13rem">
          <NativeSelect.Field
            aria-label="Show"
            value={kind}
            onChange={(event) => setKind(event.currentTarget.value as keyof typeof KINDS)}
          >
            {Object.entries(KINDS).map(([id, title]) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </NativeSelect.Field>
          <NativeSelect.Indicator>
            <ChevronDown size={18} />
          </NativeSelect.Indicator>
        </NativeSelect.Root>
        <Button onClick={() => keepCsv(name, entries)}>
          <Download size={18} aria-hidden /> As CSV
        </Button>
      </Box>
      <ul className="log-entries" aria-label="Entries, latest first">
        {shown.slice(0, most).map((entry) => (
          <li key={entry.id}>
            <span className="log-day">{writeDate(entry.at.slice(0, 10), 'year')}</span>
            <span>
              {say(sayDid(entry.did))}
              {entry.text && `: ${entry.text}`}
              {entry.by && ` (${entry.by})`}
            </span>
            <Button
              variant="ghost"
              px="2"
              aria-label={`Take out: ${say(sayDid(entry.did))}, ${writeDate(entry.at.slice(0, 10), 'short')}`}
              onClick={() =>
                void takeOut(entry).then((back) =>
                  notify('Taken out of the log.', { label: 'Put it back', run: () => void back() }),
                )
              }
            >
              <Trash2 size={18} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {shown.length === 0 && <Text>Nothing of that kind.</Text>}
      {shown.length > most && <Button onClick={() => setMost(most + AT_ONCE)}>Show more</Button>}
    </>
  );
}

/** Saves the log as a table, in litres and millimetres. */
function keepCsv(name: string, entries: readonly LogEntry[]): void {
  const rows = [...entries].reverse().map(({ at, by, did, text, typed }) => ({
    at,
    kind: did.kind === 'did' ? did.what : did.kind,
    litres: did.kind === 'filled' && did.volume !== null ? (did.volume * 1000).toFixed(2) : '',
    'till it ran': did.kind === 'filled' ? (did.ran ? 'yes' : 'no') : '',
    mm:
      did.kind === 'level' || did.kind === 'rain' || did.kind === 'finger'
        ? (did.depth * 1000).toFixed(0)
        : '',
    kg: did.kind === 'fed' || did.kind === 'harvested' ? (did.mass ?? '') : '',
    words: tell(sayDid(did), 'metric'),
    note: text,
    typed,
    by,
  }));
  saveCsv(`${name} log`, rows);
}
