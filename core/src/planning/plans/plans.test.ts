import { SITES, cropOf, CROP_IDS } from '../../catalog';
import { evaluate, faultsOf } from '../../assessment';
import { assemble, contradictions, plantingPlan } from '../../assembly';
import { planterDesignSchema, STARTING_POINTS } from '../../document';
import { NEW_BOOK, shopperOf, shoppingFor } from '../../fabrication';
import { tell } from '../../units';
import {
  headingOf,
  impossible,
  kindOf,
  planWishSchema,
  plansFor,
  speaksAgainst,
  reasonFor,
  usualWish,
  wishOf,
  yearOfMonth,
  type GardenPlan,
  type PlansFound,
  type PlanSetting,
  type PlanWish,
} from '.';
import { arrangementsOf } from './arrange';
import { buildsOf, optionOf, topsOf } from './options';
import { monthOf, placeOf, vesselsHeld } from './setting';

const setting: PlanSetting = { site: SITES.vallesol, book: NEW_BOOK, units: 'metric', year: 2027 };
const wish = (part: Partial<PlanWish>): PlanWish => ({ ...usualWish(7), ...part });
const found = (asked: PlanWish, more: Partial<PlanSetting> = {}): PlansFound =>
  [...plansFor(asked, { ...setting, ...more })].at(-1)!;

const TOTES = wish({
  vessels: [{ vessel: 'tote-70', count: 2 }],
  means: [{ what: 'cloth', amount: 1, across: null }],
  crops: [
    { crop: 'lettuce', count: 6 },
    { crop: 'tomato', count: 2 },
  ],
  month: 8,
  days: 9,
});
const PAIL = wish({
  vessels: [{ vessel: 'pail-20', count: 1 }],
  crops: [{ crop: 'chilli', count: 1 }],
  days: 4,
  buys: false,
});
const HERBS = wish({
  crops: [
    { crop: 'parsley', count: 3 },
    { crop: 'rosemary', count: 1 },
    { crop: 'watercress', count: 2 },
  ],
  month: 5,
});

describe.each<readonly [string, PlanWish, Partial<PlanSetting>]>([
  ['two totes', TOTES, {}],
  ['two totes, in inches', TOTES, { units: 'us' }],
  ['a pail alone', PAIL, {}],
  ['nothing but wishes', HERBS, { units: 'us' }],
])('plans for %s', (_name, asked, more) => {
  const { plans, done, of } = found(asked, more);

  test('are a few that differ in kind', () => {
    expect(done).toBe(of);
    expect(plans.length).toBeGreaterThanOrEqual(3);
    expect(plans.length).toBeLessThanOrEqual(6);
    expect(new Set(plans.map(({ id }) => id)).size).toBe(plans.length);
    const titles = plans.map((plan) => kindOf(plan, plans));
    expect(titles.filter((title, i) => titles.indexOf(title) !== i)).toEqual([]);
    const builds = plans.map(({ build }) => build);
    for (const build of builds)
      expect(builds.filter((one) => one === build).length).toBeLessThanOrEqual(3);
  });

  test('are of planters that can be built as they are, with room for all that stands in them', () => {
    for (const { design, crops } of plans.flatMap(({ planters }) => planters)) {
      expect(planterDesignSchema.safeParse(design).success).toBe(true);
      expect(contradictions(design)).toEqual([]);
      expect([design.name, ...faultsOf(design)]).toEqual([design.name]);
      expect(plantingPlan(assemble(design)).stand).toEqual(crops.map(({ count }) => count));
      expect(design.place.daysAway).toBeLessThanOrEqual(asked.days);
    }
  });

  test('hold what is wanted, or say what is left over', () => {
    for (const plan of plans)
      for (const { crop, count } of asked.crops) {
        const placed = plan.planters.reduce(
          (sum, one) =>
            sum + one.count * (one.crops.find((other) => other.crop === crop)?.count ?? 0),
          0,
        );
        const left = plan.missing.find((one) => one.crop === crop)?.count ?? 0;
        expect(placed + left).toBe(count);
      }
  });

  test('take no more vessels than there are, unless they are to be bought', () => {
    const held = vesselsHeld(asked, more.units ?? 'metric');
    for (const { planters } of plans) {
      for (const name of new Set(held.map((one) => one.name))) {
        const taken = planters
          .filter((one) => one.vessel === name && !one.bought)
          .reduce((sum, { count, takes }) => sum + count * takes, 0);
        expect(taken).toBeLessThanOrEqual(held.filter((one) => one.name === name).length);
      }
      if (!asked.buys) expect(planters.some(({ bought }) => bought)).toBe(false);
    }
  });

  test('are told with a reason each, and nothing in them is undefined', () => {
    for (const plan of plans) {
      const said = [
        kindOf(plan, plans),
        tell(reasonFor(plan, plans, asked), 'metric'),
        ...[speaksAgainst(plan, plans, asked)].flatMap((one) => (one ? [tell(one, 'us')] : [])),
      ];
      for (const words of said) expect(words).not.toMatch(/undefined|NaN|^$/);
    }
  });
});

test('what wants dry feet stands in no planter with what wants wet ones', () => {
  for (const { planters } of found(HERBS).plans)
    for (const { crops } of planters) {
      const names = crops.map(({ crop }) => crop);
      expect(names.includes('rosemary') && names.includes('watercress')).toBe(false);
    }
});

test('the best of each aim is within five percent of the best of all builds at all heights', () => {
  const month = monthOf(PAIL, setting);
  const asked = { wish: PAIL, place: placeOf(PAIL, month), units: 'metric' as const };
  const [vessel] = vesselsHeld(PAIL, 'metric');
  const content = { vessel: vessel!, crops: PAIL.crops, joins: null };
  const all = buildsOf(vessel!, asked).flatMap((build) =>
    topsOf(content, build).flatMap((top) => optionOf(content, build, top, asked) ?? []),
  );
  expect(all.length).toBeGreaterThan(6);
  const { plans } = found(PAIL);
  const least = (values: readonly number[]): number => Math.min(...values);
  const costOf = (one: (typeof all)[number]): number => {
    const { parts, cuts, usable } = one.work().shopper;
    return shoppingFor([{ name: '', parts, cuts, usable }], NEW_BOOK, 'metric').total;
  };
  const near = (got: number, best: number): void =>
    expect(got).toBeLessThanOrEqual(best + 0.05 * Math.abs(best) + 1e-9);
  near(least(plans.map(({ cost }) => cost)), least(all.map(costOf)));
  near(least(plans.map(({ minutes }) => minutes)), least(all.map((one) => one.work().minutes)));
  near(
    least(plans.map(({ weight }) => weight)),
    least(all.map(({ figures }) => figures.weight.full)),
  );
  // Whole days: the most that any of them lasts, less one for the rounding.
  const longest = Math.max(...all.map(({ figures }) => figures.lastsMild.short));
  expect(Math.max(...plans.map(({ days }) => days.short))).toBeGreaterThanOrEqual(
    Math.floor(0.95 * longest) - 1,
  );
});

test('the cost is that of the shopping list of its planters', () => {
  const { plans } = found({ ...PAIL, means: [] });
  for (const { planters, cost } of plans) {
    const shoppers = planters.flatMap(({ design, count }) =>
      Array.from({ length: count }, () => shopperOf(design, 'metric')),
    );
    expect(shoppingFor(shoppers, NEW_BOOK, 'metric').total).toBeCloseTo(cost, 6);
  }
});

test('what there is makes a plan cheaper, and it says how much of it was taken', () => {
  const cheapest = ({ plans }: PlansFound): GardenPlan =>
    [...plans].sort((a, b) => a.cost - b.cost)[0]!;
  const [without, given] = [
    found(PAIL),
    found({ ...PAIL, means: [{ what: 'mix', amount: 0.2, across: null }] }),
  ].map(cheapest) as [GardenPlan, GardenPlan];
  expect(given.cost).toBeLessThan(without.cost - 5);
  const [used] = given.uses;
  expect(used!.used).toBeGreaterThan(0.008);
  expect(used!.used).toBeLessThan(0.03);
  expect(without.uses).toEqual([]);
});

test('ten days that a pail does not hold are said not to be possible; one vessel more makes them so', () => {
  const asked = wish({
    vessels: [{ vessel: 'pail-20', count: 1 }],
    crops: [{ crop: 'tomato', count: 1 }],
    month: 8,
    days: 10,
  });
  const answer = found(asked);
  expect(answer.alone).toBeLessThan(10);
  const said = tell(impossible(answer, asked)!, 'metric').replaceAll('\u00a0', ' ');
  expect(said).toMatch(
    /^What you have lasts \d+ days in August, not 10 days\. With .+ it is \d+ days\.$/,
  );
  const alone = { ...asked, buys: false };
  expect(tell(impossible(found(alone), alone)!, 'metric')).toMatch(/not possible in August/);
});

test('a floor that bears less than any plan puts on it is said before anything else', () => {
  const asked = { ...PAIL, floorLimit: 200 };
  const answer = found(asked);
  expect(tell(impossible(answer, asked)!, 'metric')).toMatch(/^Each loads the floor/);
  for (const plan of answer.plans)
    expect(tell(speaksAgainst(plan, answer.plans, asked)!, 'metric')).toMatch(/^Loads the floor/);
});

test('pails in a row over one gutter last longest, and the gutter with its barrel is bought', () => {
  const asked = wish({
    vessels: [{ vessel: 'pail-20', count: 4 }],
    crops: [{ crop: 'tomato', count: 4 }],
    month: 8,
    days: 12,
    buys: false,
  });
  const { plans } = found(asked);
  const row = plans.find(({ planters }) => planters.some((one) => one.row))!;
  expect(kindOf(row, plans)).toBe('Four pails over one gutter');
  expect(row.planters[0]!.design.bed).toMatchObject({ kind: 'row', count: 4 });
  for (const other of plans)
    if (other !== row) expect(row.days.short).toBeGreaterThan(other.days.short);
  const said = tell(reasonFor(row, plans, asked), 'metric');
  expect(said).toMatch(/^Lasts longest/);
  expect(said).not.toContain('no vessel but yours');
  // The barrel stands on the floor, too.
  const { weight } = evaluate(row.planters[0]!.design).assessment.figures;
  expect(row.weight).toBeCloseTo(weight.full + weight.supply!.full, 6);
  expect(row.pressure).toBe(Math.max(weight.pressure, weight.supply!.pressure));
  // The pails are there; what holds the water is not.
  const list = shoppingFor(
    row.planters.map(({ design }) => shopperOf(design, 'metric')),
    NEW_BOOK,
    'metric',
  );
  expect(row.cost).toBeLessThan(list.total - 10);
  expect(row.cost).toBeGreaterThan(30);
});

test('two equal totes are tried one in the other', () => {
  const asked = { ...TOTES, crops: [{ crop: 'lettuce' as const, count: 4 }], buys: false };
  const tried = [
    ...arrangementsOf(
      { wish: asked, place: placeOf(asked, monthOf(asked, setting)), units: 'metric' },
      setting,
    ),
  ];
  expect(
    tried.flatMap(({ contents }) => contents).map(({ content }) => content.joins),
  ).toContainEqual({ how: 'pair', count: 2 });
});

test('without tools a plan says which it takes', () => {
  const asked = { ...PAIL, tools: ['knife' as const] };
  const { plans } = found(asked);
  for (const { lacks } of plans) expect(lacks).not.toContain('knife');
  expect(plans.some(({ lacks }) => lacks.includes('drill'))).toBe(true);
});

test('a school that somebody insists on is kept', () => {
  const stone = found({ ...PAIL, base: 'stone', crops: [{ crop: 'basil', count: 1 }] });
  expect(stone.plans.length).toBeGreaterThan(0);
  for (const { design } of stone.plans.flatMap(({ planters }) => planters))
    expect(design.reservoir.fill.some(({ medium }) => medium !== 'mix')).toBe(true);
});

test('nothing wanted is nothing found, and what is asked first is what to grow', () => {
  const none = found(wish({}));
  expect(none.plans).toEqual([]);
  expect(tell(headingOf(none, wish({})), 'metric')).toBe('What could I make?');
});

test.each(STARTING_POINTS.map(({ id, design }) => [id, design] as const))(
  'the wish of %s is one that can be asked, with its vessel and crops',
  (_id, design) => {
    const asked = wishOf(design, 6);
    expect(planWishSchema.safeParse(asked).error?.issues ?? []).toEqual([]);
    expect(asked.own[0]!.vessel).toEqual(design.vessel);
    expect(asked.crops.map(({ crop }) => crop)).toEqual([
      ...new Set(design.planting.crops.map(({ crop }) => crop)),
    ]);
  },
);

test('a month that is over is the next year’s', () => {
  expect(yearOfMonth(8, '2026-07-15')).toBe(2026);
  expect(yearOfMonth(7, '2026-07-15')).toBe(2026);
  expect(yearOfMonth(6, '2026-07-15')).toBe(2027);
});

test('every crop has a vessel on sale that holds one of it', () => {
  const tall = CROP_IDS.filter((crop) => cropOf(crop).habit !== 'tree').slice(0, 60);
  for (const crop of tall.filter((_, i) => i % 12 === 0)) {
    const { plans } = found(wish({ crops: [{ crop, count: 1 }] }));
    expect([crop, plans[0]?.missing ?? 'nothing']).toEqual([crop, []]);
    expect(evaluate(plans[0]!.planters[0]!.design).planter.partGroups.length).toBeGreaterThan(0);
  }
});
