import { Box, Button, Text, useBreakpointValue } from '@chakra-ui/react';
import {
  answersOf,
  CAUSES,
  checksFor,
  knownOf,
  measuredOf,
  mendOf,
  nextCheck,
  suspects,
  SYMPTOM_IDS,
  SYMPTOM_PLACES,
  SYMPTOMS,
  TROUBLE_CHECKS,
  troublePoint,
  type TroubleSign,
  type Known,
  type Suspect,
  type Symptom,
  type TendedState,
  type TroublePlace,
} from '@huerta/core/journal';
import { dayAfter, daysThatCount, siteOf } from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import type { PlanterDesign } from '@huerta/core/document';
import { section } from '@huerta/core/drawing';
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
import { useLineShare } from '../../compute/line';
import { useRound } from '../../compute/round';
import { SmallSection } from '../../drawing/SmallSection';
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
  const share = useLineShare(resource);
  const measured = useMeasuredDays();
  const today = useGardenDay();
  return useMemo(() => {
    if (state === undefined || !measured) return [];
    const { design } = resource;
    const { figures, findings } = evaluate(design, share).assessment;
    const days = [...(choice.days?.days ?? []), ...daysThatCount(measured, today)];
    const site = siteOf(choice);
    // Only what was measured: made-up days say nothing of what it went through.
    const since = dayAfter(today, -BACK);
    const weather = measuredOf({ site, days }).filter(({ date }) => date >= since && date < today);
    return knownOf({ design, figures, findings, state, entries, weather, today });
  }, [resource, share, entries, choice, state, measured, today]);
}

const isAt = (symptom: Symptom, place: string): boolean => SYMPTOMS[symptom].place === place;
const SYMPTOM_GROUPS = Object.entries(SYMPTOM_PLACES).map(
  ([place, { name }]) => [place, name] as const,
);

function Guide(props: Tending) {
  const { resource, entries, choice, plan } = props;
  const { id, design } = resource;
  const [search, setSearch] = useSearchParams();
  const asked = (search.get('seen') ?? '').split(',');
  const seen = SYMPTOM_IDS.filter((one) => asked.includes(one));
  const [found, setFound] = useState<readonly TroubleSign[]>([]);
  // On a phone what is seen is found by its place, and what follows from it stays near.
  const wide = useBreakpointValue({ base: false, md: true }, { ssr: false }) ?? true;
  const planters = useMemo(() => [resource], [resource]);
  const plans = useMemo(() => ({ [id]: plan }), [id, plan]);
  const { value } = useRound({ planters, plans, entries, choice });
  const known = useKnown(props, value === null ? undefined : value[id]);
  const question = { seen, known, found, can: useMemo(() => checksFor(design), [design]) };
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
          {SYMPTOM_GROUPS.map(([place, title]) => (
            <details
              key={place}
              open={wide || SYMPTOM_IDS.some((one) => isAt(one, place) && seen.includes(one))}
            >
              <summary>{title}</summary>
              <div className="symptom-list">
                {SYMPTOM_IDS.filter((one) => isAt(one, place)).map((one) => (
                  <TickField
                    key={one}
                    label={SYMPTOMS[one].name}
                    checked={seen.includes(one)}
                    onTick={(on) => tick(one, on)}
                  />
                ))}
              </div>
            </details>
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
            <Suspects
              planter={id}
              design={design}
              belief={suspects(question)}
              sure={check === null}
            />
          </Box>
          <Box>
            <Where design={design} cause={suspects(question)[0]?.cause ?? null} />
            <Says known={known.filter(bearsOn(suspects(question)))} waiting={value === null} />
          </Box>
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

/** Causes that are shown, the least share of one, and below which it is folded away. */
const SHOWN = 4;
const LEAST = 0.06;
const FOLDED = 0.2;

interface SuspectsProps {
  planter: string;
  design: PlanterDesign;
  belief: readonly Suspect[];
  /** Whether enough is known. */
  sure: boolean;
}

function Suspects({ planter, design, belief, sure }: SuspectsProps) {
  const shown = belief.filter(({ share }, i) => i === 0 || share >= LEAST).slice(0, SHOWN);
  const likely = shown.filter(({ share }, i) => i === 0 || share >= FOLDED);
  const others = shown.filter((one) => !likely.includes(one));
  return (
    <Box as="section" mt="4" aria-label="Likely causes">
      <Text as="h2" fontSize="lg">
        {sure ? 'What it likely is' : 'What it may be so far'}
      </Text>
      <ol className="suspects">
        {likely.map((one, i) => (
          <Suspected
            key={one.cause}
            planter={planter}
            design={design}
            suspect={one}
            open={sure && i === 0}
          />
        ))}
      </ol>
      {others.length > 0 && (
        <details className="suspects-folded">
          <summary>Less likely</summary>
          <ol className="suspects">
            {others.map((one) => (
              <Suspected
                key={one.cause}
                planter={planter}
                design={design}
                suspect={one}
                open={false}
              />
            ))}
          </ol>
        </details>
      )}
    </Box>
  );
}

/** A share as people say it. */
const sayShare = (share: number): string => {
  const tenths = Math.round(share * 10);
  if (tenths >= 10) return 'almost sure';
  return tenths === 0 ? 'hardly' : `${tenths} in 10`;
};

interface SuspectedProps {
  planter: string;
  design: PlanterDesign;
  suspect: Suspect;
  open: boolean;
}

function Suspected({ planter, design, suspect: { cause, share }, open }: SuspectedProps) {
  const { write } = useWriteLog();
  const { name, deed, room, normal } = CAUSES[cause];
  const mend = mendOf(cause, design);
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
        <b>
          {name}
          {normal && <span className="suspect-normal">this is normal</span>}
        </b>
        <span>{sayShare(share)}</span>
      </div>
      <div className="suspect-bar" aria-hidden>
        <div style={{ width: `${Math.round(share * 100)}%` }} />
      </div>
      {(open || share >= 0.25) && (
        <>
          <Text mt="1">{mend}</Text>
          <Box display="flex" flexWrap="wrap" gap="2" mt="1">
            {!normal && (
              <Button variant={open ? 'solid' : 'outline'} onClick={put}>
                Put on today’s list
              </Button>
            )}
            <Button onClick={done}>{normal ? 'Note it' : 'I did it'}</Button>
            <Button asChild variant="ghost" px="2">
              <Link to={`/planters/${planter}?room=${room}`}>Look at it on the bench</Link>
            </Button>
          </Box>
        </>
      )}
    </li>
  );
}

/** The planter with the place of the likeliest cause ringed. */
function Where({ design, cause }: { design: PlanterDesign; cause: Suspect['cause'] | null }) {
  const { planter } = useMemo(() => evaluate(design), [design]);
  const drawn = useMemo(() => section(planter), [planter]);
  if (!cause) return null;
  return (
    <Box mb="4" className="trouble-where">
      <SmallSection
        section={drawn}
        width={320}
        height={230}
        ring={troublePoint(planter, CAUSES[cause].at)}
        label={`Where to look: ${PLACES[CAUSES[cause].at]}`}
      />
      <Text fontSize="sm" color="faint">
        Where to look: {PLACES[CAUSES[cause].at]}
      </Text>
    </Box>
  );
}

const PLACES: Readonly<Record<TroublePlace, string>> = {
  plants: 'the plants',
  surface: 'the surface',
  soil: 'the soil',
  base: 'the bottom of the soil',
  wick: 'the wick',
  water: 'the water',
  overflow: 'the overflow',
  tube: 'the fill tube',
  vessel: 'the wall and what it stands on',
};

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
