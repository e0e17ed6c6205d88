import { Box, Button, Field, Input } from '@chakra-ui/react';
import type { PlanterSummary } from '@huerta/contract';
import { useState } from 'react';
import './chooser.css';

interface ChooserProps {
  label: string;
  planters: readonly PlanterSummary[];
  chosen: readonly string[];
  onToggle(id: string): void;
}

/** More than these are looked for by words. */
const MANY = 8;
/** Planters shown of those that the words find. */
const SHOWN = 24;

/** Some of the garden's planters, each a button that is pressed or not, by where they stand. */
export function Chooser({ label, planters, chosen, onToggle }: ChooserProps) {
  const [words, setWords] = useState('');
  const [begun] = useState(chosen.length === 0);
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const found = planters.filter(({ name, summary: { variant, place, crop } }) => {
    const said = [name, variant, place, crop].join(' ').toLowerCase();
    return wanted.every((word) => said.includes(word));
  });
  const shown = found.slice(0, SHOWN);
  const places = [...new Set(shown.map(({ summary }) => summary.place))].sort((a, b) =>
    a.localeCompare(b),
  );
  // The page says what to do where there is nothing to choose from.
  if (planters.length === 0) return null;
  const picked = planters.filter(({ id }) => chosen.includes(id));
  const button = (planter: PlanterSummary) => (
    <PlanterButton
      key={planter.id}
      planter={planter}
      on={chosen.includes(planter.id)}
      onToggle={onToggle}
    />
  );
  return (
    <Box role="group" aria-label={label} className="chooser not-printed">
      {picked.length > 0 && (
        <div className="chooser-row">
          <span>Chosen</span>
          <div>{picked.map(button)}</div>
        </div>
      )}
      {/* Where some are chosen already, what comes of it matters more than the others. */}
      <details className="chooser-others" open={begun}>
        <summary>{picked.length > 0 ? 'Choose others' : 'Choose planters'}</summary>
        {planters.length > MANY && (
          <Field.Root maxW="20rem">
            <Field.Label>Find a planter</Field.Label>
            <Input
              type="search"
              value={words}
              placeholder="Name, place or crop"
              onChange={(event) => setWords(event.target.value)}
            />
          </Field.Root>
        )}
        <div className="chooser-places">
          {places.map((place) => {
            const here = shown.filter(
              ({ id, summary }) => summary.place === place && !chosen.includes(id),
            );
            return here.length === 0 ? null : (
              <div key={place} className="chooser-row">
                <span>{place || 'Nowhere yet'}</span>
                <div>{here.map(button)}</div>
              </div>
            );
          })}
        </div>
        {found.length === 0 && <p>No planter is called so. Look for another word.</p>}
        {found.length > SHOWN && (
          <p>And {found.length - SHOWN} more: type a word of the name, the place or the crop.</p>
        )}
      </details>
    </Box>
  );
}

interface PlanterButtonProps {
  planter: PlanterSummary;
  on: boolean;
  onToggle(id: string): void;
}

function PlanterButton({ planter: { id, name, summary }, on, onToggle }: PlanterButtonProps) {
  return (
    <Button
      aria-pressed={on}
      px="3"
      bg={on ? 'ink' : 'transparent'}
      color={on ? 'wall' : 'ink'}
      _hover={{ bg: on ? 'ink' : 'clayWash' }}
      onClick={() => onToggle(id)}
    >
      {name}
      {summary.variant && `, ${summary.variant}`}
    </Button>
  );
}
