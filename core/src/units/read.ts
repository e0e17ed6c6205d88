import { kindOf, type QuantityKind, type UnitSystem } from './kinds';

/** What a reading came to: a value in SI, or a sentence that says what to type instead. */
export type Reading = { ok: true; value: number } | { ok: false; message: string };

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

/** Cubic units that are spoken in two words, by the first letter of the second. */
const CUBIC: Readonly<Record<string, string>> = { f: 'ft3', y: 'yd3', i: 'in3', m: 'm3' };

/** A number, perhaps followed by a fraction, then perhaps a unit: `4 1/2 in`, `4-1/2`, `.5`, `1/2"`. */
const UNIT = String.raw`((?:m|ft|yd|in|kg\/m|lb\/ft)[23](?![a-z"'\d])|[^\d\s.,/+-][^\d\s.,+-]*)?`;
const FRACTION = String.raw`(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)\s*${UNIT}`;
const DECIMAL = String.raw`(\d+(?:[.,]\d+)*|[.,]\d+)\s*${UNIT}`;
const TERM = new RegExp(`^\\s*(?:${FRACTION}|${DECIMAL})`);

/**
 * Reads what a person types into a field.
 *
 * Understands decimals with point or comma, fractions (`4 1/2`, `4-1/2`, `½`), any unit of the kind
 * and sums of terms (`2 ft 3 in`). A number without a unit is in the field's own unit for `system`.
 *
 * @param text what was typed
 * @param kind what the field measures
 * @param system decides the unit of a bare number
 * @param also more units and their worth in SI, such as the bags that are at hand
 * @returns the value in SI, or a sentence saying what to type. Never throws.
 */
export function readQuantity(
  text: string,
  kind: QuantityKind,
  system: UnitSystem,
  also: Readonly<Record<string, number>> = {},
): Reading {
  const { noun, style, example } = kindOf(kind);
  const units = { ...kindOf(kind).units, ...also };
  const hint = `Type it like ${example[system]}.`;
  const fail = (message: string): Reading => ({ ok: false, message });

  let rest = text.trim().toLowerCase();
  for (const [glyph, plain] of Object.entries(VULGAR)) rest = rest.replaceAll(glyph, ` ${plain}`);
  rest = rest.replace(/\bhalf\s+(?:an?\s+|of\s+an?\s+)?/g, '1/2 ');
  rest = rest.replace(
    /\b(?:cubic|cu\.?)\s*(f|y|i|m)[a-z]*\.?/g,
    (_, first: string) => CUBIC[first] as string,
  );
  rest = rest.replace(/^(?:an?|one)\s+([a-z]+)/, (all, unit: string) =>
    Object.hasOwn(units, unit) ? `1 ${unit}` : all,
  );
  rest = rest.replace(/\s+(?:per|an?)\s+/g, '/');
  if (rest === '') return fail(`This needs a ${noun}. ${hint}`);
  if (/^[-−–]/.test(rest)) return fail(`A ${noun} cannot be below zero. ${hint}`);

  let total = 0;
  let terms = 0;
  while (rest.trim() !== '') {
    const match = TERM.exec(rest);
    if (!match) return fail(`‘${text.trim()}’ is not a ${noun} that can be read. ${hint}`);
    rest = rest.slice(match[0].length);
    const [, wholePart, top, bottom, unitOfFraction, decimal, unitOfDecimal] = match;
    let number: number;
    if (top !== undefined && bottom !== undefined) {
      if (Number(bottom) === 0) return fail(`A fraction cannot be over zero. ${hint}`);
      number = Number(wholePart ?? 0) + Number(top) / Number(bottom);
    } else {
      const read = readDecimal(decimal ?? '');
      if (typeof read === 'string') return fail(read);
      number = read;
    }
    const spelling = (unitOfFraction ?? unitOfDecimal)?.replace(/\.$/, '');
    if (spelling === undefined && (terms > 0 || rest.trim() !== '')) {
      return fail(`Give every part of ‘${text.trim()}’ its unit. ${hint}`);
    }
    const factor = unitFactor(units, spelling ?? style[system].unit);
    if (factor === undefined) {
      return fail(`‘${spelling}’ is not a unit of ${noun} here. ${hint}`);
    }
    total += number * factor;
    terms += 1;
  }
  if (!Number.isFinite(total)) return fail(`That is too large to be a ${noun}. ${hint}`);
  if (kind === 'count' && !Number.isInteger(total)) return fail('This needs a whole number.');
  return { ok: true, value: total };
}

function unitFactor(units: Readonly<Record<string, number>>, spelling: string): number | undefined {
  if (spelling === '') return 1;
  return Object.hasOwn(units, spelling) ? units[spelling] : undefined;
}

/** A decimal with point or comma; groups of three after a comma are asked about, never guessed. */
function readDecimal(text: string): number | string {
  const marks = text.match(/[.,]/g) ?? [];
  if (marks.length > 1) {
    return `‘${text}’ has more than one decimal mark. Leave out the thousands marks.`;
  }
  if (/^[1-9]\d{0,2},\d{3}$/.test(text)) {
    const [a, b] = text.split(',');
    return `‘${text}’ can be read two ways. Type ${a}${b}, or ${a}.${b}.`;
  }
  return Number(text.replace(',', '.'));
}
