import { Box, Button, Text } from '@chakra-ui/react';
import { sayField, type Moisture } from '@huerta/core';
import { useDeferredValue, useState } from 'react';
import { useWords } from '../../../app/preferences';
import { useCarries, useField } from '../../../workers/field';
import type { FieldAsked } from '../../../workers/work';
import { useBench } from '../bench';
import { FieldCanvas, moistureInk } from './FieldCanvas';
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
  const [open, setOpen] = useState(false);
  return (
    <Box as="details" className="field-group" onToggle={() => setOpen((now) => !now)}>
      <Box as="summary">Where the water gets to</Box>
      {open && <Worked />}
    </Box>
  );
}

function Worked() {
  const { design: now, planter } = useBench();
  const { write, tell } = useWords();
  const design = useDeferredValue(now);
  const [at, setAt] = useState(0);
  const [day, setDay] = useState<keyof typeof DAYS>('hot');
  const share = LEVELS[at] ?? 1;
  const asked: FieldAsked = { design, share, day };
  const { value: data, working, trouble } = useField(asked);
  const level = share * planter.heights.brim;
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
          <FieldCanvas picture={data.section} label="Cut through the middle, surface above" />
          <FieldCanvas picture={data.plan} label="From above, at a finger’s depth" />
          <Box as="ul" className="field-key">
            {(Object.keys(WORDS) as Moisture[]).map((one) => (
              <li key={one}>
                <span style={{ background: moistureInk(KEY[one]) }} />
                {write(data.shares[one], 'share')} of the roots: {WORDS[one]}
              </li>
            ))}
          </Box>
          <Carries asked={asked} wanted={data.shares.dry >= FEW && !working} />
          <Says>How the soil settles when that day goes on and on, with grown plants.</Says>
        </>
      )}
    </Box>
  );
}

/** Suctions that stand for the words, metres. */
const KEY: Readonly<Record<Moisture, number>> = { wet: 0.02, easy: 0.25, dry: 3 };

/** What would carry the water farther, each with what it comes to. */
function Carries({ asked, wanted }: { asked: FieldAsked; wanted: boolean }) {
  const { change } = useBench();
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
