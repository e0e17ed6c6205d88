import type { PartDesign, PartKind } from '@huerta/core';
import type { ReactNode } from 'react';
import { arch } from './arch';
import { crates } from './crates';
import type { Fields, FieldsOf } from './fields';
import { lying } from './lying';
import { ring } from './ring';
import { standing } from './standing';
import { sticks } from './sticks';

/** The fields of each kind of part. A kind without them does not compile. */
const FIELDS_OF: { readonly [K in PartKind]: FieldsOf<K> } = {
  ring,
  standing,
  lying,
  crates,
  arch,
  sticks,
};

export const fieldsOf = (design: PartDesign, fields: Fields): ReactNode =>
  (FIELDS_OF[design.kind] as (design: PartDesign, fields: Fields) => ReactNode)(design, fields);
