import { FIRST_WEATHER, weatherChoiceSchema, type WeatherChoice } from '@huerta/core';
import type { TextModel } from '../store/texts';

/** Which weather the garden has. */
export interface WeatherService {
  get(): Promise<WeatherChoice>;
  /** The last choice holds. */
  save(choice: WeatherChoice): Promise<WeatherChoice>;
}

const ONLY = '1';

export function weatherService(weather: TextModel): WeatherService {
  return {
    async get() {
      const row = await weather.findByPk(ONLY);
      return row ? weatherChoiceSchema.parse(JSON.parse(row.text)) : FIRST_WEATHER;
    },
    async save(choice) {
      await weather.upsert({ key: ONLY, text: JSON.stringify(choice) });
      return choice;
    },
  };
}
