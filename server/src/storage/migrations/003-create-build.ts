import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Progress of builds, an entry a row, and the price book, whose only row has the id 1. */
export const createBuild: RunnableMigration<QueryInterface> = {
  name: '003-create-build',
  async up({ context }) {
    await context.createTable('progress', {
      planter_id: {
        type: DataTypes.UUID,
        primaryKey: true,
        references: { model: 'planters', key: 'id' },
        onDelete: 'CASCADE',
      },
      key: { type: DataTypes.STRING(80), primaryKey: true },
      value: { type: DataTypes.TEXT, allowNull: false },
      at: { type: DataTypes.STRING(24), allowNull: false },
    });
    await context.createTable('price_books', {
      id: { type: DataTypes.INTEGER, primaryKey: true },
      revision: { type: DataTypes.INTEGER, allowNull: false },
      book: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
      updated_at: { type: DataTypes.DATE, allowNull: false },
    });
  },
  async down({ context }) {
    await context.dropTable('progress');
    await context.dropTable('price_books');
  },
};
