import { Box, Button, Text, useBreakpointValue } from '@chakra-ui/react';
import { plantingView } from '@huerta/core/drawing';
import { sayField, type Moisture } from '@huerta/core/simulation/moisture';
import { useDeferredValue, useEffect, useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { useCarries, useField } from '../../../compute/field';
import type { FieldAsked } from '../../../compute/tasks';
import { FieldPaint } from '../../../drawing/FieldPaint';
import { moistureInk } from '../../../drawing/fieldPaint';
import { PlanDrawing } from '../../../drawing/PlanDrawing';
import { useEditor } from '../editorState';
import { useMoisturePanel, type MoistureShown } from '../moisture';
import { Says } from './parts';

const LEVELS = [1, 0.8, 0.6, 0.4, 0.2, 0.05];
const DAYS = { hot: 'A hot day', mild: 'A mild day' } as const;
const WORDS: Readonly<Record<Moisture, string>> = {
  wet: 'wet, short of air',
  easy: 'moist, easy to drink from',
  dry: 'dry, hard to drink from',
};
/** Share of the roots that may stand dry without a remedy. */
const FEW = 0.05;

/** Where in the soil the water gets to, worked out when somebody opens it. */
export function FieldGroup() {
  const { open, setOpen } = useMoisturePanel();
  return (
    <details
      className="field-group"
      open={open}
      onToggle={(event) => setOpen(event.currentTarget.open)}
    >
      <summary>Where the water gets to</summary>
      {open && <Worked />}
    </details>
  );
}

function Worked() {
  const { design: now, planter } = useEditor();
  const { write, tell } = useWords();
  const design = useDeferredValue(now);
  const [at, setAt] = useState(0);
  const [day, setDay] = useState<keyof typeof DAYS>('hot');
  const share = LEVELS[at] ?? 1;
  const asked: FieldAsked = { design, share, day };
  const { value: data, current, working, trouble } = useField(asked);
  const level = share * planter.heights.brim;
  const wide = useBreakpointValue({ base: false, lg: true }, { ssr: false }) ?? false;
  const { show, setOpen } = useMoisturePanel();
  const picture = current ? data : null;
  useEffect(() => {
    // Until there is a newer one, the last stays.
    if (picture) show({ design, level, section: picture.section, plan: picture.plan });
  }, [show, picture, design, level]);
  useEffect(
    () => () => {
      show(null);
      setOpen(false);
    },
    [show, setOpen],
  );
  return (
    <Box opacity={working ? 0.75 : 1} aria-busy={working}>
      <div className="field-asks" role="group" aria-label="Day">
        {(Object.keys(DAYS) as (keyof typeof DAYS)[]).map((one) => (
          <Button
            key={one}
            size="sm"
            variant={one === day ? 'solid' : 'outline'}
            aria-pressed={one === day}
            onClick={() => setDay(one)}
          >
            {DAYS[one]}
          </Button>
        ))}
      </div>
      <label className="field-scrub">
        <Text as="span">Water at {write(level, 'length')}</Text>
        <input
          type="range"
          min={0}
          max={LEVELS.length - 1}
          value={LEVELS.length - 1 - at}
          aria-valuetext={write(level, 'length')}
          onChange={(event) => setAt(LEVELS.length - 1 - Number(event.target.value))}
        />
      </label>
      {trouble ? (
        <Says>{trouble}</Says>
      ) : !data ? (
        <Says>Working it out…</Says>
      ) : (
        <>
          <Text role="status" my="2">
            {tell(sayField(data, data.reading))}
          </Text>
          {!wide && <FromAbove picture={data.plan} />}
          <Box as="ul" className="field-key">
            {(Object.keys(WORDS) as Moisture[]).map((one) => (
              <li key={one}>
                <span style={{ background: moistureInk(KEY[one]) }} />
                {write(data.shares[one], 'share')} of the roots: {WORDS[one]}
              </li>
            ))}
          </Box>
          <Carries asked={asked} wanted={data.shares.dry >= FEW && !working} />
          <Says>
            Painted on the section, and from above at a finger’s depth: how the soil settles when
            that day goes on and on, with grown plants.
          </Says>
        </>
      )}
    </Box>
  );
}

/** The plan, where there is no room for it beside the section. */
function FromAbove({ picture }: { picture: MoistureShown['plan'] }) {
  const { planter } = useEditor();
  const places = planter.bed.places.map(({ x, y }) => [x, y] as const);
  return (
    <PlanDrawing
      drawing={plantingView(planter)}
      width={320}
      height={220}
      label="From above, at a finger’s depth"
      onSoil={(view) => <FieldPaint picture={picture} view={view} places={places} />}
    />
  );
}

/** Suctions that stand for the words, metres. */
const KEY: Readonly<Record<Moisture, number>> = { wet: 0.02, easy: 0.25, dry: 3 };

/** What would carry the water farther, each with what it comes to. */
function Carries({ asked, wanted }: { asked: FieldAsked; wanted: boolean }) {
  const { change } = useEditor();
  const { write, tell } = useWords();
  const { value, current, working } = useCarries(asked, wanted);
  const [refusal, setRefusal] = useState('');
  if (!wanted) return null;
  if (working || !current) return <Says>Trying what would carry it farther…</Says>;
  return (
    <Box display="grid" gap="2" my="2">
      {(value ?? []).map(({ label, patch, dry }) => (
        <Button
          key={tell(label)}
          whiteSpace="normal"
          height="auto"
          minH="11"
          py="2"
          onClick={() => {
            const refused = change(patch);
            setRefusal(refused ? tell(refused) : '');
          }}
        >
          {tell(label)}: {write(dry, 'share')} dry then
        </Button>
      ))}
      {value?.length === 0 && (
        <Says>Neither more wicks nor sand under the soil would change that much.</Says>
      )}
      {refusal && (
        <Text color="harm" fontSize="sm" role="alert">
          {refusal}
        </Text>
      )}
    </Box>
  );
}
