import { Box, Button, Text } from '@chakra-ui/react';
import type { Different, RestorePreview, RestoreChange } from '@huerta/contract';
import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { useBringIn, useLook } from '../../data/api/backups';
import { ChoiceField } from '../../ui/ChoiceField';
import { writeDate } from '../../ui/dates';

const STANDING: Readonly<Record<RestoreChange, string>> = {
  new: 'new',
  same: 'the same here',
  newer: 'newer than the one here',
  older: 'older than the one here',
};
const DIFFERENT: Readonly<Record<Different, { name: string }>> = {
  keep: { name: 'Keep what is here' },
  take: { name: 'Take what is in the file' },
  both: { name: 'Keep both, as two planters' },
};

/** Brings a garden file in, after a look at what would come. */
export function BringIn() {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [different, setDifferent] = useState<Different>('keep');
  const look = useLook();
  const bring = useBringIn();
  const take = (chosen: File) => {
    setFile(chosen);
    bring.reset();
    look.mutate(chosen);
  };
  const trouble = look.error ?? bring.error;
  const done = bring.data;
  return (
    <Box mt="5">
      <input
        ref={input}
        type="file"
        accept=".zip,application/zip"
        aria-label="Garden file"
        hidden
        onChange={(event) => {
          const [chosen] = event.target.files ?? [];
          event.target.value = '';
          if (chosen) take(chosen);
        }}
      />
      <Button onClick={() => input.current?.click()} disabled={look.isPending}>
        Bring a garden file in
      </Button>
      {trouble && (
        <Text role="alert" color="harm" mt="2" maxW="40rem">
          ‘{file?.name}’ is not taken in: {trouble.message} The garden is as it was.
        </Text>
      )}
      {done && (
        <Text role="status" mt="3">
          {done.came === 0 && rowsOf(done).length === 0
            ? 'Nothing came in: the garden has all of it.'
            : `${[done.came === 1 ? 'One document' : `${done.came} documents`, ...rowsOf(done)].join(', ')} came in.`}{' '}
          <Link to="/" style={{ textDecoration: 'underline' }}>
            To the garden
          </Link>
        </Text>
      )}
      {look.data && file && !done && (
        <Preview
          preview={look.data}
          name={file.name}
          different={different}
          onDifferent={setDifferent}
          busy={bring.isPending}
          onBring={() => bring.mutate({ file, different })}
          onLeave={() => look.reset()}
        />
      )}
    </Box>
  );
}

interface PreviewProps {
  preview: RestorePreview;
  name: string;
  different: Different;
  onDifferent(different: Different): void;
  busy: boolean;
  onBring(): void;
  onLeave(): void;
}

const KINDS: Readonly<Record<string, string>> = {
  planter: 'Planter',
  vessel: 'Vessel',
  prices: 'Prices',
  weather: 'Weather',
  season: 'Plan',
};
/** What comes besides documents, in words. */
function rowsOf({ marks, log, readings, weatherDays, photos }: RestorePreview): string[] {
  const some = (count: number, one: string, more: string) =>
    count === 0 ? [] : [count === 1 ? `one ${one}` : `${count} ${more}`];
  return [
    ...some(marks, 'mark of a build', 'marks of builds'),
    ...some(log, 'entry of the log', 'entries of the log'),
    ...some(readings, 'reading of a sensor', 'readings of sensors'),
    ...some(weatherDays, 'day of weather', 'days of weather'),
    ...some(photos, 'photo', 'photos'),
  ];
}

/** Lines that are shown; of a large garden the rest is counted. */
const SHOWN = 60;

/** What would come in, before anything does. */
function Preview(props: PreviewProps) {
  const { preview, name, different, onDifferent, busy, onBring, onLeave } = props;
  const { documents, leftOut, madeAt } = preview;
  const rows = rowsOf(preview).length;
  const fresh = documents.filter(({ standing }) => standing === 'new');
  const differ = documents.filter(({ standing }) => standing === 'newer' || standing === 'older');
  const same = documents.length - fresh.length - differ.length;
  const listed = [...differ, ...fresh];
  return (
    <Box
      role="region"
      aria-label="What would come in"
      mt="4"
      borderLeft="4px solid"
      borderColor="clay"
      ps="4"
      maxW="44rem"
    >
      <Text>
        <b style={{ overflowWrap: 'anywhere' }}>{name}</b>, taken away on{' '}
        {writeDate(new Date(madeAt), 'time')}: {fresh.length} new, {differ.length} different, {same}{' '}
        the same
        {rowsOf(preview).map((said) => `, ${said}`)}. Nothing is deleted.
      </Text>
      <Box
        as="ul"
        listStyleType="none"
        mt="2"
        maxH="20rem"
        overflowY="auto"
        tabIndex={0}
        aria-label="Documents of the file"
      >
        {listed.slice(0, SHOWN).map(({ kind, id, name: called, standing }) => (
          <Box
            as="li"
            key={`${kind}/${id}`}
            borderTop="1px solid"
            borderColor="rule"
            py="1"
            overflowWrap="anywhere"
          >
            {KINDS[kind] ?? kind}: <b>{called}</b>, {STANDING[standing]}
          </Box>
        ))}
        {listed.length > SHOWN && <li>and {listed.length - SHOWN} more</li>}
      </Box>
      {leftOut.map(({ path, why }) => (
        <Text key={path} color="harm" fontSize="sm" overflowWrap="anywhere">
          Left out: {path}. {why}
        </Text>
      ))}
      {differ.length > 0 && (
        <Box mt="3" maxW="20rem">
          <ChoiceField
            label="What differs"
            value={different}
            choices={DIFFERENT}
            onChoose={onDifferent}
            help={different === 'take' ? 'What is here stays in the earlier versions.' : undefined}
          />
        </Box>
      )}
      <Box mt="3" display="flex" gap="3">
        <Button variant="solid" disabled={busy || documents.length + rows === 0} onClick={onBring}>
          Bring it in
        </Button>
        <Button variant="ghost" onClick={onLeave}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}
