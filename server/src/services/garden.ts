import { DOCUMENT_KINDS, designSummarySchema, type Garden, type SetAside } from '@huerta/contract';
import { evaluate } from '@huerta/core/assessment';
import type { PlanterDesign } from '@huerta/core/document';
import { section, type Section } from '@huerta/core/drawing';
import type { RoundPlan } from '@huerta/core/journal';
import type { Database } from '../storage/database';
import type { MadeSummary, SummaryRow } from '../storage/documents';
import type { Documents } from './documents';
import { joinedSummaries } from './joined';
import { notFound } from './problems';
import { summarized } from './summaries';

/** The garden in short: what is worked out of each planter, once for each revision and each Huerta. */
export interface GardenService {
  /** Answer to GET /api/garden, as JSON text. */
  entries(): Promise<string>;
  /** Works out what is missing, a little at a time, so that the next list is there at once. */
  soon(): void;
  /** Ends that, once what is under way has come to an end. */
  stop(): Promise<void>;
  /** Any document as it is kept, readable or not. */
  document(kind: string, id: string): Promise<{ name: string; text: string }>;
  /** A row that was set aside, as it was. */
  setAside(n: number): Promise<{ name: string; text: string }>;
  /** The section of one planter, with what it depends on. */
  drawing(id: string): Promise<{ drawing: Section; revision: number; by: string }>;
}

/** Summaries that are kept at once. */
const TOGETHER = 25;
/** Summaries of which it is remembered that they can be read. */
const MOST_LOOKED = 20_000;
/** Rest after a save before what follows from it is worked out, milliseconds. */
const REST_MS = 300;

interface Parts {
  database: Pick<Database, 'documents' | 'progress' | 'setAside'>;
  planters: Documents<PlanterDesign>;
  round: Documents<RoundPlan>;
  /** Everything else that is kept, to say what cannot be read. */
  others: readonly Documents<unknown>[];
  /** Of this program: what another worked out is worked out again. */
  by: string;
}

// eslint-disable-next-line max-lines-per-function -- one service: its methods share what is prepared for a garden.
export function gardenService({ database, planters, round, others, by }: Parts): GardenService {
  const { documents, progress, setAside: asideRows } = database;
  const joinedNow = joinedSummaries(planters, round);

  /** Works out what has no summary yet, a little at a time; whoever asks meanwhile comes first. */
  const summarize = async (
    rows: readonly SummaryRow[],
    made: (row: SummaryRow, summary: string | { why: string }) => void,
  ): Promise<void> => {
    let kept: MadeSummary[] = [];
    for (const [i, row] of rows.entries()) {
      if (stopped) break;
      if (row.summary !== null && isSummary(row.summary)) {
        made(row, row.summary);
        continue;
      }
      try {
        const { value, revision } = await planters.get(row.id);
        const summary = JSON.stringify(summarized(value));
        kept.push({ id: row.id, revision, summary });
        made(row, summary);
      } catch (error) {
        made(row, { why: error instanceof Error ? error.message : String(error) });
      }
      await new Promise((done) => setImmediate(done));
      if (kept.length < TOGETHER && i < rows.length - 1) continue;
      await documents.keepSummaries('planter', kept, by);
      kept = [];
    }
    await documents.keepSummaries('planter', kept, by);
  };

  /** Summaries that were looked at: they are asked for with every list. */
  const looked = new Set<string>();
  const isSummary = (text: string): boolean => {
    if (looked.has(text)) return true;
    if (!isReadable(text)) return false;
    if (looked.size >= MOST_LOOKED) looked.clear();
    looked.add(text);
    return true;
  };

  let working = false;
  let again = false;
  let stopped = false;
  let under: Promise<void> = Promise.resolve();
  let timer: NodeJS.Timeout | undefined;
  /** One at a time; what was saved meanwhile is seen in another round. */
  const workAhead = async (): Promise<void> => {
    do {
      again = false;
      await summarize(await documents.summaries('planter', by), () => undefined);
    } while (again && !stopped);
  };

  const entriesNow = async (): Promise<string> => {
    const [rows, done, joined] = await Promise.all([
      documents.summaries('planter', by),
      progress.doneSteps(),
      joinedNow(),
    ]);
    const doneBy = new Map(done.map((one) => [one.id, one.done]));
    const entries: string[] = [];
    const setAside: SetAside = [];
    await summarize(rows, (row, summary) => {
      if (typeof summary === 'string') {
        const { summary: _own, ...head } = row;
        const shown = JSON.stringify({ ...head, done: doneBy.get(row.id) ?? 0 });
        entries.push(`${shown.slice(0, -1)},"summary":${joined.get(row.id) ?? summary}}`);
      } else {
        setAside.push({
          kind: 'planter',
          id: row.id,
          name: row.name,
          why: summary.why,
          file: `/documents/planter/${row.id}`,
        });
      }
    });
    for (const kind of others) setAside.push(...(await kind.list()).setAside);
    for (const { n, origin, name, why } of await asideRows.all())
      setAside.push({ kind: origin, id: String(n), name, why, file: `/set-aside/${n}` });
    const rest = JSON.stringify({ by, setAside } satisfies Omit<Garden, 'entries'>);
    return `${rest.slice(0, -1)},"entries":[${entries.join(',')}]}`;
  };
  /** The last answer, and the state of the garden that it is of. */
  let answered: { at: string; text: string } | null = null;

  return {
    soon() {
      again = true;
      if (working || stopped) return;
      working = true;
      timer = setTimeout(() => {
        under = workAhead()
          .catch(() => undefined)
          .finally(() => {
            working = false;
          });
      }, REST_MS);
      timer.unref();
    },

    async stop() {
      stopped = true;
      clearTimeout(timer);
      await under;
    },

    async entries() {
      const now = await documents.changes();
      if (answered?.at !== now) answered = { at: now, text: await entriesNow() };
      return answered.text;
    },

    async setAside(n) {
      const row = await asideRows.one(n);
      if (!row) throw notFound('Nothing was set aside under this number.');
      return { name: `${row.origin} ${n}`, text: row.row };
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

function isReadable(summary: string): boolean {
  try {
    return designSummarySchema.safeParse(JSON.parse(summary)).success;
  } catch {
    return false;
  }
}
