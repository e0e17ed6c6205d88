import { Field, NativeSelect } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import type { ReactNode } from 'react';

export interface ChoiceGroup {
  label: string;
  options: readonly { value: string; label: string }[];
}

interface GroupedChoiceProps {
  label: string;
  value: string;
  groups: readonly ChoiceGroup[];
  onChoose(value: string): void;
  help?: ReactNode;
}

/** One of many named things, under headings. */
export function GroupedChoice({ label, value, groups, onChoose, help }: GroupedChoiceProps) {
  return (
    <Field.Root>
      <Field.Label>{label}</Field.Label>
      <NativeSelect.Root>
        <NativeSelect.Field value={value} onChange={(event) => onChoose(event.currentTarget.value)}>
          {groups.map((group) => (
            <optgroup key={group.label} label={group.label}>
              {group.options.map((option) => (
                <option key={option.value} value={option.value}>
                  {option.label}
                </option>
              ))}
            </optgroup>
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
