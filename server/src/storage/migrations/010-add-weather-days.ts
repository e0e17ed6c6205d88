import type { QueryInterface } from 'sequelize';
import type { RunnableMigration } from 'umzug';

/** Days of weather as a station tells them, one for each date. */
export const addWeatherDays: RunnableMigration<QueryInterface> = {
  name: '010-add-weather-days',
  async up({ context: { sequelize } }) {
    await sequelize.query(`
      CREATE TABLE weather_days (
        date TEXT PRIMARY KEY, day TEXT NOT NULL, received_at TEXT NOT NULL) WITHOUT ROWID`);
  },
};
