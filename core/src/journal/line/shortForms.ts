import { FEEDS } from '../../catalog';
import { cropIn, type PlanterDesign } from '../../document';
import { say, tell, type Message, type UnitSystem } from '../../units';
import type { EntryBody, LogEntry } from '../entry';
import { describeEntry } from '../words';
import { bareIn, feedIn, lengthIn, massIn, numberOf, NUMBER, waterIn } from './amounts';
import { entryTrouble } from './readLine';
import type { LinePlanter } from './deeds';

/** What a hand with soil on it can note by a press or two: what was noted last is offered first. */

export const SHORT_FORMS = {
  water: { name: 'Water' },
  plant: { name: 'Planted' },
  feed: { name: 'Fed' },
  harvest: { name: 'Picked' },
  trouble: { name: 'Trouble' },
  weather: { name: 'Weather' },
} as const;
export type ShortFormId = keyof typeof SHORT_FORMS;

/** Something that is noted by one press. */
export interface FormOffer {
  words: Message;
  did: EntryBody;
  text: string;
}

/** A short form: what is offered, and what may be told beside it. */
export interface ShortForm {
  offers: readonly FormOffer[];
  /** What an amount may be of, likeliest first; null where an amount says all. */
  things: readonly string[] | null;
  /** Words that show how an amount is typed; null where the form takes none. */
  amount: { us: string; metric: string } | null;
}

interface FormQuestion {
  design: PlanterDesign;
  /** Entries that hold, latest first. */
  entries: readonly LogEntry[];
  system: UnitSystem;
  /** What one's can holds, m³. */
  can: number;
  planter: Pick<LinePlanter, 'holds'>;
}

/** Offers of one form at most: two rows on a phone. */
const MOST = 6;
/** Rain as gauges read it, metres. */
const USUAL_RAIN = { metric: [0.005, 0.01, 0.025], us: [0.00635, 0.0127, 0.0254] } as const;
const CANS = [0.5, 1, 2];
/** Troubles as people name them; each is known to the guide by these words. */
const TROUBLES = ['slugs', 'aphids', 'gnats', 'mildew', 'yellow leaves', 'limp at noon'];
/** Feeds of a design that nobody gives by hand. */
const NO_NAME: readonly string[] = ['none', 'in-mix'];
const WEATHER_NOTES = ['Frost', 'Hail', 'Storm'];

const offer = (did: EntryBody, text = ''): FormOffer => ({ words: describeEntry(did), did, text });
const note = (words: string): FormOffer => ({
  words: say`${words}`,
  did: { kind: 'did', what: 'note' },
  text: words,
});

/** The first of each kind, as `key` tells them apart. */
function distinct<T>(all: readonly T[], key: (one: T) => string): T[] {
  const seen = new Map<string, T>();
  for (const one of all) if (!seen.has(key(one))) seen.set(key(one), one);
  return [...seen.values()];
}

const lastNoted = <K extends EntryBody['kind']>(
  entries: readonly LogEntry[],
  kind: K,
): Extract<EntryBody, { kind: K }>[] =>
  entries.flatMap(({ did }) => (did.kind === kind ? [did as Extract<EntryBody, { kind: K }>] : []));

/** Offers that read differently, at most so many. */
const inOffers = (bodies: readonly EntryBody[], system: UnitSystem): FormOffer[] =>
  distinct(
    bodies.map((did) => offer(did)),
    ({ words }) => tell(words, system),
  ).slice(0, MOST);

function water({ entries, can, planter, system }: FormQuestion): ShortForm {
  const noted = lastNoted(entries, 'filled').filter(({ volume }) => volume !== null);
  const volumes = CANS.map((count) => count * can);
  // Into a small one nobody pours a can.
  const usual = volumes.filter((volume, i) => i === 0 || volume <= planter.holds);
  const cans = usual.map((volume): EntryBody => ({
    ...{ kind: 'filled', where: 'tube', volume: Math.min(volume, planter.holds) },
    ran: false,
  }));
  return {
    offers: inOffers([...noted.slice(0, 2), ...cans], system),
    things: null,
    amount: { us: '1.5 gal', metric: '6 L' },
  };
}

/** What grows in it, by name, each once. */
const cropsOf = ({ planting }: PlanterDesign) =>
  distinct(
    planting.crops.filter(({ count }) => count > 0),
    (planted) => cropIn(planted).name,
  );

function plant({ design }: FormQuestion): ShortForm {
  const offers = cropsOf(design).map((planted): FormOffer => {
    const { name } = cropIn(planted);
    const what = planted.start === 'seed' ? 'sown' : 'planted';
    const did: EntryBody = { kind: 'did', what };
    return { words: say`${describeEntry(did)}: ${name}`, did, text: name };
  });
  const all: EntryBody = { kind: 'did', what: 'planted' };
  return { offers: [...offers.slice(0, MOST), offer(all)], things: null, amount: null };
}

const unweighed: FormOffer = {
  words: say`Fed, not weighed`,
  did: { kind: 'fed', what: '', mass: null },
  text: '',
};

function feed({ design: { soil }, entries, system }: FormQuestion): ShortForm {
  const noted = lastNoted(entries, 'fed');
  const usual = NO_NAME.includes(soil.feed) ? [] : [FEEDS[soil.feed].name.toLowerCase()];
  return {
    offers: [...inOffers(noted.slice(0, 3), system), unweighed],
    things: distinct([...noted.map(({ what }) => what), ...usual], (one) => one).filter(Boolean),
    amount: { us: '2 tbsp', metric: '30 g' },
  };
}

function harvest({ design, entries, system }: FormQuestion): ShortForm {
  const crops = cropsOf(design).map((planted) => cropIn(planted).name.toLowerCase());
  const noted = distinct(lastNoted(entries, 'harvested'), ({ what }) => what.toLowerCase());
  const names = distinct([...crops, ...noted.map(({ what }) => what.toLowerCase())], (one) => one);
  return {
    offers: inOffers(
      [
        ...noted.slice(0, 3),
        ...crops.map((what): EntryBody => ({ kind: 'harvested', what, mass: null, count: 1 })),
        { kind: 'harvested', what: '', mass: null, count: null },
      ],
      system,
    ),
    things: names.filter(Boolean),
    amount: { us: '3, or 12 oz', metric: '3, or 400 g' },
  };
}

const trouble = (): ShortForm => ({
  offers: TROUBLES.map((text) => ({
    words: say`${text[0]!.toUpperCase() + text.slice(1)}`,
    did: { kind: 'did', what: 'trouble' },
    text,
  })),
  things: null,
  amount: null,
});

function weather({ entries, system }: FormQuestion): ShortForm {
  const noted = lastNoted(entries, 'rain').slice(0, 1);
  const usual = [0, ...USUAL_RAIN[system]].map((depth): EntryBody => ({ kind: 'rain', depth }));
  return {
    offers: [...inOffers([...noted, ...usual], system), ...WEATHER_NOTES.map(note)],
    things: null,
    amount: { us: '1/2 in', metric: '12 mm' },
  };
}

const FORMS: Record<ShortFormId, (question: FormQuestion) => ShortForm> = {
  ...{ water, plant, feed, harvest, trouble, weather },
};

/** The short forms of a planter. */
export const shortFormOf = (form: ShortFormId, question: FormQuestion): ShortForm =>
  FORMS[form](question);

interface AmountContext {
  system: UnitSystem;
  can: number;
  planter: LinePlanter | null;
}
export type FormReading =
  { ok: true; did: EntryBody; doubt: string | null } | { ok: false; message: string };

const OUNCE = 0.028349523125;
const only = new RegExp(`^${NUMBER}$`);

/** What an amount as it is typed into a form tells; null where it is none. @param of what it is of */
function bodyOf(form: ShortFormId, typed: string, of: string, context: AmountContext) {
  const { system, can } = context;
  const text = typed.trim().toLowerCase();
  switch (form) {
    case 'water': {
      const read = waterIn(text, system, can) ?? bareIn(text, 'volume', system);
      return (
        read && { kind: 'filled' as const, where: 'tube' as const, volume: read.value, ran: false }
      );
    }
    case 'feed': {
      const what = of.trim();
      if (text === '') return { kind: 'fed' as const, what, mass: null };
      const bare = only.test(text) ? numberOf(text) * (system === 'us' ? OUNCE : 1e-3) : null;
      const mass = bare ?? feedIn(text, system)?.value ?? null;
      return mass === null ? null : { kind: 'fed' as const, what, mass };
    }
    case 'harvest': {
      const what = of.trim();
      if (text === '') return { kind: 'harvested' as const, what, mass: null, count: null };
      if (/^\d{1,9}$/.test(text))
        return { kind: 'harvested' as const, what, mass: null, count: Number(text) };
      const mass = massIn(text, 'mass', system)?.value ?? null;
      return mass === null ? null : { kind: 'harvested' as const, what, mass, count: null };
    }
    case 'weather': {
      const read = lengthIn(text, 'length', system) ?? bareIn(text, 'length', system);
      return read && { kind: 'rain' as const, depth: read.value };
    }
    default:
      return null;
  }
}

/** What a form that takes an amount asks for, where what was typed is none. */
const ASKS: Record<ShortFormId, string> = {
  water: 'Say how much water, like 6 L, 1.5 gal or 2 cans.',
  feed: 'Say how much, like 30 g, 2 tbsp or a handful; or leave it empty.',
  harvest: 'Say how many, or what they weigh with the unit, like 3, 400 g or 12 oz.',
  weather: 'Say how much rain fell, like 12 mm or 1/2 in.',
  plant: 'Say what was planted.',
  trouble: 'Say what was seen.',
};

/**
 * Reads an amount that was typed into a short form, by the same words and bounds as the line.
 *
 * @param of what it is of, where the form asks that
 * @returns never throws: what cannot be read is a sentence that says what to type
 */
export function readForm(
  form: ShortFormId,
  typed: string,
  of: string,
  context: AmountContext,
): FormReading {
  const did = bodyOf(form, typed, of, context);
  if (did === null) return { ok: false, message: ASKS[form] };
  const { message, doubt } = entryTrouble(did, '', { ...context, alone: true });
  return message === null ? { ok: true, did, doubt } : { ok: false, message };
}
