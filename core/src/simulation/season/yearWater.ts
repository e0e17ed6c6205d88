import { openWater, surfaceArea, type Planter } from '../../assembly';
import type { Site } from '../../catalog';
import type { PlanterDesign } from '../../document';
import { averageDay, dayAfter, daysBetween, roomDay, waterDemandOn } from '../../physics/climate';
import { growthOf, growthOn, standsFor } from '../../physics/crop';

/** What planters drink through a year of average weather. */

const SECONDS = 86_400;

/** Days along a year that figures are given for. */
export interface YearDays {
  /** ISO date of the first. */
  from: string;
  /** From one figure to the next, days. */
  step: number;
  count: number;
}

/** A day's reference evapotranspiration in average weather where a planter stands, m/s. */
const averageEt = ({ place }: PlanterDesign, site: Site, date: string): number => {
  const day = averageDay(site, date);
  return (place.rain === 'indoors' ? roomDay(day) : day).et;
};

/**
 * What a planter takes a day through a year of average weather: its plants, its soil's surface and open water beside
 * it, by the same demand as the season's (FAO-56). Nothing counts on days on which nothing grows.
 *
 * @param planted ISO date of the planter's first day
 * @returns m³ a day, one for each of the days
 */
export function yearDemand(
  planter: Planter,
  planted: string,
  site: Site,
  { from, step, count }: YearDays,
): number[] {
  const { design } = planter;
  const [surface, tray] = [surfaceArea(planter), openWater(planter)];
  const { crops } = design.planting;
  return Array.from({ length: count }, (_, i) => {
    const date = dayAfter(from, i * step);
    const day = daysBetween(planted, date);
    if (!crops.some((one) => day >= one.from && day < one.from + standsFor(one))) return 0;
    const growth = growthOn(design.planting, day);
    const et = averageEt(design, site, date);
    return SECONDS * waterDemandOn(design, et, surface, tray, growth).total;
  });
}

/**
 * How thirsty each planting is through its time in average weather, beside the thirstiest that any of them gets.
 *
 * @param planted ISO date of the planter's first day
 * @param points how many figures, evenly from its first day to its last
 * @returns 0 to 1, by planting
 */
export function thirstShapes(
  design: PlanterDesign,
  planted: string,
  site: Site,
  points: number,
): number[][] {
  const shapes = design.planting.crops.map((one) =>
    Array.from({ length: points }, (_, i) => {
      const day = one.from + Math.round((i / Math.max(points - 1, 1)) * (standsFor(one) - 1));
      return averageEt(design, site, dayAfter(planted, day)) * growthOf(one, day).thirst;
    }),
  );
  const most = Math.max(...shapes.flat(), Number.MIN_VALUE);
  return shapes.map((shape) => shape.map((one) => one / most));
}
