import { overflowCapacity } from '../assessment';
import { FEED_WAYS, FEEDS, ingredientWord, catalogMix } from '../catalog';
import { FIELDS } from '../document';
import { soilBeds, WICK_KINDS, type Planter } from '../assembly';
import { mixOf } from '../physics/soil';
import { q, say } from '../units';
import { feedingOf, ingredientsOf } from './amounts';
import { mixGood, SMALL_GOODS } from './goods';
import type { BuildSheetBuilder } from './buildSheetBuilder';
import { measure } from './step';

/** What every planter has: the mix, the plants, the water, the end. */

/** The upper of two mixes. */
function upperMix(builder: BuildSheetBuilder): void {
  const { figures, planter } = builder;
  const { soil } = planter.design;
  if (!soil.upper) return;
  const own = { ...soil, medium: soil.upper.medium, recipe: null };
  builder.part(
    'fill',
    {
      id: 'mix-upper',
      what: `${catalogMix(soil.upper.medium).name}, loose`,
      amount: say`${q(figures.upperLoose, 'loose')}; ${q(figures.upperVolume, 'loose')} once it has settled`,
      use: 'The upper mix, to the freeboard',
      good: mixGood(soil.upper.medium, soil.bag),
      quantity: figures.upperLoose,
    },
    ingredientsOf({ soil: own }, figures.upperLoose),
  );
}

/** The mix, and the step in which it goes in. */
// eslint-disable-next-line max-lines-per-function -- the steps of filling read in the order of the work.
export function fill(builder: BuildSheetBuilder): void {
  const { planter, figures } = builder;
  const { design, bed } = planter;
  const { soil } = design;
  const { feed, lime } = feedingOf(design, figures);
  const lower = figures.looseVolume - figures.upperLoose;
  const ingredients = ingredientsOf(design, lower);
  builder.part(
    'fill',
    {
      id: 'mix',
      what: soil.upper ? 'Growing mix below, loose' : 'Growing mix, loose',
      amount: say`${q(lower, 'loose')}; ${q(figures.soilVolume - figures.upperVolume, 'loose')} once it has settled`,
      use: soil.upper ? 'Under the upper mix, down to the wicks' : 'Fills it to the freeboard',
      good: soil.recipe ? null : mixGood(soil.medium, soil.bag),
      quantity: lower,
    },
    ingredients,
  );
  upperMix(builder);
  builder.tools('fill', 'Shovel', 'Watering can', 'Gloves');
  builder.warn('fill', 'dust');
  if (ingredients && soil.recipe) {
    const shares = ingredients
      .map(({ id, parts: n }) => `${n} of ${ingredientWord(id)}`)
      .join(', ');
    builder.say(
      'fill',
      say`Mix by parts: ${shares}; moisten it until a handful gives a drop or two.`,
      15,
    );
  } else {
    builder.say(
      'fill',
      say`Moisten the ${mixOf(soil).name.toLowerCase()} until a handful gives a drop or two.`,
      10,
    );
  }
  if (lime) {
    builder.part('fill', {
      id: 'lime',
      what: 'Dolomitic lime',
      amount: lime.text,
      use: 'Mixed into the top',
      good: SMALL_GOODS.lime,
      quantity: lime.mass,
    });
  }
  if (feed) {
    builder.part('fill', {
      id: 'feed',
      what: FEEDS[feed.kind].name,
      amount: feed.text,
      use: FEED_WAYS[soil.feedHow].name,
      good: SMALL_GOODS[feed.kind],
      quantity: feed.mass,
    });
    if (soil.feedHow === 'mixed')
      builder.say(
        'fill',
        say`Mix the ${FEEDS[feed.kind].name.toLowerCase()} through it: ${feed.text}.`,
      );
    if (soil.feedHow === 'bottom')
      builder.say(
        'fill',
        say`Lay the ${FEEDS[feed.kind].name.toLowerCase()} on the lowest hand’s depth of soil: ${feed.text}.`,
      );
  }
  const each = bed.places.length;
  const { carriers, dry, full } = figures.weight;
  // What is too heavy even without water was levelled in its place; a row is put up where it stays.
  if (
    carriers !== null &&
    each === 1 &&
    full > design.place.liftLimit &&
    dry <= design.place.liftLimit
  )
    builder.say(
      'fill',
      say`If it does not stand in its place yet, fill in a first part, carry it there, level it again and fill in the rest: full it weighs ${q(full, 'mass')}.`,
      5,
    );
  // Some of it is in the base, in cups or in columns by now.
  const packed =
    figures.soilVolume > soilBeds(planter).reduce((sum, { volume }) => sum + volume, 0) + 1e-6;
  const seam = soilBeds(planter).find(({ part }) => part === 'upper')?.from ?? null;
  builder.say(
    'fill',
    seam !== null
      ? say`Fill ${each > 1 ? say`the ${q(each, 'count')} of them` : 'it'} in layers of a hand’s depth, each watered so that it settles now: the lower mix until ${q(bed.floor + bed.inside.depth - seam, 'length')} are left to the rim, then the upper one to ${q(soil.freeboard, 'length')} under it.`
      : say`Fill ${each > 1 ? say`the ${q(each, 'count')} of them` : 'it'} in layers of a hand’s depth, each watered so that it settles now: ${packed ? 'what is left of the ' : ''}${q(figures.looseVolume, 'loose')} loose${each > 1 ? ' in all' : ''}, to ${q(soil.freeboard, 'length')} under the rim.`,
    10 + Math.round(figures.looseVolume * 300),
  );
  builder.measure(
    'fill',
    measure('freeboard', FIELDS.soil.freeboard, soil.freeboard, ['soil', 'freeboard']),
  );
  for (const first of ['test', 'wick', 'set', 'stand', 'tube', 'base', 'layers'] as const)
    builder.after(first, 'fill');
}

/** What lifts the water, in words; null where roots alone fetch it. */
function lifterOf({ partGroups, design }: Planter): string | null {
  const wicks = partGroups
    .filter(({ kind }) => WICK_KINDS.includes(kind))
    .reduce(
      (sum, { kind, parts }) => sum + (kind === 'cloth' ? Math.min(parts.length, 1) : parts.length),
      0,
    );
  if (wicks > 0) return wicks === 1 ? 'the wick' : 'the wicks';
  if (design.bed?.kind === 'neck') return 'the neck';
  return design.reservoir.fill.some(({ medium }) => medium === 'mix')
    ? 'the mix in the base'
    : null;
}

export function water(builder: BuildSheetBuilder): void {
  const { planter, figures } = builder;
  const { design, heights } = planter;
  const { supply } = design.reservoir;
  const runs = heights.invert !== null && design.overflow?.kind !== 'rim';
  const worm = design.pipes.some(({ use, fills }) => use === 'worm' && fills);
  const how = supply
    ? say`from the barrel until the valve shuts at ${q(supply.level, 'length')}`
    : design.bed?.kind === 'neck'
      ? say`the lower part, with the upper one lifted out,`
      : design.fillTube
        ? say`down the tube`
        : worm
          ? say`by the worm tube`
          : design.bed?.kind === 'bag'
            ? say`into the tray`
            : say`from the top`;
  builder.tools('water', 'Watering can');
  const lifts = lifterOf(planter);
  builder.say(
    'water',
    say`Water the whole surface until it drains: ${lifts ? `that joins the soil to ${lifts}` : 'that settles it'}.`,
    10,
  );
  builder.say(
    'water',
    supply
      ? say`Then fill ${how}: up to ${q(figures.standing, 'volume')} in the channel.`
      : runs
        ? say`Then fill ${how} until the overflow runs: up to ${q(figures.standing, 'volume')}.`
        : say`Then fill ${how} to ${q(heights.brim, 'length')}: up to ${q(figures.standing, 'volume')}.`,
    5,
  );
  const carries = overflowCapacity(builder.planter);
  const { hose } = builder.planter.design.place;
  if (carries !== null && carries < hose && !supply)
    builder.say(
      'water',
      say`Fill with a can, or turn a hose down and stop when it runs: the overflow carries ${q(carries, 'flow')}, and a hose gives ${q(hose, 'flow')}.`,
    );
  builder.say(
    'water',
    say`For the first weeks water from the top too, until the roots have found the moist layer; seed needs it until it is up.`,
  );
  builder.check('water', {
    id: 'moist',
    must: say`A day later the surface’s first knuckle of soil is still moist.`,
    mend: say`Water from the top once more.${lifts ? ` If it dries again over a full reservoir, look at ${lifts}.` : ''}`,
  });
}

export function close(builder: BuildSheetBuilder): void {
  const { planter } = builder;
  const { design } = planter;
  if (design.fillTube || design.pipes.some(({ use, fills }) => use === 'inspection' || fills)) {
    builder.part('close', {
      id: 'stick',
      what: 'Dip stick',
      amount: say`1`,
      use: 'Marked from its template',
      good: SMALL_GOODS.dipStick,
      quantity: 1,
    });
    builder.say(
      'close',
      say`Mark the dip stick from its template, or by pouring, and keep it by the tube.`,
      5,
    );
  }
  builder.say('close', say`Put its label on: name, date, what grows.`, 5);
  builder.tools('close', 'Waterproof pen');
  if (design.place.rain !== 'indoors') builder.warn('close', 'mosquitoes');
  if (design.place.children) builder.warn('close', 'covered');
}
