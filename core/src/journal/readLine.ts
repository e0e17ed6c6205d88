import { dayAfter } from '../physics/climate';
import { readQuantity, writeQuantity, type QuantityKind, type UnitSystem } from '../units';
import { ENTRY_LIMITS, type Activity, type EntryBody } from './entry';

/**
 * Reads a line of the log as people type it: `filled 6 L till it ran yesterday`, `stick 4 cm`, `rain 12 mm`,
 * `finger dry`, `picked 3 lettuces`. What it does not know as a deed is a note in its own words.
 */

export interface ReadLine {
  did: EntryBody;
  /** ISO date. */
  date: string;
  /** What is left of the line as words. */
  text: string;
}
export type LineReading = { ok: true; line: ReadLine } | { ok: false; message: string };

/** A usual can: 10 litres, or 2 gallons. m³. */
export const canOf = (system: UnitSystem): number => (system === 'us' ? 2 * 3.785411784e-3 : 0.01);
/** A finger goes so deep, metres. */
const FINGER = 0.05;
const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];

/** Depth of so much water in the planter that a line is about, metres. @param volume m³ */
export type DepthOf = (volume: number) => number;

/**
 * @param today ISO date, by which `yesterday` and `on Saturday` count
 * @param system decides the unit of a bare number
 * @param depthOf of the planter that the line is about, so that a level may be told in litres; null where it is of several
 */
export function readLine(
  typed: string,
  today: string,
  system: UnitSystem,
  depthOf: DepthOf | null = null,
): LineReading {
  const line = typed.trim().replace(/\s+/g, ' ');
  if (line === '') {
    return { ok: false, message: 'Type what you did, like: filled 6 L till it ran.' };
  }
  const { date, rest } = dateIn(line, today);
  if (date === null) {
    return { ok: false, message: 'That day is still to come. Say today, yesterday, or a date.' };
  }
  const lower = rest.toLowerCase();
  for (const read of READERS) {
    const found = read(lower, system, depthOf);
    if (found === null) continue;
    if ('message' in found) return { ok: false, message: found.message };
    return within({ did: found.did, date, text: found.text ?? '' }, system);
  }
  return within({ did: { kind: 'did', what: 'note' }, date, text: rest }, system);
}

/** A line within what an entry can say, or the sentence that says how much that is. */
function within(line: ReadLine, system: UnitSystem): LineReading {
  const message = beyond(line, system);
  return message === null ? { ok: true, line } : { ok: false, message };
}

/** What of a line is more than an entry can say, as a sentence; null where nothing is. */
function beyond({ did, text }: ReadLine, system: UnitSystem): string | null {
  const most = (what: string, value: number | null, limit: number, kind: QuantityKind) =>
    value !== null && value > limit
      ? `${what} of ${writeQuantity(value, kind, system)} cannot be: the most is ${writeQuantity(limit, kind, system)}. See whether the unit is right.`
      : null;
  if (text.length > ENTRY_LIMITS.text)
    return `A note has at most ${ENTRY_LIMITS.text} letters, and this one has ${text.length}. Write it as two.`;
  switch (did.kind) {
    case 'filled':
      return most('A filling', did.volume, ENTRY_LIMITS.filled, 'volume');
    case 'level':
      return most('A level', did.depth, ENTRY_LIMITS.level, 'length');
    case 'finger':
      return most('A finger', did.depth, ENTRY_LIMITS.finger, 'length');
    case 'rain':
      return most('Rain', did.depth, ENTRY_LIMITS.rain, 'length');
    case 'fed':
      return most('Feed', did.mass, ENTRY_LIMITS.fed, 'mass');
    case 'harvested':
      return did.count !== null && did.count > ENTRY_LIMITS.count
        ? `A harvest of ${did.count} cannot be: the most is ${ENTRY_LIMITS.count}.`
        : most('A harvest', did.mass, ENTRY_LIMITS.harvested, 'mass');
    default:
      return null;
  }
}

/** The day a line is about, and the line without it; null for a day to come. */
function dateIn(line: string, today: string): { date: string | null; rest: string } {
  const cut = (match: RegExpMatchArray) =>
    `${line.slice(0, match.index)} ${line.slice((match.index ?? 0) + match[0].length)}`
      .replace(/\s+/g, ' ')
      .trim();
  const said = /(?:^|\s)(?:on )?(\d{4}-\d{2}-\d{2})(?=\s|$)/.exec(line);
  if (said?.[1] && !Number.isNaN(Date.parse(said[1])))
    return { date: said[1] <= today ? said[1] : null, rest: cut(said) };
  const ago = /(?:^|\s)(\d{1,3}) days? ago(?=\s|$)/i.exec(line);
  if (ago) return { date: dayAfter(today, -Number(ago[1])), rest: cut(ago) };
  const near = /(?:^|\s)(today|yesterday|this morning|last night)(?=\s|$)/i.exec(line);
  if (near) {
    const back = /yesterday|last night/i.test(near[1] as string) ? -1 : 0;
    return { date: dayAfter(today, back), rest: cut(near) };
  }
  const named = new RegExp(`(?:^|\\s)(?:on |last )(${WEEKDAYS.join('|')})(?=\\s|$)`, 'i').exec(
    line,
  );
  if (named) {
    const wanted = WEEKDAYS.indexOf((named[1] as string).toLowerCase());
    const now = new Date(`${today}T00:00:00Z`).getUTCDay();
    const back = (now - wanted + 7) % 7 || 7;
    return { date: dayAfter(today, -back), rest: cut(named) };
  }
  return { date: today, rest: line };
}

type Found = { did: EntryBody; text?: string } | { message: string } | null;
type Reader = (line: string, system: UnitSystem, depthOf: DepthOf | null) => Found;

const UNTIL =
  /\s*(?:,\s*)?\b(?:until|till|til)\b(?: it| the overflow)? (?:ran|runs|overflowed|overflows)(?: over)?/;

const filled: Reader = (line, system) => {
  const match = /^(?:filled|refilled|fill|watered|water|gave it|gave)(?: up)?\b\s*(.*)$/.exec(line);
  if (!match) return null;
  let rest = match[1] as string;
  const ran = UNTIL.test(rest) || /\b(?:to the brim|full|it ran)\b/.test(rest);
  rest = rest.replace(UNTIL, '').replace(/\b(?:to the brim|full|it ran)\b/, '');
  const where = /\b(?:on top|from the top|from above)\b/.test(rest) ? 'top' : 'tube';
  rest = rest
    .replace(/\b(?:on top|from the top|from above|through the tube|down the tube|with|it)\b/g, '')
    .trim();
  if (rest === '') return { did: { kind: 'filled', where, volume: null, ran } };
  const cans = /^(an?|one|half a|\d+(?:[.,]\d+)?) cans?$/.exec(rest);
  if (cans) {
    const count = { a: 1, an: 1, one: 1, 'half a': 0.5 }[cans[1] as string];
    const volume = (count ?? Number((cans[1] as string).replace(',', '.'))) * canOf(system);
    return { did: { kind: 'filled', where, volume, ran } };
  }
  const volume = readQuantity(rest, 'volume', system);
  return volume.ok
    ? { did: { kind: 'filled', where, volume: volume.value, ran } }
    : { message: volume.message };
};

/** A reader of one measure after a word. */
const measured =
  (word: RegExp, kind: QuantityKind, make: (value: number) => EntryBody): Reader =>
  (line, system) => {
    const match = word.exec(line);
    if (!match) return null;
    const value = readQuantity(line.slice(match[0].length), kind, system);
    return value.ok ? { did: make(value.value) } : { message: value.message };
  };

const STICK =
  /^(?:dip stick|dip-stick|dipstick|stick|dip|dipped|level|float)(?: at| reads| shows)?\b:?\s*/;
/** What a litre or a gallon is written like, and its parts. */
const OF_VOLUME = /(?:\b|\d)(?:l|ml|lit(?:re|er)s?|gal|gallons?|qt|quarts?|pt|pints?|cups?)\s*$/;

/** A depth, or the litres that a dip stick of this planter is marked with. */
const stick: Reader = (line, system, depthOf) => {
  const match = STICK.exec(line);
  if (!match) return null;
  const said = line.slice(match[0].length);
  if (!OF_VOLUME.test(said)) {
    const depth = readQuantity(said, 'length', system);
    return depth.ok ? { did: { kind: 'level', depth: depth.value } } : { message: depth.message };
  }
  if (!depthOf)
    return { message: 'Say how deep the water is: litres mean another depth in each planter.' };
  const volume = readQuantity(said, 'volume', system);
  return volume.ok
    ? { did: { kind: 'level', depth: depthOf(volume.value) } }
    : { message: volume.message };
};
const noRain: Reader = (line) =>
  /^no rain\b/.test(line) ? { did: { kind: 'rain', depth: 0 } } : null;
const rain = measured(/^(?:rain|rained)\b:?\s*/, 'length', (depth) => ({ kind: 'rain', depth }));

const finger: Reader = (line, system) => {
  const match =
    /^(?:finger|felt|feels|soil|dug)\b:?\s*(.*?)\s*\b(dry|moist|damp|wet)\b\s*(.*)$/.exec(line);
  if (!match) return null;
  const at = `${match[1] ?? ''} ${match[3] ?? ''}`.replace(/\b(?:at|is|down|deep)\b|:/g, '').trim();
  const depth = at === '' ? { ok: true as const, value: FINGER } : readQuantity(at, 'span', system);
  if (!depth.ok) return { message: depth.message };
  const feels = match[2] === 'damp' ? 'moist' : (match[2] as 'dry' | 'moist' | 'wet');
  return { did: { kind: 'finger', depth: depth.value, feels } };
};

/** A number with its unit, and the words after it. */
const AMOUNT = /^([\d.,/½¼¾\s]+(?:kg|g|lbs?|oz|kilos?|grams?|pounds?|ounces?)?)\b\s*(?:of )?(.*)$/;

const fed: Reader = (line, system) => {
  const match = /^(?:fed|feed)\b(?! the worms)\s*(.*)$/.exec(line);
  if (!match) return null;
  const rest = match[1] as string;
  const parts = AMOUNT.exec(rest);
  const mass = parts ? readQuantity(parts[1] as string, 'dash', system) : null;
  return mass?.ok
    ? { did: { kind: 'fed', what: (parts?.[2] ?? '').slice(0, 80), mass: mass.value } }
    : { did: { kind: 'fed', what: rest.slice(0, 80), mass: null } };
};

const harvested: Reader = (line, system) => {
  const match = /^(?:harvested|harvest|picked|cut)\b\s*(.*)$/.exec(line);
  if (!match) return null;
  const rest = match[1] as string;
  const parts = AMOUNT.exec(rest);
  const what = (parts?.[2] ?? rest).trim().slice(0, 80);
  const bare = parts ? /^\d+\s*$/.test(parts[1] as string) : false;
  if (bare) return { did: { kind: 'harvested', what, mass: null, count: Number(parts?.[1]) } };
  const mass = parts ? readQuantity(parts[1] as string, 'mass', system) : null;
  return { did: { kind: 'harvested', what, mass: mass?.ok ? mass.value : null, count: null } };
};

const DEED_WORDS: readonly (readonly [RegExp, Activity])[] = [
  [/^planted\b/, 'planted'],
  [/^(?:sowed|sown)\b/, 'sown'],
  [/^thinned\b/, 'thinned'],
  [/^tied\b/, 'tied'],
  [/^limed\b/, 'limed'],
  [/^(?:mulched|topped|compost|mulch)\b/, 'topped'],
  [/^(?:fed the worms|worms)\b/, 'worms'],
  [/^(?:new wick|renewed (?:the )?wick|wick)\b/, 'wick'],
  [/^(?:cleared|cleaned) (?:the )?overflow\b/, 'overflow'],
  [/^flushed\b/, 'flushed'],
  [/^emptied\b/, 'emptied'],
  [/^moved\b/, 'moved'],
  [/^(?:trouble|pest|pests|aphids|slugs|mildew|larvae)\b/, 'trouble'],
];
const deed: Reader = (line) => {
  const found = DEED_WORDS.find(([word]) => word.test(line));
  return found ? { did: { kind: 'did', what: found[1] }, text: line } : null;
};

const READERS: readonly Reader[] = [filled, stick, noRain, rain, finger, fed, harvested, deed];
