import { FROSTS } from '../catalog';
import { cropIn, type PlanterDesign } from '../document';
import { dayAfter, daysBetween, type MeasuredDay } from '../physics/climate';
import { q, say, type Message } from '../units';
import { YOUNG } from './duties';
import type { TendedState } from './state';

/** What the weather of the next days asks for: frost, heat, storm; from what was measured last and what is expected. */

/** Days ahead that are looked at. */
const AHEAD = 3;
/** Nights in which water freezes in a planter, °C. */
const FREEZES = -3;
/** Afternoons from which on heat is told, °C, and days' water that is little then. */
const HOT = 33;
const LITTLE = 3;
/** Rain of a day that fills what stands open, metres. */
const STORM = 0.03;
/** Plants taller than this are tied before a storm, metres. */
const TALL = 0.8;

export type WeatherHazard = 'frost' | 'ice' | 'heat' | 'storm';

/** A planter of the round, as far as the weather goes. */
export interface ExposedPlanter {
  id: string;
  design: PlanterDesign;
  /** The day of planting, ISO date. */
  planted: string;
  /** Days until it likely reads low. */
  daysLeft: number;
  /** Whether its roots have no way to the water yet. */
  young: boolean;
}

export interface WeatherAdvice {
  hazard: WeatherHazard;
  /** The day, or the one whose night it is: ISO date. */
  date: string;
  /** Whether a forecast says so; else it is what was measured last. */
  forecast: boolean;
  text: Message;
  /** Planters that it is about, by id. */
  planters: string[];
}

/** A planter as the weather finds it. @param today ISO date */
export const exposedOf = (
  id: string,
  design: PlanterDesign,
  { planted, daysLeft }: Pick<TendedState, 'planted' | 'daysLeft'>,
  today: string,
): ExposedPlanter => ({
  ...{ id, design, planted, daysLeft: daysLeft.likely },
  young: daysBetween(planted, today) < YOUNG,
});

const outdoors = ({ design }: ExposedPlanter): boolean => design.place.rain !== 'indoors';

/** The coldest night that what grows there bears, °C; −∞ where nothing stands. */
function bears({ design, planted }: ExposedPlanter, date: string): number {
  const day = daysBetween(planted, date);
  const growing = design.planting.crops.filter(
    ({ count, from, stays }) => count > 0 && day >= from && day < from + (stays ?? Infinity),
  );
  return Math.max(-Infinity, ...growing.map((one) => FROSTS[cropIn(one).frost].night));
}

type Asks = (
  day: MeasuredDay,
  planters: readonly ExposedPlanter[],
) => { text: Message; planters: readonly ExposedPlanter[] };

const ASKS: Readonly<Record<WeatherHazard, Asks>> = {
  frost: ({ date, tMin }, planters) => ({
    text: say`The night is too cold for what grows there: cover it with fleece in the evening, or bring it in.`,
    planters: planters.filter((one) => outdoors(one) && tMin <= bears(one, date)),
  }),
  ice: ({ tMin }, planters) => ({
    text: say`Water may freeze in them: bail it below a third, or bring them in.`,
    planters: tMin <= FREEZES ? planters.filter(outdoors) : [],
  }),
  heat: ({ tMax }, planters) => ({
    text: say`It gets hot: fill these before noon, shade them if you can, and water young ones from the top.`,
    planters:
      tMax >= HOT ? planters.filter(({ daysLeft, young }) => daysLeft <= LITTLE || young) : [],
  }),
  storm: ({ rain }, planters) => ({
    text: say`Heavy rain, ${q(rain, 'rain')}: see that overflows are free, lift bags out of their trays, and tie what is tall.`,
    planters:
      rain >= STORM
        ? planters.filter(
            ({ design }) =>
              design.place.rain === 'open' ||
              design.planting.crops.some((one) => cropIn(one).height >= TALL),
          )
        : [],
  }),
};

/**
 * What the weather asks for in the next days, each hazard once, for the first day on which it threatens, soonest first.
 *
 * @param days as they were measured and are expected; where nobody says what is to come, last night stands for the next
 * @param today ISO date
 */
export function weatherAdvice(
  planters: readonly ExposedPlanter[],
  days: readonly MeasuredDay[],
  today: string,
): WeatherAdvice[] {
  const known = new Map(days.map((day) => [day.date, day]));
  const expected = Array.from({ length: AHEAD + 1 }, (_, i) =>
    known.get(dayAfter(today, i)),
  ).filter((day) => day !== undefined);
  const last = known.get(dayAfter(today, -1));
  const coming: { day: MeasuredDay; forecast: boolean }[] =
    expected.length > 0
      ? expected.map((day) => ({ day, forecast: day.forecast === true }))
      : last
        ? [{ day: { ...last, date: today, rain: 0 }, forecast: false }]
        : [];
  const advice = (Object.keys(ASKS) as WeatherHazard[]).flatMap((hazard): WeatherAdvice[] => {
    for (const { day, forecast } of coming) {
      const { text, planters: those } = ASKS[hazard](day, planters);
      if (those.length === 0) continue;
      return [{ hazard, date: day.date, forecast, text, planters: those.map(({ id }) => id) }];
    }
    return [];
  });
  return advice.sort((a, b) => a.date.localeCompare(b.date));
}
