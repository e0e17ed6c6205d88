import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import { cropIn, type PlantingDesign, type FieldSpec } from '@huerta/core/document';
import {
  MOST_EVERY,
  MOST_GIVEN,
  MOST_WATERINGS,
  type Filling,
  type SeasonPlan,
  type Watering,
} from '@huerta/core/simulation/season';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useWords } from '../../ui/preferences';
import { writeDate } from '../../ui/dates';
import { ChoiceField } from '../../ui/ChoiceField';
import { QuantityField } from '../../ui/QuantityField';
import { isDate } from './dates';

interface PlanFieldsProps {
  planting: PlantingDesign;
  plan: SeasonPlan;
  /** The day that holds while the plan says none. */
  planted: string;
  /** The day that a new watering is proposed for. */
  day: string;
  onChange(plan: SeasonPlan): void;
  /** Whether the log says when it was planted; then that holds. */
  logged?: boolean;
  /** The day of planting alone. */
  dayOnly?: boolean;
}

const FILLINGS: Readonly<Record<Filling['kind'], { name: string }>> = {
  'when-low': { name: 'when the dip stick reads low' },
  every: { name: 'every so many days' },
  never: { name: 'only on chosen days' },
};
/** What is planned, in half a sentence. */
export const planLine = (
  { filling }: SeasonPlan,
  planted: string,
  say: (text: string) => string,
): string => {
  const when =
    filling.kind === 'every' ? `every ${filling.days} days` : FILLINGS[filling.kind].name;
  return say(`Planted on ${writeDate(planted, 'long')}, filled ${when}`);
};
const EVERY: FieldSpec = { label: 'Days between', kind: 'count', min: 1, max: MOST_EVERY };
const USUAL_EVERY = 7;

/** When it is planted, who fills it, and what is given by hand. */
export function PlanFields({
  planting,
  plan,
  planted,
  logged = false,
  day,
  onChange,
  dayOnly,
}: PlanFieldsProps) {
  const { filling } = plan;
  const [draft, setDraft] = useState<string | null>(null);
  const { say } = useWords();
  const shown = draft ?? planted;
  return (
    <>
      <Field.Root invalid={!isDate(shown)} w="12rem">
        <Field.Label>{say(firstOf(planting))} planted on</Field.Label>
        <Input
          type="date"
          value={shown}
          readOnly={logged}
          onChange={({ target: { value } }) => {
            setDraft(isDate(value) ? null : value);
            if (isDate(value)) onChange({ ...plan, planted: value });
          }}
        />
        {logged && <Field.HelperText>As its log says. Correct it there.</Field.HelperText>}
        <Field.ErrorText>Choose a day.</Field.ErrorText>
      </Field.Root>
      {!dayOnly && (
        <Box w="15rem">
          <ChoiceField
            label="It is filled"
            value={filling.kind}
            choices={FILLINGS}
            onChoose={(kind) =>
              onChange({
                ...plan,
                filling: kind === 'every' ? { kind, days: USUAL_EVERY } : { kind },
              })
            }
          />
        </Box>
      )}
      {!dayOnly && filling.kind === 'every' && (
        <Box w="8rem">
          <QuantityField
            spec={EVERY}
            value={filling.days}
            onCommit={(days) => {
              onChange({ ...plan, filling: { kind: 'every', days } });
              return null;
            }}
          />
        </Box>
      )}
      {!dayOnly && <Waterings plan={plan} day={day} onChange={onChange} />}
    </>
  );
}

/** What is planted first, by name; all of it where several are. */
function firstOf({ crops }: PlantingDesign): string {
  const [first, ...more] = crops.filter(({ from, count }) => from === 0 && count > 0);
  return first && more.length === 0 ? cropIn(first).name : 'First';
}

const WAYS = {
  full: { name: 'through the tube, until it runs over' },
  tube: { name: 'through the tube' },
  top: { name: 'on top' },
} as const;
const AMOUNT: FieldSpec = { label: 'How much', kind: 'volume', min: 1e-5, max: MOST_GIVEN };
const USUAL_AMOUNT = 0.002;

function Waterings({ plan, day, onChange }: Pick<PlanFieldsProps, 'plan' | 'day' | 'onChange'>) {
  const { write } = useWords();
  const [date, setDate] = useState<string | null>(null);
  const [way, setWay] = useState<keyof typeof WAYS>('full');
  const [volume, setVolume] = useState(USUAL_AMOUNT);
  const { waterings } = plan;
  const on = date ?? day;
  const full = waterings.length >= MOST_WATERINGS;
  const said = ({ where, volume: given }: Watering): string =>
    given === null ? WAYS.full.name : `${write(given, 'volume')} ${WAYS[where].name}`;
  const set = (next: readonly Watering[]) =>
    onChange({ ...plan, waterings: [...next].sort((a, b) => a.date.localeCompare(b.date)) });
  return (
    <details className="waterings">
      <summary>
        Watered by hand{' '}
        {waterings.length === 0
          ? 'on no day'
          : waterings.length === 1
            ? 'on one day'
            : `${waterings.length} times`}
      </summary>
      {waterings.length > 0 && (
        <ul aria-label="Waterings by hand">
          {waterings.map((one, i) => (
            <li key={i}>
              <span>
                {writeDate(one.date, 'year')}, {said(one)}
              </span>
              <Button
                variant="ghost"
                px="2"
                aria-label={`Leave out the watering of ${writeDate(one.date, 'year')}`}
                onClick={() => set(waterings.filter((_, k) => k !== i))}
              >
                <X size={18} aria-hidden />
              </Button>
            </li>
          ))}
        </ul>
      )}
      <Box className="watering-new" role="group" aria-label="Another watering">
        <Field.Root invalid={!isDate(on)}>
          <Field.Label>On the morning of</Field.Label>
          <Input type="date" value={on} onChange={({ target }) => setDate(target.value)} />
          <Field.ErrorText>Choose a day.</Field.ErrorText>
        </Field.Root>
        <ChoiceField<keyof typeof WAYS>
          label="Given"
          value={way}
          choices={WAYS}
          onChoose={setWay}
        />
        {way !== 'full' && (
          <QuantityField
            spec={AMOUNT}
            value={volume}
            onCommit={(next) => {
              setVolume(next);
              return null;
            }}
          />
        )}
        <Button
          disabled={!isDate(on) || full}
          onClick={() => {
            const next: Watering =
              way === 'top'
                ? { where: 'top', date: on, volume }
                : { where: 'tube', date: on, volume: way === 'full' ? null : volume };
            set([...waterings, next]);
            setDate(null);
          }}
        >
          Add it
        </Button>
      </Box>
      {full && (
        <Text fontSize="sm">More than {MOST_WATERINGS} are not kept. Leave some out first.</Text>
      )}
    </details>
  );
}
