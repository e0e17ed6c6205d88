import { q, readQuantity, say, type Message, type UnitSystem } from '@huerta/core/units';
import type { FieldSpec } from '@huerta/core/document';

export type ReadWithin = { ok: true; value: number } | { ok: false; message: Message };

/** Reads a typed quantity and keeps it within its field's range, or says what to type. */
export function readWithin(
  text: string,
  { kind, min, max }: Pick<FieldSpec, 'kind' | 'min' | 'max'>,
  units: UnitSystem,
): ReadWithin {
  const reading = readQuantity(text, kind, units);
  if (!reading.ok) return { ok: false, message: [reading.message] };
  const size = reading.value;
  const edge = 1e-9 * Math.max(Math.abs(size), 1e-6);
  if (size < min - edge || size > max + edge) {
    return { ok: false, message: say`This can be from ${q(min, kind)} to ${q(max, kind)}.` };
  }
  return { ok: true, value: Math.min(Math.max(size, min), max) };
}
