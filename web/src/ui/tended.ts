import {
  notComingUp,
  type UnexplainedReading,
  type TendedState,
  type Thirst,
} from '@huerta/core/journal';
import { q, say, type Message, type Words } from '@huerta/core/units';
import { writeDate, writeDayAhead } from './dates';

/** How a tended planter stands, in sentences. */

type Write = Words['write'];

/** How far off a factor may be, as people say it. */
function sureTo({ low, high }: Thirst['factor']): string {
  const off = Math.sqrt(high / low) - 1;
  if (off < 0.08) return 'to a twentieth';
  if (off < 0.15) return 'to a tenth';
  if (off < 0.23) return 'to a fifth';
  if (off < 0.29) return 'to a quarter';
  return off < 0.4 ? 'to a third' : 'to a half only';
}

/** Readings below which nothing is said to be learned. */
const FEW = 2;

/** So near to what was expected a factor is said to be the same. */
const AS_EXPECTED = 0.06;

/** What was learned of its thirst. */
export function sayThirst({ thirst }: TendedState, { number }: Words): string {
  const { factor, readings } = thirst;
  if (readings < FEW) {
    return 'Its own thirst is not known yet: note two fillings until it runs, with the litres, or dip it now and then.';
  }
  if (Math.abs(factor.middle - 1) < AS_EXPECTED)
    return `It drinks about what Huerta expected, from ${readings} readings, sure ${sureTo(factor)}.`;
  return `It drinks ${number(factor.middle, 2)} times what Huerta expected, from ${readings} readings, sure ${sureTo(factor)}.`;
}

/** When it is to be filled, and from when on plants may go short if nobody does. */
export function sayNext(state: TendedState): string {
  const { forecast, certain } = state;
  const { short, next } = forecast;
  const told = sayFilling(state);
  if (!certain || short.likely === null || notComingUp(forecast)) return told;
  const likely = writeDate(short.likely, 'short');
  return short.early === null || short.early < next.early
    ? `${told} Unfilled, plants likely go short about ${likely}.`
    : `${told} Unfilled, plants may go short from ${writeDate(short.early, 'short')} on, likely about ${likely}.`;
}

/** The filling as a day with a range: what four times of five holds. */
function sayFilling({ forecast, daysLeft, wants }: TendedState): string {
  const { early, likely, late } = forecast.next;
  if (forecast.short.likely !== null && notComingUp(forecast))
    return `Look at wick and roots: plants likely go short from ${writeDate(forecast.short.likely, 'short')} on, though there is water below.`;
  if (wants === 'look') return 'Dip it: it may be low.';
  if (daysLeft.likely <= 0) return 'It is low: fill it today.';
  const day = writeDate(likely, 'short');
  if (late === null) return `Next filling: not before ${writeDate(early, 'short')}.`;
  if (early === late) return `Next filling: ${day}.`;
  return `Next filling: likely ${day}, between ${writeDate(early, 'short')} and ${writeDate(late, 'short')}.`;
}

/** Share of its water below which a planter counts as full. */
const NEARLY = 0.04;

/** What the water is reckoned to stand at. */
export function sayLevel({ forecast, room, certain }: TendedState, write: Write): string {
  const { level, water } = forecast;
  if (!certain)
    return 'How high its water stands is not known: nothing of it is noted yet. Dip it, or fill it until it runs.';
  const about = write(level.middle, 'length');
  const spread =
    level.high - level.low > 0.004
      ? ` (${write(level.low, 'length')} to ${write(level.high, 'length')})`
      : '';
  const full = water.middle + room.middle;
  const fills =
    room.middle < NEARLY * full ? 'nearly full' : `needs ${write(room.middle, 'volume')}`;
  return `Water at about ${about}${spread}; ${fills}.`;
}

/** Readings that no thirst explains, and what to look at: the latest of each kind. */
export function sayUnexplained(
  surprises: readonly UnexplainedReading[],
  tell: Words['tell'],
): { kind: UnexplainedReading['kind']; words: string }[] {
  const latest = new Map(surprises.map((one) => [one.kind, one]));
  return [...latest.values()].map((one) => {
    const before = surprises.filter(({ kind }) => kind === one.kind).length - 1;
    const often =
      before === 0
        ? ''
        : before === 1
          ? ', and once before'
          : before === 2
            ? ', and twice before'
            : `, and ${before} times before`;
    return { kind: one.kind, words: tell(surpriseOf(one, often)) };
  });
}

function surpriseOf({ kind, entry, read, expected }: UnexplainedReading, often: string): Message {
  const day = writeDate(entry.at.slice(0, 10), 'short');
  const filled = entry.did.kind === 'filled';
  const as = filled ? 'volume' : 'length';
  const saw = say`on ${day} ${filled ? 'it took' : 'the stick read'} ${q(read, as)} where ${q(Math.max(expected, 0), as)} was expected${often}.`;
  switch (kind) {
    case 'falls-fast':
      return say`Look for a leak or a crack, and see that it stands level: ${saw}`;
    case 'stays':
      return say`Look at wick and roots, which drink little: ${saw}`;
    case 'at-once':
      return say`Rod the tube through and let caught air out; it ran over almost at once: ${saw}`;
    case 'rises':
      return say`See what fills it, or why nothing is drunk: ${saw}`;
  }
}

/** What a planter wants today, in as few words as there can be. */
export interface Verdict {
  /** What to do at its tube: fill it, dip it, see why nothing comes up, or nothing. */
  sign: 'fill' | 'dip' | 'look' | null;
  /** What it wants, or until when it is fine. */
  head: string;
  /** Why, or until when it likely is. */
  sub: string;
}

/** What it wants today, and why. @param today ISO date */
export function verdictOf(state: TendedState, today: string, write: Write): Verdict {
  const { forecast, wants, certain, room } = state;
  const { next, short, until } = forecast;
  const day = (date: string): string => writeDayAhead(date, today);
  if (!certain) return { sign: 'dip', head: 'Dip it', sub: 'Its water is not known.' };
  if (short.likely !== null && notComingUp(forecast) && wants === 'look')
    return {
      sign: 'look',
      head: 'Look at it',
      sub: `Water is there; plants go short ${day(short.likely)}.`,
    };
  if (wants === 'look')
    return {
      sign: 'dip',
      head: 'Dip it',
      sub: `It reads low today or ${next.late ? `by ${day(next.late)}` : 'later'}.`,
    };
  if (wants === 'now')
    return { sign: 'fill', head: `Fill ${write(room.middle, 'volume')}`, sub: lowSince(state) };
  const likely =
    next.late === null && next.likely >= until
      ? `likely beyond ${day(until)}`
      : `likely ${day(next.likely)}`;
  return {
    sign: null,
    head: `Fine until ${day(next.early)}`,
    sub: next.likely > next.early ? likely : '',
  };
}

/** Levels so near to the low mark count as low, metres. */
const AT_LOW = 0.002;

/** Since which evening it likely has read low: as low as it stands now. */
function lowSince({ past, forecast }: TendedState): string {
  const now = forecast.level.middle + AT_LOW;
  let first = past.levels.length;
  while (first > 0 && (past.levels[first - 1] as number) <= now) first -= 1;
  const evenings = past.levels.length - first;
  return evenings < 2 ? 'It reads low.' : `It has read low for ${evenings} days.`;
}
