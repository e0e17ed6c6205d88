import type { Sequelize } from 'sequelize';
import { checksumOf } from './checksum';
import { statementsOf } from './statements';

/** How a planter stood when it was worked out last. `state` is JSON text, `mark` what it hangs on. */
interface PlanterStateRow {
  planter: string;
  mark: string;
  state: string;
}

/** The table of states that were worked out: a cache, so that a server which starts again need not begin anew. */
export interface PlanterStateTable {
  /** Those that one Huerta worked out and that are as it wrote them; any other is worked out again. */
  of(madeBy: string): Promise<PlanterStateRow[]>;
  keep(row: PlanterStateRow, madeBy: string): Promise<void>;
  drop(planters: readonly string[]): Promise<void>;
}

const sumOf = ({ planter, mark, state }: PlanterStateRow): string =>
  checksumOf(JSON.stringify([planter, mark, state]));

export function planterStateTable(sequelize: Sequelize): PlanterStateTable {
  const ask = statementsOf(sequelize);
  return {
    async of(madeBy) {
      const rows = await ask<PlanterStateRow & { checksum: string }>(
        'SELECT planter, mark, state, checksum FROM planter_states WHERE made_by = $madeBy',
        { madeBy },
      );
      return rows
        .filter((row) => sumOf(row) === row.checksum)
        .map(({ planter, mark, state }) => ({ planter, mark, state }));
    },
    async keep(row, madeBy) {
      await ask(
        `INSERT INTO planter_states (planter, mark, state, made_by, checksum)
         VALUES ($planter, $mark, $state, $madeBy, $checksum)
         ON CONFLICT (planter) DO UPDATE SET mark = excluded.mark, state = excluded.state,
           made_by = excluded.made_by, checksum = excluded.checksum`,
        { ...row, madeBy, checksum: sumOf(row) },
      );
    },
    async drop(planters) {
      await ask(
        'DELETE FROM planter_states WHERE planter IN (SELECT value FROM json_each($planters))',
        { planters: JSON.stringify(planters) },
      );
    },
  };
}
