import { Box, Button, Text } from '@chakra-ui/react';
import { describeEntry } from '@huerta/core/journal';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useEntries } from '../../data/api/planters';
import { useWriteLog, type Written } from '../../data/api/log';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { useUnsent } from '../../ui/DeviceNotes';
import { LogLine } from '../../ui/LogLine';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { PageHead } from '../../ui/PageHead';
import { saveFile } from '../../ui/saveFile';
import { HALTED, type Halted } from '../../data/offline/halted';
import { wakeOutbox } from '../../data/offline/pendingSaves';
import { dropUnsent, fileOf, sendAgain, type Unsent } from '../../data/offline/unsent';

/** What was done on this device and is not on the server: why, and what can be done about it. */
export default function UnsentPage() {
  const unsent = useUnsent();
  return (
    <Page title="Not sent" maxW="56rem">
      <PageHead>Not on the server yet</PageHead>
      <Fetched what="what waits" title="This cannot be looked at" queries={[unsent]}>
        {(all) => (all.length === 0 ? <Nothing /> : <Lists all={all} />)}
      </Fetched>
    </Page>
  );
}

function Nothing() {
  return (
    <Text maxW="40rem">
      Nothing waits on this device: the server has all that was done here.{' '}
      <Link to="/" style={{ textDecoration: 'underline' }}>
        To the garden
      </Link>
    </Text>
  );
}

function Lists({ all }: { all: readonly Unsent[] }) {
  const refused = all.filter((one) => one.refused !== null);
  const waiting = all.filter((one) => one.refused === null);
  const { data: halted } = useQuery<Halted>({
    queryKey: HALTED,
    queryFn: () => ({ why: null }),
    staleTime: Infinity,
  });
  return (
    <>
      {refused.length > 0 && (
        <Box as="section" aria-label="Not taken" mb="8">
          <Text as="h2" fontSize="xl" mb="1">
            Not taken
          </Text>
          <Text mb="3" maxW="40rem">
            The server would refuse these again as they are. They stay on this device until you
            mend, send or drop them.
          </Text>
          <List things={refused} />
        </Box>
      )}
      {waiting.length > 0 && (
        <Box as="section" aria-label="Waiting">
          <Text as="h2" fontSize="xl" mb="1">
            Waiting
          </Text>
          <Text mb="3" maxW="40rem">
            {halted?.why ?? 'These are sent when the server answers.'}
          </Text>
          <Button mb="3" onClick={wakeOutbox}>
            Send now
          </Button>
          <List things={waiting} />
        </Box>
      )}
    </>
  );
}

function List({ things }: { things: readonly Unsent[] }) {
  return (
    <Box as="ul" listStyleType="none">
      {things.map((one) => (
        <Box as="li" key={one.key} borderTop="1px solid" borderColor="rule" py="3">
          <Thing one={one} />
        </Box>
      ))}
    </Box>
  );
}

/** What it is, in words, and where it is opened. */
function useNamed(one: Unsent): { name: string; to: string | null } {
  const { tell } = useWords();
  const { data: entries = [] } = useEntries();
  const planter = (id: string) => entries.find((entry) => entry.id === id)?.name ?? 'a planter';
  switch (one.kind) {
    case 'document':
      return document(one.kept.kind, one.kept.id, one.kept.body, planter);
    case 'entry': {
      const { did, at, text, planter: id } = one.entry;
      const words = did.kind === 'did' && did.what === 'note' ? text : tell(describeEntry(did));
      const day = writeDate(at.slice(0, 10), 'short');
      return { name: `Log of ${planter(id)}, ${day}: ${words}`, to: `/planters/${id}/log` };
    }
    case 'mark': {
      const name = `Build of ${planter(one.planter)}: ${one.entry.key.split('/').slice(1).join(', ')}`;
      return { name, to: `/planters/${one.planter}/build` };
    }
    case 'photo':
      return { name: 'A photo', to: null };
  }
}

function document(
  kind: string,
  id: string,
  body: object,
  planter: (id: string) => string,
): { name: string; to: string } {
  const named = body as { name?: string; design?: { name: string } };
  switch (kind) {
    case 'planter':
      return { name: `Planter: ${named.design?.name ?? ''}`, to: `/planters/${id}` };
    case 'vessel':
      return { name: `Vessel: ${named.name ?? ''}`, to: '/vessels' };
    case 'season':
      return { name: `Plan of the season: ${planter(id)}`, to: `/planters/${id}/season` };
    case 'prices':
      return { name: 'The price book', to: '/prices' };
    case 'round':
      return { name: 'The plan of the round', to: '/today' };
    case 'weather':
      return { name: 'The weather of the garden', to: '/settings' };
    default:
      return { name: 'Your own crops', to: '/' };
  }
}

function Thing({ one }: { one: Unsent }) {
  const client = useQueryClient();
  const { write } = useWriteLog();
  const [mending, setMending] = useState(false);
  const { name, to } = useNamed(one);
  const again = () => client.invalidateQueries({ queryKey: ['kept'] });
  const drop = async () => {
    const back = await dropUnsent(one);
    void again();
    notify('Dropped from this device.', {
      label: 'Put it back',
      run: () => void back().then(again),
    });
  };
  const mend = async ([first, ...more]: Written[]) => {
    if (one.kind !== 'entry' || !first) return;
    const { did, at, text, typed } = first;
    const { planter, instead, at: before } = one.entry;
    await write([planter], {
      did,
      at: at ?? before,
      ...(text === undefined ? {} : { text }),
      ...(typed === undefined ? {} : { typed }),
      ...(instead ? { instead } : {}),
    });
    for (const besides of more) await write([planter], { ...besides, at: besides.at ?? before });
    await dropUnsent(one);
    setMending(false);
    void again();
  };
  return (
    <>
      <Text fontWeight="bold" overflowWrap="anywhere">
        {name}
      </Text>
      {one.refused && (
        <Text color="harm" overflowWrap="anywhere">
          {one.refused.why}
        </Text>
      )}
      {mending && one.kind === 'entry' && (
        <LogLine
          label="Write it so that it can be taken"
          initially={one.entry.typed || one.entry.text}
          onWrite={(written) => void mend(written)}
        />
      )}
      <Box mt="2" display="flex" flexWrap="wrap" gap="2">
        {one.kind === 'entry' && one.refused && !mending && (
          <Button variant="solid" onClick={() => setMending(true)}>
            Mend it
          </Button>
        )}
        {one.kind !== 'entry' && to && (
          <Button asChild>
            <Link to={to}>Open it</Link>
          </Button>
        )}
        {one.refused && (
          <Button onClick={() => void sendAgain(one).then(again)}>Send it again</Button>
        )}
        <Button
          onClick={() => {
            const { name: file, content } = fileOf(one);
            saveFile(file, content);
          }}
        >
          Take it as a file
        </Button>
        <Button color="harm" onClick={() => void drop()}>
          Drop it
        </Button>
      </Box>
    </>
  );
}
