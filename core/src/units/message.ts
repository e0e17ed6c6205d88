import { inWords, usualWords, type WordStyle } from './american';
import type { DecimalMark } from './csv';
import type { QuantityKind, UnitSystem } from './kinds';
import { commonSize, writeQuantity } from './write';

/**
 * A sentence whose quantities are still in SI, so that it can be shown in either unit system
 * without computing anything again.
 */
export type Message = readonly MessagePart[];
type MessagePart = string | { value: number; kind: QuantityKind };

/** Makes a quantity for use inside `say`. `value` in SI. */
export const q = (value: number, kind: QuantityKind): { value: number; kind: QuantityKind } => ({
  value,
  kind,
});

/** Tagged template for messages: say`The lip is ${q(0.009, 'length')} above the platform.` */
export function say(
  strings: TemplateStringsArray,
  ...slots: (string | { value: number; kind: QuantityKind } | Message)[]
): Message {
  const parts: MessagePart[] = [];
  strings.forEach((text, i) => {
    if (text) parts.push(text);
    const slot = slots[i];
    if (slot === undefined || slot === '') return;
    if (Array.isArray(slot)) parts.push(...(slot as Message));
    else parts.push(slot as MessagePart);
  });
  return parts;
}

/**
 * The message as plain text in the chosen system, in the words of those who measure so or of the style asked for.
 * Amounts of one sentence are in one unit, so that they can be compared.
 */
export function tell(
  message: Message,
  system: UnitSystem,
  style: WordStyle = usualWords(system),
  mark: DecimalMark = 'point',
): string {
  const amounts = message.filter((part) => typeof part !== 'string');
  return message
    .map((part) =>
      typeof part === 'string'
        ? inWords(part, style)
        : writeQuantity(
            part.value,
            part.kind,
            system,
            mark,
            amounts.length > 1 ? commonSize(amounts, part.kind, system) : null,
          ),
    )
    .join('');
}
