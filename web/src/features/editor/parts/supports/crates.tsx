import { CRATE_KINDS } from '@huerta/core/catalog';
import { FIELDS } from '@huerta/core/document';
import { Choice, Measure, Pair, Tick } from '../../panels/parts';
import type { FieldsOf } from '../supportFields';

const S = FIELDS.support;

export const crates: FieldsOf<'crates'> = (design, { at, count }) => (
  <>
    <Choice label="What they are" value={design.what} choices={CRATE_KINDS} path={at('what')} />
    <Pair>
      <Measure path={at('length')} spec={S.length} value={design.length} />
      <Measure path={at('width')} spec={S.width} value={design.width} />
    </Pair>
    <Pair>
      <Measure path={at('height')} spec={S.height} value={design.height} />
      {count('How many')}
    </Pair>
    <Tick
      label="Cut down to height, and out round tube and wicks"
      checked={design.cut}
      path={at('cut')}
    />
    <Pair>
      <Measure path={at('voids')} spec={S.voids} value={design.voids} />
    </Pair>
  </>
);
