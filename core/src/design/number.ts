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

/** A number with the range and the words of its field. */
export function number(field: FieldSpec) {
  const unit = UNIT_OF[field.kind];
  const description = unit ? `${field.label} (${unit})` : field.label;
  const base = field.kind === 'count' ? z.int() : z.number();
  return base.min(field.min).max(field.max).describe(description);
}
