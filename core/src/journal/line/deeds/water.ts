import type { UnitSystem } from '../../../units';
import type { EntryBody } from '../../entry';
import { bareIn, cut, fingersIn, lengthIn, NUMBER, shareIn, waterIn } from '../amounts';
import { deed, EMPTY, type Reader } from './deed';

/** Water: what was filled, how it stands, what rain fell. */

const UNTIL_RAN =
  /(?:,\s*)?\b(?:and )?(?:(?:until|till|til|'til) )?(?:it|water|the water|overflow|the overflow|spout)?\s*(?:just )?(?:ran|runs|running|ran over|overflowed|overflows|overflowing|spilled|came out|dripped)(?: (?:over|out))?(?: (?:of )?(?:the )?(?:overflow|spout|hole))?|\bto (?:the )?(?:brim|overflow)\b|\b(?:until|till|til) (?:the )?overflow$|\b(?:until|till|til) (?:it(?:'s| is| was)? )?full\b|\b(?:all the way|right) up\b/;

const FILL_HEAD =
  /^(?:i |we )?(?:have |just )?(?:filled|refilled|fill|refill|topped up|topped it up|topped off|top up|topped|watered|water|poured|pour|gave|added|add|put|took|used|drank|swallowed)\b(?: it)?(?: up)?/;
const NOT_FILLED =
  /^(?:fill(?:ing)? (?:tube|pipe|hole|cap|level)|filled (?:in )?(?:the|a) (?:hole|gap)|water(?:ing)? (?:can|is|was|looks|smells|level|in|under|line|turned|has|came|comes)|put (?:up|on|in a|the|it|them|out)|added (?:a|the) (?!can|bucket|litre|liter|gallon))/;
const TOP_OF =
  /\b(?:on (?:the )?top|from (?:the )?top|from above|overhead|by hand on the soil)\b|\btop$/;
const THROUGH =
  /\b(?:through|down|into|in|via|by) (?:the )?(?:worm |fill(?:er)? )?(?:tube|tower|pipe|filler)\b/;
const LITTLE_WATER = /\b(?:a bit|a little|little|a splash|a drop|a lot|lots|plenty)\b/;

/** Words that say nothing beside a filling. */
const FILLER =
  /\b(?:with|it|of|water|rainwater|the|reservoir|tank|both|again|up|from (?:the )?(?:rain )?(?:barrel|butt|tap|hose)|and|in|to|into|more|extra|another|fresh|good|went in|before|fill)\b/g;

export const filled: Reader = (clause, { system, can, planter }) => {
  const ranAlone = /^(?:till|until|til) (?:it |the overflow )?(?:ran|overflowed|full)/.test(clause);
  const head = FILL_HEAD.exec(clause);
  const bare =
    new RegExp(`^${NUMBER}`).test(clause) || /^an? (?:can|bucket|bottle|jug)\b/.test(clause);
  if (NOT_FILLED.test(clause) || !(head || ranAlone || bare)) return null;
  let rest = head ? clause.slice(head[0].length).trim() : clause;
  const never = /\b(?:did ?n[o']?t|not|no) (?:run|overflow)\w*|\bwithout running\b/.exec(rest);
  if (never) rest = cut(rest, never);
  const until = never ? null : UNTIL_RAN.exec(rest);
  if (until) rest = cut(rest, until);
  const onTop = TOP_OF.exec(rest);
  if (onTop) rest = cut(rest, onTop);
  const tube = THROUGH.exec(rest);
  if (tube) rest = cut(rest, tube);
  const brimful = /(?:^|\s)full(?=$|[\s,;.])/.exec(rest);
  const ran = until !== null || brimful !== null;
  if (brimful) rest = cut(rest, brimful);
  const where = onTop && !tube ? 'top' : 'tube';
  const amount = waterIn(rest, system, can);
  // A bare amount is a filling only where it is of water, and what is given or put needs to be some.
  if (!head && !ranAlone && (!amount || amount.rest.replace(FILLER, '').trim() !== '')) return null;
  if (
    head &&
    /\b(?:gave|added|add|put|took|used|drank|swallowed)\b/.test(head[0]) &&
    !amount &&
    !/\bwater\b/.test(rest)
  )
    return null;
  if (amount)
    return deed({ kind: 'filled', where, volume: amount.value, ran }, wordsOf(amount.rest));
  const number = bareIn(rest, 'volume', system);
  if (number && wordsOf(number.rest) === '')
    return deed({ kind: 'filled', where, volume: number.value, ran });
  const share = shareIn(rest);
  const half = share && share.value > 0 && share.value < 1 ? share : null;
  const did: EntryBody = { kind: 'filled', where, volume: null, ran };
  if (half && planter)
    return deed(
      did,
      `to ${Math.round(half.value * 100)} %`,
      'It was filled in part: say how much went in, or what the stick shows now.',
    );
  const vague = LITTLE_WATER.exec(rest);
  if (vague)
    return deed(
      did,
      wordsOf(rest),
      'Say how much went in, like 2 cans, or how the stick stands now.',
    );
  if (/\d/.test(rest) && !/^[a-z]/.test(rest))
    return deed(
      did,
      wordsOf(rest),
      `‘${rest}’ is no amount of water that can be read. Say it like 6 L, 2 gal or 2 cans.`,
    );
  return deed(did, wordsOf(rest));
};

const wordsOf = (rest: string): string => rest.replace(FILLER, ' ').replace(/\s+/g, ' ').trim();

const LEVEL_HEAD =
  /^(?:the |a )?(?:fill level|dip[ -]?stick|stick|dip|dipped|level|float|gauge|sight (?:tube|glass)|reservoir|res|water level|water line|tank|water)(?: (?:was|is|at|reads?|shows?|says?|stands?|down|now|to|still|sits))*\b:?\s*/;
/** An overflow that runs shows that it is full. */
export const RAN_ALONE =
  /^(?:it|the overflow|overflow|the spout|spout)? ?(?:is |was |has |just )?(?:ran|run|overflowed|ran over|running|overflowing|dripping)$/;
/** `half full` and `empty` without another word. */
function shareAlone(clause: string): number | null {
  if (
    !/^(?:it is |it's |now |still )?(?:full|half full|nearly empty|empty|\d\/\d full|half empty)$/.test(
      clause,
    )
  )
    return null;
  return shareIn(clause)?.value ?? null;
}
const OF_WATER =
  /^(.*?)\s*(?:of water\b|(?<=\d ?(?:mm|cm|in)) water$|of it left\b|(?:of water )?(?:left )?(?:on|in) (?:the )?(?:stick|reservoir|tank|tube|bottom)\b)(.*)$/;

export const level: Reader = (clause, context) => {
  const { system, planter } = context;
  const full = planter && (RAN_ALONE.test(clause) ? 1 : shareAlone(clause));
  if (planter && full !== null) return deed({ kind: 'level', depth: full * planter.full });
  const head = LEVEL_HEAD.exec(clause);
  const of = head ? null : OF_WATER.exec(clause);
  if (/^(?:no|without) water (?:left|in)/.test(clause)) return deed({ kind: 'level', depth: 0 });
  if (!head && !of) return null;
  const noun = head?.[0].trim() ?? '';
  const rest = head ? clause.slice(head[0].length) : `${of![1]} ${of![2]}`.trim();
  // `water` and `tank` begin many another sentence.
  const loose = /^(?:the )?(?:water|tank|reservoir)\b/.test(noun) || of !== null;
  const length =
    lengthIn(rest, 'length', system) ?? fingersIn(rest) ?? (loose ? null : mixedIn(rest, system));
  if (length) return deed({ kind: 'level', depth: length.value }, wordsOf(length.rest));
  // What is said of water without a verb was given.
  const given = of ? !/\b(?:left|on|in)\b/.test(clause) : /^(?:the )?water$/.test(noun);
  const volume = waterIn(rest, system, context.can);
  if (given && volume) return null;
  if (volume && !/^(?:can|bucket)/.test(rest)) {
    if (!planter)
      return deed(
        EMPTY,
        rest,
        'Say how deep the water is: litres mean another depth in each planter.',
      );
    return deed({ kind: 'level', depth: planter.depthOf(volume.value) }, wordsOf(volume.rest));
  }
  const share = shareIn(rest);
  if (share) {
    if (share.value === 0) return deed({ kind: 'level', depth: 0 }, wordsOf(share.rest));
    if (!planter)
      return loose
        ? null
        : deed(EMPTY, rest, 'Say how deep the water is: half means another depth in each planter.');
    return deed({ kind: 'level', depth: share.value * planter.full }, wordsOf(share.rest));
  }
  const number = loose ? null : bareIn(rest, 'length', system);
  if (number && wordsOf(number.rest) === '') return deed({ kind: 'level', depth: number.value });
  return loose
    ? null
    : deed(EMPTY, rest, 'Say how deep the water is, like 4 cm, 1 1/2 in or half.');
};
/** `1 1/2` alone is a length, where `1/2` is a share of what is full. */
const mixedIn = (rest: string, system: UnitSystem): ReturnType<typeof bareIn> =>
  /^\d+ \d+\/\d+$/.test(rest.trim()) ? bareIn(rest, 'length', system) : null;

export const rain: Reader = (clause, { system }) => {
  if (
    !/\b(?:rain(?:ed|fall|s|ing)?|rain gauge|shower(?:s|ed)?|(?:thunder)?storms?|drizzled?|downpour)\b/.test(
      clause,
    )
  )
    return null;
  if (
    /\b(?:rain ?(?:water|barrel|butt|tank|cover|coat)|after (?:the )?rain|before (?:the )?rain)\b/.test(
      clause,
    )
  )
    return null;
  if (
    /\b(?:no|without|did(?:n't| not)|0 ?mm|0 ?in|none)\b/.test(clause) &&
    !/\bno (?:wind|overflow)\b/.test(clause)
  )
    return deed({ kind: 'rain', depth: 0 });
  const depth = lengthIn(clause, 'length', system) ?? bareIn(clause, 'length', system);
  const words = (rest: string): string =>
    rest
      .replace(
        /\b(?:rain(?:ed|fall)?(?: gauge)?|of|with|the|in|showed|shows|had|we|it|got|total|:)\b|:/g,
        ' ',
      )
      .replace(/\s+/g, ' ')
      .trim();
  if (depth) return deed({ kind: 'rain', depth: depth.value }, words(depth.rest));
  return deed(
    EMPTY,
    clause,
    'Say how much rain fell, like 12 mm or 1/2 in: as words alone it tells nothing of the water.',
  );
};
