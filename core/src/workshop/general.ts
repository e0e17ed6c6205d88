import { CROPS, ingredientWord } from '../catalog';
import { FIELDS } from '../design';
import { plantingPlan } from '../assess';
import { storageWith, type Kind, type Lot, type Planter } from '../planter';
import { mixOf } from '../soil';
import { q, say, type Message } from '../quantity';
import { feedingOf, ingredientsOf } from './amounts';
import { mixGood, SMALL_GOODS } from './goods';
import { many, type Maker } from './maker';
import type { Spot } from './deck';
import { measure, type StepId } from './step';

/** What every planter has: holes through its sheet, the test with water, the mix, the plants, the end. */

/** Share of the standing water that the pour test pours, and the steps that litres are said in. */
const POURED = 0.6;
const LITRE_STEPS = [0.1, 0.25, 0.5, 1, 2, 5, 10, 25, 50, 100].map((litres) => litres / 1000);
/** Fewest such steps, so that the rounding stays small. */
const LEAST_STEPS = 3;
/** How near the poured level must come, metres. */
const NEAR = 0.005;

/** The holes of the deck, each kind with what goes through it. */
export function deckHoles(maker: Maker): void {
  const { deck, planter } = maker;
  if (!deck) return;
  const material = deck.kind === 'upper' ? planter.design.vessel.material : null;
  for (const { id, lot, diameter, bit, spots } of deck.holes) {
    const known = maker.bits.some((one) => Math.abs(one - bit) < 3e-4);
    maker.hole(
      {
        id: lot ? `${id}-deck` : id,
        step: 'platform',
        part: deck.name,
        count: spots.length,
        diameter,
        bit,
        ...(known ? {} : { tool: 'Knife or jigsaw, to a line' }),
        ...placed(planter, lot, spots),
        spots,
      },
      material,
    );
  }
}

const WHY: { readonly [K in Kind]?: (lot: Lot<K>, count: number) => Message } = {
  tube: () => say`the fill tube goes through, with a little play`,
  inspection: () => say`the inspection pipe goes through`,
  worm: () => say`the worm tube goes through`,
  column: (_lot, count) =>
    count === 1 ? say`the column goes through` : say`a column goes through each`,
  cup: ({ spec }, count) =>
    say`${count === 1 ? 'the cup hangs' : 'a cup hangs'} in it by its rim of ${q(spec.rim, 'length')}`,
  cloth: ({ spec }, count) =>
    count === 1
      ? say`${spec.form === 'piece' ? 'the cloth' : spec.legs === 1 ? 'the cloth' : say`all ${q(spec.legs, 'count')} legs`} bunched, through it`
      : say`${q(Math.ceil(spec.legs / count), 'count')} ${many(Math.ceil(spec.legs / count), 'leg')} bunched through each`,
};

function placed(
  { design }: Planter,
  lot: Lot | null,
  spots: readonly Spot[],
): { where: Message; why: Message } {
  if (!lot) {
    const row = design.bed?.kind === 'row';
    return {
      where: row
        ? say`along its middle, only where the channel is below`
        : say`all over, in rows set off by half`,
      why: say`lets rain and top watering through`,
    };
  }
  const why = WHY[lot.kind] as ((lot: Lot, count: number) => Message) | undefined;
  const [one] = spots;
  const count = spots.length;
  const where =
    count === 1 && one
      ? Math.hypot(one.x, one.y) < 1e-4
        ? say`in its middle`
        : say`${q(Math.hypot(one.x, one.y), 'length')} from its middle, as the template shows`
      : say`as the template shows`;
  return { where, why: why?.(lot, count) ?? say`` };
}

/** What stands in the reservoir when it is tested: all that comes before the test in the order of the work. */
function inTest(maker: Maker): (lot: Lot) => boolean {
  const order = maker.order;
  const test = order.indexOf('test');
  const before = (step: StepId) => order.includes(step) && order.indexOf(step) < test;
  const STANDS_AT: Partial<Record<Kind, StepId>> = {
    lying: 'supports',
    standing: 'supports',
    crates: 'supports',
    ring: 'supports',
    arch: 'supports',
    sticks: 'supports',
    tube: 'tube',
    inspection: 'tube',
    cup: 'wick',
    cloth: 'wick',
    column: 'wick',
  };
  return (lot) => {
    // The vessel's own cut end is slid in after the test.
    const cutEnd = lot.kind === 'ring' && (lot as unknown as Lot<'ring'>).spec.cutEnd;
    const step = cutEnd ? 'set' : STANDS_AT[lot.kind];
    return step !== undefined && before(step);
  };
}

/** What the pour test pours, where that must stand, and what it all takes. m³ and metres. */
export interface TestPour {
  volume: number;
  level: number;
  whole: number;
}

export function testPourOf(maker: Maker): TestPour {
  const { planter } = maker;
  const storage = storageWith(planter, inTest(maker));
  const whole = storage.volumeBelow(planter.heights.brim);
  const aim = Math.max(whole * POURED, 1e-6);
  const step = [...LITRE_STEPS].reverse().find((one) => aim / one >= LEAST_STEPS) ?? aim;
  const volume = Math.max(Math.floor(aim / step), 1) * step;
  return { volume, level: storage.heightFor(volume), whole };
}

/** The order of the test is settled before its words, which say what is in it by then. */
export function testNeeds(maker: Maker): void {
  for (const first of ['supports', 'overflow', 'pierce', 'line', 'seal'] as const)
    maker.after(first, 'test');
  for (const then of ['wick', 'set', 'stand', 'base', 'layers', 'fill'] as const)
    maker.after('test', then);
  maker.begin('test');
}

export function test(maker: Maker): void {
  const { planter, figures } = maker;
  const { design, heights, vessel } = planter;
  const { volume, level, whole } = testPourOf(maker);
  const { shimAcross, shimAlong } = figures.tilt;
  const shim = Math.max(shimAcross, shimAlong);
  const long = 2 * vessel.outlineAt(Math.min(heights.brim, vessel.depth)).a;
  const { supply } = design.reservoir;
  const runs = heights.invert !== null && design.overflow?.kind !== 'rim' && !supply;
  const stands = inTest(maker);
  const names = [
    ...new Set(
      planter.lots
        .filter((lot) => stands(lot) && lot.pieces.length > 0)
        .map(({ kind }) => IN_IT[kind] ?? ''),
    ),
  ].filter(Boolean);
  const within =
    names.length > 0 ? say`, with ${listed(names)} in it and nothing else` : say`, still empty`;
  maker.say(
    'test',
    say`Put it where it will stay, and level it${shim > 0.0005 ? say`: ${q(shim, 'length')} under the low side` : say``}.`,
    10,
  );
  maker.say(
    'test',
    say`Pour in ${q(volume, 'volume')}${within}: the water must stand at ${q(level, 'length')} above the floor.`,
    5,
  );
  maker.say(
    'test',
    supply
      ? say`Open the valve: the water must stop at ${q(supply.level, 'length')}, with ${q(whole, 'volume')} in the channel. Wait a quarter of an hour.`
      : runs
        ? say`Pour on until it runs from the overflow, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`
        : say`Pour on to ${q(heights.brim, 'length')}, in all ${q(whole, 'volume')}. Wait a quarter of an hour.`,
    20,
  );
  maker.tools('test', 'Spirit level', 'Measuring jug', 'Tape', 'Shims');
  maker.warn(
    'test',
    'weight',
    ...(design.place.children ? (['children'] as const) : []),
    'drinking',
  );
  maker.check('test', {
    id: 'pour',
    must: say`${q(volume, 'volume')} raised the water to ${q(level, 'length')}, give or take ${q(NEAR, 'length')}.`,
    mend: say`Lower: the vessel is wider than measured, or it leaks. Higher: it is narrower, or a support is shut and full of air. Measure again, or calibrate it by pouring on the bench.`,
  });
  maker.check('test', {
    id: 'level',
    must: say`The water stands equally high in every corner.`,
    mend: say`Shim the low side, and look again.`,
  });
  maker.check('test', {
    id: 'leak',
    must: runs
      ? say`It runs from the overflow and nowhere else; the level has not fallen.`
      : say`It leaks nowhere; the level has not fallen.`,
    mend: say`Empty it, dry the place, patch or seal it from the inside, let it cure, and test it again before any soil goes in.`,
  });
  maker.measure(
    'test',
    measure('poured', { label: 'Water stood at', kind: 'length', min: 0.001, max: 1.5 }, level),
  );
  maker.measure(
    'test',
    measure(
      'tilt',
      { label: 'Difference between the ends', kind: 'length', min: 0, max: 1 },
      design.place.slopeAcross * long,
      ['place', 'slopeAcross'],
      1 / long,
    ),
  );
}

const IN_IT: Partial<Record<Kind, string>> = {
  lying: 'the pipes',
  standing: 'the supports',
  crates: 'the crates',
  ring: 'the supports',
  arch: 'the panel',
  sticks: 'the sticks',
  tube: 'the tube',
  inspection: 'the tube',
};

/** Names in a row, the last joined by ‘and’. */
const listed = (names: readonly string[]): string =>
  names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`;

/** The mix, and the step in which it goes in. */
export function fill(maker: Maker): void {
  const { planter, figures } = maker;
  const { design, bed } = planter;
  const { soil } = design;
  const { feed, lime } = feedingOf(design, figures);
  const ingredients = ingredientsOf(design, figures.looseVolume);
  maker.part(
    'fill',
    {
      id: 'mix',
      what: 'Growing mix, loose',
      amount: say`${q(figures.looseVolume, 'volume')}; ${q(figures.soilVolume, 'volume')} once it has settled`,
      use: 'Fills it to the freeboard',
      good: soil.recipe ? null : mixGood(soil.medium, soil.bag),
      quantity: figures.looseVolume,
    },
    ingredients,
  );
  maker.tools('fill', 'Shovel', 'Watering can', 'Gloves');
  maker.warn('fill', 'dust');
  if (ingredients && soil.recipe) {
    const shares = ingredients
      .map(({ id, parts: n }) => `${n} of ${ingredientWord(id)}`)
      .join(', ');
    maker.say(
      'fill',
      say`Mix by parts: ${shares}; moisten it until a handful gives a drop or two.`,
      15,
    );
  } else {
    maker.say(
      'fill',
      say`Moisten the ${mixOf(soil).name.toLowerCase()} until a handful gives a drop or two.`,
      10,
    );
  }
  if (lime) {
    maker.part('fill', {
      id: 'lime',
      what: 'Garden lime',
      amount: lime.text,
      use: 'Mixed through before filling',
      good: SMALL_GOODS.lime,
      quantity: lime.mass,
    });
    maker.say('fill', say`Mix the lime through: ${lime.text}.`);
  }
  const each = bed.places.length;
  maker.say(
    'fill',
    say`Fill ${each > 1 ? say`the ${q(each, 'count')} of them` : 'it'} in layers of a hand’s depth, each watered so that it settles now: ${q(figures.looseVolume, 'volume')} loose${each > 1 ? ' in all' : ''}, to ${q(soil.freeboard, 'length')} under the rim.`,
    10 + Math.round(figures.looseVolume * 300),
  );
  if (feed) {
    maker.part('fill', {
      id: 'feed',
      what: feed.kind === 'organic' ? 'Organic granules' : 'Synthetic granules',
      amount: feed.text,
      use: 'In a strip away from the stems',
      good: SMALL_GOODS[feed.kind],
      quantity: feed.mass,
    });
    maker.say('fill', say`Lay the granules in a strip away from the stems: ${feed.text}.`);
  }
  maker.measure(
    'fill',
    measure('freeboard', FIELDS.soil.freeboard, soil.freeboard, ['soil', 'freeboard']),
  );
  for (const first of ['test', 'wick', 'set', 'stand', 'tube', 'base', 'layers'] as const)
    maker.after(first, 'fill');
}

export function plant(maker: Maker): void {
  const { planter } = maker;
  const { crop, count, spacing } = planter.design.planting;
  maker.after('fill', 'plant');
  maker.after('fill', 'water');
  maker.after('plant', 'water');
  maker.after('water', 'close');
  if (count === 0) return;
  const { room } = plantingPlan(planter);
  const placed = Math.min(count, room);
  maker.part('plant', {
    id: 'plants',
    what: CROPS[crop].name,
    amount: say`${q(placed, 'count')} young ${many(placed, 'plant')}`,
    use: 'In the surface',
    good: SMALL_GOODS.plant,
    quantity: placed,
  });
  maker.tools('plant', 'Trowel');
  maker.warn('plant', 'dust');
  maker.say(
    'plant',
    say`${q(placed, 'count')} ${many(placed, 'plant')} of ${CROPS[crop].name.toLowerCase()}${placed === 1 ? ', in the middle' : say`, ${q(spacing, 'span')} from plant to plant, as the plan shows`}.`,
    5 + 2 * Math.min(placed, 60),
  );
  if (count > room)
    maker.say(
      'plant',
      say`The surface takes ${q(room, 'count')} at this spacing, not ${q(count, 'count')}.`,
    );
  maker.measure('plant', measure('count', FIELDS.planting.count, count, ['planting', 'count']));
}

export function water(maker: Maker): void {
  const { planter, figures } = maker;
  const { design, heights } = planter;
  const { supply } = design.reservoir;
  const runs = heights.invert !== null && design.overflow?.kind !== 'rim';
  const worm = design.pipes.some(({ use, fills }) => use === 'worm' && fills);
  const how = supply
    ? say`from the barrel until the valve shuts at ${q(supply.level, 'length')}`
    : design.bed?.kind === 'neck'
      ? say`by lifting the upper part out`
      : design.fillTube
        ? say`down the tube`
        : worm
          ? say`by the worm tube`
          : design.bed?.kind === 'bag'
            ? say`into the tray`
            : say`from the top`;
  maker.tools('water', 'Watering can');
  maker.say(
    'water',
    say`Water the whole surface until it drains: that joins the soil to the wick.`,
    10,
  );
  maker.say(
    'water',
    supply
      ? say`Then fill ${how}: up to ${q(figures.standing, 'volume')} in the channel.`
      : runs
        ? say`Then fill ${how} until the overflow runs: up to ${q(figures.standing, 'volume')}.`
        : say`Then fill ${how} to ${q(heights.brim, 'length')}: up to ${q(figures.standing, 'volume')}.`,
    5,
  );
  maker.say(
    'water',
    say`For the first weeks water from the top too, until the roots have found the moist layer; seed needs it until it is up.`,
  );
  maker.check('water', {
    id: 'moist',
    must: say`A day later the surface’s first knuckle of soil is still moist.`,
    mend: say`Water from the top once more. If it dries again over a full reservoir, look at the wick.`,
  });
}

export function close(maker: Maker): void {
  const { planter } = maker;
  const { design } = planter;
  if (design.fillTube || design.pipes.some(({ use, fills }) => use === 'inspection' || fills)) {
    maker.part('close', {
      id: 'stick',
      what: 'Dip stick',
      amount: say`1`,
      use: 'Marked from its template',
      good: SMALL_GOODS.dipStick,
      quantity: 1,
    });
    maker.say(
      'close',
      say`Mark the dip stick from its template, or by pouring, and keep it by the tube.`,
      5,
    );
  }
  maker.say('close', say`Put its label on: name, date, what grows.`, 5);
  maker.tools('close', 'Waterproof pen');
  if (design.place.rain !== 'indoors') maker.warn('close', 'mosquitoes');
  if (design.place.children) maker.warn('close', 'covered');
}
