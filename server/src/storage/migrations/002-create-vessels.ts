import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Vessels that people measured, each as JSON text. */
export const createVessels: RunnableMigration<QueryInterface> = {
  name: '002-create-vessels',
  async up({ context }) {
    await context.createTable('vessels', {
      id: { type: DataTypes.UUID, primaryKey: true },
      name: { type: DataTypes.STRING(80), allowNull: false },
      vessel: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
      updated_at: { type: DataTypes.DATE, allowNull: false },
      deleted_at: { type: DataTypes.DATE, allowNull: true },
    });
  },
  async down({ context }) {
    await context.dropTable('vessels');
  },
};
