import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** The id of the save that a planter was last written by, and every revision that it had. */
export const addSaves: RunnableMigration<QueryInterface> = {
  name: '006-add-saves',
  async up({ context }) {
    await context.addColumn('planters', 'save_id', { type: DataTypes.UUID, allowNull: true });
    await context.createTable('planter_revisions', {
      planter_id: {
        type: DataTypes.UUID,
        primaryKey: true,
        references: { model: 'planters', key: 'id' },
        onDelete: 'CASCADE',
      },
      revision: { type: DataTypes.INTEGER, primaryKey: true },
      design: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
    });
    // The database itself keeps what a save replaces, in the same statement and to the same disk.
    await context.sequelize.query(`
      CREATE TRIGGER planter_history AFTER UPDATE OF revision ON planters
      WHEN OLD.revision <> NEW.revision
      BEGIN
        INSERT OR REPLACE INTO planter_revisions (planter_id, revision, design, created_at)
        VALUES (OLD.id, OLD.revision, OLD.design, OLD.updated_at);
      END`);
  },
  async down({ context }) {
    await context.sequelize.query('DROP TRIGGER planter_history');
    await context.dropTable('planter_revisions');
    await context.removeColumn('planters', 'save_id');
  },
};
