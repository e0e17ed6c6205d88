import type { PartDesign, PartKind } from '@huerta/core/document';
import type { ReactNode } from 'react';
import type { Fields, FieldsOf } from '../supportFields';
import * as all from './all';

/** The fields of each kind of part. A kind without them does not compile. */
const FIELDS_OF: { readonly [K in PartKind]: FieldsOf<K> } = all;

export const fieldsOf = (design: PartDesign, fields: Fields): ReactNode =>
  (FIELDS_OF[design.kind] as (design: PartDesign, fields: Fields) => ReactNode)(design, fields);
