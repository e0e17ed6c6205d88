import { Button } from '@chakra-ui/react';
import { FIELDS } from '@huerta/core/document';
import { useEditor } from '../editorState';
import { Group, Measure, Pair } from './parts';

/** A barrel behind a float valve, for those who have one. */
export function SupplyGroup() {
  const { design, planter, change } = useEditor();
  const { supply } = design.reservoir;
  const level = Math.max(Math.min(planter.heights.brim, planter.heights.ceiling) * 0.8, 0.005);
  if (!supply) {
    return (
      <Button
        alignSelf="flex-start"
        onClick={() =>
          change([{ path: ['reservoir', 'supply'], value: { level, volume: 0.1, diameter: 0.45 } }])
        }
      >
        Feed it from a barrel by a float valve
      </Button>
    );
  }
  return (
    <Group title="Float valve and barrel">
      <Pair>
        <Measure
          path={['reservoir', 'supply', 'level']}
          spec={FIELDS.reservoir.supplyLevel}
          value={supply.level}
        />
        <Measure
          path={['reservoir', 'supply', 'volume']}
          spec={FIELDS.reservoir.supplyVolume}
          value={supply.volume}
        />
      </Pair>
      <Measure
        path={['reservoir', 'supply', 'diameter']}
        spec={FIELDS.reservoir.supplyDiameter}
        value={supply.diameter}
      />
      <Button
        variant="ghost"
        alignSelf="flex-start"
        onClick={() => change([{ path: ['reservoir', 'supply'], value: null }])}
      >
        Fill it by hand
      </Button>
    </Group>
  );
}
