import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** What is meant to be done in a planter's season, one plan a planter. */
export const createSeasons: RunnableMigration<QueryInterface> = {
  name: '005-create-seasons',
  async up({ context }) {
    await context.createTable('seasons', {
      planter_id: {
        type: DataTypes.UUID,
        primaryKey: true,
        references: { model: 'planters', key: 'id' },
        onDelete: 'CASCADE',
      },
      plan: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
      updated_at: { type: DataTypes.DATE, allowNull: false },
    });
  },
  async down({ context }) {
    await context.dropTable('seasons');
  },
};
