import { reported, type Figures, type ReportId } from '@huerta/core/assessment';
import type { QuantityKind } from '@huerta/core/units';

/** One figure of several planters side by side: as numbers, and as they are written. */
export function reportedSide(
  id: ReportId,
  planters: readonly Figures[],
  write: (value: number, kind: QuantityKind) => string,
) {
  const rows = planters.map((figures) => reported(figures, id));
  return {
    label: rows[0]?.label ?? '',
    short: rows[0]?.short ?? '',
    better: rows[0]?.better,
    // Ample is more than any number.
    values: rows.map(({ value, none }) => value ?? (none === 'ample' ? Infinity : NaN)),
    texts: rows.map(({ value, kind, none }) => (value === null ? none : write(value, kind))),
  };
}
