import {
  catalogVessel,
  cropOf,
  vesselName,
  type CropId,
  type Site,
  type VesselGroup,
  type VesselId,
} from '../../catalog';
import type { PriceBook } from '../../fabrication';
import { exposureOf, weatherOf, type WeatherDay } from '../../physics/climate';
import {
  FIELDS,
  USUAL_PLACE,
  vesselIn,
  type PlanterDesign,
  type VesselDesign,
} from '../../document';
import type { UnitSystem } from '../../units';
import { spreadOf } from '../../simulation/season';
import { groupOf, groupOfCatalog } from './builds';
import type { PlanWish } from './wish';

/** What all plans of a wish have in common. */

/** Where and how a wish is answered. */
export interface PlanSetting {
  site: Site;
  book: PriceBook;
  units: UnitSystem;
  /** The year in which the wanted month lies. */
  year: number;
}

/** A vessel that a plan may take. */
export interface PlanVessel {
  /** Tells kinds apart. */
  kind: string;
  name: string;
  vessel: VesselDesign;
  group: VesselGroup;
  /** What it is called in a word. */
  called: string;
  bought: boolean;
}

/** Vessels that are easily bought, likeliest first. */
const BUYABLE: readonly VesselId[] = [
  'pail-20',
  'tote-70',
  'tub-40',
  'barrel-half',
  'box-small',
  'tote-100',
  'pot-40',
  'box-legs',
];

export const KINDS_ON_SALE = BUYABLE.length;

const OUT_OF_SIGHT: readonly VesselDesign['material'][] = ['clay', 'wood', 'metal'];

/** Vessels that are called otherwise than their group, by how their ids begin. */
const CALLED: readonly (readonly [string, string])[] = [
  ['tub-', 'tub'],
  ['window-box', 'window box'],
  ['box-', 'box'],
  ['drum-', 'drum'],
];
const calledBy = (id: string, group: VesselGroup): string =>
  CALLED.find(([begins]) => id.startsWith(begins))?.[1] ?? group;

function ofCatalog(id: VesselId, units: UnitSystem, bought: boolean): PlanVessel {
  const vessel = vesselIn(id, units);
  const there = vessel.kind === 'frame' && !bought;
  return {
    kind: `${id}${bought ? ':new' : ''}`,
    name: vesselName(id, units),
    vessel: {
      ...vessel,
      ...(bought ? { formerContents: 'new' as const } : {}),
      ...(there ? { stands: true } : {}),
    } as VesselDesign,
    group: groupOfCatalog(id),
    called: calledBy(id, groupOfCatalog(id)),
    bought,
  };
}

/** Vessels there are, each as many times as there are of it. */
export function vesselsHeld(
  { vessels, own, noPlastic }: PlanWish,
  units: UnitSystem,
): PlanVessel[] {
  const usual = vessels.flatMap(({ vessel, count }) =>
    Array.from({ length: count }, () => ofCatalog(vessel, units, false)),
  );
  const measured = own.flatMap(({ name, vessel, count }, i) =>
    Array.from({ length: count }, (): PlanVessel => ({
      ...{ kind: `own:${i}`, name, vessel, bought: false },
      group: groupOf(vessel),
      called: groupOf(vessel),
    })),
  );
  return [...usual, ...measured].filter(
    ({ vessel }) => !noPlastic || OUT_OF_SIGHT.includes(vessel.material),
  );
}

/** Vessels that may be bought for a wish. */
export const vesselsOnSale = ({ buys, noPlastic }: PlanWish, units: UnitSystem): PlanVessel[] =>
  (buys ? BUYABLE : [])
    .filter((id) => !noPlastic || OUT_OF_SIGHT.includes(catalogVessel(id).material))
    .map((id) => ofCatalog(id, units, true));

/** Weathers that a plan is lived through, and days of each. */
const WEATHERS = 3;
const LONGEST = 62;
const SECONDS = 86_400;
/** Reference evapotranspiration of days is told to a tenth of a millimetre, m/s. */
const TENTH = 1e-4 / SECONDS;
const HOT = 0.9;

/** The wanted month: weathers from its tenth day on, and a mild and a hot day of it, m/s. */
export interface PlanMonth {
  leaving: string;
  weathers: readonly (readonly WeatherDay[])[];
  etMild: number;
  etHot: number;
}

/** The month in which a wish is to hold. */
export function monthOf({ month }: PlanWish, { site, year }: PlanSetting): PlanMonth {
  const leaving = `${year}-${String(month).padStart(2, '0')}-10`;
  const weathers = Array.from({ length: WEATHERS }, (_, seed) =>
    weatherOf(site, leaving, LONGEST, seed),
  );
  const days = weathers.flatMap((all) => all.slice(0, 20)).map(({ et }) => et);
  const sorted = [...days].sort((a, b) => a - b);
  const tenths = (et: number): number => Math.max(Math.round(et / TENTH), 5) * TENTH;
  return {
    leaving,
    weathers,
    etMild: tenths(spreadOf(days).middle),
    etHot: tenths(sorted[Math.floor(HOT * (sorted.length - 1))] as number),
  };
}

/** The place of a wish, in its month. */
export const placeOf = (wish: PlanWish, { etMild, etHot }: PlanMonth): PlanterDesign['place'] => ({
  ...USUAL_PLACE,
  ...wish.place,
  ...{ etMild, etHot },
  // What is asked of a design is set once it is known what can be had; until then it keeps none out.
  daysAway: 0,
  liftLimit: FIELDS.place.liftLimit.max,
  floorLimit: null,
});

/** What a grown plant drinks on a hot day of the month, m³. */
export function thirstOf(crop: CropId, place: PlanterDesign['place']): number {
  const { kc, foliage } = cropOf(crop);
  return kc * (Math.PI / 4) * foliage * foliage * place.etHot * exposureOf(place) * SECONDS;
}

/** The year of the next time that it is a month. @param month from 1; @param today ISO date */
export function yearOfMonth(month: number, today: string): number {
  const [year = 0, now = 1] = today.split('-').map(Number);
  return month >= now ? year : year + 1;
}
