/** Words of a line of the log, brought to one form: small letters, figures for numbers, plain marks. */

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBERS = [
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen',
]
  .join(' ')
  .split(' ');

/** What says that a number is not exact. */
const VAGUE =
  /(?:^|(?<=\s))(?:about|around|roughly|approx(?:imately)?\.?|ca\.?|circa|maybe|nearly|almost|some|~|a good|just (?:over|under)|just)(?=\s)|~(?=\d)/g;

/** A line in small letters with plain marks and figures: `Filled ½ a can` becomes `filled 1/2 can`. */
export function normalised(line: string): string {
  let text = ` ${line.toLowerCase()} `;
  for (const [glyph, plain] of Object.entries(VULGAR)) text = text.replaceAll(glyph, ` ${plain}`);
  text = text
    .replace(/[“”″]/g, '"')
    .replace(/[‘’′]/g, "'")
    .replace(/[–—]/g, '-')
    .replace(/\band a half\b/g, 'and 1/2')
    .replace(/\bw\/\s?|(?<=\s)w(?=\s)/g, 'with ')
    .replace(/\btop inch\b/g, 'top 1 in')
    .replace(/(?<=[\d\s])(?:ltrs?|lts?)\b/g, 'l')
    .replace(/(\d)\s*"/g, '$1 in')
    .replace(/(\d)\s*'(?=[\s\d])/g, '$1 ft ')
    .replace(/\b(?:a )?dozen\b/g, '12')
    .replace(/\ba couple(?: of)?\b/g, '2')
    .replace(/\ba few\b/g, '3');
  NUMBERS.forEach((word, n) => {
    text = text.replace(new RegExp(`(?<=\\s)${word}(?=[\\s,;-])`, 'g'), `${n}`);
  });
  return text
    .replace(
      /(?<=\s)(?:a |1 )?half(?: of)?(?: an?)?(?=\s(?!(?:full|way|empty|on|up|in|left|of)\b)[a-z])/g,
      '1/2',
    )
    .replace(/(?<=\s)3[- ]quarters?(?: of)?(?: an?)?(?=[\s,;])/g, '3/4')
    .replace(/(?<=\s)(?:an? |1 )?quarter(?: of)?(?: an?)?(?=[\s,;])/g, '1/4')
    .replace(/(?<=\s)(?:an? |1 )?third of(?: an?)?(?=\s)/g, '1/3')
    .replace(/(\d+) and 1\/2(?=\s)/g, '$1 1/2')
    .replace(/(?<=\s)(?:an?|1) ([a-z]+) and 1\/2(?=\s)/g, '1 1/2 $1')
    .replace(/(\d+) ([a-z]+) and 1\/2(?=\s)/g, '$1 1/2 $2')
    .replace(/(\d) (?:to|or) (?=\d)/g, '$1-')
    .replace(VAGUE, ' ')
    .replace(/\s+/g, ' ')
    .trim();
}

/** Words that deeds and measures are told by; what is typed wrongly is read as the nearest. */
const KEYWORDS: readonly string[] = (
  'rain stick filled refilled watered poured topped stick dipstick level float finger moist damp soaked rained ' +
  'rainfall fertilized fertilised harvested picked planted sowed thinned staked mulched renewed ' +
  'replaced cleared cleaned emptied drained flushed moved overflow litres liters gallons gallon ' +
  'tablespoons teaspoons cups inches yesterday today morning evening monday tuesday wednesday thursday ' +
  'friday saturday sunday aphids slugs mildew larvae gnats leaking compost reservoir tomatoes lettuce'
).split(' ');

/** Edits between two words: letters changed, left out, added, or two of them swapped (Damerau 1964). */
export function editsBetween(a: string, b: string): number {
  const rows = a.length + 1;
  const columns = b.length + 1;
  const at = (i: number, j: number): number => i * columns + j;
  const edits = new Uint16Array(rows * columns);
  for (let i = 0; i < rows; i += 1) edits[at(i, 0)] = i;
  for (let j = 0; j < columns; j += 1) edits[at(0, j)] = j;
  for (let i = 1; i < rows; i += 1)
    for (let j = 1; j < columns; j += 1) {
      const same = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min(
        edits[at(i - 1, j)]! + 1,
        edits[at(i, j - 1)]! + 1,
        edits[at(i - 1, j - 1)]! + same,
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, edits[at(i - 2, j - 2)]! + 1);
      edits[at(i, j)] = least;
    }
  return edits[rows * columns - 1]!;
}

/** Letters from which on one edit, and two, are taken for slips of the hand. */
const ONE_FROM = 4;
const TWO_FROM = 8;
const SHORT = 5;

/** Whether two words of one length differ in a single letter. */
const replaced = (a: string, b: string): boolean =>
  a.length === b.length && [...a].filter((letter, i) => letter !== b[i]).length === 1;

/** A line with words that are one slip from a keyword spelled so; the same line where there are none. */
export function respelled(line: string): string {
  return line.replace(/[a-z]{4,}/g, (word) => {
    if (KEYWORDS.includes(word) || word.length < ONE_FROM) return word;
    const most = word.length >= TWO_FROM ? 2 : 1;
    const near = KEYWORDS.map((one) => ({ one, edits: editsBetween(word, one) }))
      // Short words that differ in one letter are other words: `main` is no rain, and `rian` is.
      .filter(({ one, edits }) => edits <= most && (one.length > SHORT || !replaced(word, one)))
      .sort((a, b) => a.edits - b.edits)[0];
    return near ? near.one : word;
  });
}

/** Days as they are spelled by hand. */
const DAYS = ['yesterday', 'tuesday', 'wednesday', 'thursday', 'saturday'];
const DAY_FROM = 6;

/** A line whose names of days are spelled right. */
export const withDays = (line: string): string =>
  line.replace(/[A-Za-z]+/g, (word) => {
    if (word.length < DAY_FROM) return word;
    const small = word.toLowerCase();
    return DAYS.find((day) => small !== day && editsBetween(small, day) === 1) ?? word;
  });
