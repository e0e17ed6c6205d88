import { Box, Text } from '@chakra-ui/react';
import { baseName } from '@huerta/core/assembly';
import { buildSheet, type BuildSheet } from '@huerta/core/fabrication';
import { CLOTHS } from '@huerta/core/catalog';
import { reportOf, SHOWN } from '@huerta/core/assessment';
import { useMemo } from 'react';
import { useWords } from '../../../ui/preferences';
import { TextField } from '../../../ui/TextField';
import { useEditor } from '../editorState';
import { HistoryGroup } from './HistoryGroup';
import { Group, Says } from './parts';

/** Everything in numbers, and the test to make with water before any soil goes in. */
export function CheckPanel() {
  const { design, planter, assessment, change } = useEditor();
  const { write, tell, units } = useWords();
  const { figures: f } = assessment;
  const { parts, steps } = useMemo(() => buildSheet(planter, f, units), [planter, f, units]);
  const materials = design.wicks.flatMap((wick) =>
    wick.kind === 'cloth' ? [CLOTHS[wick.material]] : [],
  );
  return (
    <>
      <Group title="Test with water, before soil">
        <WaterTest steps={steps} />
      </Group>
      <Group title="What it takes">
        <Table rows={parts.map(({ id, what, amount }) => [id, what, tell(amount)])} />
      </Group>
      <Group title="All figures">
        <Table
          rows={reportOf(f, SHOWN.all).map(({ id, label, kind, value, none }) => [
            id,
            label,
            value === null ? none : write(value, kind),
          ])}
        />
      </Group>
      {materials.length > 0 && (
        <Says>
          Renew the {materials[0]?.name.toLowerCase()} after about {materials[0]?.seasons} seasons.
        </Says>
      )}
      <Group title="Variant">
        <TextField
          label="What sets this variant apart"
          value={design.variant}
          maxLength={60}
          onCommit={(value) => change([{ path: ['variant'], value }])}
        />
      </Group>
      <HistoryGroup />
      <Group title="Notes">
        <TextField
          label="Notes"
          hideLabel
          long
          value={design.notes}
          maxLength={4000}
          onCommit={(value) => change([{ path: ['notes'], value }])}
        />
      </Group>
    </>
  );
}

/** Names on the left, amounts on the right. */
function Table({
  rows,
}: {
  rows: readonly (readonly [id: string, label: string, value: string])[];
}) {
  return (
    <Box as="table" w="full" fontSize="sm" style={{ borderCollapse: 'collapse' }}>
      <tbody>
        {rows.map(([id, label, value]) => (
          <Box as="tr" key={id} borderBottom="1px solid" borderColor="rule">
            <Box
              as="th"
              textAlign="left"
              fontWeight="normal"
              verticalAlign="top"
              py="1"
              pe="2"
              color="faint"
              {...{ scope: 'row' }}
            >
              {label}
            </Box>
            <Box as="td" textAlign="right" fontWeight="medium">
              {value}
            </Box>
          </Box>
        ))}
      </tbody>
    </Box>
  );
}

/** What the pour of the build sheet must show, or why it cannot be made yet. */
function WaterTest({ steps }: Pick<BuildSheet, 'steps'>) {
  const { planter } = useEditor();
  const { write, tell } = useWords();
  const { invert, ceiling } = planter.heights;
  const test = steps.find(({ id }) => id === 'test');
  if (invert !== null && invert > ceiling + 1e-9) {
    return (
      <Text fontSize="sm">
        Mend the overflow first: its lip at {write(invert, 'length')} is above{' '}
        {baseName(planter.design)}.
      </Text>
    );
  }
  return (
    <Box as="ol" listStyleType="decimal" ps="5" fontSize="sm">
      {(test?.doing ?? []).map((one) => (
        <li key={tell(one)}>{tell(one)}</li>
      ))}
    </Box>
  );
}
