import { randomUUID } from 'node:crypto';
import type { KeepVessel, VesselResource } from '@huerta/contract';
import { tell, vesselContradictions, vesselDesignSchema } from '@huerta/core';
import type { VesselModel, VesselRow } from '../store/vessels';
import { contradiction, notFound } from './problems';

/** What can be done with the vessels that people measured. */
export interface VesselService {
  list(): Promise<VesselResource[]>;
  create(kept: KeepVessel): Promise<VesselResource>;
  save(id: string, kept: KeepVessel): Promise<VesselResource>;
  remove(id: string): Promise<void>;
  restore(id: string): Promise<VesselResource>;
}

export function vesselService(vessels: VesselModel): VesselService {
  const find = async (id: string, gone = false): Promise<VesselRow> => {
    const row = await vessels.findByPk(id, { paranoid: !gone });
    if (!row) throw notFound('This vessel is not among yours. It may have been deleted.');
    return row;
  };
  return {
    async list() {
      const rows = await vessels.findAll({
        order: [
          ['created_at', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      return rows.map(toResource);
    },
    async create(kept) {
      const row = await vessels.create({ id: randomUUID(), ...toRow(kept) });
      return toResource(row);
    },
    async save(id, kept) {
      const row = await find(id);
      await row.update(toRow(kept));
      return toResource(row);
    },
    async remove(id) {
      await (await find(id)).destroy();
    },
    async restore(id) {
      const row = await find(id, true);
      if (row.deletedAt) await row.restore();
      return toResource(row);
    },
  };
}

function toRow({ name, vessel }: KeepVessel): { name: string; vessel: string } {
  const found = vesselContradictions(vessel);
  if (found.length > 0) {
    throw contradiction(
      found.map(({ path, message }) => ({ path: [...path], message: tell(message, 'metric') })),
    );
  }
  return { name, vessel: JSON.stringify(vessel) };
}

function toResource(row: VesselRow): VesselResource {
  return {
    id: row.id,
    name: row.name,
    createdAt: row.createdAt.toISOString(),
    vessel: vesselDesignSchema.parse(JSON.parse(row.vessel)),
  };
}
