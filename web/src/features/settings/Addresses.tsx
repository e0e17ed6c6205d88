import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import type { RemoteAccessState, Feed, FeedKind } from '@huerta/contract';
import { useState } from 'react';
import { useFeeds, useMakeFeed, useWithdrawFeed } from '../../data/api/feeds';
import { useEntries } from '../../data/api/planters';
import { ChoiceField } from '../../ui/ChoiceField';
import { writeAgo, writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { Fetched } from '../../ui/Page';
import { Row } from './Row';
import { Section } from './Section';

const KINDS: Readonly<Record<FeedKind, { name: string; says: string }>> = {
  calendar: { name: 'A calendar', says: 'reads the calendar' },
  weather: { name: 'A weather station', says: 'tells the weather' },
  readings: { name: 'A float or sensor', says: 'tells readings' },
};

/** Addresses with a secret of their own, for programs that cannot scan a code: made, shown once, withdrawn. */
export function Addresses({ door }: { door: RemoteAccessState }) {
  const feeds = useFeeds();
  return (
    <Section title="Calendars, stations and floats">
      <Text maxW="42rem">
        A calendar program or a station cannot scan a code. It gets an address of its own that can
        do one thing, and nothing else in the garden.
      </Text>
      {door.open ? (
        <Making key={door.addresses.join()} addresses={door.addresses} />
      ) : (
        <Text mt="2" color="faint">
          Open the door first: the address leads through it.
        </Text>
      )}
      <Fetched what="the addresses" title="The addresses cannot be listed" queries={[feeds]}>
        {({ feeds: all }) => <Made feeds={all} />}
      </Fetched>
    </Section>
  );
}

function Making({ addresses }: { addresses: readonly string[] }) {
  const { data: entries = [] } = useEntries();
  const make = useMakeFeed();
  const [kind, setKind] = useState<FeedKind>('calendar');
  const [planter, setPlanter] = useState('');
  const [address, setAddress] = useState(addresses[0] ?? '');
  const [name, setName] = useState('');
  const planters = Object.fromEntries(entries.map((one) => [one.id, { name: one.name }]));
  const chosen = planters[planter] ? planter : (entries[0]?.id ?? '');
  const called = name.trim() || KINDS[kind].name;
  return (
    <>
      <Box
        mt="3"
        display="grid"
        gridTemplateColumns="repeat(auto-fill, minmax(14rem, 1fr))"
        gap="3"
        maxW="48rem"
      >
        <ChoiceField label="For" value={kind} choices={KINDS} onChoose={setKind} />
        {kind === 'readings' && (
          <ChoiceField label="In" value={chosen} choices={planters} onChoose={setPlanter} />
        )}
        <ChoiceField
          label="Where it finds this machine"
          value={address}
          choices={Object.fromEntries(addresses.map((one) => [one, { name: one }]))}
          onChoose={setAddress}
        />
        <Field.Root>
          <Field.Label>What it is called</Field.Label>
          <Input
            value={name}
            maxLength={40}
            placeholder={KINDS[kind].name}
            onChange={(event) => setName(event.target.value)}
          />
        </Field.Root>
      </Box>
      <Button
        mt="3"
        disabled={make.isPending || (kind === 'readings' && chosen === '')}
        onClick={() =>
          make.mutate({
            name: called,
            kind,
            planter: kind === 'readings' ? chosen : null,
            address,
          })
        }
      >
        Make an address
      </Button>
      {make.error && (
        <Text role="alert" color="harm" mt="2">
          {make.error.message}
        </Text>
      )}
      {make.data && <Shown link={make.data.link} />}
    </>
  );
}

/** The address, this once: only a mark of its secret is kept. */
function Shown({ link }: { link: string }) {
  return (
    <Box role="status" mt="3" borderLeft="4px solid" borderColor="clay" ps="4" maxW="44rem">
      <Text>Copy it into the program now. It is shown this once.</Text>
      <Text fontWeight="bold" overflowWrap="anywhere">
        {link}
      </Text>
      <Button
        mt="2"
        onClick={() =>
          void navigator.clipboard
            ?.writeText(link)
            .then(() => notify('The address is copied.'))
            .catch(() => notify('Mark the address and copy it by hand.'))
        }
      >
        Copy
      </Button>
    </Box>
  );
}

function Made({ feeds }: { feeds: readonly Feed[] }) {
  const withdraw = useWithdrawFeed();
  if (feeds.length === 0) return null;
  return (
    <Box as="ul" listStyleType="none" mt="4" maxW="40rem" aria-label="Addresses that were given">
      {feeds.map(({ id, name, kind, createdAt, lastAt }) => (
        <Row
          key={id}
          action={
            <Button
              aria-label={`Withdraw ${name}`}
              color="harm"
              disabled={withdraw.isPending}
              onClick={() =>
                withdraw.mutate(id, {
                  onSuccess: () => notify(`‘${name}’ no longer works.`),
                  onError: (error) => notify(error.message),
                })
              }
            >
              Withdraw
            </Button>
          }
        >
          <Text fontWeight="bold" overflowWrap="anywhere">
            {name}
          </Text>
          <Text fontSize="sm" color="faint">
            {KINDS[kind].says}; made on {writeDate(new Date(createdAt), 'time')}
            {lastAt ? `; last used ${writeAgo(lastAt)}` : '; not used yet'}
          </Text>
        </Row>
      ))}
    </Box>
  );
}
