import { REPORT, type Figures, type QuantityKind, type ReportId } from '@huerta/core';

/** One figure of several planters side by side: as numbers, and as they are written. */
export function reportedSide(
  id: ReportId,
  planters: readonly Figures[],
  write: (value: number, kind: QuantityKind) => string,
) {
  const row: (typeof REPORT)[ReportId] & { short?: string; none?: string; better?: string } =
    REPORT[id];
  const values = planters.map((figures) => row.value(figures));
  return {
    label: row.label,
    short: row.short ?? row.label,
    better: row.better,
    values: values.map((value) => value ?? NaN),
    texts: values.map((value) => (value === null ? (row.none ?? '') : write(value, row.kind))),
  };
}
