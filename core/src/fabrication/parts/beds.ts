import { q, say, type Message } from '../../units';
import { SMALL_GOODS, vesselGood } from '../goods';
import type { BuildSheetBuilder, PartBuilder } from '../buildSheetBuilder';

/** The sheet that bears the soil, and vessels of its own that hold it. */

/** A sentence with what hangs down from the sheet, where anything does. */
const hangs = (builder: BuildSheetBuilder, words: Message): Message =>
  builder.planter.wicks.some(({ kind }) => kind === 'cloth' || kind === 'cup' || kind === 'column')
    ? say`${words}, the wicks hanging down: every foot must reach the water’s floor.`
    : say`${words}.`;

/** The sheet fits, and lies still. */
const fits = (builder: BuildSheetBuilder, step: 'platform' | 'set' | 'stand'): void =>
  builder.check(step, {
    id: 'fits',
    must: say`It goes down to its place, lies still, and leaves no gap that soil falls through.`,
    mend: say`Trim the edge where it catches; lay fabric over a gap wider than a finger.`,
  });

/** What a platform is set on must stand, and what hangs in it is hung before. */
function setIn(builder: BuildSheetBuilder, step: 'set' | 'stand'): void {
  for (const first of ['supports', 'overflow', 'pierce', 'platform', 'test', 'wick'] as const) {
    builder.after(first, step);
  }
  for (const then of ['layers', 'base', 'fill'] as const) builder.after(step, then);
  // A tube goes down through what is set in; a valve is fitted before.
  if (builder.planter.of('tube').length > 0) builder.after(step, 'tube');
}

export const platform: PartBuilder<'platform'> = ({ spec, id }, builder) => {
  const { deck, planter } = builder;
  if (!deck) return;
  const { outline } = deck;
  const { vessel, design } = planter;
  const cutEnd = deck.kind === 'cut-end';
  const round = outline.a - outline.c < 1e-6 && outline.b - outline.c < 1e-6;
  const size = round
    ? say`${q(2 * outline.a, 'length')} across`
    : say`${q(2 * outline.a, 'length')} by ${q(2 * outline.b, 'length')}`;
  const top = vessel.outlineAt(design.reservoir.top);
  builder.sheet('platform', {
    id,
    part: id,
    what: cutEnd ? 'Cut end' : 'Platform',
    count: 1,
    length: cutEnd ? 2 * top.a : 2 * outline.a,
    width: cutEnd ? 2 * top.b : 2 * outline.b,
    outline,
    from: cutEnd
      ? say`the vessel itself: sawn off ${q(spec.top, 'length')} from its end, slit so that it slides in`
      : say`the vessel’s own lid, or sheet ${q(spec.thickness, 'length')} thick; the template has its holes`,
  });
  builder.part('platform', {
    id,
    what: cutEnd ? 'Cut end as platform' : 'Platform',
    amount: size,
    use: cutEnd ? 'The vessel’s own end, slid in' : 'Bears the soil',
    good: cutEnd ? null : SMALL_GOODS.platform,
    quantity: cutEnd ? 0 : 1,
  });
  builder.tools('platform', 'Knife or jigsaw', 'Marker');
  builder.say(
    'platform',
    cutEnd
      ? say`Slit the cut end up one side so that it slides into the rest, flat end upward.`
      : say`Cut it to ${size}: the inside size at its height, with play to drop in.`,
    10,
  );
  builder.say(
    'platform',
    say`Drill its holes by the template, and try it in its place. Take it out again.`,
    5,
  );
  fits(builder, 'platform');
  builder.after('supports', 'platform');
  builder.say(
    'set',
    hangs(
      builder,
      cutEnd
        ? say`Slide it in until it stands on its own edge and the supports`
        : say`Set it in on the supports`,
    ),
    5,
  );
  setIn(builder, 'set');
};

export const nested: PartBuilder<'nested'> = ({ id }, builder) => {
  const { planter } = builder;
  const { vessel, bed, design } = planter;
  const holds = vessel.volumeBelow(vessel.depth);
  builder.part('platform', {
    id,
    what: 'Second vessel',
    amount: say`an equal one`,
    use: 'Holds the soil, set into the first',
    good: vesselGood(design.vessel.material, holds),
    quantity: 1,
  });
  builder.tools('platform', 'Marker');
  builder.say('platform', say`Drill the floor of the upper vessel by the template.`, 5);
  builder.say(
    'stand',
    hangs(
      builder,
      say`Set the upper vessel on the supports; its floor comes to ${q(bed.floor, 'length')} above the lower one’s`,
    ),
    5,
  );
  fits(builder, 'stand');
  builder.after('supports', 'platform');
  setIn(builder, 'stand');
};

export const row: PartBuilder<'row'> = ({ spec, id }, builder) => {
  const { planter } = builder;
  const { bed } = planter;
  const one = bed.inside.volumeBelow(bed.inside.depth);
  builder.part('platform', {
    id,
    what: 'Pails',
    amount: say`${q(spec.count, 'count')} of ${q(one, 'volume')}`,
    use: 'Hold the soil, above the channel',
    good: vesselGood('pp', one),
    quantity: spec.count,
  });
  builder.tools('platform', 'Marker');
  builder.say(
    'platform',
    say`Drill each of the ${q(spec.count, 'count')} pails by the template: for its cup, and to drain only where the channel is below.`,
    3 * spec.count,
  );
  builder.say(
    'stand',
    say`Cover the channel between the pails, and stand them in a row on it with their cups in the water: floors ${q(bed.floor, 'length')} above the channel’s.`,
    3 * spec.count,
  );
  fits(builder, 'stand');
  setIn(builder, 'stand');
};

export const neck: PartBuilder<'neck'> = ({ id }, builder) => {
  const { vessel, bed, design } = builder.planter;
  builder.part('stand', {
    id,
    what: 'Upper part of the bottle',
    amount: say`cut off at ${q(vessel.depth, 'length')}`,
    use: 'Turned over, holds the soil',
  });
  if (design.wicks.length === 0) {
    builder.hole({
      id: `${id}-cap`,
      step: 'wick',
      part: 'Bottle’s cap',
      count: 6,
      diameter: 0.004,
      where: say`all over it`,
      why: say`lets the water to the mix in the neck`,
    });
    builder.say(
      'wick',
      say`Drill the cap with small holes all over, screw it on, and pack the neck with wet mix, tight: it is the wick.`,
      8,
    );
    builder.warn('wick', 'dust');
    builder.after('wick', 'stand');
  }
  builder.say(
    'stand',
    say`Turn the upper part over and set it in, the cap ${q(bed.floor, 'length')} above the floor.`,
    3,
  );
  builder.after('saw', 'stand');
  setIn(builder, 'stand');
};

export const bag: PartBuilder<'bag'> = ({ spec, id }, builder) => {
  const { bed } = builder.planter;
  const one = bed.inside.volumeBelow(bed.inside.depth);
  builder.part('stand', {
    id,
    what: 'Bags',
    amount: say`${q(spec.count, 'count')} of ${q(one, 'volume')}`,
    use: 'Stand in the tray',
    good: SMALL_GOODS.bag,
    quantity: spec.count,
  });
  builder.say(
    'stand',
    say`Pour the test water out: filled bags take up its room. Stand ${spec.count === 1 ? 'the bag' : say`${q(spec.count, 'count')} bags`} in the tray so that ${spec.count === 1 ? 'it' : 'each'} can be lifted out.`,
    5,
  );
  setIn(builder, 'stand');
};
