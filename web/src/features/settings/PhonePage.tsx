import { Box, Button, Text } from '@chakra-ui/react';
import type { Code, RemoteAccessState } from '@huerta/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useAbout } from '../../data/api/backups';
import { useDoor, useMakeCode, useSetDoor, useShutOut } from '../../data/api/access';
import { ChoiceField, TickField } from '../../ui/ChoiceField';
import { writeAgo, writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { Addresses } from './Addresses';
import { Row } from './Row';
import { Section } from './Section';

/** Opens the door to the house's network, shows a code to scan, and lists who was let in. */
export default function PhonePage() {
  const about = useAbout();
  return (
    <Page title="Let a phone in" maxW="60rem">
      <Link to="/settings" style={{ textDecoration: 'underline' }}>
        Settings
      </Link>
      <Text as="h1" fontSize="2xl" mb="2">
        Let a phone in
      </Text>
      <Fetched what="the door" title="The door cannot be looked at" queries={[about]}>
        {({ home }) =>
          home ? (
            <TheDoor />
          ) : (
            <Text maxW="40rem">
              This is done on the machine where Huerta runs. Open Settings there.
            </Text>
          )
        }
      </Fetched>
    </Page>
  );
}

function TheDoor() {
  const door = useDoor();
  return (
    <Fetched what="the door" title="The door cannot be looked at" queries={[door]}>
      {(state) => (
        <>
          <Opening door={state} />
          {state.open && <Inviting key={state.addresses.join()} addresses={state.addresses} />}
          <Devices door={state} />
          <Addresses door={state} />
        </>
      )}
    </Fetched>
  );
}

function Opening({ door }: { door: RemoteAccessState }) {
  const set = useSetDoor();
  const [secure, setSecure] = useState(door.secure);
  const change = (wish: { open: boolean; secure: boolean }) =>
    set.mutate(wish, { onError: (error) => notify(error.message) });
  return (
    <Section title={door.open ? 'The door is open' : 'The door is shut'}>
      <Text maxW="42rem">
        {door.open
          ? 'Devices of the house’s network that you let in can open and change the garden. Anyone else gets a page that says how to be let in, and nothing more.'
          : 'Huerta answers on this machine only. Opened, it answers in the house’s network too, to the devices that you let in.'}
      </Text>
      <Box mt="3">
        <TickField
          label="Encrypt what goes through it"
          checked={secure}
          onTick={(on) => {
            setSecure(on);
            if (door.open) change({ open: true, secure: on });
          }}
        />
        <Text fontSize="sm" color="faint" maxW="42rem" mt="1">
          {secure
            ? door.certificate === 'own'
              ? 'By your own certificate.'
              : 'By a certificate that Huerta makes. The phone does not know it and warns once, because nobody else vouches for it: choose “Advanced”, then to go on. Working away from home needs a certificate that the phone trusts; see the README.'
            : 'Somebody else in your network could read along. Everything works, except that the phone cannot open Huerta away from home.'}
        </Text>
      </Box>
      {door.trouble && (
        <Text role="alert" color="harm" mt="2" maxW="42rem">
          The door could not be opened. {door.trouble}
        </Text>
      )}
      <Button
        mt="3"
        variant={door.open ? 'outline' : 'solid'}
        disabled={set.isPending}
        onClick={() => change({ open: !door.open, secure })}
      >
        {door.open ? 'Shut the door' : 'Open the door'}
      </Button>
    </Section>
  );
}

function Inviting({ addresses }: { addresses: string[] }) {
  const [address, setAddress] = useState(addresses[0] ?? '');
  const make = useMakeCode();
  const choices = Object.fromEntries(addresses.map((one) => [one, { name: one }]));
  return (
    <Section title="A code to scan">
      <Text maxW="42rem">
        It lets one device in, once, within ten minutes. Scan it with the phone’s camera while the
        phone is in the same network.
      </Text>
      <Box mt="3" maxW="24rem">
        <ChoiceField
          label="Where the phone finds this machine"
          value={address}
          choices={choices}
          onChoose={(next) => {
            setAddress(next);
            make.reset();
          }}
          help="If one does not answer, try the next."
        />
      </Box>
      <Button mt="3" variant="solid" disabled={make.isPending} onClick={() => make.mutate(address)}>
        {make.data ? 'Make another code' : 'Make a code'}
      </Button>
      {make.error && (
        <Text role="alert" color="harm" mt="2">
          {make.error.message}
        </Text>
      )}
      {make.data && <CodeToScan code={make.data} />}
    </Section>
  );
}

function CodeToScan({ code: { rows, link, until } }: { code: Code }) {
  const size = rows.length + 8;
  const dark = rows
    .flatMap((row, y) => row.map((on, x) => (on ? `M${x + 4} ${y + 4}h1v1h-1z` : '')))
    .join('');
  return (
    <Box mt="4">
      <svg
        role="img"
        aria-label="Code to scan"
        viewBox={`0 0 ${size} ${size}`}
        width="260"
        height="260"
        shapeRendering="crispEdges"
        style={{ maxWidth: '100%', height: 'auto' }}
      >
        <rect width={size} height={size} fill="#ffffff" />
        <path d={dark} fill="#000000" />
      </svg>
      <Text fontSize="sm" mt="2" maxW="34rem">
        Or type it on the device: <b style={{ overflowWrap: 'anywhere' }}>{link}</b>
      </Text>
      <Text fontSize="sm" color="faint">
        Works until {writeDate(new Date(until), 'time')}.
      </Text>
    </Box>
  );
}

function Devices({ door }: { door: RemoteAccessState }) {
  const shutOut = useShutOut();
  return (
    <Section title="Devices that were let in">
      {door.devices.length === 0 ? (
        <Text>None yet.</Text>
      ) : (
        <Box as="ul" listStyleType="none" maxW="40rem">
          {door.devices.map(({ id, name, createdAt, lastAt }) => (
            <Row
              key={id}
              action={
                <Button
                  aria-label={`Shut ${name} out`}
                  color="harm"
                  disabled={shutOut.isPending}
                  onClick={() =>
                    shutOut.mutate(id, {
                      onSuccess: () => notify(`‘${name}’ is shut out.`),
                      onError: (error) => notify(error.message),
                    })
                  }
                >
                  Shut out
                </Button>
              }
            >
              <Text fontWeight="bold" overflowWrap="anywhere">
                {name}
              </Text>
              <Text fontSize="sm" color="faint">
                Let in on {writeDate(new Date(createdAt), 'time')}; last came {writeAgo(lastAt)}
              </Text>
            </Row>
          ))}
        </Box>
      )}
    </Section>
  );
}
