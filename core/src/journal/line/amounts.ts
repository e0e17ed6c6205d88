import { readQuantity, type QuantityKind, type UnitSystem } from '../../units';

/** Amounts as gardeners tell them: cans and halves, spoons and handfuls, fingers and shares of what is full. */

/** A number as it stands in a brought-in line: `6`, `0,8`, `1 1/2`, `3/4`, `2-3`. */
export const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?\s*-\s*\d+(?:[.,]\d+)?|\d+ \d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?|[.,]\d+)`;

/** The worth of such a number; a span counts as its middle. */
export function numberOf(text: string): number {
  const span = /^([\d.,]+)\s*-\s*([\d.,]+)$/.exec(text);
  if (span) return (numberOf(span[1]!) + numberOf(span[2]!)) / 2;
  const mixed = /^(?:(\d+) )?(\d+)\/(\d+)$/.exec(text);
  if (mixed) return Number(mixed[1] ?? 0) + Number(mixed[2]) / Math.max(Number(mixed[3]), 1);
  return Number(text.replace(',', '.'));
}

/** An amount that was found in a line, and the line without it. */
export interface Amount {
  value: number;
  rest: string;
}

const GALLON = 3.785411784e-3;
/** A usual can: 10 litres, or 2 gallons. m³. */
export const canOf = (system: UnitSystem): number => (system === 'us' ? 2 * GALLON : 0.01);

/** What water is carried in, by the word: usual sizes, m³. */
const VESSELS: readonly (readonly [RegExp, (system: UnitSystem, can: number) => number])[] = [
  [/^(?:watering[ -]?)?cans?$|^canfuls?$/, (_, can) => can],
  [/^(?:buckets?|pails?|bucketfuls?)$/, (system) => (system === 'us' ? 2.5 * GALLON : 0.01)],
  [/^bottles?$/, (system) => (system === 'us' ? 0.5 * GALLON : 0.0015)],
  [/^(?:jugs?|pitchers?)$/, (system) => (system === 'us' ? GALLON : 0.002)],
  [/^(?:glass|glasses|mugs?)$/, () => 0.00025],
];

const VOLUME_UNIT =
  '(?:l|ml|cl|dl|lit(?:re|er)s?|gals?|gallons?|qts?|quarts?|pts?|pints?|cups?|tbsp|tsp|fl ?oz|m3|ft3|tablespoons?|teaspoons?)';

/** A volume of water in a line, by litres or by what it is carried in. m³. */
export function waterIn(line: string, system: UnitSystem, can: number): Amount | null {
  const carried = new RegExp(
    `(?:^|\\s)(?:(${NUMBER}|an?) )?((?:watering[ -]?)?[a-z]+)(?=$|[\\s,;.])`,
    'g',
  );
  for (const match of line.matchAll(carried)) {
    const vessel = VESSELS.find(([word]) => word.test(match[2]!));
    if (
      !vessel ||
      (!match[1] && !/s$/.test(match[2]!) && !/^(?:can|bucket|watering)/.test(match[2]!))
    )
      continue;
    const count = !match[1] || /^an?$/.test(match[1]) ? 1 : numberOf(match[1]);
    return { value: count * vessel[1](system, can), rest: cut(line, match) };
  }
  const told = new RegExp(
    `(?:^|\\s)((?:an? )?(?:${NUMBER})?\\s?${VOLUME_UNIT}(?:\\s(?:and )?${NUMBER}\\s?${VOLUME_UNIT})?)(?=$|[\\s,;.])`,
  ).exec(line);
  if (told) {
    const value = read(told[1]!, 'volume', system);
    if (value !== null) return { value, rest: cut(line, told) };
  }
  return null;
}

/** A bare number in a line, in one's own unit of a kind. */
export function bareIn(line: string, kind: QuantityKind, system: UnitSystem): Amount | null {
  const match = new RegExp(`(?:^|\\s)(${NUMBER})(?=$|[\\s,;.])`).exec(line);
  const value = match && read(match[1]!, kind, system);
  return match && value !== null ? { value, rest: cut(line, match) } : null;
}

const LENGTH_UNIT =
  '(?:mm|cm|m|in|inch|inches|ft|feet|foot|millimet(?:re|er)s?|centimet(?:re|er)s?)';

/** A length in a line, with its unit. Metres. */
export function lengthIn(line: string, kind: QuantityKind, system: UnitSystem): Amount | null {
  const match = new RegExp(
    `(?:^|\\s)((?:${NUMBER}|an?)\\s?${LENGTH_UNIT}(?:\\s${NUMBER}\\s?${LENGTH_UNIT})?)(?=$|[\\s,;.:])`,
  ).exec(line);
  const value = match && read(match[1]!, kind, system);
  return match && value !== null ? { value, rest: cut(line, match) } : null;
}

const FINGER_WIDTH = 0.018;
/** Fingers laid on the stick, or dug in up to the knuckle. Metres. */
export function fingersIn(line: string): Amount | null {
  const match = new RegExp(
    `(?:^|\\s)(?:(${NUMBER}|an?) )?fingers?(?:'?s?'? ?(?:widths?|breadths?|thick|of water))?(?=$|[\\s,;.])`,
  ).exec(line);
  if (!match) return null;
  const count = !match[1] || /^an?$/.test(match[1]) ? 1 : numberOf(match[1]);
  return { value: count * FINGER_WIDTH, rest: cut(line, match) };
}

/** A share of what is full: `half`, `3/4`, `a quarter full`, `low`. */
export function shareIn(line: string): Amount | null {
  const words: readonly (readonly [RegExp, number])[] = [
    [/(?:^|\s)(?:half(?:[ -]?(?:full|way|empty))?(?: (?:up|down))?)(?=$|[\s,;.])/, 0.5],
    [/(?:^|\s)(?:nearly )?(?:empty|bone dry|dry|nothing(?: left)?|zero)(?=$|[\s,;.])/, 0],
    [/(?:^|\s)(?:very )?low(?=$|[\s,;.])/, 0.2],
    [/(?:^|\s)(?:(?:at |to )?the bottom)(?=$|[\s,;.])/, 0],
    [/(?:^|\s)(?:full|brimful|(?:at |to )?the (?:top|brim|overflow))(?=$|[\s,;.])/, 1],
  ];
  const part = /(?:^|\s)(\d+\/\d+|\d{1,3} ?%)(?: full)?(?=$|[\s,;.])/.exec(line);
  if (part) {
    const value = part[1]!.includes('%') ? Number.parseInt(part[1]!, 10) / 100 : numberOf(part[1]!);
    if (value <= 1) return { value, rest: cut(line, part) };
  }
  for (const [word, value] of words) {
    const match = word.exec(line);
    if (match) return { value, rest: cut(line, match) };
  }
  return null;
}

/** Typical weights of what feed is measured by, kilograms. */
const SCOOPS: readonly (readonly [RegExp, number])[] = [
  [/^(?:tbsp|tbsps|tablespoons?(?:fuls?)?|big spoons?)$/, 0.014],
  [/^(?:tsp|tsps|teaspoons?(?:fuls?)?|spoons?|spoonfuls?)$/, 0.005],
  [/^(?:cups?|cupfuls?)$/, 0.225],
  [/^(?:handfuls?|fists?)$/, 0.04],
  [/^(?:caps?|capfuls?)$/, 0.01],
  [/^(?:scoops?|scoopfuls?)$/, 0.03],
  [/^(?:pinch|pinches)$/, 0.001],
];
const MASS_UNIT = '(?:kg|kilos?|g|grams?|gr|lbs?|pounds?|oz|ounces?)';

/** A weight in a line: `1.2 kg`, `2 lb 3 oz`. Kilograms. */
export function massIn(line: string, kind: QuantityKind, system: UnitSystem): Amount | null {
  const match = new RegExp(
    `(?:^|\\s)((?:${NUMBER}|an?)\\s?${MASS_UNIT}(?:\\s(?:and )?${NUMBER}\\s?${MASS_UNIT})?)(?: of)?(?=$|[\\s,;.])`,
  ).exec(line);
  const value = match && read(match[1]!.replace(/\bgr\b/, 'g').replace(/ and /, ' '), kind, system);
  return match && value !== null ? { value, rest: cut(line, match) } : null;
}

/** A weight of feed, by the scale or by what it is taken with; a liquid weighs what water does. Kilograms. */
export function feedIn(line: string, system: UnitSystem): Amount | null {
  const weighed = massIn(line, 'dash', system);
  if (weighed) return weighed;
  const scooped = new RegExp(
    `(?:^|\\s)(?:(${NUMBER}|an?) )?([a-z]+(?: spoons?)?)(?: of)?(?=$|[\\s,;.])`,
    'g',
  );
  for (const match of line.matchAll(scooped)) {
    const scoop = SCOOPS.find(([word]) => word.test(match[2]!));
    if (!scoop) continue;
    const count = !match[1] || /^an?$/.test(match[1]) ? 1 : numberOf(match[1]);
    return { value: count * scoop[1], rest: cut(line, match) };
  }
  const liquid = new RegExp(`(?:^|\\s)(${NUMBER}\\s?(?:ml|cl|l))(?: of)?(?=$|[\\s,;.])`).exec(line);
  const value = liquid && read(liquid[1]!, 'volume', system);
  return liquid && value !== null ? { value: value * 1000, rest: cut(line, liquid) } : null;
}

/** Reads an amount with its unit; a span counts as its middle. */
function read(text: string, kind: QuantityKind, system: UnitSystem): number | null {
  const span = new RegExp(`^(\\d+(?:[.,]\\d+)?)\\s*-\\s*(\\d+(?:[.,]\\d+)?)(\\s?[a-z]*)$`).exec(
    text.trim(),
  );
  const told = span ? `${numberOf(`${span[1]}-${span[2]}`)}${span[3]}` : text;
  const value = readQuantity(told.trim(), kind, system);
  return value.ok ? value.value : null;
}

/** A line without what was found in it. */
export const cut = (line: string, match: RegExpMatchArray): string =>
  `${line.slice(0, match.index)} ${line.slice((match.index ?? 0) + match[0].length)}`
    .replace(/\s+/g, ' ')
    .replace(/\s+([,;.])/g, '$1')
    .trim();
