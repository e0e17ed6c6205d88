import { Button, Checkbox, Text } from '@chakra-ui/react';
import type { PlanterResource } from '@huerta/contract';
import { FIELDS, MOST_JOINED, type PlanterDesign, type WaterLine } from '@huerta/core/document';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { askFloor } from '../../compute/line';
import type { LineShown, ShownPlanter } from '../../compute/lineTask';
import { notify } from '../../ui/notices';
import { useWords } from '../../ui/preferences';
import { QuantityField } from '../../ui/QuantityField';

interface LinePlantersProps {
  line: WaterLine;
  told: LineShown;
  designs: Readonly<Record<string, PlanterDesign>>;
  /** Those that are joined nowhere. */
  free: readonly PlanterResource[];
  onChange(line: WaterLine): void;
}

/** A planter’s name as it is told from its variants. */
const nameOf = ({ name, variant }: PlanterDesign): string =>
  variant ? `${name}, ${variant}` : name;

/** The planters in the order of the hose: what each holds and drinks, where it stands, and its hose. */
export function LinePlanters({ line, told, designs, free, onChange }: LinePlantersProps) {
  const leaveOut = (planter: string, name: string) => {
    onChange({ ...line, members: line.members.filter((one) => one.planter !== planter) });
    notify(`${name} is left out.`, { label: 'Undo', run: () => onChange(line) });
  };
  return (
    <section aria-label="The planters">
      <Text as="h2" className="line-head">
        The planters
      </Text>
      <ol className="line-planters">
        {line.members.map(({ planter }) => {
          const one = told.planters.find(({ id }) => id === planter);
          const design = designs[planter];
          const leave = line.members.length > 2 && (
            <Button
              variant="ghost"
              px="2"
              className="not-printed"
              onClick={() => leaveOut(planter, design ? nameOf(design) : 'It')}
            >
              <X size={18} aria-hidden /> Leave it out
            </Button>
          );
          return one && design ? (
            <Member key={planter} {...{ line, one, design, onChange, leave }} />
          ) : (
            <li key={planter}>
              <Text>It is no longer in the garden.</Text>
              {leave}
            </li>
          );
        })}
      </ol>
      {free.length > 0 && line.members.length < MOST_JOINED && (
        <JoinAnother {...{ line, told, free, onChange }} />
      )}
    </section>
  );
}

/** Another planter at the end of the hose, its lip where the others’ are. */
function JoinAnother({ line, told, free, onChange }: Omit<LinePlantersProps, 'designs'>) {
  const last = line.members.at(-1);
  if (!last) return null;
  const lips = told.planters.map(({ floor, lip }) => floor + lip);
  const join = (planter: PlanterResource) =>
    void askFloor(planter.design, Math.max(...lips)).then((floor) =>
      onChange({
        ...line,
        members: [...line.members, { ...last, planter: planter.id, floor, over: false }],
      }),
    );
  return (
    <details className="not-printed">
      <summary>Join another</summary>
      <ul className="join-choices">
        {free.map((planter) => (
          <li key={planter.id}>
            <Button variant="ghost" px="2" onClick={() => join(planter)}>
              {nameOf(planter.design)}
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

interface MemberProps {
  line: WaterLine;
  /** The press that leaves it out, where enough are left without it. */
  leave: ReactNode;
  one: ShownPlanter;
  design: PlanterDesign;
  onChange(line: WaterLine): void;
}

function Member({ line, one, design, onChange, leave }: MemberProps) {
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
        {nameOf(design)}
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
        {leave}
      </details>
    </li>
  );
}
