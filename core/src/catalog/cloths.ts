/**
 * Cloth, rope and felt for wicks. All values are typical; a strip test of the real stuff (how high
 * it is wet after an hour and after a day) is worth more than any table.
 */

export interface Cloth {
  name: string;
  /** Practical reach against gravity, metres, used as the capillary head. */
  reach: number;
  /** Conductivity in the plane of the cloth, m/s. */
  K: number;
  /** Share of the cloth that is pores. */
  porosity: number;
  /** Seasons before it is usually renewed. */
  seasons: number;
}

export const CLOTHS = {
  'cotton-cloth': { name: 'Cotton cloth', reach: 0.18, K: 1.5e-4, porosity: 0.75, seasons: 2 },
  'cotton-rope': { name: 'Cotton rope', reach: 0.2, K: 1.2e-4, porosity: 0.7, seasons: 2 },
  'synthetic-felt': { name: 'Synthetic felt', reach: 0.11, K: 2.5e-4, porosity: 0.85, seasons: 8 },
  'wool-felt': { name: 'Wool felt', reach: 0.14, K: 1.8e-4, porosity: 0.85, seasons: 3 },
  'synthetic-rope': { name: 'Synthetic rope', reach: 0.12, K: 1e-4, porosity: 0.6, seasons: 6 },
} as const satisfies Record<string, Cloth>;

export type ClothId = keyof typeof CLOTHS;
export const CLOTH_IDS = Object.keys(CLOTHS) as [ClothId, ...ClothId[]];
