import { Box, Button, Text } from '@chakra-ui/react';
import {
  answersOf,
  CAUSES,
  knownOf,
  measuredOf,
  nextCheck,
  suspects,
  SYMPTOM_IDS,
  SYMPTOMS,
  TROUBLE_CHECKS,
  type TroubleSign,
  type Known,
  type Suspect,
  type Symptom,
  type TendedState,
} from '@huerta/core/journal';
import { dayAfter, siteOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useGardenDay } from '../../data/gardenDay';
import { useWriteLog } from '../../data/api/log';
import { useMeasuredDays } from '../../data/api/weather';
import { useWords } from '../../ui/preferences';
import { TickField } from '../../ui/ChoiceField';
import { notify } from '../../ui/notices';
import { TendedPlanter, type Tending } from '../../ui/TendedPlanter';
import { PageHead } from '../../ui/PageHead';
import { useRound } from '../../compute/round';
import './trouble.css';

/** From what is seen, through a few checks, to the likely cause and what to do. */
export default function TroublePage() {
  return (
    <TendedPlanter className="trouble" what="the planter" title="This planter cannot be fetched">
      {(tending) => <Guide {...tending} />}
    </TendedPlanter>
  );
}

/** Days of weather that are looked back over. */
const BACK = 7;

/** What its own design, log and weather say; how it stands is waited for. */
function useKnown(
  { resource, entries, choice }: Tending,
  state: TendedState | null | undefined,
): Known[] {
  const measured = useMeasuredDays();
  const today = useGardenDay();
  return useMemo(() => {
    if (state === undefined || !measured) return [];
    const { design } = resource;
    const { figures, findings } = evaluate(design).assessment;
    const days = [...(choice.days?.days ?? []), ...measured];
    const site = siteOf(choice);
    // Only what was measured: made-up days say nothing of what it went through.
    const since = dayAfter(today, -BACK);
    const weather = measuredOf({ site, days }).filter(({ date }) => date >= since && date < today);
    return knownOf({ design, figures, findings, state, entries, weather, today });
  }, [resource, entries, choice, state, measured, today]);
}

function Guide(props: Tending) {
  const { resource, entries, choice, plan } = props;
  const { id, design } = resource;
  const [search, setSearch] = useSearchParams();
  const asked = (search.get('seen') ?? '').split(',');
  const seen = SYMPTOM_IDS.filter((one) => asked.includes(one));
  const [found, setFound] = useState<readonly TroubleSign[]>([]);
  const planters = useMemo(() => [resource], [resource]);
  const plans = useMemo(() => ({ [id]: plan }), [id, plan]);
  const { value } = useRound({ planters, plans, entries, choice });
  const known = useKnown(props, value === null ? undefined : value[id]);
  const question = { seen, known, found };
  const check = seen.length > 0 ? nextCheck(question) : null;
  const tick = (symptom: Symptom, on: boolean) => {
    const next = on ? [...seen, symptom] : seen.filter((one) => one !== symptom);
    setSearch(next.length > 0 ? { seen: next.join(',') } : {}, { replace: true });
    setFound([]);
  };
  return (
    <>
      <title>{`Trouble with ${design.name} · Huerta`}</title>
      <PageHead>{`Something wrong: ${design.name}`}</PageHead>
      <Box as="section" mt="3" aria-label="What do you see?">
        <Text as="h2" fontSize="lg">
          What do you see?
        </Text>
        <Box className="symptoms">
          {SYMPTOM_IDS.map((one) => (
            <TickField
              key={one}
              label={SYMPTOMS[one].name}
              checked={seen.includes(one)}
              onTick={(on) => tick(one, on)}
            />
          ))}
        </Box>
      </Box>
      {seen.length > 0 && (
        <Box className="trouble-ways">
          <Box>
            <TroubleSign found={found} onBack={() => setFound(found.slice(0, -1))} />
            {check && (
              <Box as="section" className="trouble-check" aria-label="Look">
                <Text fontSize="lg" fontFamily="heading">
                  {TROUBLE_CHECKS[check].ask}
                </Text>
                <Box display="flex" flexWrap="wrap" gap="2" mt="2">
                  {answersOf(check).map(({ answer, text }) => (
                    <Button key={answer} onClick={() => setFound([...found, { check, answer }])}>
                      {text}
                    </Button>
                  ))}
                </Box>
              </Box>
            )}
            <Suspects planter={id} belief={suspects(question)} sure={check === null} />
          </Box>
          <Says known={known.filter(bearsOn(suspects(question)))} waiting={value === null} />
        </Box>
      )}
    </>
  );
}

/** What was looked at, the last of which can be taken back. */
function TroubleSign({ found, onBack }: { found: readonly TroubleSign[]; onBack(): void }) {
  if (found.length === 0) return null;
  return (
    <>
      <ul className="trouble-found" aria-label="What was found">
        {found.map(({ check, answer }) => (
          <li key={check}>
            {TROUBLE_CHECKS[check].ask}{' '}
            <b>{answersOf(check).find((one) => one.answer === answer)?.text}.</b>
          </li>
        ))}
      </ul>
      <Button variant="ghost" px="2" onClick={onBack}>
        Take the last answer back
      </Button>
    </>
  );
}

/** Causes that are shown, and the least share of one. */
const SHOWN = 3;
const LEAST = 0.06;

interface SuspectsProps {
  planter: string;
  belief: readonly Suspect[];
  /** Whether enough is known. */
  sure: boolean;
}

function Suspects({ planter, belief, sure }: SuspectsProps) {
  const shown = belief.filter(({ share }, i) => i === 0 || share >= LEAST).slice(0, SHOWN);
  return (
    <Box as="section" mt="4" aria-label="Likely causes">
      <Text as="h2" fontSize="lg">
        {sure ? 'What it likely is' : 'What it may be so far'}
      </Text>
      <ol className="suspects">
        {shown.map((one, i) => (
          <Suspected key={one.cause} planter={planter} suspect={one} open={sure && i === 0} />
        ))}
      </ol>
    </Box>
  );
}

/** A share as people say it. */
const sayShare = (share: number): string => {
  const tenths = Math.round(share * 10);
  if (tenths >= 10) return 'almost sure';
  return tenths === 0 ? 'hardly' : `${tenths} in 10`;
};

function Suspected({
  planter,
  suspect: { cause, share },
  open,
}: {
  planter: string;
  suspect: Suspect;
  open: boolean;
}) {
  const { write } = useWriteLog();
  const { name, mend, deed, room } = CAUSES[cause];
  const put = () =>
    void write([planter], { did: { kind: 'todo', what: mend, then: deed } }).then(() =>
      notify('It stands in today’s list.'),
    );
  const done = () =>
    void write([planter], { did: { kind: 'did', what: deed }, text: `${name}. ${mend}` }).then(() =>
      notify('Noted in the log.'),
    );
  return (
    <li>
      <div className="suspect-head">
        <b>{name}</b>
        <span>{sayShare(share)}</span>
      </div>
      <div className="suspect-bar" aria-hidden>
        <div style={{ width: `${Math.round(share * 100)}%` }} />
      </div>
      {(open || share >= 0.25) && (
        <>
          <Text mt="1">{mend}</Text>
          <Box display="flex" flexWrap="wrap" gap="2" mt="1">
            <Button variant={open ? 'solid' : 'outline'} onClick={put}>
              Put on today’s list
            </Button>
            <Button onClick={done}>I did it</Button>
            <Button asChild variant="ghost" px="2">
              <Link to={`/planters/${planter}?room=${room}`}>Look at it on the bench</Link>
            </Button>
          </Box>
        </>
      )}
    </li>
  );
}

/** Whether what is known says something of the causes that are in question. */
const bearsOn =
  (belief: readonly Suspect[]) =>
  ({ times }: Known): boolean =>
    belief.some(({ cause, share }) => share >= LEAST / 3 && times[cause] !== undefined);

/** What is known without looking. */
function Says({ known, waiting }: { known: readonly Known[]; waiting: boolean }) {
  const { tell } = useWords();
  return (
    <Box as="section" aria-label="What its design and its log say">
      <Text as="h2" fontSize="lg">
        What its design and its log say
      </Text>
      {waiting && <Text role="status">Reading the log…</Text>}
      <ul className="trouble-known">
        {known.map(({ text }) => (
          <li key={tell(text)}>{tell(text)}</li>
        ))}
      </ul>
    </Box>
  );
}
