import { Box, Button, Text } from '@chakra-ui/react';
import type { Backups } from '@huerta/contract';
import type { Words } from '@huerta/core/units';
import { Link } from 'react-router';
import { useAbout, useBackups, usePutBack } from '../../data/api/backups';
import { usePreferences, useWords } from '../../ui/preferences';
import { ChoiceField } from '../../ui/ChoiceField';
import { writeDate } from '../../ui/dates';
import { notify } from '../../ui/notices';
import { Fetched, Page } from '../../ui/Page';
import { AuthorField } from '../../ui/AuthorField';
import { FormatPreferences } from '../../ui/FormatPreferences';
import { CanField } from './CanField';
import { GardenPlace } from './GardenPlace';
import { Row } from './Row';
import { Section } from './Section';
import { BringIn } from './BringIn';

const MODES = { light: { name: 'Light, for the sun' }, dark: { name: 'Dark, for the evening' } };

/** How Huerta writes on this device, what of the garden is kept where, and who may come in. */
export default function SettingsPage() {
  const about = useAbout();
  return (
    <Page title="Settings" maxW="60rem">
      <Text as="h1" fontSize="2xl" mb="2">
        Settings
      </Text>
      <OnThisDevice />
      <GardenPlace />
      <Fetched what="the settings" title="The settings cannot be fetched" queries={[about]}>
        {({ version, demo, home }) => (
          <>
            {home && (
              <Section title="Let a phone in">
                <Text maxW="40rem">
                  Read the sheet at the workbench and tick it there: a phone or tablet of the house
                  comes in by a code that it scans.
                </Text>
                <Button asChild mt="3">
                  <Link to="/settings/phone">Let a phone in</Link>
                </Button>
              </Section>
            )}
            <Section title="The garden as one file">
              <Text maxW="40rem">
                Everything in one file: planters with their history, the log, photos, weather,
                vessels, prices, plans and marks. Keep it somewhere else than on this machine.
              </Text>
              <Button asChild mt="3">
                <a href="/api/garden.zip" download>
                  Take the garden away as a file
                </a>
              </Button>
              {home && <BringIn />}
            </Section>
            {home && !demo && <Copies />}
            <Section title="What is kept where">
              <Kept demo={demo} home={home} />
              <Text mt="2" color="faint" fontSize="sm">
                Huerta {version}. Free to use and change (MIT licence). It never asks anything of
                the internet.
              </Text>
            </Section>
          </>
        )}
      </Fetched>
    </Page>
  );
}

function OnThisDevice() {
  const { mode, setMode } = usePreferences();
  return (
    <Section title="How it is written on this device">
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(15rem, 1fr))" gap="4">
        <FormatPreferences />
        <ChoiceField label="Light" value={mode} choices={MODES} onChoose={setMode} />
        <AuthorField />
        <CanField />
      </Box>
      <Text mt="3" fontSize="sm">
        The currency is chosen in the{' '}
        <Link to="/prices" style={{ textDecoration: 'underline' }}>
          price book
        </Link>
        .
      </Text>
    </Section>
  );
}

function Kept({ demo, home }: { demo: boolean; home: boolean }) {
  const { data } = useBackups();
  return (
    <Box as="ul" listStyleType="disc" ps="5" maxW="44rem">
      <li>
        The garden: in{' '}
        <b style={{ overflowWrap: 'anywhere' }}>
          {(home && data?.folder) || 'a folder of the machine at home'}
        </b>
        .
        {demo &&
          ' This is the demo garden, which is put back as it was by ‘npm run demo -- --fresh’.'}
      </li>
      <li>
        In this browser: how it is written, what was last seen of the garden, and what was done and
        not sent yet.
      </li>
      <li>Nowhere else.</li>
    </Box>
  );
}

const megabytes = (bytes: number, number: Words['number']): string =>
  `${number(Math.max(bytes / 1e6, 0.1), 1)} MB`;

/** When a copy was made, as it is said. */
const called = ({ name, at, daily }: Backups['copies'][number]): string =>
  daily ? writeDate(name, 'year') : writeDate(new Date(at), 'time');

/** The copies, each put back by one press, and that by another. */
function Copies() {
  const backups = useBackups();
  const { number } = useWords();
  const putBack = usePutBack();
  const restore = (copy: Backups['copies'][number]) =>
    putBack.mutate(copy.name, {
      onSuccess: ({ before }) =>
        notify(`The whole garden is as it was in the copy of ${called(copy)}.`, {
          label: 'Put it back as it was',
          run: () =>
            putBack.mutate(before, {
              onSuccess: () => notify('The garden is as it was before.'),
              onError: (error) => notify(error.message),
            }),
        }),
      onError: (error) => notify(error.message),
    });
  return (
    <Section title="Copies">
      <Text maxW="40rem">
        Each day on which something changed is copied: the last seven days, four weeks and six
        months. A copy is put back whole: planters, log, weather, photos and marks. The garden as it
        is now is copied first, and stands in this list then.
      </Text>
      <Fetched what="the copies" title="The copies cannot be listed" queries={[backups]}>
        {({ copies }) =>
          copies.length === 0 ? (
            <Text mt="2">There is none yet.</Text>
          ) : (
            <Box as="ul" listStyleType="none" mt="2" maxW="34rem">
              {copies.map((copy) => (
                <Row
                  key={copy.name}
                  action={
                    <Button
                      disabled={putBack.isPending}
                      aria-label={`Put back ${called(copy)}`}
                      onClick={() => restore(copy)}
                    >
                      Put back
                    </Button>
                  }
                >
                  {called(copy)}, {megabytes(copy.bytes, number)}
                  {!copy.daily && ', kept beside the daily ones'}
                </Row>
              ))}
            </Box>
          )
        }
      </Fetched>
    </Section>
  );
}
