import type { Activity } from '../../entry';
import { activity, type Reader } from './deed';

/** What is done without a number, and trouble that is seen. */

/** Work on what stands in the planter: it may be told with words that are of feed or water elsewhere. */
export const WORK: readonly (readonly [RegExp, Activity])[] = [
  [/^worms$|^(?:fed|feed|gave) (?:the )?worms\b/, 'worms'],
  [
    /\b(?:new|renewed|replaced|changed|swapped|fitted|exchanged)\b.*\bwicks?\b|^wicks? (?:renewed|replaced|changed)\b/,
    'wick',
  ],
  [
    /^(?:cleared|cleaned|washed|unblocked|rinsed|freed|poked|unclogged)\b.*\b(?:overflow|screen|outlet|hole|spout|drain)\b|^overflow (?:cleared|cleaned|unblocked)/,
    'overflow',
  ],
  [/^(?:flushed|flush|leached)\b/, 'flushed'],
  [
    /^(?:emptied|drained)\b|^(?:dumped|tipped|let) (?:out )?(?:the |all (?:the )?)?water\b/,
    'emptied',
  ],
  [/^limed\b|^(?:added|gave|spread) .*\blime\b/, 'limed'],
  [
    /^(?:mulched|mulch|fresh mulch|new mulch|(?:top|side)[- ]?dressed|compost)\b(?! tea)|^(?:mulch|compost|soil) topped\b|^(?:topped(?: it)?(?: up)?|top up|added|add|put(?: on)?|spread) .*\b(?:compost|mulch|straw|soil|mix|wood ?chips?|chips|leaves|bark|hay)\b(?! tea)/,
    'topped',
  ],
];
export const OTHER_WORK: readonly (readonly [RegExp, Activity])[] = [
  [
    /^(?:planted|transplanted|replanted|repotted|set out|potted(?: up| on)?|put in \d+ .*(?:plants?|seedlings?))\b/,
    'planted',
  ],
  [/^[a-z][a-z ]{2,30} planted(?: out)?$/, 'planted'],
  [/^[a-z][a-z ]{2,30} (?:sown|sowed)$/, 'sown'],
  [/^(?:direct )?(?:re-?)?(?:sowed|sown|sow|seeded)\b|^started .*\bfrom seed\b/, 'sown'],
  [/^thinned\b/, 'thinned'],
  [/^(?:tied|staked|caged|strung|trellised)\b/, 'tied'],
  [/^(?:moved|shifted|turned|brought (?:in|out|inside)|carried)\b/, 'moved'],
];
export const oneOf =
  (words: typeof WORK): Reader =>
  (clause) => {
    const found = words.find(([word]) => word.test(clause));
    return found ? activity(found[1], clause) : null;
  };

const TROUBLE =
  /\b(?:aphids?|greenfly|blackfly|slugs?|snails?|mildew|larvae|mosquito(?:e?s)?|gnats?|white ?fl(?:y|ies)|horn ?worms?|cutworms?|caterpillars?|mites|thrips|blight|rust|rot(?:ting|ten|s)?|yellow(?:ing|ed)?(?: leaves)?|leaves yellow|wilt(?:ed|ing|s)?|droop(?:ed|ing|y|s)?|limp|leak(?:s|ing|ed|y)?|dripping|clogged|blocked|tipped(?: over)?|knocked over|frozen|miners?|birds|mice|rats?|crack(?:s|ed)?|split|mou?ld(?:y)?|algae|smell(?:s|y)?|stinks?|beetles?|bugs|pests?|trouble|sick|brown (?:spots|tips|edges)|spots|holes in (?:the )?leaves|blossom[- ]end|bolt(?:ed|ing)|dying|died|dead|frost(?:ed|bitten| damage| burn)|sunburn(?:t|ed)?|scorched|burnt|weevils?|earwigs?|ants|fungus|curl(?:ed|ing)? leaves|leaves (?:are |is )?curl\w*)\b/;
const NO_TROUBLE =
  /\b(?:no|no more|removed|pruned|trimmed|cut|treated|without|free of|fixed|mended|repaired|stopped|gone|sealed|fine|against|dunks?|bti|sprayed|dead ?head\w*|looks? (?:good|well|fine|healthy))\b/;

export const trouble: Reader = (clause) =>
  TROUBLE.test(clause) && !NO_TROUBLE.test(clause) ? activity('trouble', clause) : null;
