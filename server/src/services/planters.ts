import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import type { History, PlanterList, PlanterResource } from '@huerta/contract';
import {
  contradictions,
  readPlanterDocument,
  tell,
  type FileReading,
  type PlanterDesign,
} from '@huerta/core';
import type { Database } from '../store/database';
import type { PlanterRow } from '../store/planters';
import { conflict, contradiction, notFound } from './problems';
import { thinned } from './thinned';

/** What a save is based on. */
interface Save {
  revision: number;
  /** The id that the device gave it, or null. */
  saveId: string | null;
  /** The device's saves before it, whose answers may be lost. */
  after: readonly string[];
}

/** What can be done with planters. Every method answers with the planter as it then stands. */
export interface PlanterService {
  /** Those that can be read, and the others by their names. */
  list(): Promise<PlanterList>;
  get(id: string): Promise<PlanterResource>;
  create(design: PlanterDesign): Promise<PlanterResource>;
  /**
   * A save that was taken already is known by its id and answered again.
   *
   * @throws ProblemError conflict when neither its revision nor the save before it is on the server
   */
  save(id: string, save: Save, design: PlanterDesign): Promise<PlanterResource>;
  /** What it was before its saves, newest first. */
  history(id: string): Promise<History>;
  /** The document as it is kept, whether this Huerta can read it or not. */
  document(id: string): Promise<{ name: string; text: string }>;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<PlanterResource>;
}

/** After so many saves old revisions are thinned. */
const THIN_EVERY = 16;

export function planterService(
  database: Pick<Database, 'planters' | 'revisions' | 'sequelize'>,
): PlanterService {
  const { planters, revisions, sequelize } = database;
  const find = async (id: string): Promise<PlanterRow> => {
    const row = await planters.findByPk(id);
    if (!row) throw notFound('This planter is not in the garden. It may have been deleted.');
    return row;
  };

  const thin = async (planterId: string): Promise<void> => {
    const rows = await revisions.findAll({
      where: { planterId },
      attributes: ['revision', 'createdAt'],
      order: [['revision', 'ASC']],
    });
    const times = rows.map(({ createdAt }) => createdAt.getTime());
    const drop = thinned(times, Date.now()).flatMap((i) => rows[i]?.revision ?? []);
    if (drop.length > 0) await revisions.destroy({ where: { planterId, revision: drop } });
  };

  return {
    async list() {
      const rows = await planters.findAll({
        order: [
          ['created_at', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      const list: PlanterList = { planters: [], setAside: [] };
      for (const row of rows) {
        const reading = readRow(row);
        if (reading.ok) list.planters.push(toResource(row, reading.design));
        else list.setAside.push({ id: row.id, name: row.name, why: reading.message });
      }
      return list;
    },

    get: async (id) => readable(await find(id)),

    async create(design) {
      mustBePossible(design);
      const row = await planters.create({
        id: randomUUID(),
        name: design.name,
        design: JSON.stringify(design),
        revision: 1,
        saveId: null,
      });
      return toResource(row, design);
    },

    async save(id, { revision, saveId, after }, design) {
      mustBePossible(design);
      // One statement decides, so that of two saves on the same revision exactly one is taken.
      const [changed] = await planters.update(
        {
          name: design.name,
          design: JSON.stringify(design),
          revision: sequelize.literal('revision + 1') as unknown as number,
          saveId,
        },
        {
          where: {
            id,
            [Op.or]: [{ revision }, ...(after.length > 0 ? [{ saveId: [...after] }] : [])],
          },
        },
      );
      const row = await find(id);
      if (changed === 0 && !(saveId && row.saveId === saveId)) throw conflict(readable(row));
      if (row.revision % THIN_EVERY === 0) await thin(id);
      return readable(row);
    },

    async history(id) {
      await find(id);
      const rows = await revisions.findAll({
        where: { planterId: id },
        order: [['revision', 'DESC']],
      });
      return {
        revisions: rows.flatMap(({ revision, design, createdAt }) => {
          const reading = readText(design);
          return reading.ok
            ? [{ revision, at: createdAt.toISOString(), design: reading.design }]
            : [];
        }),
      };
    },

    async document(id) {
      const { name, design } = await find(id);
      return { name, text: design };
    },

    async remove(id) {
      await (await find(id)).destroy();
    },

    async restore(id) {
      const row = await planters.findByPk(id, { paranoid: false });
      if (!row) throw notFound('This planter was never in the garden.');
      if (row.deletedAt) await row.restore();
      return readable(row);
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

/** A document is read as a file would be, so that old ones are brought up to date. */
function readText(text: string): FileReading {
  try {
    return readPlanterDocument(JSON.parse(text));
  } catch {
    return { ok: false, message: 'Its file is damaged.' };
  }
}

const readRow = ({ design }: PlanterRow): FileReading => readText(design);

/** @throws ProblemError when this Huerta cannot read it */
function readable(row: PlanterRow): PlanterResource {
  const reading = readRow(row);
  if (!reading.ok) {
    throw notFound(
      `‘${row.name}’ cannot be opened by this Huerta: ${reading.message} Its file can be taken away from the garden page.`,
    );
  }
  return toResource(row, reading.design);
}

const toResource = (row: PlanterRow, design: PlanterDesign): PlanterResource => ({
  id: row.id,
  revision: row.revision,
  createdAt: row.createdAt.toISOString(),
  updatedAt: row.updatedAt.toISOString(),
  design,
});
