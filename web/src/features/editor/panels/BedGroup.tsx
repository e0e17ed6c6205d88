import { Box, Text } from '@chakra-ui/react';
import { FIELDS, usualBed, type BedKind } from '@huerta/core/document';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Group, Measure, Pair } from './parts';

const BEDS = {
  own: { name: 'The vessel itself' },
  nested: { name: 'An equal vessel set into it' },
  neck: { name: 'The bottle’s top, inverted' },
  row: { name: 'Pails in a row on top' },
  bag: { name: 'Bags or pots standing in it' },
} as const satisfies Record<BedKind, { name: string }>;

/** What holds the soil. */
export function BedGroup() {
  const { design, change } = useEditor();
  const { tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const { bed } = design;
  const at = (key: string) => ['bed', key];
  const spec = FIELDS.bed;
  return (
    <Group title="What holds the soil">
      <ChoiceField
        label="Soil is in"
        value={bed?.kind ?? 'own'}
        choices={BEDS}
        onChoose={(kind) => {
          const refused = change([{ path: ['bed'], value: usualBed(kind, design) }]);
          setRefusal(refused ? tell(refused) : '');
        }}
      />
      {refusal && (
        <Text color="harm" fontSize="sm" role="alert">
          Not taken: {refusal}
        </Text>
      )}
      {bed?.kind === 'neck' && (
        <>
          <Pair>
            <Measure path={at('neckDiameter')} spec={spec.neckDiameter} value={bed.neckDiameter} />
            <Measure path={at('shoulder')} spec={spec.shoulder} value={bed.shoulder} />
          </Pair>
          <Measure path={at('depth')} spec={spec.depth} value={bed.depth} label="Cap to cut edge" />
        </>
      )}
      {(bed?.kind === 'row' || bed?.kind === 'bag') && (
        <Box display="flex" flexDirection="column" gap="3">
          <Pair>
            <Measure path={at('count')} spec={spec.count} value={bed.count} />
            <Measure path={at('depth')} spec={spec.depth} value={bed.depth} />
          </Pair>
          <Pair>
            <Measure path={at('topDiameter')} spec={spec.topDiameter} value={bed.topDiameter} />
            <Measure
              path={at('bottomDiameter')}
              spec={spec.bottomDiameter}
              value={bed.bottomDiameter}
            />
          </Pair>
        </Box>
      )}
    </Group>
  );
}
