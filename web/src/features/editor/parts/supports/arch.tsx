import { FIELDS } from '@huerta/core/document';
import { Measure, Pair, Tick } from '../../panels/parts';
import type { FieldsOf } from '../supportFields';

const S = FIELDS.support;

export const arch: FieldsOf<'arch'> = (design, { at, wall }) => (
  <>
    <Pair>
      <Measure path={at('width')} spec={S.archWidth} value={design.width} />
      {wall(design.wall)}
    </Pair>
    <Tick
      label="Cut from the vessel’s own wall: it keeps that curve"
      checked={design.own}
      path={at('own')}
    />
  </>
);
