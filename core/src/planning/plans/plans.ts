import { arrangementsOf, mostArrangements, type Arrangement } from './arrange';
import {
  buildsOf,
  optionOf,
  topsOf,
  type Content,
  type Option,
  type OptionSetting,
} from './options';
import {
  keyOf,
  planOf,
  quickDays,
  sketchOf,
  weightOf,
  type Chosen,
  type GardenPlan,
  type Sketch,
} from './plan';
import { monthOf, placeOf, type PlanMonth, type PlanSetting } from './setting';
import type { PlanWish } from './wish';

/**
 * Whole plans for a wish. Vessels and crops are arranged first; each vessel with its crops is then built in every way
 * that the judge finds sound; from these come plans of one build, and those that are best at one thing. What no
 * other beats is kept, and of that a few that differ in kind.
 */

export interface PlansFound {
  /** Ways to share the crops out that are looked at, at most, and how many have been. */
  of: number;
  done: number;
  /** The best first. */
  plans: readonly GardenPlan[];
  /** Most days for which what there is lasts by itself; null where nothing is there or all is placed and lasts. */
  alone: number | null;
}

/** What plans are compared by: less is better in each. */
const AIMS = {
  days: ({ days }: Sketch) => -days,
  cost: ({ cost }: Sketch) => cost,
  minutes: ({ minutes }: Sketch) => minutes,
  weight: ({ weight }: Sketch) => weight,
  roots: ({ roots }: Sketch) => -Math.min(roots, ROOMY),
} as const satisfies Record<string, (sketch: Sketch) => number>;
type Aim = keyof typeof AIMS;
const AIM_IDS = Object.keys(AIMS) as Aim[];
/** More root room than this many times what is asked is no better. */
const ROOMY = 1.3;
/** Of an aim less than this is no difference. */
const ALIKE = 0.02;
/** What an hour at work counts against money. Typical. */
const AN_HOUR = 8;

/** More than any plan costs: for what does not last. */
const MUCH = 1e6;
/** The water's usual share of the height, where nobody asks for days. */
const USUAL_SHARE = 0.28;

export const MOST_PLANS = 6;

/** How far a sketch is from what is wished: how many things are wrong with it, then what it takes. */
function rankOf(sketch: Sketch, wish: PlanWish): [number, number] {
  const { missing, days, cost, minutes, lacks, pressure } = sketch;
  const wrong = [
    days < wish.days,
    lacks.length > 0,
    wish.floorLimit !== null && pressure > wish.floorLimit,
    wish.budget !== null && cost > wish.budget,
    wish.hours !== null && minutes > 60 * wish.hours,
  ].filter(Boolean).length;
  const short = wish.days > 0 ? Math.max(1 - days / wish.days, 0) : -Math.min(days, 10) / 100;
  return [100 * missing + wrong, cost + (AN_HOUR * minutes) / 60 + 200 * short];
}

const better =
  (wish: PlanWish) =>
  (a: Sketch, b: Sketch): number => {
    const [one, other] = [rankOf(a, wish), rankOf(b, wish)];
    return one[0] - other[0] || one[1] - other[1];
  };

/** An aim's worth of one option alone. */
const AIM_OF: Readonly<Record<Exclude<Aim, 'cost'>, (option: Option) => number>> = {
  days: (option) => -quickDays(option),
  minutes: (option) => option.work().minutes,
  weight: ({ figures }) => weightOf(figures),
  roots: ({ figures }) => -figures.growingDepth,
};

const least = <T>(list: readonly T[], of: (one: T) => number): T | undefined =>
  list.reduce<T | undefined>(
    (best, one) => (best === undefined || of(one) < of(best) ? one : best),
    undefined,
  );

/** A content with all its options. */
interface Ready {
  content: Content;
  count: number;
  options: readonly Option[];
  /** One of each build, the one with most water: of builds in one vessel heights cost about the same. */
  builds: readonly Option[];
  cost(option: Option): number;
}

/** Works each option of each content out once. */
class Options {
  private readonly known = new Map<string, Option | null>();

  constructor(private readonly setting: OptionSetting) {}

  /** Every sound one, builds in their order, with most water first. */
  of = (content: Content): Option[] => [...this.each(content)];

  /** One that is sound. */
  first(content: Content): Option | null {
    const [next] = this.each(content);
    return next ?? null;
  }

  private *each(content: Content): Generator<Option> {
    const { vessel, crops, joins } = content;
    for (const build of buildsOf(vessel, this.setting, joins))
      for (const top of topsOf(content, build)) {
        const key = `${vessel.kind} ${joins?.count} ${JSON.stringify(crops)} ${build.id} ${top.toFixed(4)}`;
        const before = this.known.get(key);
        const option =
          before === undefined ? tried(() => optionOf(content, build, top, this.setting)) : before;
        this.known.set(key, option);
        if (option) yield option;
        // Lower down there is less water: what does not last up here lasts no longer there.
        if (option && quickDays(option) < this.setting.wish.days) break;
      }
  }
}

/** What a design that cannot be worked out yields: it does not end the search. */
function tried(work: () => Option | null): Option | null {
  try {
    return work();
  } catch {
    return null;
  }
}

/** The first sound plan of an arrangement, so that there is something to look at. */
function firstOf(
  arrangement: Arrangement,
  options: Options,
  wish: PlanWish,
  setting: PlanSetting,
): Sketch[] {
  const chosen = arrangement.contents.flatMap(({ content, count }): Chosen[] => {
    const option = options.first(content);
    return option ? [{ content, count, option }] : [];
  });
  return chosen.length > 0 && chosen.length === arrangement.contents.length
    ? [sketchOf(arrangement, chosen, wish, setting)]
    : [];
}

/** Plans of an arrangement: one of each build, and the best of each aim. */
function sketchesOf(
  arrangement: Arrangement,
  options: Options,
  wish: PlanWish,
  setting: PlanSetting,
  known: Set<string>,
): Sketch[] {
  const ready = arrangement.contents.map(({ content, count }): Ready => {
    const fits = options.of(content);
    const costs = new Map<Option, number>();
    return {
      ...{ content, count },
      options: fits,
      builds: fits.filter(
        ({ build }, i) => fits.findIndex((other) => other.build.id === build.id) === i,
      ),
      cost(option) {
        const before = costs.get(option);
        if (before !== undefined) return before;
        const { cost } = sketchOf(arrangement, [{ content, count: 1, option }], wish, setting);
        costs.set(option, cost);
        return cost;
      },
    };
  });
  if (ready.length === 0 || ready.some(({ options: all }) => all.length === 0)) return [];
  const choose = (of: (one: Ready) => Option | undefined): Sketch | null => {
    const chosen = ready.map((one): Chosen => {
      const option = of(one) ?? (one.options[0] as Option);
      return { content: one.content, count: one.count, option };
    });
    const key = keyOf(chosen);
    if (known.has(key)) return null;
    known.add(key);
    return sketchOf(arrangement, chosen, wish, setting);
  };
  /** Of one build the height that lasts and leaves most to the roots, else the one that lasts longest. */
  const height = (options: readonly Option[]): Option | undefined =>
    wish.days > 0
      ? (least(
          options.filter((option) => quickDays(option) >= wish.days),
          AIM_OF.roots,
        ) ?? least(options, AIM_OF.days))
      : least(options, ({ figures }) => Math.abs(figures.waterShare - USUAL_SHARE));
  const ofBuildIn = (one: Ready, id: string): readonly Option[] =>
    one.options.filter(({ build }) => build.id === id);
  /** What is taken where a build does not go in: what lasts and takes least. */
  const usual = (one: Ready): Option | undefined => {
    const each = one.builds.flatMap(({ build }) => height(ofBuildIn(one, build.id)) ?? []);
    return least(
      each,
      (option) =>
        one.cost(option) +
        (AN_HOUR * option.work().minutes) / 60 +
        (quickDays(option) < wish.days ? MUCH : 0),
    );
  };
  const builds = [...new Set(ready.flatMap((one) => one.options.map(({ build }) => build.id)))];
  const ofBuild = builds.flatMap((id) => {
    const sketch = choose((one) => {
      return height(ofBuildIn(one, id)) ?? usual(one);
    });
    return sketch ? [sketch] : [];
  });
  const atAims = AIM_IDS.flatMap((aim) => {
    const sketch = choose((one) =>
      aim === 'cost'
        ? least(one.builds, (option) => one.cost(option))
        : least(aim === 'minutes' ? one.builds : one.options, AIM_OF[aim]),
    );
    return sketch ? [sketch] : [];
  });
  return [...ofBuild, ...atAims];
}

/** Those that no other beats in everything, of what no room was found for as well. */
function frontOf(all: readonly Sketch[]): Sketch[] {
  const alike = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * Math.abs(b) + 1e-9;
  const beats = (a: Sketch, b: Sketch): boolean => {
    const pairs = [
      [a.missing, b.missing],
      [a.lacks.length, b.lacks.length],
      ...AIM_IDS.map((aim) => [AIMS[aim](a), AIMS[aim](b)]),
    ] as [number, number][];
    return (
      pairs.every(([x, y]) => x <= y || alike(x, y)) &&
      pairs.some(([x, y]) => x < y && !alike(x, y))
    );
  };
  return all.filter((one) => !all.some((other) => other !== one && beats(other, one)));
}

/** The best, then the best of each aim, then others of other kinds. */
function differing(all: readonly Sketch[], wish: PlanWish): Sketch[] {
  const sorted = [...all].sort(better(wish));
  const front = new Set(frontOf(sorted));
  const first = sorted[0];
  if (!first) return [];
  const picked: Sketch[] = [first];
  // What leaves more plants out than the best stands here only where it is all there is.
  const full = sorted.filter(({ missing }) => missing <= first.missing);
  const take = (one: Sketch | undefined): void => {
    if (one && picked.length < MOST_PLANS && !picked.includes(one)) picked.push(one);
  };
  for (const aim of AIM_IDS) {
    const of = AIMS[aim];
    const best = least(full, of);
    const near = picked.some(
      (one) => best && of(one) <= of(best) + NEAR * Math.abs(of(best)) + 1e-9,
    );
    if (!near) take(best);
  }
  const differs = (one: Sketch): boolean =>
    picked.every(({ build, vessel }) => build !== one.build || vessel !== one.vessel) &&
    picked.filter(({ build }) => build === one.build).length < MOST_ALIKE;
  for (const one of full) if (front.has(one) && differs(one)) take(one);
  for (const one of full) if (picked.length < LEAST_PLANS && differs(one)) take(one);
  return picked.sort(better(wish));
}
/** A plan that is so near the best of an aim stands for it. */
const NEAR = 0.05;
const LEAST_PLANS = 3;
/** Plans of one build, in different vessels. */
const MOST_ALIKE = 2;

/** Looks for whole plans, and tells the best so far as it goes. Nothing where nothing is to grow. */
export function* plansFor(wish: PlanWish, setting: PlanSetting): Generator<PlansFound> {
  const month = monthOf(wish, setting);
  const asked: OptionSetting = { wish, place: placeOf(wish, month), units: setting.units };
  const options = new Options(asked);
  const of = mostArrangements(wish);
  let done = 0;
  let sketches: Sketch[] = [];
  const known = new Set<string>();
  const found = (): PlansFound => {
    const plans = differing(sketches, wish)
      .map((one) => planOf(one, wish, month))
      // As they are lived, no more in doubt.
      .sort((a, b) => Number(a.days.short < wish.days) - Number(b.days.short < wish.days));
    return { of, done, plans, alone: aloneOf(sketches, wish, month) };
  };
  for (const arrangement of wish.crops.length > 0 ? arrangementsOf(asked, setting) : []) {
    if (sketches.length === 0) {
      sketches = firstOf(arrangement, options, wish, setting);
      for (const { key } of sketches) known.add(key);
      if (sketches.length > 0) yield found();
    }
    sketches = [...sketches, ...sketchesOf(arrangement, options, wish, setting, known)];
    done += 1;
    yield found();
  }
  done = of;
  yield found();
}

/** Most days that what there is lasts, where that is less than is wished. */
function aloneOf(sketches: readonly Sketch[], wish: PlanWish, month: PlanMonth): number | null {
  const held = sketches.filter(({ arrangement, missing }) => !arrangement.bought && missing === 0);
  const longest = least(held, AIMS.days);
  if (!longest || wish.days === 0) return null;
  const { short } = planOf(longest, wish, month).days;
  return short < wish.days ? short : null;
}
