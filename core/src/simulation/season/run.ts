import type { Stage } from '../../physics/crop';
import type { Filling, Watering } from './plan';

/** What a season is run with, and what comes of it. */

export interface SeasonOptions {
  /** ISO date of planting; the crop's stages count from it. */
  planted: string;
  filling: Filling;
  /** Level at which the stick says to fill, metres. */
  refillAt: number;
  /** Water given by hand on chosen days, besides that. */
  waterings?: readonly Watering[];
  /** Nothing runs out of the overflow. */
  clogged?: boolean;
  /** The wicks bring nothing up. */
  broken?: boolean;
  /** Stops after the first day of which this is true. */
  until?: (day: SeasonDay) => boolean;
  /** Cells of the column; 60 by default. */
  cells?: number;
  /** Longest step, seconds; half a day by default. */
  longest?: number;
  /** Sun hour by hour, instead of by four hours of daylight and the night. */
  hourly?: boolean;
}

/** Ends a season on the first day on which plants go short, or drown. */
export const plantsSuffer = ({ stress }: SeasonDay): boolean => stress !== 'none';

export type PlantStress = 'none' | 'dry' | 'drowned';

/** One day. Volumes m³, level metres above the inside floor. */
export interface SeasonDay {
  date: string;
  stage: Stage['name'];
  /** At the end of the day, and where it stood once it was filled, or else at the end. */
  level: number;
  crest: number;
  water: number;
  /** How far down the roots are, metres above the inside floor. */
  roots: number;
  /** What plants asked for and what they drank. */
  asked: number;
  drunk: number;
  evaporated: number;
  /** Rain that came onto the soil or into the water, and what ran away. */
  rain: number;
  overflow: number;
  filled: number;
  /** Given on the surface. */
  poured: number;
  stress: PlantStress;
}

export interface SeasonRun {
  days: SeasonDay[];
  /** Heights of the cells' middles above the inside floor, metres. */
  heights: Float64Array;
  /** What the reservoir holds when it is full, and its supply barrel with it, m³. */
  full: number;
  /** Water content by day and cell, day after day. */
  moisture: Float32Array;
  /** Water that came in or went out and is not accounted for, as a share of all that passed through. */
  balance: number;
  /** How often the soil's functions were worked out over the whole column. */
  evaluations: number;
}
