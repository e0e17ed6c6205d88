import { CROPS } from '../../catalog';
import type { UnitSystem } from '../../units';
import type { Activity, EntryBody, Feel } from '../entry';
import {
  bareIn,
  cut,
  feedIn,
  fingersIn,
  lengthIn,
  massIn,
  numberOf,
  NUMBER,
  shareIn,
  waterIn,
} from './amounts';

/** What a part of a line tells: one deed, with what is left of it as words. */

/** What is known of the planter that a line is about. */
export interface LinePlanter {
  /** Depth of so much water in it, metres. @param volume m³ */
  depthOf(volume: number): number;
  /** Depth of the water when it is full, and of all that holds water, metres. */
  full: number;
  rim: number;
  /** What it holds when it is full, with a barrel beside it, m³. */
  holds: number;
}

export interface DeedContext {
  system: UnitSystem;
  /** What one's can holds, m³. */
  can: number;
  planter: LinePlanter | null;
  /** Whether it is a line of one part: a crop with a number stands for a harvest only alone. */
  alone: boolean;
}

export interface Deed {
  did: EntryBody;
  /** What else there is to say. */
  text: string;
  /** What is to be asked before it counts; empty where nothing is in doubt. */
  doubt: string;
}

type Reader = (clause: string, context: DeedContext) => Deed | null;
const deed = (did: EntryBody, text = '', doubt = ''): Deed => ({
  did,
  text: text.replace(/^[\s,;:.-]+|[\s,;:-]+$/g, ''),
  doubt,
});
const activity = (what: Activity, text: string): Deed => deed({ kind: 'did', what }, text);

/** Said of what was not done, or is yet to be done: a note. */
const NOT_DONE =
  /\b(?:(?:did ?n[o']?t|didn't|haven't|have not|hasn't|not|never|forgot to|forgot|no need to|need(?:s|ed)? to|needs|should|must|will|gonna|going to|want to|remember to|to do|todo|plan to|skip(?:ped)?)\s+(?:be )?(?:the )?(?:fill|refill|water|top|feed|fed|fertili|harvest|pick|plant|sow|mulch|clean|clear|empt|flush|move|rain|dip)\w*)/;

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

const filled: Reader = (clause, { system, can, planter }) => {
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

const level: Reader = (clause, context) => {
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
const EMPTY: EntryBody = { kind: 'did', what: 'note' };

const FEELS: readonly (readonly [RegExp, Feel])[] = [
  [/\b(?:bone dry|dusty|dried out|parched|dry)\b/, 'dry'],
  [/\b(?:moist|damp|humid|just right|slightly wet)\b/, 'moist'],
  [/\b(?:soaked|soggy|waterlogged|sodden|muddy|wet)\b/, 'wet'],
];
const FINGER_HEAD =
  /^(?:the )?(?:stuck (?:a|my) )?(?:finger(?: test)?|felt|feels|soil|mix|dug|top (?:of the )?soil|surface|top|dry on top|(?:[a-z]+ )?knuckle|\d+ fingers? deep|(?:still )?(?:dry|moist|damp|wet) (?:at|down))\b/;
const DEPTH_FELT = 0.05;
const SURFACE_FELT = 0.01;

const finger: Reader = (clause, { system }) => {
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

const rain: Reader = (clause, { system }) => {
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

const FEED_HEAD =
  /^(?:i |we )?(?:fed|feed|fertili[sz]ed?|fertili[sz]er|gave|added|liquid feed|tomato feed|granules)\b/;
const NPK = /\b\d{1,2}-\d{1,2}-\d{1,2}\b/;
const IS_FEED =
  /\b(?:feed|fertili[sz]er|granules|nettle|seaweed|fish|bone|blood|castings|manure|pellets|guano|epsom|worm tea|compost tea|nutrients?)\b/;

const fed: Reader = (clause, { system }) => {
  if (/^(?:fed|feed) (?:the )?worms?\b|^gave the worms\b/.test(clause))
    return activity('worms', clause.replace(/^(?:fed|feed|gave) (?:the )?worms?\b/, ''));
  const head = FEED_HEAD.exec(clause);
  const kind = NPK.exec(clause);
  const certain = head !== null && !/^(?:i |we )?(?:gave|added)/.test(head[0]);
  const scooped = new RegExp(
    `(?:^|\\s)(?:${NUMBER}|an?) ?(?:tbsp|tsp|tablespoons?|teaspoons?|handfuls?|scoops?|g|oz|kg|lb|cups?|caps?|capfuls?)\\b`,
  ).test(clause);
  if (
    !certain &&
    !(head && (IS_FEED.test(clause) || kind)) &&
    !(scooped && (kind || IS_FEED.test(clause)))
  )
    return null;
  // An analysis is a name and no amount.
  const held = kind ? clause.replace(kind[0], 'NPK') : clause;
  const rest = (
    head
      ? held.slice(/^(?:tomato feed|liquid feed|granules)/.test(head[0]) ? 0 : head[0].length)
      : held
  ).trim();
  const amount = feedIn(rest, system);
  const bare = amount ? null : /^(?:with )?(\d+(?:[.,]\d+)?)(?=\s|$)/.exec(rest);
  const left = (amount?.rest ?? rest).replace('NPK', kind?.[0] ?? '');
  const what = left
    .replace(/^[\s:,-]*(?:with|of|it|the|a|some)?\b/g, '')
    .replace(/\b(?:of|with|in|per|the)\s*$/g, '')
    .replace(/^[\s,]*(?:with|of)?\s*/, '')
    .trim()
    .slice(0, 80);
  const mass = amount?.value ?? (bare ? readBare(bare[1]!, system) : null);
  return deed({ kind: 'fed', what: bare ? what.replace(bare[0], '').trim() : what, mass });
};
const readBare = (text: string, system: UnitSystem): number =>
  numberOf(text) * (system === 'us' ? 0.028349523125 : 0.001);

const HARVEST_HEAD =
  /^(?:i |we )?(?:harvested|harvest|picked|pick|cut|pulled|gathered|snipped|dug up|ate|first harvest:?)\b/;
const PESTS =
  /\b(?:slugs?|snails?|caterpillars?|bugs?|beetles?|aphids?|grubs?|worms|larvae|mites|whitefl(?:y|ies)|thrips|earwigs?|maggots?|ants)\b/;
const NOT_HARVEST =
  /^(?:\w+ )?(?:cut|picked|pulled|dug) (?:back|down|off|away|out|up the|in|into|it|them|holes?|legs?|(?:a |the |some |new )?(?:wick|cloth|pipe|tube|stem|stems|barrel|hole|holes|weeds|weed|leaves|dead|yellow|old|brown|flowers|suckers|shoots|string|lid))\b|\b(?:weeds?|dead leaves|yellow leaves|suckers|side ?shoots|dead ?heads?)\b/;
const CONTAINERS =
  /^(?:an? |\d+(?:\/\d+)? |\d+ \d+\/\d+ )?(?:big |small |large |nice )?(?:bunch(?:es)?|bowls?|baskets?|handfuls?|bags?|boxes|box|punnets?|colanders?|armfuls?|cups?|buckets?) (?:of )?/;

const harvested: Reader = (clause, { system }) => {
  const head = HARVEST_HEAD.exec(clause);
  if (!head) return null;
  if (PESTS.test(clause)) return activity('trouble', clause);
  if (NOT_HARVEST.test(clause)) return deed(EMPTY, clause);
  const rest = clause.slice(head[0].length).trim();
  if (
    /^dug up/.test(head[0]) &&
    !/\b(?:potato|carrot|beet|onion|garlic|leek|radish|parsnip|sweet)/.test(rest)
  )
    return null;
  const mass = massIn(rest, 'mass', system);
  if (mass) {
    const count = new RegExp(`^(\\d+) `).exec(mass.rest);
    const what = nameOf(count ? mass.rest.slice(count[0].length) : mass.rest);
    return deed(
      { kind: 'harvested', what, mass: mass.value, count: null },
      count ? `${count[1]} of them` : '',
    );
  }
  const container = CONTAINERS.exec(rest);
  if (container)
    return deed(
      { kind: 'harvested', what: nameOf(rest.slice(container[0].length)), mass: null, count: null },
      container[0],
    );
  const count = /^(?:the )?(?:first )?(\d+|an?|the first|first)(?=\s|$)\s*/.exec(rest);
  if (count && rest.slice(count[0].length).trim() !== '') {
    const n = /^\d+$/.test(count[1]!) ? Number(count[1]) : 1;
    return deed(
      { kind: 'harvested', what: nameOf(rest.slice(count[0].length)), mass: null, count: n },
      /first/.test(count[0]) ? 'the first' : '',
    );
  }
  const only = /^\d+$/.exec(rest);
  return deed({
    kind: 'harvested',
    what: only ? '' : nameOf(rest),
    mass: null,
    count: only ? Number(rest) : null,
  });
};
const nameOf = (rest: string): string =>
  rest
    .replace(/^(?:of|the|some|more|:|-|,)\s*/g, '')
    .replace(/[\s,;]+$/, '')
    .trim()
    .slice(0, 80);

/** Work on what stands in the planter: it may be told with words that are of feed or water elsewhere. */
const WORK: readonly (readonly [RegExp, Activity])[] = [
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
const OTHER_WORK: readonly (readonly [RegExp, Activity])[] = [
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
const oneOf =
  (words: typeof WORK): Reader =>
  (clause) => {
    const found = words.find(([word]) => word.test(clause));
    return found ? activity(found[1], clause) : null;
  };

const TROUBLE =
  /\b(?:aphids?|greenfly|blackfly|slugs?|snails?|mildew|larvae|mosquito(?:e?s)?|gnats?|white ?fl(?:y|ies)|horn ?worms?|cutworms?|caterpillars?|mites|thrips|blight|rust|rot(?:ting|ten|s)?|yellow(?:ing|ed)?(?: leaves)?|leaves yellow|wilt(?:ed|ing|s)?|droop(?:ed|ing|y|s)?|limp|leak(?:s|ing|ed|y)?|dripping|clogged|blocked|tipped(?: over)?|knocked over|frozen|miners?|birds|mice|rats?|crack(?:s|ed)?|split|mou?ld(?:y)?|algae|smell(?:s|y)?|stinks?|beetles?|bugs|pests?|trouble|sick|brown (?:spots|tips|edges)|spots|holes in (?:the )?leaves|blossom[- ]end|bolt(?:ed|ing)|dying|died|dead|frost(?:ed|bitten| damage| burn)|sunburn(?:t|ed)?|scorched|burnt|weevils?|earwigs?|ants|fungus|curl(?:ed|ing)? leaves|leaves (?:are |is )?curl\w*)\b/;
const NO_TROUBLE =
  /\b(?:no|no more|removed|pruned|trimmed|cut|treated|without|free of|fixed|mended|repaired|stopped|gone|sealed|fine|against|dunks?|bti|sprayed|dead ?head\w*|looks? (?:good|well|fine|healthy))\b/;

const trouble: Reader = (clause) =>
  TROUBLE.test(clause) && !NO_TROUBLE.test(clause) ? activity('trouble', clause) : null;

/** Crops as they are called, without what follows a bracket or comma. */
const CROP_NAMES: readonly string[] = Object.values(CROPS).map(({ name }) =>
  name
    .toLowerCase()
    .replace(/[(,].*$/, '')
    .trim(),
);
const isCrop = (word: string): boolean => {
  const one = word.toLowerCase().trim().replace(/ies$/, 'y').replace(/oes$/, 'o').replace(/s$/, '');
  return (
    one.length > 2 &&
    CROP_NAMES.some((name) => name === one || name.startsWith(one) || name.endsWith(` ${one}`))
  );
};

/** A weight or a number with a crop and no word of what was done is what was picked: `1 kg tomatoes`. */
function cropAlone(clause: string, { system, alone }: DeedContext): Deed | null {
  if (!alone) return null;
  const mass = massIn(clause, 'mass', system);
  const count = /^(\d+) ([a-z][a-z ]+)$/.exec(clause);
  const what = mass ? nameOf(mass.rest) : (count?.[2] ?? '');
  if (what.split(' ').length > 3 || !isCrop(what)) return null;
  return deed({
    kind: 'harvested',
    what,
    mass: mass?.value ?? null,
    count: mass ? null : Number(count![1]),
  });
}

/** What may be of the soil or of the water, of rain or of the stick: it is asked. */
function vague(clause: string): Deed | null {
  if (/^(?:still |very |quite )?(?:bone dry|dry|moist|damp|wet|soaked)!?$/.test(clause))
    return deed(
      EMPTY,
      clause,
      `Say what is ${clause.replace(/!$/, '')}: finger dry is the soil, stick dry the reservoir.`,
    );
  if (new RegExp(`^${NUMBER}(?: ?(?:mm|cm|in))?$`).test(clause))
    return deed(
      EMPTY,
      clause,
      'Say what that is: stick 4 cm is the water, rain 12 mm what fell, 6 L what was filled.',
    );
  return null;
}

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
