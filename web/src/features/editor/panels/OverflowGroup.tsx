import { Button } from '@chakra-ui/react';
import { climbUnder, runsOver } from '@huerta/core/assessment';
import {
  FIELDS,
  invertOf,
  overflowAs,
  usualIn,
  type OverflowDesign,
  type OverflowKind,
} from '@huerta/core/document';
import { FITTINGS } from '@huerta/core/catalog';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Choice, Group, Measure, Pair, Says, Tick } from './parts';

const KINDS: Readonly<Record<OverflowKind, { name: string }>> = {
  hole: { name: 'A drilled hole' },
  fitting: { name: 'A fitting in the wall' },
  rows: { name: 'Rows of side holes' },
  rim: { name: 'Over the lower vessel’s rim' },
};

const O = FIELDS.overflow;

/** Where the water runs out: what it is made of, its mark, its lip, and what it can carry. */
export function OverflowGroup() {
  const { design, planter, assessment, change } = useEditor();
  const { write, tell, units } = useWords();
  const [refusal, setRefusal] = useState('');
  const { overflow } = design;
  const hose = climbUnder(planter, design.place.hose);
  const add = () =>
    change([{ path: ['overflow'], value: usualIn(units).hole(planter.heights.ceiling) }]);
  /** How high water rises above the lip, or that it runs over. */
  const climbs = (what: string, height: number): string =>
    runsOver(planter, height)
      ? `${what} is more than it carries: the water rises until it runs over the rim.`
      : `${what} makes the water climb ${write(height, 'length')} above the lip.`;
  if (!overflow) {
    return (
      <Group title="Overflow">
        <Says>No overflow yet: nothing decides how high the water stands.</Says>
        <Button variant="solid" onClick={add}>
          Mark an overflow
        </Button>
      </Group>
    );
  }
  return (
    <Group title="Overflow">
      <ChoiceField
        label="Water runs out by"
        value={overflow.kind}
        choices={KINDS}
        onChoose={(kind) => {
          const refused = change([{ path: ['overflow'], value: overflowAs(kind, design) }]);
          setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
        }}
        help={refusal}
      />
      {overflow.kind !== 'rim' && <OpeningFields overflow={overflow} />}
      {overflow.kind === 'rim' && (
        <Says>It runs over at {write(planter.heights.waterRim, 'length')}, all round.</Says>
      )}
      {hose !== null && (
        <Says>
          {climbs(`A hose of ${write(design.place.hose, 'flow')}`, hose)}{' '}
          {assessment.figures.rainIn > 0 && climbs('Hard rain', assessment.figures.stormClimb ?? 0)}
        </Says>
      )}
      <Button
        variant="ghost"
        alignSelf="flex-start"
        onClick={() => change([{ path: ['overflow'], value: null }])}
      >
        Plan without an overflow
      </Button>
    </Group>
  );
}

function OpeningFields({ overflow }: { overflow: Exclude<OverflowDesign, { kind: 'rim' }> }) {
  const { design, planter, assessment } = useEditor();
  const { write } = useWords();
  const at = (key: string) => ['overflow', key];
  const lip = invertOf(design) ?? 0;
  const { storage, heights } = planter;
  const lost =
    storage.volumeBelow(Math.min(overflow.centre, heights.ceiling)) -
    storage.volumeBelow(Math.min(lip, heights.ceiling));
  const { airGap } = assessment.figures;
  return (
    <>
      {overflow.kind === 'fitting' && (
        <Choice label="Fitting" value={overflow.style} choices={FITTINGS} path={at('style')} />
      )}
      <Pair>
        <Measure
          path={at('centre')}
          spec={O.centre}
          value={overflow.centre}
          label={overflow.kind === 'rows' ? 'Centre of the lowest row' : O.centre.label}
          help="The mark you drill on"
        />
        <Measure path={at('diameter')} spec={O.diameter} value={overflow.diameter} />
      </Pair>
      {overflow.kind === 'fitting' && (
        <Pair>
          <Measure path={at('bore')} spec={O.bore} value={overflow.bore} />
          <Measure path={at('rise')} spec={O.rise} value={overflow.rise} />
        </Pair>
      )}
      {overflow.kind === 'rows' ? (
        <>
          <Pair>
            <Measure path={at('count')} spec={O.around} value={overflow.count} />
            <Measure path={at('rows')} spec={O.rows} value={overflow.rows} />
          </Pair>
          <Measure path={at('pitch')} spec={O.pitch} value={overflow.pitch} />
        </>
      ) : (
        <Measure path={at('count')} spec={O.count} value={overflow.count} />
      )}
      <Measure path={at('bearing')} spec={O.bearing} value={overflow.bearing} />
      <Tick label="Screened against insects" checked={overflow.screened} path={at('screened')} />
      <Says>
        Water stops at the lip, {write(lip, 'length')} up, not at the mark
        {lost > 0 ? `: that is ${write(lost, 'volume')} less` : ''}.
        {airGap !== null && airGap >= 0
          ? ` There is ${write(airGap, 'length')} of air above it.`
          : ''}
      </Says>
    </>
  );
}
