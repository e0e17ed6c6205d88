import { randomUUID } from 'node:crypto';
import type { PlanterResource } from '@huerta/contract';
import { contradictions, readPlanterDocument, tell, type PlanterDesign } from '@huerta/core';
import type { PlanterModel, PlanterRow } from '../store/planters';
import { conflict, contradiction, notFound } from './problems';

/** What can be done with planters. Every method answers with the planter as it then stands. */
export interface PlanterService {
  list(): Promise<PlanterResource[]>;
  get(id: string): Promise<PlanterResource>;
  create(design: PlanterDesign): Promise<PlanterResource>;
  /** @throws ProblemError conflict when `revision` is not the one on the server */
  save(id: string, revision: number, design: PlanterDesign): Promise<PlanterResource>;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<PlanterResource>;
}

export function planterService(planters: PlanterModel): PlanterService {
  const find = async (id: string): Promise<PlanterRow> => {
    const row = await planters.findByPk(id);
    if (!row) throw notFound('This planter is not in the garden. It may have been deleted.');
    return row;
  };

  return {
    async list() {
      const rows = await planters.findAll({
        order: [
          ['created_at', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      return rows.map(toResource);
    },

    async get(id) {
      return toResource(await find(id));
    },

    async create(design) {
      mustBePossible(design);
      const row = await planters.create({
        id: randomUUID(),
        name: design.name,
        design: JSON.stringify(design),
        revision: 1,
      });
      return toResource(row);
    },

    async save(id, revision, design) {
      mustBePossible(design);
      // One statement decides, so that of two saves on the same revision exactly one is taken.
      const [changed] = await planters.update(
        { name: design.name, design: JSON.stringify(design), revision: revision + 1 },
        { where: { id, revision } },
      );
      const row = await find(id);
      if (changed === 0) throw conflict(toResource(row));
      return toResource(row);
    },

    async remove(id) {
      await (await find(id)).destroy();
    },

    async restore(id) {
      const row = await planters.findByPk(id, { paranoid: false });
      if (!row) throw notFound('This planter was never in the garden.');
      if (row.deletedAt) await row.restore();
      return toResource(row);
    },
  };
}

function mustBePossible(design: PlanterDesign): void {
  const found = contradictions(design);
  if (found.length > 0) {
    throw contradiction(
      found.map(({ path, message }) => ({ path: [...path], message: tell(message, 'metric') })),
    );
  }
}

/** A row's document is read as a file would be, so that old rows are brought up to date. */
function toResource(row: PlanterRow): PlanterResource {
  const reading = readPlanterDocument(JSON.parse(row.design));
  if (!reading.ok) throw new Error(`Planter ${row.id} cannot be read: ${reading.message}`);
  return {
    id: row.id,
    revision: row.revision,
    createdAt: row.createdAt.toISOString(),
    updatedAt: row.updatedAt.toISOString(),
    design: reading.design,
  };
}
