/** Which form of a word goes with a count, by the rules of the language (CLDR). */
const RULES = new Intl.PluralRules('en');

/** Several of something in words: 1 leg, 2 legs, 0 legs. */
export const plural = (count: number, one: string, more = `${one}s`): string =>
  RULES.select(count) === 'one' ? one : more;
