import { FROSTS, type Crop, type Site } from '../../catalog';
import { coldChance, dayAfter, daysBetween, dayOfYear, normalOn } from '../../physics/climate';
import { cropIn, type Patch, type Planted, type PlanterDesign } from '../../document';
import { firstHarvest, lastPick, lifeOf, standsFor } from '../../physics/crop';
import { q, say, type Message } from '../../units';

/** A planter's year: when each crop is sown, planted, harvested and gone, and what its site forbids. */

/** One planting in the year. ISO dates. */
export interface YearBar {
  of: number;
  name: string;
  count: number;
  /** Sown in a pot before it comes into the planter; null where it is not. */
  raised: string | null;
  from: string;
  /** First harvest, the end of that, and the last day. */
  harvest: string;
  picked: string;
  to: string;
  /** What stays for years: when it first bears, and how long it lives. */
  stays: Message | null;
  says: Message[];
}

export interface PlanterYear {
  bars: YearBar[];
  /** The frost-free time of the site in the year of planting; null where it freezes never, or always. */
  frostFree: { from: string; to: string } | null;
  /** The day by which the reservoir is to be empty; null where it never freezes, or nothing stands outside. */
  emptyBy: string | null;
}

/** Days from sowing in a pot until it is set out, by how long a crop is young. Typical. */
const RAISED = { least: 21, most: 56 };
/** A night colder than a crop bears is worth a word when it comes in more of its nights than this share. */
const RARE = 0.025;
/** Mean afternoon from which on cool crops run to seed, °C. Typical. */
const BOLTS = 29;
/** Nights with frost at all. */
const FROST = 0;
/** A crop that wants it cool: it bears frost, and is eaten for its leaves, pods or root. */
const likesCool = ({ frost, feet, habit }: Crop): boolean =>
  frost !== 'tender' && feet !== 'dry' && ['rosette', 'root', 'climbing'].includes(habit);

/**
 * The year of a planter.
 *
 * @param planted ISO date of the planter's first day
 * @param today ISO date; what it says is of days from then on. All days count where it is left out
 */
export function yearOf(
  design: PlanterDesign,
  planted: string,
  site: Site,
  today = planted,
): PlanterYear {
  const indoors = design.place.rain === 'indoors';
  const frostFree = indoors ? null : frostFreeIn(site, planted);
  const bars = design.planting.crops.map((one, of): YearBar => {
    const crop = cropIn(one);
    const from = dayAfter(planted, one.from);
    const days = standsFor(one);
    const over = Math.max(daysBetween(from, today), 0);
    const standing: Standing = { site, crop, from, over, days, indoors };
    const young = crop.stages[0];
    const before = Math.min(Math.max(young * 1.4, RAISED.least), RAISED.most);
    return {
      of,
      name: crop.name,
      count: one.count,
      raised: one.start === 'raised' ? dayAfter(from, -Math.round(before)) : null,
      from,
      harvest: dayAfter(from, Math.min(firstHarvest(one), days)),
      picked: dayAfter(from, Math.min(lastPick(one), days)),
      to: dayAfter(from, days),
      stays: one.stays === null ? stayIn(one) : null,
      says:
        over >= days
          ? []
          : [...coldIn(standing), ...(lifeOf(one) ? [] : hotIn(standing)), ...shortIn(one)],
    };
  });
  return { bars, frostFree, emptyBy: frostFree?.to ?? null };
}

/** Whether a night colder than a temperature is to be reckoned with on a day of the year. */
const canBe = (site: Site, day: number, degrees: number): boolean =>
  coldChance(site, day, degrees) > RARE;

/**
 * Share of years in which frost may come after the day that is said to be the last with it, or before the first:
 * a little under a tenth, as the normals' curve is smoother than years are.
 */
const A_YEAR_IN = 0.08;

/** Frost-free days by year and by what they follow from: all planters of a garden ask the same. */
const frostFreeKnown = new Map<string, { from: string; to: string } | null>();

/**
 * The days without frost about midsummer, in the year of a date: outside them frost comes in one year of ten at the
 * most. Null where it freezes never, or always.
 */
export function frostFreeIn(site: Site, date: string): { from: string; to: string } | null {
  const key = `${date.slice(0, 4)} ${site.latitude} ${site.tMin.join()}`;
  if (!frostFreeKnown.has(key)) frostFreeKnown.set(key, findFrostFree(site, date));
  return frostFreeKnown.get(key) ?? null;
}

function findFrostFree(site: Site, date: string): { from: string; to: string } | null {
  const year = Number(date.slice(0, 4));
  // South of the equator the summer lies about New Year's Day.
  const summer = site.latitude < 0 ? `${year}-01-15` : `${year}-07-15`;
  /** Days from midsummer on, one way, until frost has come in one year of ten. */
  const free = (step: 1 | -1): number => {
    let [days, none] = [-1, 1];
    while (days < 183) {
      none *= 1 - coldChance(site, dayOfYear(dayAfter(summer, step * (days + 1))), FROST);
      if (none < 1 - A_YEAR_IN) break;
      days += 1;
    }
    return days;
  };
  const [back, on] = [free(-1), free(1)];
  if (back < 0 || on < 0) return null;
  return back + on >= 364 ? null : { from: dayAfter(summer, -back), to: dayAfter(summer, on) };
}

/** A planting where it stands. */
interface Standing {
  site: Site;
  crop: Crop;
  /** ISO date of its first day. */
  from: string;
  /** Days of it that are over, and all of them. */
  over: number;
  days: number;
  indoors: boolean;
}

function coldIn({ site, crop, from, over, days, indoors }: Standing): Message[] {
  if (indoors) return [];
  const { night } = FROSTS[crop.frost];
  const cold = (after: number) => canBe(site, dayOfYear(dayAfter(from, after)), night);
  const perennial = days > 300;
  if (cold(over)) {
    let wait = 1;
    while (wait < 300 && cold(over + wait)) wait += 1;
    if (over > 0 && !perennial)
      return [
        say`Cover ${crop.name.toLowerCase()} for the next ${q(Math.min(wait, days - over), 'days')}: nights are too cold for it.`,
      ];
    if (over > 0) return [];
    return [
      wait >= 300
        ? say`Keep ${crop.name.toLowerCase()} under cover: nights here are too cold for it all year.`
        : say`Wait ${q(wait, 'days')} with ${crop.name.toLowerCase()}, or cover it at night: nights can still be too cold for it.`,
    ];
  }
  if (perennial) return [];
  let until = over + 1;
  while (until < days && !cold(until)) until += 1;
  return until < days
    ? [
        say`Cover ${crop.name.toLowerCase()} for its last ${q(days - until, 'days')}, or plant it earlier: nights get too cold for it.`,
      ]
    : [];
}

function hotIn({ site, crop, from, over, days, indoors }: Standing): Message[] {
  if (indoors || !likesCool(crop)) return [];
  let hot = 0;
  for (let after = over; after < days; after += 1) {
    if (normalOn(site.tMax, dayOfYear(dayAfter(from, after))) >= BOLTS) hot += 1;
  }
  return hot > 7
    ? [
        say`Give ${crop.name.toLowerCase()} shade or another time: ${q(hot, 'days')} of it are hot, and it runs to seed.`,
      ]
    : [];
}

/** What is said of a planting that stays for years. */
function stayIn(planted: Planted): Message | null {
  const life = lifeOf(planted);
  if (!life) return null;
  const bears = say`First harvest in year ${q(life.first, 'count')}`;
  const first = life.first === 1 ? say`` : say`${bears}; `;
  return say`${first}stays about ${q(life.years, 'count')} years${life.rests ? ' and rests in winter' : ''}.`;
}

/** A planting that is cleared before it bears. */
function shortIn(planted: Planted): Message[] {
  const crop = cropIn(planted);
  const needs = firstHarvest(planted);
  return planted.stays !== null && planted.stays < needs
    ? [
        say`Leave ${crop.name.toLowerCase()} ${q(needs - planted.stays, 'days')} longer: it is cleared before it bears.`,
      ]
    : [];
}

/** Longest that a planting is moved to, days after the first. */
const LAST = 700;

/** What moves a planting in the year by some days; the first of all moves the others along with the day of planting. */
export function moveBar({ planting }: PlanterDesign, of: number, days: number): Patch {
  const planted = planting.crops[of];
  if (!planted) return [];
  const from = Math.min(Math.max(planted.from + days, 0), LAST);
  return [{ path: ['planting', 'crops', of, 'from'], value: from }];
}

/** What makes a planting stay some days longer, or less long. */
export function stretchBar({ planting }: PlanterDesign, of: number, days: number): Patch {
  const planted = planting.crops[of];
  if (!planted) return [];
  const stays = Math.min(Math.max(standsFor(planted) + days, 1), LAST);
  return [{ path: ['planting', 'crops', of, 'stays'], value: stays }];
}

/** Longest strip, days: of what bears in its third year the end is not on it. */
const LONGEST_STRIP = 750;

/** Days that a year's strip covers: from the first sowing to the last harvest, at least a year. */
export function stripOf({ bars }: PlanterYear, planted: string): { from: string; days: number } {
  const first = bars.reduce((least, { raised, from }) => {
    const begins = raised ?? from;
    return begins < least ? begins : least;
  }, planted);
  const from = `${first.slice(0, 8)}01`;
  const last = bars.reduce((most, { to }) => (to > most ? to : most), planted);
  return { from, days: Math.min(Math.max(daysBetween(from, last) + 15, 366), LONGEST_STRIP) };
}
