import type { Site } from '../../../catalog';
import { referenceEt } from '../et0';
import { MOST_DAYS } from '../choice';
import { dayAfter, dayOfYear, daysBetween, type WeatherDay } from '../weather';

/** Gaps up to so many days are filled with what is usual at the place; a longer one parts the table. */
const FILLED = 31;

/** A day as it is on the average of its month. @param place latitude in radians */
function usualDay(date: string, site: Site): WeatherDay {
  const month = Number(date.slice(5, 7)) - 1;
  const days = new Date(Date.UTC(Number(date.slice(0, 4)), month + 1, 0)).getUTCDate();
  const [tMin, tMax] = [site.tMin[month] as number, site.tMax[month] as number];
  const air = {
    ...{ tMin, tMax, wind: site.wind[month] as number, sun: site.sun[month] as number },
    humidity: { mean: site.humidity[month] as number },
  };
  const place = { ...site, latitude: (site.latitude * Math.PI) / 180 };
  const et = referenceEt(air, place, dayOfYear(date));
  return { date, tMin, tMax, rain: ((site.rain[month] as number) * 1e-3) / days, et };
}

/** Days without a gap: short ones filled, and of parts with a long one between them the longest. */
export function withoutGaps(
  days: readonly WeatherDay[],
  site: Site,
): { days: WeatherDay[]; filled: number; cut: string } {
  const parts: { days: WeatherDay[]; filled: number }[] = [];
  for (const day of days) {
    const part = parts.at(-1);
    const last = part?.days.at(-1);
    const gap = last ? daysBetween(last.date, day.date) - 1 : Infinity;
    if (!part || !last || gap > FILLED) {
      parts.push({ days: [day], filled: 0 });
      continue;
    }
    for (let i = 1; i <= gap; i += 1) part.days.push(usualDay(dayAfter(last.date, i), site));
    part.filled += gap;
    part.days.push(day);
  }
  const longest = parts.reduce<(typeof parts)[number]>(
    (best, one) => (one.days.length > best.days.length ? one : best),
    { days: [], filled: 0 },
  );
  const kept = longest.days.slice(-MOST_DAYS);
  const span = `from ${kept[0]?.date} to ${kept.at(-1)?.date}`;
  const cut = [
    ...(parts.length > 1
      ? [`The table has gaps of more than ${FILLED} days; the longest part is used, ${span}.`]
      : []),
    ...(kept.length < longest.days.length ? [`The last ten years are used, ${span}.`] : []),
  ].join(' ');
  return { days: kept, filled: longest.filled, cut };
}
