import { Box, Button, Field, Input, Text } from '@chakra-ui/react';
import type { PlanterDesign } from '@huerta/core/document';
import {
  readForm,
  SHORT_FORMS,
  shortFormOf,
  type FormOffer,
  type LinePlanter,
  type LogEntry,
  type ShortFormId,
} from '@huerta/core/journal';
import { dayAfter } from '@huerta/core/physics/climate';
import { useEffect, useId, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Written } from '../../data/api/log';
import { useGardenDay } from '../../data/gardenDay';
import { usePreferences, useWords } from '../../ui/preferences';
import { whenNoted } from '../../ui/whenNoted';
import './shortForms.css';

interface ShortFormsProps {
  id: string;
  design: PlanterDesign;
  /** Entries that hold, latest first. */
  entries: readonly LogEntry[];
  planter: LinePlanter;
  onNote(...written: Written[]): void;
}

const FORM_IDS = Object.keys(SHORT_FORMS) as ShortFormId[];

/** What is noted by a press or two, with what was noted last as the first offer. */
export function ShortForms({ id, onNote, ...about }: ShortFormsProps) {
  const [open, setOpen] = useState<ShortFormId | null>(null);
  const panel = useId();
  return (
    <Box className="short-forms">
      <Box className="short-form-names" role="group" aria-label="Note something else">
        {FORM_IDS.map((form) => (
          <Button
            key={form}
            aria-expanded={open === form}
            aria-controls={panel}
            onClick={() => setOpen(open === form ? null : form)}
          >
            {SHORT_FORMS[form].name}
          </Button>
        ))}
      </Box>
      <Box id={panel}>
        {open && (
          <OpenForm
            key={open}
            form={open}
            {...about}
            onNote={(written) => {
              onNote(written);
              setOpen(null);
            }}
          />
        )}
        {open === 'trouble' && (
          <Link className="short-form-more" to={`/planters/${id}/trouble`}>
            Something else is wrong, or what helps
          </Link>
        )}
      </Box>
    </Box>
  );
}

interface OpenFormProps extends Omit<ShortFormsProps, 'id' | 'onNote'> {
  form: ShortFormId;
  onNote(written: Written): void;
}

function OpenForm({ form, design, entries, planter, onNote }: OpenFormProps) {
  const { can, units: system } = usePreferences();
  const { tell } = useWords();
  const today = useGardenDay();
  const [date, setDate] = useState(today);
  const { offers, things, amount } = useMemo(
    () => shortFormOf(form, { design, entries, system, can, planter }),
    [form, design, entries, system, can, planter],
  );
  const panel = useRef<HTMLDivElement>(null);
  // On a phone it opens under the fold.
  useEffect(() => panel.current?.scrollIntoView?.({ block: 'nearest' }), []);
  const at = () => (date === today ? {} : { at: whenNoted(date, today, null) });
  const note = ({ did, text }: Pick<FormOffer, 'did' | 'text'>) =>
    onNote({ did, ...(text ? { text } : {}), ...at() });
  return (
    <Box ref={panel} className="short-form" role="group" aria-label={SHORT_FORMS[form].name}>
      <When {...{ date, today }} onChoose={setDate} />
      <Box className="short-form-offers">
        {offers.map((one) => (
          <Button key={tell(one.words)} onClick={() => note(one)}>
            {tell(one.words)}
          </Button>
        ))}
      </Box>
      {amount && <AmountForm {...{ form, things, amount, planter }} onNote={note} />}
    </Box>
  );
}

interface WhenProps {
  date: string;
  today: string;
  onChoose(date: string): void;
}

/** The day on which it was done: today, the day before, or one that is chosen. */
function When({ date, today, onChoose }: WhenProps) {
  const yesterday = dayAfter(today, -1);
  return (
    <Box className="short-form-when" role="group" aria-label="When">
      <Button aria-pressed={date === today} onClick={() => onChoose(today)}>
        Today
      </Button>
      <Button aria-pressed={date === yesterday} onClick={() => onChoose(yesterday)}>
        Yesterday
      </Button>
      <Input
        type="date"
        aria-label="Another day"
        max={today}
        value={date}
        onChange={({ target: { value } }) => {
          if (value !== '' && value <= today) onChoose(value);
        }}
      />
    </Box>
  );
}

interface AmountFormProps {
  form: ShortFormId;
  things: readonly string[] | null;
  amount: { us: string; metric: string };
  planter: LinePlanter;
  onNote(told: Pick<FormOffer, 'did' | 'text'>): void;
}

/** An amount as one says it, of one of the things that are likely or of another. What is in doubt is asked. */
function AmountForm({ form, things, amount, planter, onNote }: AmountFormProps) {
  const { units, can } = usePreferences();
  const [typed, setTyped] = useState('');
  const [of, setOf] = useState(things?.[0] ?? '');
  const [trouble, setTrouble] = useState<{ words: string; asked: boolean } | null>(null);
  const list = useId();
  const change = (next: () => void) => {
    next();
    setTrouble(null);
  };
  const write = () => {
    const read = readForm(form, typed, of, { system: units, can, planter });
    if (!read.ok) setTrouble({ words: read.message, asked: false });
    else if (read.doubt && !trouble?.asked)
      setTrouble({ words: `${read.doubt} Change it, or note it so.`, asked: true });
    else onNote({ did: read.did, text: '' });
  };
  return (
    <Box
      as="form"
      className="short-form-amount"
      onSubmit={(event) => {
        event.preventDefault();
        write();
      }}
    >
      <Field.Root invalid={trouble !== null && !trouble.asked}>
        <Field.Label>{AMOUNT[form]}</Field.Label>
        <Input
          value={typed}
          autoComplete="off"
          placeholder={amount[units]}
          onChange={({ target }) => change(() => setTyped(target.value))}
        />
      </Field.Root>
      {things && (
        <Field.Root>
          <Field.Label>Of what</Field.Label>
          <Input
            value={of}
            list={list}
            autoComplete="off"
            maxLength={80}
            onChange={({ target }) => change(() => setOf(target.value))}
          />
          <datalist id={list}>
            {things.map((thing) => (
              <option key={thing} value={thing} />
            ))}
          </datalist>
        </Field.Root>
      )}
      <Button type="submit" variant="solid">
        {trouble?.asked ? 'Note it so' : 'Note it'}
      </Button>
      {trouble && (
        <Text role="alert" className={trouble.asked ? 'log-doubt' : 'short-form-trouble'}>
          {trouble.words}
        </Text>
      )}
    </Box>
  );
}

/** What the field of each form is called. */
const AMOUNT: Record<ShortFormId, string> = {
  water: 'Water, or cans',
  feed: 'How much feed',
  harvest: 'How many, or their weight',
  weather: 'Rain that fell',
  plant: '',
  trouble: '',
};
