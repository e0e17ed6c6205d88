import type { z } from 'zod';

/**
 * An answer without the rows of its lists that a schema does not take.
 *
 * @param issues of the schema; one that names no row leaves the answer as it is
 * @returns the rest, and how many rows were left out
 */
export function withoutRows(
  answer: unknown,
  issues: readonly Pick<z.core.$ZodIssue, 'path'>[],
): { rest: unknown; left: number } {
  if (typeof answer !== 'object' || answer === null) return { rest: answer, left: 0 };
  const bad = new Map<string, Set<number>>();
  for (const { path } of issues) {
    const [list, row] = path;
    if (typeof list !== 'string' || typeof row !== 'number') continue;
    bad.set(list, (bad.get(list) ?? new Set()).add(row));
  }
  const rest: Record<string, unknown> = { ...answer };
  let left = 0;
  for (const [list, rows] of bad) {
    const all = rest[list];
    if (!Array.isArray(all)) continue;
    rest[list] = all.filter((_, i) => !rows.has(i));
    left += rows.size;
  }
  return { rest, left };
}
