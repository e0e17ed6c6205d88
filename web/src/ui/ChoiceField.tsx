import { Checkbox, Field, NativeSelect } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';
import { useWords } from './preferences';
import { Label } from './Label';

interface ChoiceFieldProps<T extends string> {
  label: string;
  value: T;
  choices: Readonly<Record<T, { name: string }>>;
  onChoose(value: T): void;
  help?: ReactNode;
  /** Whether the names are somebody's own, and stand as they were written. */
  own?: boolean;
}

/** Letters of the longest name that has room beside another field. */
const HALF = 9;

/** One of a few named things. */
export function ChoiceField<T extends string>({
  label,
  value,
  choices,
  onChoose,
  help,
  own = false,
}: ChoiceFieldProps<T>) {
  const { say } = useWords();
  const names = Object.values(choices) as readonly { name: string }[];
  const long = names.some(({ name }) => say(name).length > HALF);
  return (
    // In a pair there is no room for a long one: it takes the whole row.
    <Field.Root {...(long ? { className: 'long-choice' } : {})}>
      <Label>{label}</Label>
      <NativeSelect.Root>
        <NativeSelect.Field
          value={value}
          onChange={(event) => onChoose(event.currentTarget.value as T)}
        >
          {(Object.keys(choices) as T[]).map((id) => (
            <option key={id} value={id}>
              {own ? choices[id].name : say(choices[id].name)}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator>
          <ChevronDown size={18} />
        </NativeSelect.Indicator>
      </NativeSelect.Root>
      {help && <Field.HelperText>{help}</Field.HelperText>}
    </Field.Root>
  );
}

interface TickFieldProps {
  label: string;
  checked: boolean;
  onTick(checked: boolean): void;
  /** Whether the label is only for those who do not see what it stands beside. */
  hidden?: boolean;
}

/** Yes or no. */
export function TickField({ label, checked, onTick, hidden = false }: TickFieldProps) {
  return (
    <Checkbox.Root checked={checked} onCheckedChange={(event) => onTick(event.checked === true)}>
      <Checkbox.HiddenInput />
      <Checkbox.Control>
        <Checkbox.Indicator />
      </Checkbox.Control>
      <Checkbox.Label {...(hidden ? { srOnly: true } : {})}>{label}</Checkbox.Label>
    </Checkbox.Root>
  );
}
