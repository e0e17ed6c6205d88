import type { SupportDesign, SupportKind } from '@huerta/core/document';
import type { ReactNode } from 'react';
import type { Fields, FieldsOf } from '../supportFields';
import * as all from './all';

/** The fields of each kind of part. A kind without them does not compile. */
const FIELDS_OF: { readonly [K in SupportKind]: FieldsOf<K> } = all;

export const fieldsOf = (design: SupportDesign, fields: Fields): ReactNode =>
  (FIELDS_OF[design.kind] as (design: SupportDesign, fields: Fields) => ReactNode)(design, fields);
