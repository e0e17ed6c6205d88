import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** Days of weather as they were told, by date; what is told again takes the place of what was. */
export interface WeatherDayTable {
  /** @param rows the day of each date as JSON text */
  put(rows: readonly { date: string; day: string }[], receivedAt: string): Promise<void>;
  /** From a date on, oldest first. */
  from(date: string): Promise<{ date: string; day: string }[]>;
}

export function weatherDayTable(sequelize: Sequelize): WeatherDayTable {
  const ask = statementsOf(sequelize);
  return {
    async put(rows, receivedAt) {
      await ask(
        `INSERT INTO weather_days (date, day, received_at)
         SELECT value ->> 'date', value ->> 'day', $receivedAt FROM json_each($rows) WHERE true
         ON CONFLICT (date) DO UPDATE SET day = excluded.day, received_at = excluded.received_at`,
        { rows: JSON.stringify(rows), receivedAt },
      );
    },
    async from(date) {
      return ask<{ date: string; day: string }>(
        'SELECT date, day FROM weather_days WHERE date >= $date ORDER BY date',
        { date },
      );
    },
  };
}
