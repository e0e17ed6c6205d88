import { Button, Text } from '@chakra-ui/react';
import { FIELDS } from '@huerta/core/document';
import { plural } from '@huerta/core/units';
import { Link, useParams } from 'react-router';
import { useLineOf } from '../../../data/api/round';
import { useEditor } from '../editorState';
import { Group, Measure, Pair } from './parts';

/** A barrel behind a float valve, for those who have one. */
export function SupplyGroup() {
  const { design, planter, change } = useEditor();
  const { supply } = design.reservoir;
  const { id = '' } = useParams();
  const line = useLineOf(id);
  const level = Math.max(Math.min(planter.heights.brim, planter.heights.ceiling) * 0.8, 0.005);
  if (line)
    return (
      <Text fontSize="sm">
        Joined with {line.members.length - 1} {plural(line.members.length - 1, 'other')} as ‘
        {line.name}’: its figures, findings and days are with that water.{' '}
        <Link to="/joined" style={{ textDecoration: 'underline' }}>
          Joined planters
        </Link>
      </Text>
    );
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
