import fc from 'fast-check';
import type { FieldSpec } from '../document';

/** What random values of a design are made from. */

export const between = (min: number, max: number) =>
  fc.double({ min, max: Math.max(min, max), noNaN: true, noDefaultInfinity: true });
export const within = (field: FieldSpec, min = field.min, max = field.max) =>
  field.kind === 'count'
    ? fc.integer({ min, max })
    : between(Math.max(min, field.min), Math.min(max, field.max));
export const oneOf = <T>(ids: readonly T[]) => fc.constantFrom(...ids);
export const just = <T extends string>(value: T) => fc.constant(value);
