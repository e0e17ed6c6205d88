import { Combobox, createListCollection, Field, Portal } from '@chakra-ui/react';
import { ChevronDown } from 'lucide-react';
import { useMemo, useRef, useState, type FocusEvent, type ReactNode } from 'react';
import './searchChoice.css';

export interface SearchOption {
  value: string;
  label: string;
  /** What else it is called, where that is what was found. */
  also?: string;
}
export interface SearchGroup {
  label: string;
  options: readonly SearchOption[];
}

interface SearchChoiceProps {
  label: string;
  value: SearchOption | null;
  /** What answers to what was typed; all of it, in its groups, where nothing was. */
  find(typed: string): readonly SearchGroup[];
  onChoose(value: string): void;
  /** Makes one of what was typed, where nothing answers to it. */
  unknown?: { say(typed: string): string; make(typed: string): void };
  help?: ReactNode;
}

/** Goes before the words of which one is made. */
const NEW = '+';

/** One of many named things, looked for by typing. */
export function SearchChoice({ label, value, find, onChoose, unknown, help }: SearchChoiceProps) {
  // Null while nothing is typed: then the field has what is chosen.
  const [typed, setTyped] = useState<string | null>(null);
  const [open, setOpen] = useState(false);
  const list = useRef<HTMLDivElement>(null);
  const words = (typed ?? '').trim();
  const groups = useMemo(() => find(words), [find, words]);
  const none = groups.every(({ options }) => options.length === 0);
  const offer = none && words !== '' ? unknown?.say(words) : undefined;
  const shown = useMemo(
    (): readonly SearchGroup[] =>
      offer === undefined
        ? groups
        : [{ label: '', options: [{ value: NEW + words, label: offer }] }],
    [groups, offer, words],
  );
  const items = shown.flatMap(({ options }) => options);
  const known =
    value && !items.some((one) => one.value === value.value) ? [...items, value] : items;
  const collection = createListCollection<SearchOption>({
    items: [...known],
    itemToString: (one) => one.label,
    itemToValue: (one) => one.value,
  });
  const changeOpen = (next: boolean): void => {
    setOpen(next);
    if (!next) setTyped(null);
  };
  /** The list watches where the focus goes only some moments after it has opened; whoever types fast has gone on then. */
  const closeOnLeave = ({ currentTarget, relatedTarget: next }: FocusEvent<HTMLElement>): void => {
    if (next && !currentTarget.contains(next) && !list.current?.contains(next)) changeOpen(false);
  };
  return (
    <Field.Root>
      <Combobox.Root
        unstyled
        className="search-choice"
        collection={collection}
        value={value ? [value.value] : []}
        openOnClick
        positioning={{ sameWidth: true, placement: 'bottom-start' }}
        inputValue={typed ?? value?.label ?? ''}
        onInputValueChange={({ inputValue, reason }) =>
          setTyped(reason === 'input-change' ? inputValue : null)
        }
        open={open}
        onOpenChange={(change) => changeOpen(change.open)}
        onValueChange={({ value: [chosen] }) => {
          if (chosen === undefined) return;
          if (chosen.startsWith(NEW)) unknown?.make(chosen.slice(NEW.length));
          else onChoose(chosen);
        }}
      >
        <Combobox.Label asChild>
          <Field.Label>{label}</Field.Label>
        </Combobox.Label>
        <Combobox.Control className="search-choice-field" onBlur={closeOnLeave}>
          <Combobox.Input placeholder="Type a name" />
          <Combobox.Trigger aria-label={`All of: ${label}`}>
            <ChevronDown size={18} aria-hidden />
          </Combobox.Trigger>
        </Combobox.Control>
        <Portal>
          <Combobox.Positioner>
            <Combobox.Content ref={list} className="search-choice-list">
              {none && !unknown && <p>Nothing is called so. Try another word.</p>}
              {shown.map((group) => (
                <Group key={group.label} group={group} />
              ))}
            </Combobox.Content>
          </Combobox.Positioner>
        </Portal>
      </Combobox.Root>
      {help && <Field.HelperText>{help}</Field.HelperText>}
    </Field.Root>
  );
}

function Group({ group: { label, options } }: { group: SearchGroup }) {
  if (options.length === 0) return null;
  return (
    <Combobox.ItemGroup>
      {label && <Combobox.ItemGroupLabel>{label}</Combobox.ItemGroupLabel>}
      {options.map((one) => (
        <Combobox.Item key={one.value} item={one}>
          <Combobox.ItemText>{one.label}</Combobox.ItemText>
          {one.also && <span>{one.also}</span>}
        </Combobox.Item>
      ))}
    </Combobox.ItemGroup>
  );
}
