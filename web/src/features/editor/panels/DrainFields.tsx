import { FIELDS } from '@huerta/core/document';
import { platformSheetOf } from '@huerta/core/fabrication';
import { useMemo } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Measure, Pair, Says } from './parts';

const WHOSE = {
  usual: { name: 'Small ones, all over' },
  own: { name: 'My own' },
} as const;

/** The holes for rain through what bears the soil: as Huerta spreads them, or one's own number and size. */
export function DrainFields() {
  const { design, planter, change } = useEditor();
  const { write, units } = useWords();
  const sheet = useMemo(() => platformSheetOf(planter, units), [planter, units]);
  if (!sheet) return null;
  const { drains } = design.reservoir;
  const there = sheet.holes.find(({ group }) => group === null);
  const count = there?.spots.length ?? 0;
  const choose = (whose: keyof typeof WHOSE) =>
    change([
      {
        path: ['reservoir', 'drains'],
        value:
          whose === 'own'
            ? { count: Math.max(count, 1), diameter: there?.diameter ?? 0.006 }
            : undefined,
      },
    ]);
  return (
    <>
      <ChoiceField
        label="Holes for rain"
        value={drains ? 'own' : 'usual'}
        choices={WHOSE}
        onChoose={choose}
        help={
          drains || !there
            ? undefined
            : `${count} of ${write(there.bit, 'length')}, as the template shows.`
        }
      />
      {drains && (
        <Pair>
          <Measure
            path={['reservoir', 'drains', 'count']}
            spec={FIELDS.reservoir.drains}
            value={drains.count}
            label="How many"
          />
          <Measure
            path={['reservoir', 'drains', 'diameter']}
            spec={FIELDS.reservoir.drainDiameter}
            value={drains.diameter}
          />
        </Pair>
      )}
      {drains && count < drains.count && (
        <Says>
          {count === 0 ? 'None of them finds' : `Only ${count} of them find`} room beside the other
          holes.
        </Says>
      )}
    </>
  );
}
