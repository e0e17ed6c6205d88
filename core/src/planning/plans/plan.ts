import { cropOf } from '../../catalog';
import { cautiousDays, figuresOf, type Figures } from '../../assessment';
import { assemble } from '../../assembly';
import { dayAfter, roomDay } from '../../physics/climate';
import { peakOf } from '../../physics/crop';
import { plantsSuffer, runSeason, spreadOf } from '../../simulation/season';
import type { PlanterDesign } from '../../document';
import type { Arrangement } from './arrange';
import { type Content, type Option, type PlantCount } from './options';
import type { PlanMonth, PlanSetting } from './setting';
import { supplied, type Used } from './supplies';
import type { PlanWish, ToolId } from './wish';

/** A whole plan: planters that hold what is wanted, with what they give and what they take. */

/** Planters of a plan that are alike. */
export interface PlanPlanter {
  design: PlanterDesign;
  count: number;
  /** The vessel's name, how many of them make one planter, and whether it is bought. */
  vessel: string;
  takes: number;
  bought: boolean;
  /** Whether they stand in a row over a channel, which is bought with its barrel. */
  row: boolean;
  crops: readonly PlantCount[];
  /** What the vessel is called in a word. */
  called: string;
  /** The starting point that it is a build of. */
  build: string;
  usable: number;
  growingDepth: number;
  weight: number;
}

export interface GardenPlan {
  id: string;
  /** The build of the planter that holds most. */
  build: string;
  planters: readonly PlanPlanter[];
  /** Plants that found no room. */
  missing: readonly PlantCount[];
  /** Whole days in nine weathers of ten until the first reads low, and until the first plants go short. */
  days: { low: number; short: number };
  /** Water to use, m³, and what all weigh full, kg. */
  usable: number;
  weight: number;
  /** The heaviest empty one of those that are carried, kg, and the greatest load on the floor, Pa. */
  heaviest: number;
  pressure: number;
  /** Root room over what the deepest crop asks, the least of all planters. */
  roots: number;
  /** What all stand on together, m². */
  floor: number;
  cost: number;
  minutes: number;
  practised: number;
  /** Tools that it takes and nobody said they have. */
  lacks: readonly ToolId[];
  uses: readonly Used[];
}

/** A content of an arrangement with the option that is taken for it. */
export interface Chosen {
  content: Content;
  count: number;
  option: Option;
}

/** A name that says what it is: crops and vessel. */
function nameFor({ vessel, joins }: Content, crops: readonly PlantCount[]): string {
  const [first, second, ...more] = crops.map(({ crop }) => cropOf(crop).name);
  const grown = [first, second?.toLowerCase()].filter(Boolean).join(' and ');
  const called = joins?.how === 'row' ? `${vessel.called}s in a row` : vessel.called;
  return more.length > 0 ? `Mixed ${called}` : `${grown} ${called}`;
}

/** Cells of the column in a plan's season. */
const CELLS = 20;

/** Days in each weather of the month until a full planter reads low, and until its plants go short. */
function lived(design: PlanterDesign, { leaving, weathers }: PlanMonth): [number, number][] {
  const planter = assemble(design);
  const { usableLevel } = figuresOf(planter);
  const planted = dayAfter(leaving, -peakOf(design.planting).day);
  return weathers.map((days) => {
    const weather = design.place.rain === 'indoors' ? days.map(roomDay) : days;
    const run = runSeason(planter, weather, {
      ...{ planted, refillAt: usableLevel, until: plantsSuffer, cells: CELLS },
      filling: { kind: 'never' },
    });
    const low = run.days.findIndex(({ level }) => level <= usableLevel + 1e-4);
    const short = run.days.findIndex(({ stress }) => stress !== 'none');
    const all = run.days.length;
    return [low < 0 ? all : low, short < 0 ? all : short];
  });
}

const known = new WeakMap<PlanterDesign, { low: number; short: number }>();

/** The same as whole days in nine weathers of ten. */
function daysOf(design: PlanterDesign, month: PlanMonth): { low: number; short: number } {
  const before = known.get(design);
  if (before) return before;
  const runs = lived(design, month);
  const sure = (k: 0 | 1): number => Math.floor(spreadOf(runs.map((run) => run[k])).low + 1e-9);
  const days = { low: sure(0), short: sure(1) };
  known.set(design, days);
  return days;
}

/** Days until an option's plants go short with a middling day of the month over and over: quick, and near the season's. */
export const quickDays = ({ figures }: Option): number => figures.lastsMild.short;

/** What a choice of options takes and weighs, before it has been lived through. */
export interface Sketch {
  key: string;
  arrangement: Arrangement;
  chosen: readonly Chosen[];
  days: number;
  cost: number;
  minutes: number;
  weight: number;
  roots: number;
  /** The greatest load on the floor, Pa. */
  pressure: number;
  missing: number;
  lacks: readonly ToolId[];
  uses: readonly Used[];
  /** The build of the largest planter. */
  build: string;
  /** Its kind of vessel. */
  vessel: string;
}

/** Vessels that make one planter. */
const takesOf = ({ joins }: Content): number => joins?.count ?? 1;

/** Vessels there are that a choice takes, by the good that each would be bought as. */
function heldVessels(chosen: readonly Chosen[]): Map<string, number> {
  const held = new Map<string, number>();
  for (const { content, count, option } of chosen) {
    if (content.vessel.bought) continue;
    // The channel under a row is bought: of its vessels only the pails are there.
    const each = content.joins?.how === 'row' ? content.joins.count : 1;
    for (const { good, quantity } of option.work().shopper.parts)
      if (good?.id.startsWith('vessel:') && quantity >= each)
        held.set(good.id, (held.get(good.id) ?? 0) + count * takesOf(content));
  }
  return held;
}

/** Root room over what the crops ask. */
const rootsRatio = ({ option }: Chosen): number =>
  option.figures.growingDepth /
  Math.max(...option.crops.map(({ crop }) => cropOf(crop).roots), 1e-3);

/** The planter that holds most water. */
const largest = (chosen: readonly Chosen[]): Chosen | undefined =>
  [...chosen].sort((a, b) => b.option.figures.gross - a.option.figures.gross)[0];

/** Plants of a wish that found no room. */
function missingOf({ crops }: PlanWish, chosen: readonly Chosen[]): PlantCount[] {
  return crops.flatMap(({ crop, count }) => {
    const placed = chosen.reduce(
      (sum, { option, count: planters }) =>
        sum + planters * (option.crops.find((one) => one.crop === crop)?.count ?? 0),
      0,
    );
    return placed < count ? [{ crop, count: count - placed }] : [];
  });
}

/** Tells choices of options apart. */
export const keyOf = (chosen: readonly Chosen[]): string =>
  chosen
    .map(({ content, option, count }) =>
      [
        ...[content.vessel.kind, option.build.id, count, takesOf(content)],
        option.design.reservoir.top.toFixed(3),
        option.crops.map(({ crop, count: plants }) => `${plants}${crop}`).join('+'),
      ].join(' '),
    )
    .sort()
    .join('; ');

/** Sketches a plan from an option for each content. */
export function sketchOf(
  arrangement: Arrangement,
  chosen: readonly Chosen[],
  wish: PlanWish,
  { book, units }: PlanSetting,
): Sketch {
  const shoppers = chosen.flatMap(({ option, count }) =>
    Array.from({ length: count }, () => option.work().shopper),
  );
  const { list, uses } = supplied(shoppers, wish.means, heldVessels(chosen), book, units);
  const sum = (of: (option: Option) => number): number =>
    chosen.reduce((total, { option, count }) => total + count * of(option), 0);
  const tools = new Set(chosen.flatMap(({ option }) => option.work().tools));
  const main = largest(chosen);
  return {
    key: keyOf(chosen),
    ...{ arrangement, chosen, uses },
    days: chosen.reduce((least, { option }) => Math.min(least, quickDays(option)), Infinity),
    cost: list.total,
    // The first of its kind is built as such, the others by practised hands.
    minutes: chosen.reduce(
      (total, { option, count }) =>
        total + option.work().minutes + (count - 1) * option.work().practised,
      0,
    ),
    weight: sum(({ figures }) => weightOf(figures)),
    roots: Math.min(...chosen.map(rootsRatio)),
    pressure: Math.max(...chosen.map(({ option }) => pressureOf(option.figures))),
    missing: missingOf(wish, chosen).reduce((total, { count }) => total + count, 0),
    lacks: wish.tools ? [...tools].filter((tool) => !wish.tools?.includes(tool)) : [],
    build: main?.option.build.id ?? '',
    vessel: main?.content.vessel.kind ?? '',
  };
}

/** What stands on the floor: the planter, and the barrel that fills it, where it has one. */
const loadsOf = ({ weight }: Figures): { full: number; pressure: number }[] =>
  weight.supply ? [weight, weight.supply] : [weight];

/** What an option weighs full, with its barrel, kg. */
export const weightOf = (figures: Figures): number =>
  loadsOf(figures).reduce((sum, { full }) => sum + full, 0);

/** The greatest load on the floor, Pa, and what stands there, m². */
const pressureOf = (figures: Figures): number =>
  Math.max(...loadsOf(figures).map(({ pressure }) => pressure));
const footprint = (figures: Figures): number =>
  loadsOf(figures).reduce(
    (sum, { full, pressure }) => sum + (pressure > 0 ? (full * GRAVITY) / pressure : 0),
    0,
  );
/** Standard gravity, m/s². */
const GRAVITY = 9.80665;

/** A sketch lived through: a whole plan. */
export function planOf(
  { key, build, chosen, cost, minutes, lacks, uses, roots }: Sketch,
  wish: PlanWish,
  month: PlanMonth,
): GardenPlan {
  const each = chosen.map(({ option }) => daysOf(option.design, month));
  const low = Math.min(...each.map((one) => one.low));
  const short = Math.min(...each.map((one) => one.short));
  const planters = chosen.map(({ content, count, option }): PlanPlanter => ({
    design: named(option, content, wish),
    count,
    vessel: content.vessel.name,
    takes: takesOf(content),
    row: content.joins?.how === 'row',
    bought: content.vessel.bought,
    called: content.vessel.called,
    crops: option.crops,
    build: option.build.id,
    usable: option.figures.usable,
    growingDepth: option.figures.growingDepth,
    weight: weightOf(option.figures),
  }));
  const sum = (of: (figures: Figures) => number): number =>
    chosen.reduce((total, { option, count }) => total + count * of(option.figures), 0);
  const most = (of: (figures: Figures) => number): number =>
    Math.max(...chosen.map(({ option }) => of(option.figures)), 0);
  return {
    id: key,
    build,
    planters,
    missing: missingOf(wish, chosen),
    days: { low, short },
    usable: sum((figures) => figures.usable),
    weight: sum(weightOf),
    heaviest: most(({ weight }) => (weight.carriers === null ? 0 : weight.empty)),
    pressure: most(pressureOf),
    floor: sum(footprint),
    practised: chosen.reduce(
      (total, { option, count }) => total + count * option.work().practised,
      0,
    ),
    ...{ cost, minutes, lacks, uses, roots },
  };
}

/** The design as it is kept: named, and asked to last what it does of what is wished. */
function named(
  { design, figures, crops }: Option,
  content: Content,
  wish: PlanWish,
): PlanterDesign {
  const lasts = Math.floor(cautiousDays(figures.lastsHot.days));
  const daysAway = Math.min(wish.days, Math.max(lasts, 0));
  return {
    ...design,
    name: nameFor(content, crops),
    variant: '',
    place: { ...design.place, daysAway, liftLimit: wish.lift, floorLimit: wish.floorLimit },
  };
}
