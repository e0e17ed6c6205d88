import { DataTypes, type QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** The garden's choice of weather, whose only row has the id 1. */
export const createWeather: RunnableMigration<QueryInterface> = {
  name: '004-create-weather',
  async up({ context }) {
    await context.createTable('weather', {
      id: { type: DataTypes.INTEGER, primaryKey: true },
      choice: { type: DataTypes.TEXT, allowNull: false },
      created_at: { type: DataTypes.DATE, allowNull: false },
      updated_at: { type: DataTypes.DATE, allowNull: false },
    });
  },
  async down({ context }) {
    await context.dropTable('weather');
  },
};
