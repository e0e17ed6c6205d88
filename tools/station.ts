import { parseArgs } from 'node:util';
import {
  dayAfter,
  roomDay,
  siteOf,
  weatherOf,
  type WeatherChoice,
  type WeatherDay,
} from '@huerta/core/physics/climate';
import { evaluate } from '@huerta/core/assessment';
import { runSeason } from '@huerta/core/simulation/season';
import type { Site } from '@huerta/core/catalog';
import type { PlanterDesign } from '@huerta/core/document';

/**
 * A small station that is not there: tells a day of made-up weather and the level of one planter every so often, as a
 * real one would by the API, in the garden's own climate and hemisphere. With `--forecast` it tells what is expected of the
 * next nine days once, and ends. `npm run station -- --url http://localhost:4700 --every 5 --days 30 --planter NAME`
 */

const { values } = parseArgs({
  options: {
    url: { type: 'string', default: 'http://localhost:4700' },
    every: { type: 'string', default: '5' },
    days: { type: 'string', default: '0' },
    planter: { type: 'string', default: '' },
    thirst: { type: 'string', default: '1.2' },
    forecast: { type: 'boolean', default: false },
  },
});
const base = values.url.replace(/\/$/, '');
const every = Number(values.every);
const most = Number(values.days);
const thirst = Number(values.thirst);
/** Days of its own past from which on the station knows how the planter stood, and between two fillings. */
const BACK = 60;
const FILLED_EVERY = 5;
const SEED = 0;
/** Days that a forecast reaches. */
const EXPECTED = 9;

interface Listed {
  id: string;
  design: PlanterDesign;
}

async function ask<T>(path: string, body?: object): Promise<T> {
  const answer = await fetch(`${base}/api${path}`, {
    ...(body
      ? {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(body),
        }
      : {}),
  });
  const text = await answer.text();
  if (!answer.ok) throw new Error(`${path}: ${text}`);
  return JSON.parse(text) as T;
}

/** What the float reads on each evening of some days. */
function levels(design: PlanterDesign, days: readonly WeatherDay[]): number[] {
  const { planter } = evaluate(design);
  const air = days
    .map((day) => (design.place.rain === 'indoors' ? roomDay(day) : day))
    .map((day) => ({ ...day, et: day.et * thirst }));
  const planted = days[0]?.date ?? '';
  const filling = { kind: 'every', days: FILLED_EVERY } as const;
  return runSeason(planter, air, { planted, filling, refillAt: 0 }).days.map(({ level }) => level);
}

/** The day after the last one told, or two weeks ago where none is. */
async function firstDay(): Promise<string> {
  const { days } = await ask<{ days: { date: string; forecast?: true }[] }>('/weather/days');
  const last = days.filter(({ forecast }) => !forecast).at(-1)?.date;
  const today = new Date().toISOString().slice(0, 10);
  return last ? dayAfter(last, 1) : dayAfter(today, -14);
}

/** The climate that the garden has. */
async function siteThere(): Promise<Site> {
  const { choice } = await ask<{ choice: WeatherChoice }>('/weather');
  return siteOf(choice);
}

/** What is expected of the days from today on. */
async function tellForecast(site: Site, today: string): Promise<void> {
  const days = weatherOf(site, today, EXPECTED, SEED + 1).map(({ date, tMin, tMax, rain }) => ({
    ...{ date, tMin, tMax, rain },
    forecast: true as const,
  }));
  await ask('/weather/days', { days });
  for (const { date, tMin, tMax, rain } of days)
    console.log(
      `${date}: ${tMin.toFixed(1)} to ${tMax.toFixed(1)} °C, ${(rain * 1000).toFixed(1)} mm of rain expected`,
    );
}

/** The planter that a float hangs in: the one that is named, or the first. @throws where none has that name */
function floatIn(planters: readonly Listed[]): Listed | undefined {
  if (values.planter === '') return planters[0];
  const named = planters.find(({ design }) => design.name === values.planter);
  if (named) return named;
  const names = planters.map(({ design }) => design.name).join(', ');
  throw new Error(`No planter is called ‘${values.planter}’. There are: ${names}.`);
}

async function tell(date: string, planter: Listed | undefined, site: Site): Promise<void> {
  const days = weatherOf(site, dayAfter(date, -BACK), BACK + 1, SEED);
  const { tMin, tMax, rain } = days.at(-1) as WeatherDay;
  await ask('/weather/days', { days: [{ date, tMin, tMax, rain }] });
  const level = planter ? levels(planter.design, days).at(-1) : undefined;
  if (planter && level !== undefined)
    await ask(`/planters/${planter.id}/readings`, {
      by: 'Float of the station',
      readings: [{ at: `${date}T20:00:00.000Z`, level: Math.round(level * 1000) / 1000 }],
    });
  const float =
    level === undefined ? '' : `, ${Math.round(level * 1000)} mm in ${planter?.design.name}`;
  console.log(
    `${date}: ${tMin.toFixed(1)} to ${tMax.toFixed(1)} °C, ${(rain * 1000).toFixed(1)} mm of rain${float}`,
  );
}

try {
  const { planters } = await ask<{ planters: Listed[] }>('/planters');
  const planter = floatIn(planters);
  const site = await siteThere();
  const today = new Date().toISOString().slice(0, 10);
  if (values.forecast) await tellForecast(site, today);
  let date = values.forecast ? today : await firstDay();
  for (let told = 0; date < today && (most === 0 || told < most); told += 1) {
    if (told > 0) await new Promise((done) => setTimeout(done, every * 1000));
    await tell(date, planter, site);
    date = dayAfter(date, 1);
  }
  if (date >= today && !values.forecast) console.log('All days up to yesterday are told.');
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  console.error(
    `Is Huerta running at ${base}? Start it with npm run demo, or say where with --url.`,
  );
  process.exitCode = 1;
}
