import type { Sequelize } from 'sequelize';
import { statementsOf } from './statements';

/** Days of weather as they were told, by date; what is told again takes the place of what was. */
export interface WeatherDayTable {
  /** @param rows the day of each date as JSON text */
  put(rows: readonly { date: string; day: string }[], receivedAt: string): Promise<void>;
  /** From a date on, oldest first. */
  from(date: string): Promise<string[]>;
}

export function weatherDayTable(sequelize: Sequelize): WeatherDayTable {
  const ask = statementsOf(sequelize);
  return {
    async put(rows, receivedAt) {
      for (const row of rows) {
        await ask(
          `INSERT INTO weather_days (date, day, received_at) VALUES ($date, $day, $receivedAt)
           ON CONFLICT (date) DO UPDATE SET day = excluded.day, received_at = excluded.received_at`,
          { ...row, receivedAt },
        );
      }
    },
    async from(date) {
      const rows = await ask<{ day: string }>(
        'SELECT day FROM weather_days WHERE date >= $date ORDER BY date',
        { date },
      );
      return rows.map(({ day }) => day);
    },
  };
}
