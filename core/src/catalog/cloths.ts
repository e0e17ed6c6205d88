/**
 * Cloth, rope and felt for wicks, each by what anyone can measure: a strip hung in water, and how high it
 * is wet after an hour and after a day. All values are typical; a test of the real stuff is worth more.
 */

export interface Cloth {
  name: string;
  /** Wet heights of a strip, metres. */
  strip: { hour: number; day: number };
  /** Share of the cloth that is pores. */
  porosity: number;
  /** Round strands, each of them a leg, instead of something flat. */
  rope: boolean;
  /** Seasons before it is usually renewed. */
  seasons: number;
}

const flat = (
  name: string,
  hour: number,
  day: number,
  porosity: number,
  seasons: number,
): Cloth => ({
  name,
  strip: { hour, day },
  porosity,
  rope: false,
  seasons,
});

export const CLOTHS = {
  'cotton-cloth': flat('Cotton cloth', 0.14, 0.165, 0.75, 2),
  'cotton-rope': { ...flat('Cotton rope', 0.135, 0.16, 0.7, 2), rope: true },
  'synthetic-felt': flat('Synthetic felt', 0.085, 0.105, 0.85, 8),
  'wool-felt': flat('Wool felt', 0.11, 0.135, 0.85, 3),
  'synthetic-rope': { ...flat('Synthetic rope', 0.09, 0.115, 0.6, 6), rope: true },
} as const satisfies Record<string, Cloth>;

export type ClothId = keyof typeof CLOTHS;
export const CLOTH_IDS = Object.keys(CLOTHS) as [ClothId, ...ClothId[]];
