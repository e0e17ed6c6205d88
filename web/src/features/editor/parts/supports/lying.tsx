import { FIELDS } from '@huerta/core/document';
import { RUNS } from '@huerta/core/catalog';
import { Choice, Measure, Pair, Tick } from '../../panels/parts';
import type { FieldsOf } from '../supportFields';

const S = FIELDS.support;

export const lying: FieldsOf<'lying'> = (design, { at, count, diameter, wall }) => (
  <>
    <Choice label="Pipe lies" value={design.lay} choices={RUNS} path={at('lay')} />
    <Pair>
      {diameter('Pipe, across outside', design.diameter)}
      {count(design.lay === 'runs' ? 'How many' : 'Turns')}
    </Pair>
    <Pair>
      {wall(design.wall)}
      {design.lay === 'runs' && (
        <Measure path={at('length')} spec={S.runLength} value={design.length} />
      )}
    </Pair>
    <Tick label="Rigid: turns corners by elbows" checked={design.stiff} path={at('stiff')} />
    <Tick label="In a fabric sock" checked={design.sock} path={at('sock')} />
  </>
);
