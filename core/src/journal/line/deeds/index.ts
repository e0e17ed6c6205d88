import type { Deed, DeedContext, Reader } from './deed';
import { cropAlone, fed, harvested } from './plants';
import { finger, vague } from './soil';
import { filled, level, rain } from './water';
import { oneOf, OTHER_WORK, trouble, WORK } from './work';

export type { Deed, DeedContext, LinePlanter } from './deed';
export { RAN_ALONE } from './water';

/** Said of what was not done, or is yet to be done: a note. */
const NOT_DONE =
  /\b(?:(?:did ?n[o']?t|didn't|haven't|have not|hasn't|not|never|forgot to|forgot|no need to|need(?:s|ed)? to|needs|should|must|will|gonna|going to|want to|remember to|to do|todo|plan to|skip(?:ped)?)\s+(?:be )?(?:the )?(?:fill|refill|water|top|feed|fed|fertili|harvest|pick|plant|sow|mulch|clean|clear|empt|flush|move|rain|dip)\w*)/;

/** In which order a clause is tried: what is said in more words before what is said in fewer. */
const READERS: readonly Reader[] = [
  rain,
  oneOf(WORK),
  fed,
  level,
  finger,
  harvested,
  filled,
  oneOf(OTHER_WORK),
  trouble,
  cropAlone,
  vague,
];

/** What may stand before a deed and says nothing, and who else did it. */
const BEFORE =
  /^(?:(?:i|we|it(?= (?:took|used|drank|swallowed))|also|just|then|now|finally|again|so|and|have|had)\s+|(?:checked|looked at|measured|read|poked|put|stuck)\s+(?:the |my |a )?(?=stick|dip|float|level|gauge|finger|soil)|checked\s+(?=\d))+/;
const SOMEBODY =
  /^(?:the )?(?!not|never|needs?|been?|was|were|rain|to|it|ha[sd]|got|who|nobody|no|nothing|half|all|over|self|reservoir|tank|pot|pots|tote|pail|bed|barrel|soil|mulch)([a-z]+) (?=(?:filled|refilled|watered|fed|emptied)\b)/;

/** The deed that a clause tells, or null where it is words alone. @param clause brought to one form */
export function deedIn(clause: string, context: DeedContext): Deed | null {
  if (
    NOT_DONE.test(clause) &&
    !/\bnot? (?:run|overflow)/.test(clause) &&
    !/^(?:it )?did ?n[o']?t rain/.test(clause)
  )
    return null;
  if (/\?$/.test(clause)) return null;
  const somebody = SOMEBODY.exec(clause);
  const told = (somebody ? clause.slice(somebody[0].length) : clause).replace(BEFORE, '').trim();
  for (const read of READERS) {
    const found = read(told, context);
    if (found)
      return somebody
        ? { ...found, text: [`by ${somebody[1]}`, found.text].filter(Boolean).join(', ') }
        : found;
  }
  return null;
}
