import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** How planters stand, as it was worked out last: what is lost or damaged here is worked out again. */
export const addPlanterStates: RunnableMigration<QueryInterface> = {
  name: '015-add-planter-states',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE planter_states (
        planter TEXT PRIMARY KEY, mark TEXT NOT NULL, state TEXT NOT NULL, made_by TEXT NOT NULL,
        checksum TEXT NOT NULL) WITHOUT ROWID`);
  },
};
