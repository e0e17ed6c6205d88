import { z } from 'zod';
import type { FieldSpec } from './fields';

/** SI units as they are said in the published schema. */
const UNIT_OF: Partial<Record<FieldSpec['kind'], string>> = {
  length: 'm',
  span: 'm',
  volume: 'm³',
  mass: 'kg',
  flow: 'm³/s',
  evaporation: 'm/s of water depth',
  rainfall: 'm/s of water depth',
  pressure: 'Pa',
  dose: 'kg/m³',
  slope: 'm/m',
  share: '0 to 1',
  days: 'days',
  angle: 'rad',
};

/** What each number of the document is called, by its schema. */
const FIELD_OF = new WeakMap<z.ZodType, FieldSpec>();

/** The field that a schema was made for by `number`, or undefined. */
export const fieldOf = (schema: z.ZodType | undefined): FieldSpec | undefined =>
  schema && FIELD_OF.get(schema);

/** A number with the range and the words of its field. */
export function number(field: FieldSpec) {
  const unit = UNIT_OF[field.kind];
  const description = unit ? `${field.label} (${unit})` : field.label;
  const base = field.kind === 'count' ? z.int() : z.number();
  const schema = base.min(field.min).max(field.max).describe(description);
  FIELD_OF.set(schema, field);
  return schema;
}
