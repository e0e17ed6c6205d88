import { Box, Text } from '@chakra-ui/react';
import type { Change, FieldSpec } from '@huerta/core/document';
import { memo, type ReactNode } from 'react';
import { ChoiceField, TickField } from '../../../ui/ChoiceField';
import { QuantityField } from '../../../ui/QuantityField';
import { useEditorStore } from '../editorState';

export { Pair } from '../../../ui/Pair';

interface MeasureProps {
  path: Change['path'];
  spec: FieldSpec;
  value: number;
  label?: string;
  help?: ReactNode;
}

/** A quantity of the design at a path. */
export const Measure = memo(function Measure({ path, spec, value, label, help }: MeasureProps) {
  const store = useEditorStore();
  return (
    <QuantityField
      spec={spec}
      value={value}
      onCommit={(next) => store.enter({ path, value: next })?.message ?? null}
      onDrop={() => store.forget(path)}
      {...(label ? { label } : {})}
      {...(help ? { help } : {})}
    />
  );
}, alike);

interface ChoiceProps<T extends string> {
  path: Change['path'];
  label: string;
  value: T;
  choices: Readonly<Record<T, { name: string }>>;
  help?: ReactNode;
}

/** One of a few named things at a path of the design. */
export function Choice<T extends string>({ path, label, value, choices, help }: ChoiceProps<T>) {
  const store = useEditorStore();
  return (
    <ChoiceField
      label={label}
      value={value}
      choices={choices}
      onChoose={(next) => store.change([{ path, value: next }])}
      help={help}
    />
  );
}

interface TickProps {
  path: Change['path'];
  label: string;
  checked: boolean;
}

/** Yes or no at a path of the design. */
export function Tick({ path, label, checked }: TickProps) {
  const store = useEditorStore();
  return (
    <TickField
      label={label}
      checked={checked}
      onTick={(next) => store.change([{ path, value: next }])}
    />
  );
}

/** A path is made anew with every look at the design; what counts is what it says. */
function alike(a: MeasureProps, b: MeasureProps): boolean {
  return (
    a.value === b.value &&
    a.spec === b.spec &&
    a.label === b.label &&
    a.help === b.help &&
    a.path.join('.') === b.path.join('.')
  );
}

/** A named group within a room. */
export function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" display="flex" flexDirection="column" gap="3">
      <Text as="h3" fontSize="sm" borderBottom="1px solid" borderColor="ink" pb="1">
        {title}
      </Text>
      {children}
    </Box>
  );
}

/** What the design's own numbers say about what was just typed. */
export function Says({ children }: { children: ReactNode }) {
  return (
    <Text
      fontSize="sm"
      lineHeight="1.4"
      px="3"
      py="1"
      borderInlineStart="3px solid"
      borderColor="rule"
    >
      {children}
    </Text>
  );
}
