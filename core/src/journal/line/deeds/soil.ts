import type { Feel } from '../../entry';
import { bareIn, cut, lengthIn, NUMBER } from '../amounts';
import { deed, EMPTY, type Deed, type Reader } from './deed';

/** How the soil feels, and what may be of the soil or of the water. */

const FEELS: readonly (readonly [RegExp, Feel])[] = [
  [/\b(?:bone dry|dusty|dried out|parched|dry)\b/, 'dry'],
  [/\b(?:moist|damp|humid|just right|slightly wet)\b/, 'moist'],
  [/\b(?:soaked|soggy|waterlogged|sodden|muddy|wet)\b/, 'wet'],
];
const FINGER_HEAD =
  /^(?:the )?(?:stuck (?:a|my) )?(?:finger(?: test)?|felt|feels|soil|mix|dug|top (?:of the )?soil|surface|top|dry on top|(?:[a-z]+ )?knuckle|\d+ fingers? deep|(?:still )?(?:dry|moist|damp|wet) (?:at|down))\b/;
const DEPTH_FELT = 0.05;
const SURFACE_FELT = 0.01;

export const finger: Reader = (clause, { system }) => {
  const under = /(?:^|\s)(?:down|deep|below|under)\b/.test(clause);
  const feel = FEELS.map(([word, feels]) => ({ match: word.exec(clause), feels })).find(
    ({ match }) => match,
  );
  if (!feel?.match || !(FINGER_HEAD.test(clause) || (under && lengthIn(clause, 'span', system))))
    return null;
  // Words beside it that make it another thing: plants, leaves, weather.
  if (/\b(?:leaves|leaf|weather|air|day|paint|glue|sealant)\b/.test(clause)) return null;
  const rest = cut(clause, feel.match);
  const depth = lengthIn(rest, 'span', system);
  const fingers = /\bfingers? deep\b|\bknuckle\b/.test(rest);
  const bare = depth || !/^(?:finger|dug|felt)\b/.test(rest) ? null : bareIn(rest, 'span', system);
  const at =
    depth?.value ??
    bare?.value ??
    (fingers
      ? DEPTH_FELT
      : /^(?:dry on )?(?:top|surface)\b|\bon top\b/.test(clause)
        ? SURFACE_FELT
        : DEPTH_FELT);
  return deed({ kind: 'finger', depth: at, feels: feel.feels });
};

/** What may be of the soil or of the water, of rain or of the stick: it is asked. */
export function vague(clause: string): Deed | null {
  if (/^(?:still |very |quite )?(?:bone dry|dry|moist|damp|wet|soaked)!?$/.test(clause))
    return deed(
      EMPTY,
      clause,
      `What is ${clause.replace(/!$/, '')}? Type ‘finger dry’ for the soil, or ‘stick dry’ for the reservoir.`,
    );
  if (new RegExp(`^${NUMBER}(?: ?(?:mm|cm|in))?$`).test(clause))
    return deed(
      EMPTY,
      clause,
      'What is that? Type ‘stick 4 cm’ for the water, ‘rain 12 mm’ for what fell, or ‘6 L’ for what you filled.',
    );
  return null;
}
