import { CROPS } from '../../../catalog';
import type { UnitSystem } from '../../../units';
import { feedIn, massIn, numberOf, NUMBER } from '../amounts';
import { activity, deed, EMPTY, type Deed, type DeedContext, type Reader } from './deed';

/** Feed and harvest. */

const FEED_HEAD =
  /^(?:i |we )?(?:fed|feed|fertili[sz]ed?|fertili[sz]er|gave|added|liquid feed|tomato feed|granules)\b/;
const NPK = /\b\d{1,2}-\d{1,2}-\d{1,2}\b/;
const IS_FEED =
  /\b(?:feed|fertili[sz]er|granules|nettle|seaweed|fish|bone|blood|castings|manure|pellets|guano|epsom|worm tea|compost tea|nutrients?)\b/;

export const fed: Reader = (clause, { system }) => {
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

export const harvested: Reader = (clause, { system }) => {
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
export function cropAlone(clause: string, { system, alone }: DeedContext): Deed | null {
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
