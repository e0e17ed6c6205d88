import { CROP_IDS, cropOf, type CropId } from './crops';
import { datesOf } from './cropDates';

/** Crops by what people call them. */

/** Letters alone, without accents, in the singular. */
export const plainName = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z ]+/g, ' ')
    .split(' ')
    .filter(Boolean)
    .map((word) =>
      word
        .replace(/ies$/, 'y')
        .replace(/(ch|sh|ss|x|o)es$/, '$1')
        .replace(/([^s])s$/, '$1'),
    )
    .join(' ');

/** How well a name answers what was typed: 0 best, null not at all. Both as plain names. */
function rankOf(name: string, typed: string): number | null {
  if (name === typed) return 0;
  if (name.startsWith(typed)) return 1;
  if (name.split(' ').some((word) => word.startsWith(typed))) return 2;
  if (typed.startsWith(`${name} `)) return 3;
  return typed.length > 2 && name.includes(typed) ? 4 : null;
}

const names = new Map<CropId, readonly string[]>();

/** What a crop is called, its own name first, as plain names. */
function namesOf(id: CropId): readonly string[] {
  const known = names.get(id) ?? [cropOf(id).name, ...datesOf(id).names].map(plainName);
  names.set(id, known);
  return known;
}

/**
 * Crops that answer to what was typed, the best first: by name, by what else they are called, in singular or plural,
 * with accents or without.
 *
 * @returns all of them where nothing was typed
 */
export function cropsFor(text: string): CropId[] {
  const typed = plainName(text);
  if (typed === '') return [...CROP_IDS];
  return CROP_IDS.flatMap((id) => {
    const ranks = namesOf(id).flatMap((name, i) => {
      const rank = rankOf(name, typed);
      // A crop's own name goes before what else another is called.
      return rank === null ? [] : [rank + (i === 0 ? 0 : 0.5)];
    });
    return ranks.length === 0 ? [] : [{ id, rank: Math.min(...ranks) }];
  })
    .sort((a, b) => a.rank - b.rank)
    .map(({ id }) => id);
}

/** The crop of which a text is a name, its own or another, in singular or plural; null for no crop's. */
export function cropCalled(text: string): CropId | null {
  const typed = plainName(text);
  const own = CROP_IDS.find((id) => namesOf(id)[0] === typed);
  return own ?? CROP_IDS.find((id) => namesOf(id).includes(typed)) ?? null;
}
