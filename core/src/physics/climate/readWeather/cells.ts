/** Numbers as weather tables write them. */

/** Words and numbers that stand for nothing measured. */
const MISSING = /^(?:|-+|m|na|n\/a|nan|null|none|missing|\?+|\/+|x|-?9{2,4}(?:[.,][09]+)?)$/i;
/** Rain that wets and cannot be measured. */
const TRACE = /^(?:t|tr|trace|traces|ip|<\s*0[.,]\d+)$/i;
/** The least that stands for a missing value where it can be none. */
const SENTINEL = -90;

/**
 * The number of a cell.
 *
 * @returns NaN where nothing was measured, and undefined where there is something that is no number
 */
export function numberIn(cell: string | undefined): number | undefined {
  const text = (cell ?? '').trim();
  if (MISSING.test(text) && text !== '99') return NaN;
  const match = /^([-+−]?\d+(?:[.,]\d+)?|[-+−]?[.,]\d+)\s*[a-z°º�%*#/"]*$/i.exec(text);
  if (!match) return undefined;
  const value = Number(match[1]!.replace(',', '.').replace('−', '-'));
  return value <= SENTINEL ? NaN : value;
}

/** The same of rain: a trace is none. */
export const rainIn = (cell: string | undefined): number | undefined =>
  TRACE.test((cell ?? '').trim()) ? 0 : numberIn(cell);
