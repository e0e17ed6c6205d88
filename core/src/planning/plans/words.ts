import { cropOf } from '../../catalog';
import { BASES, baseOf, baseStyle, type PlanterDesign } from '../../document';
import { capital, listed, plural, q, say, type Message, spelled } from '../../units';
import { MONTH_NAMES } from '../../simulation/season';
import type { PlansFound } from './plans';
import type { GardenPlan, PlanPlanter } from './plan';
import { BUILDS } from './builds';
import { TOOLS, type PlanWish } from './wish';

/** What plans are called, why each stands there, and what speaks against it. */

export const monthName = (month: number): string => MONTH_NAMES[month - 1] ?? '';

/** Vessels of a plan, alike ones together: "2 × 70 L tote". */
export function vesselsOf({ planters }: Pick<GardenPlan, 'planters'>): string {
  const counts = new Map<string, number>();
  for (const { vessel, count, takes } of planters)
    counts.set(vessel, (counts.get(vessel) ?? 0) + count * takes);
  return listed([...counts].map(([name, count]) => `${count} × ${name}`));
}

const several = (count: number, name: string): string =>
  plural(count, name, name.endsWith('x') ? `${name}es` : `${name}s`);

type Sort = Pick<GardenPlan, 'planters' | 'usable'>;

/** What sort of plan it is: "Two totes and a pail over crossed sticks". */
function sortOf({ planters }: Sort): string {
  const counts = new Map<string, number>();
  for (const { called, count, takes } of planters)
    counts.set(called, (counts.get(called) ?? 0) + count * takes);
  const vessels = listed(
    [...counts].map(
      ([name, count]) => `${count === 1 ? 'a' : spelled(count)} ${several(count, name)}`,
    ),
  );
  const over = new Set(
    planters.flatMap(({ build }) => BUILDS.find(({ id }) => id === build)?.over ?? []),
  );
  const all = [...counts.values()].reduce((sum, count) => sum + count, 0);
  const bought = planters.reduce(
    (sum, { count, takes, bought: is }) => sum + (is ? count * takes : 0),
    0,
  );
  const buy = bought === 0 || bought === all ? '' : `, ${spelled(bought)} of them to buy`;
  return capital(`${vessels} over ${listed([...over])}${buy}`);
}

/** What a plan is called beside others: its sort, and where several are of one sort what sets it apart. */
export function kindOf(plan: Sort, plans: readonly Sort[] = []): string {
  const sort = sortOf(plan);
  const twins = plans.filter((other) => sortOf(other) === sort);
  if (twins.length < 2) return sort;
  const byWater = [...twins].sort((a, b) => b.usable - a.usable);
  const at = byWater.indexOf(plan);
  if (at === 0) return `${sort}, most water`;
  return at === byWater.length - 1 ? `${sort}, most soil` : `${sort}, ${at + 1}`;
}

/** How water comes up, in a word or two. */
function wickWords(design: PlanterDesign): string {
  const [wick] = design.wicks;
  if (!wick) return baseStyle(design) === 'fill' ? 'soil down to the floor' : '';
  if (wick.kind === 'cloth') return wick.material === 'cotton-rope' ? 'twine' : 'cloth legs';
  const packed = wick.kind === 'cup' ? 'packed cup' : 'packed column';
  return 'count' in wick && wick.count > 1 ? `${packed}s` : packed;
}

/** What a planter is built as: its base and what lifts the water. */
export function buildWords({ design }: Pick<PlanPlanter, 'design'>): string {
  const base = baseOf(design);
  const one = design.bed?.kind === 'nested' ? 'One in the other, on crates' : null;
  const bags = design.bed?.kind === 'bag' ? 'Bags that stand in water' : null;
  const row = design.bed?.kind === 'row' ? 'In a row over one gutter that a barrel fills' : null;
  const neck = design.bed?.kind === 'neck' ? 'Upper half turned over into the lower' : null;
  const name = one ?? bags ?? row ?? neck ?? (base ? BASES[base].name : design.name);
  const wick = wickWords(design);
  return wick && !name.toLowerCase().includes('soil') ? `${name}, ${wick}` : name;
}

/** Crops with how many of each: "2 × tomato and 6 × lettuce". */
export const cropWords = (crops: PlanPlanter['crops']): string =>
  listed(crops.map(({ crop, count }) => `${count}\u00a0×\u00a0${cropOf(crop).name.toLowerCase()}`));

/** Of what is less or more than all others' by this share something is said. */
const CLEARLY = 0.05;
/** Reasons that one plan is told with. */
const MOST_REASONS = 2;

type Measure = (plan: GardenPlan) => number;

/** Whether a plan has clearly the least of something. */
const leastOf = (plan: GardenPlan, plans: readonly GardenPlan[], of: Measure): boolean =>
  plans.length > 1 &&
  plans.every(
    (other) => other === plan || of(plan) < of(other) - CLEARLY * Math.abs(of(other)) - 1e-9,
  );

/** Why a plan stands beside the others. Never empty. */
export function reasonFor(plan: GardenPlan, plans: readonly GardenPlan[], wish: PlanWish): Message {
  const { short } = plan.days;
  const is = (of: Measure): boolean => leastOf(plan, plans, of);
  const nothing = !buys(plan) && plans.some(buys);
  const all: (Message | false)[] = [
    is(({ days }) => -days.short) && say`Lasts longest: ${q(short, 'days')}.`,
    wish.days > 0 && short >= wish.days && say`Lasts the ${q(wish.days, 'days')}.`,
    is(({ cost }) => cost) && say`Costs least.`,
    is(({ minutes }) => minutes) && say`Is built soonest.`,
    is(({ roots }) => -roots) && say`Has most root room.`,
    is(({ weight }) => weight) && say`Is the lightest.`,
    nothing && say`Takes no vessel but yours.`,
    is(({ usable }) => -usable) && say`Holds most water.`,
  ];
  const said = all.filter((one) => one !== false).slice(0, MOST_REASONS);
  return said.length > 0 ? spaced(said) : say`Another way to build it.`;
}

const buys = ({ planters }: GardenPlan): boolean =>
  planters.some(({ bought, row }) => bought || row);

const spaced = (sentences: readonly Message[]): Message =>
  sentences.reduce<Message>((all, one, i) => (i === 0 ? one : say`${all} ${one}`), []);

/** Root room under this share of what is asked is told. */
const TIGHT = 0.95;
/** Of a floor so much can be stood on, with room to walk. */
const OF_FLOOR = 0.85;

/** What speaks against a plan: what is wrong with it first, else where it does worst; null where nothing does. */
export function speaksAgainst(
  plan: GardenPlan,
  plans: readonly GardenPlan[],
  wish: PlanWish,
): Message | null {
  const { missing, days, lacks, cost, minutes, heaviest, pressure, floor, roots } = plan;
  const room = wish.floor ? OF_FLOOR * wish.floor.length * wish.floor.width : Infinity;
  const is = (of: Measure): boolean => leastOf(plan, plans, (one) => -of(one));
  const all: (Message | false)[] = [
    missing.length > 0 && say`No room for ${cropWords(missing)}.`,
    wish.floorLimit !== null &&
      pressure > wish.floorLimit &&
      say`Loads the floor with ${q(pressure, 'pressure')}; yours bears ${q(wish.floorLimit, 'pressure')}.`,
    days.short < wish.days &&
      say`Plants go short after ${q(days.short, 'days')}, not ${q(wish.days, 'days')}.`,
    lacks.length > 0 && say`Takes ${listed(lacks.map((tool) => TOOLS[tool].name.toLowerCase()))}.`,
    floor > room && say`Stands on ${q(floor, 'area')} of floor, more than you have.`,
    heaviest > wish.lift && say`Weighs ${q(heaviest, 'mass')} empty: lift it together.`,
    wish.budget !== null && cost > wish.budget && say`Costs more than you want to spend.`,
    wish.hours !== null && minutes > 60 * wish.hours && say`Takes longer than you want to give it.`,
    roots < TIGHT && say`Roots get ${q(roots, 'share')} of the depth that they ask.`,
    is(({ cost: spent }) => spent) && say`Costs most.`,
    is(({ minutes: spent }) => spent) && say`Takes longest to build.`,
    is(({ weight }) => weight) && say`Is the heaviest.`,
    is(({ days: { short } }) => -short) && say`Is the first to go short: ${q(days.short, 'days')}.`,
  ];
  return all.find((one) => one !== false) ?? null;
}

/** What cannot be had, with what makes it possible; null where what is wished can be. */
export function impossible({ plans, alone, done, of }: PlansFound, wish: PlanWish): Message | null {
  if (done < of) return null;
  const month = monthName(wish.month);
  const best = plans.find(({ missing, days }) => missing.length === 0 && days.short >= wish.days);
  const [first] = plans;
  if (!first)
    return wish.crops.length === 0
      ? null
      : say`No vessel that may be taken has room for it. Allow one to be bought, ask for smaller crops, or less of how it is to be built.`;
  if (first.missing.length > 0)
    return say`Not all that you want has room: ${cropWords(first.missing)} is left over. One more vessel would hold it.`;
  const loads = Math.min(...plans.map(({ pressure }) => pressure));
  if (wish.floorLimit !== null && loads > wish.floorLimit)
    return say`Each loads the floor with more than yours bears: at the least ${q(loads, 'pressure')}, not ${q(wish.floorLimit, 'pressure')}. Ask the owner or an engineer, or stand them on the ground.`;
  if (plans.every(({ lacks }) => lacks.length > 0)) {
    const [fewest] = [...plans].sort((a, b) => a.lacks.length - b.lacks.length);
    const tools = listed((fewest?.lacks ?? []).map((tool) => TOOLS[tool].name.toLowerCase()));
    return say`Your tools alone build none of these: at the least it takes ${tools}.`;
  }
  if (wish.budget !== null && plans.every(({ cost }) => cost > (wish.budget ?? 0)))
    return say`Each costs more than you want to spend. Use more of what lies about, or take fewer plants.`;
  if (alone === null && best) return null;
  const longest = Math.max(...plans.map(({ days }) => days.short));
  if (!best)
    return say`${q(wish.days, 'days')} are not possible in ${month}: at the most ${q(longest, 'days')}. Fewer plants, half shade, or somebody who fills once would do it.`;
  const more = best.planters.filter(({ bought }) => bought);
  const named = listed(more.map(({ count, vessel }) => `${count} × ${vessel}`));
  return alone === null || more.length === 0
    ? null
    : say`What you have lasts ${q(alone, 'days')} in ${month}, not ${q(wish.days, 'days')}. With ${named} it is ${q(best.days.short, 'days')}.`;
}

/** The answer as a heading. */
export function headingOf({ plans, done, of }: PlansFound, { crops, days }: PlanWish): Message {
  if (crops.length === 0) return say`What could I make?`;
  if (plans.length === 0) return done < of ? say`Looking for plans` : say`Nothing holds that yet`;
  const lasting = plans.filter(({ days: { short } }) => short >= days).length;
  const all = plans.length;
  const counted = capital(spelled(all));
  if (days === 0) return say`${counted} ${plural(all, 'way')} to grow that`;
  const wanted = say`your ${q(days, 'days')}`;
  if (all === 1)
    return lasting === 1
      ? say`One plan, and it lasts ${wanted}`
      : say`One plan, and it does not last ${wanted}`;
  if (lasting === all) return say`All ${spelled(all)} last ${wanted}`;
  if (lasting === 0) return say`None of ${spelled(all)} lasts ${wanted}`;
  return lasting === 1
    ? say`One of ${spelled(all)} lasts ${wanted}`
    : say`${capital(spelled(lasting))} of ${spelled(all)} last ${wanted}`;
}
