import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Planters, each with its whole design document as JSON text. */
export const createPlanters: RunnableMigration<QueryInterface> = {
  name: '001-create-planters',
  async up({ context }) {
    await context.createTable('planters', {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.STRING(120), allowNull: false },
      design: { type: DataTypes.TEXT, allowNull: false },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
      updated_at: { type: DataTypes.DATE, allowNull: false },
      deleted_at: { type: DataTypes.DATE, allowNull: true },
    });
    await context.addIndex('planters', ['deleted_at', 'created_at']);
  },
  async down({ context }) {
    await context.dropTable('planters');
  },
};
