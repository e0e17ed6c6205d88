/** Which form of a word goes with a count, by the rules of the language (CLDR). */
const RULES = new Intl.PluralRules('en');

/** Names in a row, the last joined by ‘and’. */
export const listed = (names: readonly string[]): string =>
  names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;

/** Several of something in words: 1 leg, 2 legs, 0 legs. */
export const plural = (count: number, one: string, more = `${one}s`): string =>
  RULES.select(count) === 'one' ? one : more;

const SMALL_NUMBERS = [
  ...['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'],
  ...['eleven', 'twelve'],
] as const;

/** A count as one says it: three, twelve, 13. */
export const spelled = (count: number): string => SMALL_NUMBERS[count] ?? `${count}`;

/** With a capital first letter, as a sentence or a label begins. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
