import type { LogEntry, TendedState } from '@huerta/core/journal';
import type { Planter } from '@huerta/core/assembly';
import type { PlanterDesign } from '@huerta/core/document';
import type { Site } from '@huerta/core/catalog';
import type { WeatherDay } from '@huerta/core/physics/climate';
import { round, type Core } from './measure';

/**
 * How well what is said of planters holds: gardens whose truth is known, kept by careful and by careless people, with a
 * station, with rain noted, with neither. Truths are made by the season's own model with errors larger than the filter
 * assumes: thirst from 0.6 to 1.6 that drifts, days off by a tenth, a fifth of a careless log forgotten and a fifth off by
 * a fifth.
 */

const PLANTED = '2026-05-01';
const FOLLOWED = 45;
const AHEAD = 60;
const WEATHERS = ['station', 'rain', 'neither'] as const;
type Known = (typeof WEATHERS)[number];
type Chance = ReturnType<Core['randomSource']>;

interface Garden {
  design: PlanterDesign;
  planter: Planter;
  site: Site;
  mark: number;
  /** Weather as it was, and with the thirst and the errors that the planter had. */
  weather: WeatherDay[];
  lived: WeatherDay[];
  /** Days after planting on which the log begins, and on which it is asked. */
  start: number;
  asked: number;
  luck: Chance;
}

function gardenOf(core: Core, k: number): Garden {
  const luck = core.randomSource(k * 7907 + 13);
  const points = core.STARTING_POINTS.filter(({ design }) => design.planting.crops.length > 0);
  const { design } = points[k % points.length]!;
  const sites = Object.values(core.SITES);
  const site = sites[k % sites.length]!;
  const planter = core.assemble(design);
  const made = core.weatherOf(site, PLANTED, 200, 5000 + k);
  const weather = design.place.rain === 'indoors' ? made.map(core.roomDay) : made;
  let factor = 0.6 * (1.6 / 0.6) ** luck.uniform();
  const lived = weather.map((day) => {
    factor *= Math.exp(0.02 * luck.normal());
    return { ...day, et: day.et * factor * Math.max(1 + 0.1 * luck.normal(), 0.3) };
  });
  const start = 35 + Math.floor(luck.uniform() * 30);
  const mark = core.figuresOf(planter).usableLevel;
  return { design, planter, site, mark, weather, lived, start, asked: start + FOLLOWED, luck };
}

const options = { planted: PLANTED, cells: 40, longest: 86_400 } as const;

/** The log that somebody kept of a run, from a day on. */
function logOf(core: Core, garden: Garden, run: DayOfRun[], known: Known, careless: boolean) {
  const { luck, weather, start, design } = garden;
  const entries: LogEntry[] = [];
  const note = (day: number, hour: string, did: LogEntry['did']): void => {
    if (careless && luck.uniform() < 0.2) return;
    const off = careless && luck.uniform() < 0.2 ? (luck.uniform() < 0.5 ? 0.8 : 1.2) : 1;
    const told =
      did.kind === 'filled' && did.volume !== null
        ? { ...did, volume: did.volume * off }
        : did.kind === 'level' || did.kind === 'rain'
          ? { ...did, depth: did.depth * off }
          : did;
    const id = `00000000-0000-4000-8000-${String(entries.length + 1).padStart(12, '0')}`;
    const at = `${core.dayAfter(PLANTED, day)}T${hour}:00:00.000Z`;
    entries.push({
      id,
      planter: id,
      at,
      by: '',
      did: told,
      text: '',
      typed: '',
      instead: null,
      gone: false,
    });
  };
  run.forEach(({ filled }, i) => {
    if (i < start) return;
    const rain = weather[i]!.rain;
    if (known === 'rain' && rain > 1e-3 && design.place.rain === 'open')
      note(i, '18', { kind: 'rain', depth: rain * (1 + 0.1 * luck.normal()) });
    const read = Math.max(filled * (1 + 0.06 * luck.normal()) + 1e-4 * luck.normal(), 1e-5);
    const volume = luck.uniform() < 0.7 ? read : null;
    if (filled > 0) note(i, '06', { kind: 'filled', where: 'tube', volume, ran: true });
    else if (luck.uniform() < 0.15)
      note(i, '07', {
        kind: 'level',
        depth: Math.max((run[i - 1]?.level ?? 0) + 0.003 * luck.normal(), 0),
      });
  });
  return entries;
}
type DayOfRun = { filled: number; level: number; date: string };

/** What Huerta says of a garden on a day, from its log so far. */
function saidOn(
  core: Core,
  garden: Garden,
  entries: LogEntry[],
  day: number,
  known: Known,
): TendedState | null {
  const { design, site, weather } = garden;
  const days = known === 'station' ? weather.slice(0, day) : [];
  const today = core.dayAfter(PLANTED, day);
  return core.stateOf({ design, planted: PLANTED, entries, site, days, today });
}

interface Tally {
  held: number;
  of: number;
}
const share = ({ held, of }: Tally): number => round(held / Math.max(of, 1));

/** Healthy gardens: how often ranges of 80 percent hold the truth, and how often something is named that is not. */
function healthy(core: Core, known: Known, careless: boolean, from: number, count: number) {
  const tallies = { near: [0, 0], far: [0, 0], fill: [0, 0], within: [0, 0], alarm: [0, 0] };
  const add = (key: keyof typeof tallies, holds: boolean): void => {
    tallies[key][0]! += holds ? 1 : 0;
    tallies[key][1]! += 1;
  };
  for (let k = from; k < from + count; k += 1) {
    const garden = gardenOf(core, k);
    const { planter, lived, asked, mark, luck } = garden;
    const refillAt = mark + (planter.heights.brim - mark) * (0.05 + 0.5 * luck.uniform());
    const filling = { kind: 'when-low' } as const;
    const kept = core.runSeason(planter, lived.slice(0, asked), { ...options, filling, refillAt });
    const entries = logOf(core, garden, kept.days, known, careless);
    const said = saidOn(core, garden, entries, asked, known);
    if (!said || said.thirst.readings < 4) continue;
    const waterings = kept.days.flatMap(({ filled, date }) =>
      filled > 0 ? [{ where: 'tube' as const, date, volume: null }] : [],
    );
    const never = { kind: 'never' } as const;
    const alone = { ...options, filling: never, refillAt: 0, waterings };
    const truth = core.runSeason(planter, lived.slice(0, asked + AHEAD), alone).days;
    const { fan, next } = said.forecast;
    const look = (key: 'near' | 'far', ahead: number): void => {
      const at = fan[Math.min(ahead, fan.length - 1)]!;
      const level = truth[asked - 1 + ahead]!.level;
      // That what is empty is empty says nothing.
      if (at.high < 2e-3 && level < 2e-3) return;
      add(key, level >= at.low - 1e-3 && level <= at.high + 1e-3);
    };
    look('near', 5);
    look('far', 20);
    add(
      'alarm',
      said.thirst.surprises.some(({ kind }) => kind !== 'rises'),
    );
    if (garden.design.reservoir.supply) continue;
    const today = core.dayAfter(PLANTED, asked);
    const low = truth.find(({ date, level }) => date >= today && level <= mark + 1e-4)?.date;
    const inside = low ? low >= next.early && (next.late === null || low <= next.late) : !next.late;
    add('fill', inside);
    if (low && core.daysBetween(today, low) <= 9)
      add('within', Math.abs(core.daysBetween(low, next.likely)) <= 1);
  }
  const told = (key: keyof typeof tallies): number =>
    share({ held: tallies[key][0]!, of: tallies[key][1]! });
  return {
    refills: tallies.alarm[1],
    rangeIn5Days: told('near'),
    rangeIn20Days: told('far'),
    rangeOfFilling: told('fill'),
    likelyWithinADay: told('within'),
    falseAlarms: told('alarm'),
  };
}

/** Gardens in which something breaks: how often that is named within three readings. */
function broken(
  core: Core,
  fault: 'leak' | 'wick',
  known: Known,
  from: number,
  count: number,
): number {
  const tally = { held: 0, of: 0 };
  for (let k = from; k < from + count; k += 1) {
    const garden = gardenOf(core, k);
    const { planter, lived, mark, start, design } = garden;
    if (design.reservoir.supply || (fault === 'wick' && planter.wicks.length === 0)) continue;
    const begins = start + 30;
    const full = core.figuresOf(planter).gross;
    const refillAt = mark + (planter.heights.brim - mark) * 0.4;
    const low = { ...options, filling: { kind: 'when-low' } as const, refillAt };
    const sound = core.runSeason(planter, lived.slice(0, begins), low).days;
    const rest = lived.slice(begins, begins + 30);
    const lost = 0.1 * full;
    const table = core.dayTableOf(planter, lost);
    const leaking = rest.map(({ date }) => ({ where: 'tube' as const, date, volume: -lost }));
    const often = { ...options, filling: { kind: 'every', days: 5 } as const, refillAt: 0 };
    const after =
      fault === 'leak'
        ? core.runSeason(planter, rest, { ...low, waterings: leaking }).days.map((day) => ({
            ...day,
            // The season takes the loss in the morning; the stick of the next morning has seen all of the day's.
            level: table.level(Math.max(table.holds(day.level) - lost, 0)),
            filled: day.filled + lost > 1e-6 ? day.filled + lost : 0,
          }))
        : core.runSeason(planter, rest, { ...often, broken: true }).days;
    const given = (days: DayOfRun[]): number => days.reduce((sum, { filled }) => sum + filled, 0);
    // What changes little cannot be seen: leaks by half as much again as it drinks, wicks that brought most of it.
    const drinks =
      sound.slice(-30).reduce((sum, { drunk, evaporated }) => sum + drunk + evaporated, 0) / 30;
    if (
      fault === 'leak'
        ? drinks > 2 * lost
        : given(after) > 0.35 * given(core.runSeason(planter, rest, often).days)
    )
      continue;
    const entries = logOf(core, garden, [...sound, ...after], known, false);
    const since = core.dayAfter(PLANTED, begins + 1);
    const third = entries.filter(
      ({ at, did }) =>
        at > since && (did.kind === 'level' || (did.kind === 'filled' && did.volume !== null)),
    )[2];
    if (!third) continue;
    const so = entries.filter(({ at }) => at <= third.at);
    const day = core.daysBetween(PLANTED, third.at.slice(0, 10));
    const said = saidOn(core, garden, so, day, known);
    const kinds = fault === 'leak' ? ['falls-fast'] : ['stays', 'rises', 'at-once'];
    tally.of += 1;
    if (said?.thirst.surprises.some(({ kind }) => kinds.includes(kind))) tally.held += 1;
  }
  return share(tally);
}

/** The whole calibration. @param refills made-up ones in all */
export function calibration(core: Core, refills = 1000) {
  const each = Math.ceil(refills / 6);
  const classes = WEATHERS.flatMap((known, i) =>
    [false, true].map((careless) => ({
      known,
      log: careless ? 'careless' : 'careful',
      ...healthy(core, known, careless, 1000 * i, each),
    })),
  );
  const faults = (['leak', 'wick'] as const).map((fault) => ({
    fault,
    named: Object.fromEntries(
      WEATHERS.map((known) => [known, broken(core, fault, known, 3000, Math.ceil(each / 2))]),
    ),
  }));
  return { classes, faults };
}
