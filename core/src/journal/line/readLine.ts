import { dayAfter } from '../../physics/climate';
import { writeQuantity, type QuantityKind, type UnitSystem } from '../../units';
import { ENTRY_LIMITS, type EntryBody } from '../entry';
import { canOf } from './amounts';
import { whenIn } from './dates';
import { deedIn, RAN_ALONE, type Deed, type DeedContext, type LinePlanter } from './deeds';
import { normalised, respelled } from './vocabulary';

/**
 * Reads a line of the log as people type it: `filled 6 L till it ran yesterday`, `dug 2 in, dry; filled half a can`,
 * `rain 12 mm, overflow ran`, `picked 3 lettuces`. What it does not know as a deed is a note in its own words, and
 * what is in doubt is asked.
 */

/** A deed of a line. */
export interface ReadDeed {
  did: EntryBody;
  /** What is left of its part of the line as words. */
  text: string;
  /** Its part of the line, as it was typed. */
  said: string;
}

export interface ReadLine {
  /** ISO date. */
  date: string;
  /** `HH:MM`, where the line says so. */
  time: string | null;
  /** In their order, at least one. */
  deeds: readonly ReadDeed[];
  /** What is to be asked before it counts, a sentence each. */
  doubts: readonly string[];
}
export type LineReading = { ok: true; line: ReadLine } | { ok: false; message: string };

export interface LineContext {
  /** ISO date, by which `yesterday` and `on Saturday` count. */
  today: string;
  /** Decides the unit of a bare number. */
  system: UnitSystem;
  /** Whether 11/14 has its month first; where people measure in inches it usually has. */
  monthFirst?: boolean;
  /** The planter that the line is about; null where it is of several. */
  planter?: LinePlanter | null;
  /** What one's can holds, m³. */
  can?: number;
}

/** Reads a line. Never throws. */
export function readLine(typed: string, context: LineContext): LineReading {
  const line = typed.trim().replace(/\s+/g, ' ');
  if (line === '')
    return { ok: false, message: 'Type what you did, like: filled 6 L to overflow.' };
  const { today, system, planter = null, can = canOf(system) } = context;
  const monthFirst = context.monthFirst ?? system === 'us';
  const { date, dated, time, rest } = whenIn(line, today, monthFirst);
  const other = dated ? whenIn(rest, today, monthFirst) : null;
  if (date > today)
    return { ok: false, message: 'That day is still to come. Say today, yesterday, or a date.' };
  const asked: DeedContext = { system, planter, can, alone: true };
  const deeds = deedsOf(rest === '' ? line : rest, asked);
  for (const { did, text } of deeds) {
    const message = beyond(did, text, system);
    if (message !== null) return { ok: false, message };
  }
  const doubts = [
    ...deeds.flatMap(({ doubt }) => doubt || []),
    ...deeds.flatMap(({ did }) => doubtOf(did, asked) ?? []),
    ...(other?.dated && other.date !== date
      ? ['Two days stand in this line. Write a line for each.']
      : []),
    ...(date < dayAfter(today, -YEAR)
      ? [`That is more than a year ago: ${date}. Is it meant so?`]
      : []),
  ];
  return {
    ok: true,
    line: { date, time, deeds: deeds.map(({ did, text, said }) => ({ did, text, said })), doubts },
  };
}

const YEAR = 366;

type Said = Deed & { said: string };
/** Deeds that may be told in two parts: `filled, 6 L`. */
const JOINED: ReadonlySet<EntryBody['kind']> = new Set(['filled', 'fed']);

/** Where a line may go over to another deed. A comma between figures is a decimal mark. */
const BETWEEN =
  /\s*;\s*|\.\s+(?=[A-Za-z])|,\s+(?:and |then )?|\s+(?:and then|then|and|&|\+)\s+(?!(?:a |an )?(?:half|quarter|\d+ ?oz)\b)/;

/** The deeds of a line: each part that tells one, with what stands beside it as its words. */
function deedsOf(line: string, context: DeedContext): Said[] {
  const whole = read(line, context);
  const parts = line.split(BETWEEN).filter((part) => part.trim() !== '');
  if (parts.length < 2) return [whole ?? note(line)];
  const inParts = { ...context, alone: false };
  const found: Said[] = [];
  let before = '';
  for (const part of parts) {
    const last = found.at(-1);
    const own = read(part, inParts) ?? alsoHarvested(part, last, inParts);
    const ran = last?.did.kind === 'filled' && RAN_ALONE.test(normalised(part));
    const tells = own !== null && !isNote(own) && !ran;
    // What belongs to what stands before it, as `dry` to a finger and `it ran` to a filling.
    const joined =
      last && (!tells || (own.did.kind === last.did.kind && JOINED.has(own.did.kind)))
        ? read(`${last.said}, ${part}`, inParts)
        : null;
    const begun = !tells && before !== '' ? read(`${before}, ${part}`, inParts) : null;
    if (last && joined && tellsMore(joined.did, last.did))
      found[found.length - 1] = {
        ...joined,
        text: [last.text, joined.text].filter(Boolean).join(', '),
      };
    else if (begun && !isNote(begun)) {
      found.push(begun);
      before = '';
    } else if (tells) {
      found.push({ ...own, text: [before, own.text].filter(Boolean).join('; ') });
      before = '';
    } else if (own?.doubt) found.push(own);
    else if (last)
      found[found.length - 1] = { ...last, text: [last.text, part].filter(Boolean).join('; ') };
    else before = [before, part].filter(Boolean).join('; ');
  }
  const distinct = found.some((one) => one.did.kind !== 'did' || one.did.what !== 'note');
  if (!distinct) return [whole ?? note(line)];
  // One deed in many words is read best as a whole.
  return found.length === 1 &&
    whole &&
    !isNote(whole) &&
    whole.did.kind === found[0]!.did.kind &&
    !before &&
    tellsMore(whole.did, found[0]!.did)
    ? [whole]
    : found;
}

/** `3 peppers` after a harvest is another. */
function alsoHarvested(part: string, last: Said | undefined, context: DeedContext): Said | null {
  if (last?.did.kind !== 'harvested') return null;
  const plain = normalised(part);
  if (
    !/^(?:\d+|an?) [a-z]/.test(plain) ||
    /^\S+ (?:were|was|are|is|of|for|to|gone|left|more|days?|with|in|on)\b/.test(plain)
  )
    return null;
  const own = read(`picked ${part}`, context);
  return own?.did.kind === 'harvested' && own.did.what !== '' ? { ...own, said: part } : null;
}

const isNote = ({ did }: Deed): boolean => did.kind === 'did' && did.what === 'note';
const note = (text: string): Said => ({
  did: { kind: 'did', what: 'note' },
  text,
  said: text,
  doubt: '',
});

/** Whether a deed says the same as another and something more. */
function tellsMore(more: EntryBody, less: EntryBody): boolean {
  if (more.kind !== less.kind)
    return less.kind === 'did' && less.what === 'note' && more.kind === 'finger';
  if (more.kind === 'filled' && less.kind === 'filled')
    return (
      (more.volume === less.volume || less.volume === null) &&
      (more.ran || !less.ran) &&
      (more.ran !== less.ran || more.volume !== less.volume || more.where !== less.where)
    );
  if (more.kind === 'finger' && less.kind === 'finger') return more.depth !== less.depth;
  if (more.kind === 'harvested' && less.kind === 'harvested')
    return (
      less.mass === null && (more.mass !== null || (less.count === null && more.count !== null))
    );
  if (more.kind === 'fed' && less.kind === 'fed')
    return (less.mass === null && more.mass !== null) || (less.what === '' && more.what !== '');
  return false;
}

/** A part of a line as a deed; where it is none as it is spelled, as it may have been meant. */
function read(part: string, context: DeedContext): Said | null {
  const plain = normalised(part);
  const own = deedIn(plain, context);
  if (own && !own.doubt && !isNote(own)) return { ...withWords(own, part, plain), said: part };
  const meant = respelled(plain);
  const better = meant === plain ? null : deedIn(meant, context);
  if (better && !better.doubt && !isNote(better))
    return { ...withWords(better, part, plain), said: part };
  return own && { ...withWords(own, part, plain), said: part };
}

/** A deed that keeps its whole clause as words keeps it as it was typed. */
const withWords = (found: Deed, part: string, plain: string): Deed =>
  found.text !== '' && found.text === plain.replace(/^[\s,;:.-]+|[\s,;:-]+$/g, '')
    ? { ...found, text: part.trim() }
    : found;

/** What of a deed is more than an entry can say, as a sentence; null where nothing is. */
function beyond(did: EntryBody, text: string, system: UnitSystem): string | null {
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

/** What cannot be of an entry, and what of it is doubtful, each as a sentence or null. */
export const entryTrouble = (
  did: EntryBody,
  text: string,
  context: DeedContext,
): { message: string | null; doubt: string | null } => ({
  message: beyond(did, text, context.system),
  doubt: doubtOf(did, context),
});

/** A filling may be so many times what a planter holds; a day's rain so much, metres; feed so much, kilograms. */
const TIMES_FULL = 2;
const MUCH_RAIN = 0.2;
const MUCH_FEED = 2;

/** What is doubtful of a deed in this planter, as a question; null where nothing is. */
function doubtOf(did: EntryBody, { planter, system }: DeedContext): string | null {
  const write = (value: number, kind: QuantityKind): string => writeQuantity(value, kind, system);
  if (
    did.kind === 'filled' &&
    did.volume !== null &&
    planter &&
    did.volume > TIMES_FULL * planter.holds
  )
    return `${write(did.volume, 'volume')} into a planter that holds ${write(planter.holds, 'volume')}: is the unit right?`;
  if (did.kind === 'level' && planter && did.depth > planter.full * 1.05 + 0.005)
    return did.depth > planter.rim
      ? `${write(did.depth, 'length')} of water stand above the rim: is the unit right?`
      : `${write(did.depth, 'length')} of water stand above the overflow at ${write(planter.full, 'length')}: is the unit right, or is the overflow clogged?`;
  if (did.kind === 'rain' && did.depth > MUCH_RAIN)
    return `${write(did.depth, 'length')} of rain is a flood: is the unit right?`;
  if (did.kind === 'fed' && did.mass !== null && did.mass > MUCH_FEED)
    return `${write(did.mass, 'mass')} of feed is much: is the unit right?`;
  return null;
}
