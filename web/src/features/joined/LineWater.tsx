import { Text } from '@chakra-ui/react';
import { HOSE_IDS, HOSES, type HoseId } from '@huerta/core/catalog';
import { FIELDS, type WaterLine } from '@huerta/core/document';
import { spanOf, usualBarrel } from '@huerta/core/simulation/waterLine';
import type { LineShown } from '../../compute/lineTask';
import { ChoiceField } from '../../ui/ChoiceField';
import { useWords } from '../../ui/preferences';
import { QuantityField } from '../../ui/QuantityField';

interface LineWaterProps {
  line: WaterLine;
  told: LineShown;
  onChange(line: WaterLine): void;
}

const SUPPLIES = {
  barrel: { name: 'A barrel with a float valve' },
  mains: { name: 'The mains with a float valve' },
  none: { name: 'Filled by hand at any planter' },
} as const;
const LAYOUTS = {
  row: { name: 'One hose from planter to planter' },
  star: { name: 'A hose to each' },
} as const;
/** Where the water comes from, how high it stands, and how wide the hose is. */
export function LineWater({ line, told, onChange }: LineWaterProps) {
  const { write, units } = useWords();
  const { supply, level } = line;
  const F = FIELDS.waterLine;
  const put = (change: Partial<WaterLine>) => {
    onChange({ ...line, ...change });
    return null;
  };
  const choose = (kind: WaterLine['supply']['kind']) =>
    // Where it stood without a valve it stays.
    put({
      supply: kind === 'barrel' ? usualBarrel(told.level, units) : { kind },
      level: told.level,
    });
  const hoses = Object.fromEntries(
    HOSE_IDS.map((id) => [id, { name: `${write(HOSES[id].bore, 'length')} inside` }]),
  ) as Record<HoseId, { name: string }>;
  return (
    <section aria-label="Their water">
      <Text as="h2" className="line-head">
        Their water
      </Text>
      <div className="line-fields">
        <ChoiceField label="Comes from" value={supply.kind} choices={SUPPLIES} onChoose={choose} />
        {supply.kind !== 'none' && (
          <QuantityField spec={F.level} value={level} onCommit={(next) => put({ level: next })} />
        )}
        {supply.kind === 'barrel' && (
          <>
            <QuantityField
              spec={F.volume}
              value={supply.volume}
              onCommit={(volume) => put({ supply: { ...supply, volume } })}
            />
            <QuantityField
              spec={F.outlet}
              value={supply.outlet}
              onCommit={(outlet) => put({ supply: { ...supply, outlet } })}
            />
            <QuantityField
              spec={F.diameter}
              value={supply.diameter}
              onCommit={(diameter) => put({ supply: { ...supply, diameter } })}
            />
          </>
        )}
        <ChoiceField
          label="Hose"
          value={line.hose}
          choices={hoses}
          onChoose={(hose) => put({ hose })}
        />
        <ChoiceField
          label="Laid as"
          value={line.layout}
          choices={LAYOUTS}
          onChoose={(layout) => put({ layout })}
        />
      </div>
      <Text fontSize="sm" color="faint" mt="2">
        If one stands a finger’s width higher than another, they are level again in{' '}
        {spanOf(told.follows)}.
        {told.valve !== null &&
          ` The valve lets in ${write(told.valve, 'flow')} while the barrel is nearly empty.`}
      </Text>
    </section>
  );
}
