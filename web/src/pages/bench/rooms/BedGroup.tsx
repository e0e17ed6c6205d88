import { Box, Text } from '@chakra-ui/react';
import { FIELDS, leastWidth, depthOf, type BedDesign, type PlanterDesign } from '@huerta/core';
import { useState } from 'react';
import { useWords } from '../../../app/preferences';
import { ChoiceField } from '../../../components/ChoiceField';
import { useBench } from '../bench';
import { Group, Measure, Pair } from './parts';

const BEDS = {
  own: { name: 'The vessel itself' },
  nested: { name: 'An equal vessel set into it' },
  neck: { name: 'The bottle’s top, turned over' },
  row: { name: 'Pails in a row on top' },
  bag: { name: 'Bags or pots standing in it' },
} as const;
type BedId = keyof typeof BEDS;

/** A bed of this kind in usual sizes for the vessel. */
function usualBed(kind: BedId, { vessel }: PlanterDesign): BedDesign | null {
  const width = leastWidth(vessel);
  const depth = depthOf(vessel);
  switch (kind) {
    case 'own':
      return null;
    case 'nested':
      return { kind };
    case 'neck':
      return { kind, neckDiameter: width * 0.3, shoulder: depth * 0.4, depth };
    case 'row':
      return {
        kind,
        count: 1,
        topDiameter: 0.295,
        bottomDiameter: 0.262,
        depth: 0.368,
        wall: 0.002,
      };
    case 'bag': {
      const across = Math.min(0.26, width * 0.9);
      return {
        kind,
        count: 1,
        topDiameter: across,
        bottomDiameter: across,
        depth: 0.28,
        wall: 0.003,
      };
    }
  }
}

/** What holds the soil. */
export function BedGroup() {
  const { design, change } = useBench();
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
