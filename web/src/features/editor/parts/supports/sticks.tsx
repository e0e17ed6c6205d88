import { FIELDS } from '@huerta/core/document';
import { Measure, Pair } from '../../panels/parts';
import type { FieldsOf } from '../supportFields';

const S = FIELDS.support;

export const sticks: FieldsOf<'sticks'> = (design, { at }) => (
  <Pair>
    <Measure path={at('diameter')} spec={S.stick} value={design.diameter} />
    <Measure path={at('spacing')} spec={S.stickSpacing} value={design.spacing} />
  </Pair>
);
