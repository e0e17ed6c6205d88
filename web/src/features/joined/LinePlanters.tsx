import { Checkbox, Text } from '@chakra-ui/react';
import { FIELDS, type PlanterDesign, type WaterLine } from '@huerta/core/document';
import { Link } from 'react-router';
import type { LineShown, ShownPlanter } from '../../compute/lineTask';
import { useWords } from '../../ui/preferences';
import { QuantityField } from '../../ui/QuantityField';

interface LinePlantersProps {
  line: WaterLine;
  told: LineShown;
  designs: Readonly<Record<string, PlanterDesign>>;
  onChange(line: WaterLine): void;
}

/** The planters in the order of the hose: what each holds and drinks, where it stands, and its hose. */
export function LinePlanters({ line, told, designs, onChange }: LinePlantersProps) {
  return (
    <section aria-label="The planters">
      <Text as="h3" className="line-head">
        The planters
      </Text>
      <ol className="line-planters">
        {line.members.map(({ planter }) => {
          const one = told.planters.find(({ id }) => id === planter);
          const design = designs[planter];
          return one && design ? (
            <Member key={planter} {...{ line, one, design, onChange }} />
          ) : (
            <li key={planter}>
              <Text>It is no longer in the garden.</Text>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

interface MemberProps {
  line: WaterLine;
  one: ShownPlanter;
  design: PlanterDesign;
  onChange(line: WaterLine): void;
}

function Member({ line, one, design, onChange }: MemberProps) {
  const { write } = useWords();
  const member = line.members.find(({ planter }) => planter === one.id);
  if (!member) return null;
  const set = (change: Partial<typeof member>) => {
    onChange({
      ...line,
      members: line.members.map((of) => (of.planter === one.id ? { ...of, ...change } : of)),
    });
    return null;
  };
  const F = FIELDS.waterLine;
  return (
    <li>
      <Link to={`/planters/${one.id}`} className="line-planter">
        {design.variant ? `${design.name}, ${design.variant}` : design.name}
      </Link>
      <Text fontSize="sm" color="faint">
        {one.level > 0
          ? `Water ${write(one.level, 'length')} deep, ${write(one.holds, 'volume')}; drinks ${write(one.takes, 'daily')}. At noon ${write(one.flow, 'flow')} through its hose.`
          : 'No water reaches it.'}
      </Text>
      <details className="not-printed">
        <summary>Where it stands, and its hose</summary>
        <div className="line-fields">
          <QuantityField spec={F.floor} value={member.floor} onCommit={(floor) => set({ floor })} />
          <QuantityField spec={F.port} value={member.port} onCommit={(port) => set({ port })} />
          <QuantityField spec={F.run} value={member.run} onCommit={(run) => set({ run })} />
          <Checkbox.Root
            checked={member.over}
            onCheckedChange={({ checked }) => set({ over: checked === true })}
          >
            <Checkbox.HiddenInput />
            <Checkbox.Control />
            <Checkbox.Label>The hose climbs over something</Checkbox.Label>
          </Checkbox.Root>
        </div>
      </details>
    </li>
  );
}
