import type { Garden, SetAside, Summary } from '@huerta/contract';
import {
  buildSheet,
  cautiousDays,
  CROPS,
  evaluate,
  section,
  type PlanterDesign,
  type Section,
} from '@huerta/core';
import type { Database } from '../store/database';
import { DOCUMENT_KINDS, type SummaryRow } from '../store/documents';
import type { Documents } from './documents';
import { notFound } from './problems';

/** The garden in short: what is worked out of each planter, once for each revision and each Huerta. */
export interface GardenService {
  /** Answer to GET /api/garden, as JSON text. */
  entries(): Promise<string>;
  /** Any document as it is kept, readable or not. */
  document(kind: string, id: string): Promise<{ name: string; text: string }>;
  /** The section of one planter, with what it depends on. */
  drawing(id: string): Promise<{ drawing: Section; revision: number; by: string }>;
}

interface Parts {
  database: Pick<Database, 'documents' | 'progress'>;
  planters: Documents<PlanterDesign>;
  /** Everything else that is kept, to say what cannot be read. */
  others: readonly Documents<unknown>[];
  /** Of this program: what another worked out is worked out again. */
  by: string;
}

export function gardenService({ database, planters, others, by }: Parts): GardenService {
  const { documents, progress } = database;

  /** The summary of a row, worked out if need be; the reason why where it cannot be read. */
  const summaryOf = async (row: SummaryRow): Promise<string | { why: string }> => {
    if (row.summary !== null) return row.summary;
    try {
      const { value } = await planters.get(row.id);
      const made = JSON.stringify(summarized(value));
      await documents.keepSummary('planter', row, made, by);
      return made;
    } catch (error) {
      return { why: error instanceof Error ? error.message : String(error) };
    }
  };

  return {
    async entries() {
      const [rows, done] = await Promise.all([
        documents.summaries('planter', by),
        doneSteps(progress),
      ]);
      const entries: string[] = [];
      const setAside: SetAside = [];
      for (const row of rows) {
        const summary = await summaryOf(row);
        if (typeof summary === 'string') {
          const { summary: _own, ...head } = row;
          const shown = JSON.stringify({ ...head, done: done.get(row.id) ?? 0 });
          entries.push(`${shown.slice(0, -1)},"summary":${summary}}`);
        } else {
          setAside.push({ kind: DOCUMENT_KINDS[0], id: row.id, name: row.name, why: summary.why });
        }
      }
      for (const kind of others) setAside.push(...(await kind.list()).setAside);
      const rest = JSON.stringify({ by, setAside } satisfies Omit<Garden, 'entries'>);
      return `${rest.slice(0, -1)},"entries":[${entries.join(',')}]}`;
    },

    async document(kind, id) {
      const known = DOCUMENT_KINDS.find((one) => one === kind);
      const row = known && (await documents.find(known, id));
      if (!row) throw notFound('This document is not in the garden.');
      return { name: row.name, text: row.text };
    },

    async drawing(id) {
      const { value, revision } = await planters.get(id);
      return { drawing: section(evaluate(value).planter), revision, by };
    },
  };
}

/** How many steps are done, by planter. */
async function doneSteps(progress: Database['progress']): Promise<Map<string, number>> {
  const rows = (await progress.sequelize?.query(
    `SELECT planter_id AS id, count(*) AS done FROM progress
     WHERE key LIKE 'done/%' AND value = 'true' GROUP BY planter_id`,
  )) as [{ id: string; done: number }[], unknown] | undefined;
  return new Map(rows?.[0].map(({ id, done }) => [id, done]));
}

function summarized(design: PlanterDesign): Summary {
  const { planter, assessment } = evaluate(design);
  const { figures, findings } = assessment;
  const { bounds } = section(planter);
  const worst = findings.find(({ severity }) => severity !== 'note');
  const days = cautiousDays(figures.lastsHot.days);
  return {
    variant: design.variant,
    place: design.place.name,
    crop: design.planting.count > 0 ? CROPS[design.planting.crop].name : '',
    usable: figures.usable,
    days: days > 0 && Number.isFinite(days) ? days : null,
    worst:
      worst && worst.severity !== 'note' ? { severity: worst.severity, text: worst.text } : null,
    serious: findings.filter(({ severity }) => severity === 'danger' || severity === 'fault')
      .length,
    steps: buildSheet(planter, figures, 'metric').steps.length,
    height: bounds.top - bounds.bottom,
  };
}
