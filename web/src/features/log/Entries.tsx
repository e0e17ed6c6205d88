import { Box, Button, NativeSelect, Text } from '@chakra-ui/react';
import {
  currentEntries,
  describeEntry,
  symptomsIn,
  type LinePlanter,
  type LogEntry,
} from '@huerta/core/journal';
import { ChevronDown, Download, Pencil, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { earlierEntries, useWriteLog, wholeLog, type Written } from '../../data/api/log';
import { usePhoto } from '../../data/api/photos';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { keepLog } from '../../ui/logCsv';
import { LogLine } from '../../ui/LogLine';
import { notify } from '../../ui/notices';
import { BringCsv } from './BringCsv';

const KINDS = {
  all: 'Everything',
  filled: 'Fillings',
  level: 'Dip stick',
  finger: 'Finger',
  rain: 'Rain',
  fed: 'Feed',
  harvested: 'Harvest',
  photo: 'Photos',
  todo: 'To do',
  did: 'Other work and notes',
} as const;
/** What was fetched of before the last season, and whether there is nothing more. */
interface Older {
  entries: readonly LogEntry[];
  none: boolean;
}
const NOT_ASKED: Older = { entries: [], none: false };

/** Days of a season and more, that a log is fetched for at first. */
const SEASON_DAYS = 420;
const seasonBegan = (): string =>
  new Date(Date.now() - (SEASON_DAYS - 1) * 86_400_000).toISOString();

/** Entries that are shown at first. */
const AT_ONCE = 60;

interface EntriesProps {
  planter: string;
  name: string;
  entries: readonly LogEntry[];
  /** For lines that are corrected. */
  tended: LinePlanter;
}

/** The time line of a planter, latest first. */
export function Entries({ planter, name, entries, tended }: EntriesProps) {
  const [kind, setKind] = useState<keyof typeof KINDS>('all');
  const [most, setMost] = useState(AT_ONCE);
  const [older, setOlder] = useState<Older>(NOT_ASKED);
  const all = useMemo(
    () => (older.entries.length === 0 ? entries : currentEntries([...entries, ...older.entries])),
    [entries, older.entries],
  );
  const shown = all.filter(({ did }) => kind === 'all' || did.kind === kind);
  const earlier = async () => {
    // What counts however old it is lies among them already: asked is from the last of the season on.
    const before = older.entries.at(-1)?.at ?? seasonBegan();
    try {
      const { value = [], done } = await earlierEntries(planter, before).next();
      setOlder((now) => ({
        entries: [...now.entries, ...value],
        none: done === true || value.length === 0,
      }));
      setMost((now) => now + AT_ONCE);
    } catch (error) {
      notify((error as Error).message);
    }
  };
  if (entries.length === 0) {
    return (
      <>
        <Text mt="4">Nothing is noted yet. Press the button when you have filled it.</Text>
        <Box mt="2">
          <BringCsv planter={planter} />
        </Box>
      </>
    );
  }
  return (
    <>
      <Box display="flex" flexWrap="wrap" gap="3" mt="5" mb="2" alignItems="center" maxW="56rem">
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
        <Button
          onClick={() =>
            void wholeLog(planter)
              .then((all) => keepLog(`${name} log`, all))
              .catch((error: Error) => notify(error.message))
          }
        >
          <Download size={18} aria-hidden /> As CSV
        </Button>
        <BringCsv planter={planter} />
      </Box>
      <ul className="log-entries" aria-label="Entries, latest first">
        {shown.slice(0, most).map((entry) => (
          <Entry key={entry.id} entry={entry} tended={tended} />
        ))}
      </ul>
      {shown.length === 0 && <Text>Nothing of that kind.</Text>}
      {shown.length > most ? (
        <Button onClick={() => setMost(most + AT_ONCE)}>Show more</Button>
      ) : (
        !older.none && <Button onClick={() => void earlier()}>Show earlier years</Button>
      )}
    </>
  );
}

/** One entry: to be corrected by a line in its place, or taken out. */
function Entry({ entry, tended }: { entry: LogEntry; tended: LinePlanter }) {
  const { tell: say } = useWords();
  const { takeOut } = useWriteLog();
  const [correcting, setCorrecting] = useState(false);
  const { did, text, by, at } = entry;
  const words = say(describeEntry(did));
  const day = writeDate(at.slice(0, 10), 'short');
  // A trouble that was noted leads to the guide.
  const told = did.kind === 'did' && (did.what === 'trouble' || did.what === 'note');
  const seen = told ? symptomsIn(text) : [];
  if (correcting)
    return <Correction entry={entry} tended={tended} onClose={() => setCorrecting(false)} />;
  return (
    <li>
      <span className="log-day">{writeDate(at.slice(0, 10), 'year')}</span>
      <span>
        {did.kind === 'photo' ? <Picture id={did.photo} day={day} /> : words}
        {text && (did.kind === 'photo' ? text : `: ${text}`)}
        {by && ` (${by})`}
        {seen.length > 0 && (
          <>
            {' '}
            <Link
              className="not-printed"
              to={`/planters/${entry.planter}/trouble?seen=${seen.join(',')}`}
              style={{ textDecoration: 'underline' }}
            >
              Find out why
            </Link>
          </>
        )}
      </span>
      <span className="log-acts">
        {did.kind !== 'photo' && did.kind !== 'todo' && (
          <Button
            variant="ghost"
            px="2"
            aria-label={`Correct: ${words}, ${day}`}
            onClick={() => setCorrecting(true)}
          >
            <Pencil size={18} aria-hidden />
          </Button>
        )}
        <Button
          variant="ghost"
          px="2"
          aria-label={`Take out: ${words}, ${day}`}
          onClick={() =>
            void takeOut(entry).then((back) =>
              notify('Taken out of the log.', { label: 'Put it back', run: () => void back() }),
            )
          }
        >
          <Trash2 size={18} aria-hidden />
        </Button>
      </span>
    </li>
  );
}

interface CorrectionProps {
  entry: LogEntry;
  tended: LinePlanter;
  onClose(): void;
}

function Correction({ entry, tended, onClose }: CorrectionProps) {
  const { tell } = useWords();
  const { write } = useWriteLog();
  const { did, text, typed, at, planter } = entry;
  const words = did.kind === 'did' && did.what === 'note' ? text : tell(describeEntry(did));
  const correct = ([first, ...more]: Written[]) =>
    void Promise.all([
      write([planter], {
        text: did.kind === 'did' && did.what === 'note' ? '' : text,
        did,
        ...first,
        at: first?.at ?? at,
        instead: entry.id,
      }),
      // What the line tells besides is noted beside it.
      ...more.map((one) => write([planter], { ...one, at: one.at ?? at })),
    ]).then(() => notify('Corrected.'));
  return (
    <li className="log-correct">
      <LogLine
        label={`Correct the entry of ${writeDate(at.slice(0, 10), 'short')}`}
        initially={typed || words}
        planter={tended}
        onWrite={(written) => {
          correct(written);
          onClose();
        }}
      />
      <Button variant="ghost" onClick={onClose}>
        Leave it as it is
      </Button>
    </li>
  );
}

/** A photo, small; it opens whole. */
function Picture({ id, day }: { id: string; day: string }) {
  const small = usePhoto(id, 'small');
  const whole = usePhoto(id, 'whole');
  if (!small || !whole) return null;
  return (
    <a href={whole} target="_blank" rel="noreferrer">
      <img className="log-photo" src={small} alt={`Photo of ${day}`} loading="lazy" />
    </a>
  );
}
