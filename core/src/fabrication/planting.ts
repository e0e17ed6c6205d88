import { FEEDS, type Crop } from '../catalog';
import { cropIn, FIELDS, type Planted } from '../document';
import { plantingPlan } from '../assembly';
import { plural, q, say, type Message } from '../units';
import { feedingOf, type Feeding } from './amounts';
import { SMALL_GOODS, type Good } from './goods';
import { type BuildSheetBuilder } from './buildSheetBuilder';
import { measure } from './step';
import { supportFor } from './supports';

/** The step in which it is planted, in the order of the hand: lime, stakes, plants and seed, feed, what comes later. */
export function plant(builder: BuildSheetBuilder): void {
  const { planter, figures } = builder;
  const { crops } = planter.design.planting;
  builder.after('fill', 'plant');
  builder.after('fill', 'water');
  builder.after('plant', 'water');
  builder.after('water', 'close');
  const { feed, lime } = feedingOf(planter.design, figures);
  if (lime) {
    builder.warn('plant', 'dust');
    builder.say(
      'plant',
      say`Sprinkle the lime and mix it into the top hand’s depth: ${lime.text}, dolomitic, never hydrated.`,
      5,
    );
  }
  const { stand } = plantingPlan(planter);
  crops.forEach((planted, i) => {
    if (planted.count > 0) plantOne(builder, planted, i, stand[i] as number);
  });
  if (feed) feedIn(builder, feed);
  for (const planted of crops) if (planted.count > 0 && planted.from > 0) later(builder, planted);
}

/** One planting: what is bought for it, and, where it goes in now, what holds it, how deep and how far apart. */
/** What a young one is sold as: a tree is not a plug of lettuce. */
const youngGood = ({ habit }: Crop): Good =>
  habit === 'tree' ? SMALL_GOODS.tree : SMALL_GOODS.plant;

function plantOne(builder: BuildSheetBuilder, planted: Planted, i: number, stands: number): void {
  const { count, start, from } = planted;
  const crop = cropIn(planted);
  if (stands > 0) {
    const young = start === 'bought';
    builder.part('plant', {
      id: i === 0 ? 'plants' : `plants-${i}`,
      what: crop.name,
      amount: young
        ? say`${q(stands, 'count')} young ${plural(stands, 'plant')}`
        : say`Seed for ${q(stands, 'count')} ${plural(stands, 'plant')}`,
      use: from > 0 ? 'Later in the year' : 'In the surface',
      good: young ? youngGood(crop) : SMALL_GOODS.seed,
      quantity: young ? stands : 1,
    });
  }
  if (from > 0) return;
  if (stands > 0) {
    builder.tools('plant', 'Trowel');
    builder.warn('plant', 'dust');
    const held = supportFor(builder.planter, i);
    if (held?.first) held.add(builder);
    builder.say(
      'plant',
      howTo(planted, stands, builder.planter.bed.places.length > 1),
      5 + 2 * Math.min(stands, 60),
    );
    if (held && !held.first) held.add(builder);
  }
  if (count > stands)
    builder.say(
      'plant',
      stands === 0
        ? say`There is no room for ${crop.name.toLowerCase()}: leave it out, or plant it when the others are gone.`
        : say`The surface takes ${q(stands, 'count')} at this spacing, not ${q(count, 'count')}.`,
    );
  const several = builder.planter.design.planting.crops.length > 1;
  const label = several ? `Plants of ${crop.name.toLowerCase()}` : FIELDS.planting.count.label;
  const path = ['planting', 'crops', i, 'count'];
  builder.measure(
    'plant',
    measure(i === 0 ? 'count' : `count-${i}`, { ...FIELDS.planting.count, label }, count, path),
  );
}

/** How so many are set or sown. @param row whether they stand in several pails, whose distance says nothing */
function howTo(planted: Planted, stands: number, row: boolean): Message {
  const { spacing, start } = planted;
  const crop = cropIn(planted);
  const name = crop.name.toLowerCase();
  const one = stands === 1;
  const where =
    one || row ? say`where the plan shows` : say`${q(spacing, 'growth')} apart, as the plan shows`;
  if (start !== 'seed' || crop.sowing === null)
    return one
      ? say`Set the ${name} ${where}.`
      : say`Set ${q(stands, 'count')} plants of ${name} ${where}.`;
  const at = one ? where : say`at ${q(stands, 'count')} places, ${where}`;
  return crop.sowing === 0
    ? say`Sow ${name} ${at}: on top, not covered, because the seed wants light. Keep the surface moist until it is up.`
    : say`Sow ${name} ${at}: two or three seeds${one ? '' : ' in each'}, ${q(crop.sowing, 'length')} deep. Keep the strongest.`;
}

/** How feed is given once the plants stand; what goes in with the mix is said there. */
function feedIn(builder: BuildSheetBuilder, { kind, text }: NonNullable<Feeding['feed']>): void {
  const name = FEEDS[kind].name.toLowerCase();
  const { soil, pipes } = builder.planter.design;
  // Without a worm tube it goes on top, as the finding proposes.
  const way =
    soil.feedHow === 'worms' && !pipes.some(({ use }) => use === 'worm') ? 'top' : soil.feedHow;
  const says = {
    strip: say`Draw a trench a finger deep away from the stems, along the wall or between the rows. Lay the ${name} in it and cover it: ${text}.`,
    top: say`Strew the ${name} on top, away from the stems, and water it in: ${text}.`,
    worms: say`Put the ${name} into the worm tube: ${text}.`,
    tube: null,
    mixed: null,
    bottom: null,
  }[way];
  if (says) builder.say('plant', says, 5);
}

/** A planting that follows. */
function later(builder: BuildSheetBuilder, planted: Planted): void {
  const name = cropIn(planted).name.toLowerCase();
  const { count, from, start } = planted;
  builder.say(
    'plant',
    start === 'seed'
      ? say`After ${q(from, 'days')}, sow ${name} at ${q(count, 'count')} ${plural(count, 'place')}.`
      : say`After ${q(from, 'days')}, set ${q(count, 'count')} ${plural(count, 'plant')} of ${name}.`,
  );
}
