import {
  BEARER,
  BEARERS,
  boardFor,
  COVER,
  goesThrough,
  nameOf,
  type Part,
  type Planter,
} from '../../assembly';
import { isOwnEnd } from '../../document';
import { q, say, type Message } from '../../units';
import { boardGood, SMALL_GOODS, vesselGood } from '../goods';
import { packColumns } from './wicks';
import type { BuildSheetBuilder, PartBuilder } from '../buildSheetBuilder';

/** The sheet that bears the soil, and vessels of its own that hold it. */

/** Says how a sheet is set in: with what hangs in it from before, then with what is hung in it. */
function sets(builder: BuildSheetBuilder, step: 'set' | 'stand', words: Message): void {
  const cloths = builder.planter.of('cloth').filter(({ parts }) => parts.length > 0);
  const legs = cloths.reduce((sum, { spec }) => sum + (spec.form === 'piece' ? 1 : spec.legs), 0);
  const foot = Math.max(...cloths.map(({ spec }) => spec.foot), 0);
  const reaches: Message =
    foot > 0 ? say`hangs to ${q(foot, 'length')} above the floor` : say`reaches the floor`;
  builder.say(
    step,
    legs === 0
      ? say`${words}.`
      : say`${words}, the cloth hanging down through it${throughSupport(builder)}: ${legs === 1 ? 'its end' : 'every end'} ${reaches}.`,
    5,
  );
  hangCups(builder, step);
  packColumns(builder, step);
}

/** The support that cloth goes down through, where one stands round it. */
function throughSupport({ planter }: BuildSheetBuilder): Message {
  const round = planter
    .of('standing')
    .find((group) => goesThrough(group, planter.partGroups).some(({ kind }) => kind === 'cloth'));
  return round ? say` and through the ${nameOf(round, 1)}` : say``;
}

/** Cups are hung when the sheet is in: packed, they are heavy, and would swing and spill. */
function hangCups(builder: BuildSheetBuilder, step: 'set' | 'stand'): void {
  for (const { spec, parts } of builder.planter.of('cup')) {
    const n = parts.length;
    if (n === 0) continue;
    const name = spec.net ? 'net pot' : 'cup';
    const reach: Message =
      spec.foot > 0
        ? say`comes to ${q(spec.foot, 'length')} above the floor`
        : say`stands on the floor`;
    builder.say(
      step,
      n === 1
        ? say`Hang the ${name} in its hole by its rim: its foot ${reach}.`
        : say`Hang the ${q(n, 'count')} ${name}s in their holes by their rims: each foot ${reach}.`,
      2 * n,
    );
  }
}

/** What the sheet is set on, in words; null where nothing stands under it. */
function bearersOf({ planter }: BuildSheetBuilder): string | null {
  const names = planter.partGroups
    .filter(({ kind, parts }) => BEARERS.includes(kind) && parts.length > 0)
    .filter((group) => {
      const part = planter.design.reservoir.parts[group.index];
      return !(part && part.kind === group.kind && isOwnEnd(part));
    })
    .map((group) => `the ${nameOf(group)}`);
  return names.length === 0 ? null : [...new Set(names)].join(' and ');
}

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
  const under = bearersOf(builder);
  sets(
    builder,
    'set',
    cutEnd
      ? say`Slide it in until it stands on its own edge${under ? say` and on ${under}` : ''}`
      : say`Set it in${under ? say` on ${under}` : ''}`,
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
    good: vesselGood(design.vessel.material, holds, design.vessel.formerContents !== 'new'),
    quantity: 1,
  });
  builder.tools('platform', 'Marker');
  builder.say('platform', say`Drill the floor of the upper vessel by the template.`, 5);
  const under = bearersOf(builder);
  sets(
    builder,
    'stand',
    say`Set the upper vessel ${under ? say`on ${under}` : 'in'}; its floor comes to ${q(bed.floor, 'length')} above the lower one’s`,
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
  const lifted = planter.wicks.length > 0;
  builder.say(
    'platform',
    say`Drill ${spec.count === 1 ? 'the pail' : say`each of the ${q(spec.count, 'count')} pails`} by the template${lifted ? ': for what goes through it, and to drain only where the channel is below' : ', only where the channel is below'}.`,
    3 * spec.count,
  );
  builder.say(
    'stand',
    say`${standsOn(builder, spec.count)}: floors ${q(bed.floor, 'length')} above the channel’s.`,
    3 * spec.count,
  );
  hangCups(builder, 'stand');
  packColumns(builder, 'stand');
  builder.check('stand', {
    id: 'stands',
    must: say`${spec.count === 1 ? 'The' : 'Every'} pail stands upright and firm, and no light falls into the channel.`,
    mend: say`Wedge what rocks, and cover what is open: light grows algae.`,
  });
  setIn(builder, 'stand');
};

/** Where the pails stand, by whether bearers carry them. */
function standsOn({ planter }: BuildSheetBuilder, count: number): string {
  const carried = planter.of('bearers').some(({ parts }) => parts.length > 0);
  if (carried)
    return count === 1
      ? 'Stand the pail on the bearers'
      : 'Stand the pails in a row on the bearers';
  return count === 1
    ? 'Cover the channel beside the pail, and stand it on it'
    : 'Cover the channel between the pails, and stand them in a row on it';
}

/** Screws of a cover board. */
const SCREWS_A_COVER = 4;

/** Two boards on edge that carry the pails, and what covers the channel between them. */
export const bearers: PartBuilder<'bearers'> = (group, builder) => {
  const { parts, spec } = group;
  const [board, , ...covers] = parts;
  if (board?.foot.form !== 'box') return;
  const { id } = group;
  const [length, height] = [2 * board.foot.a, board.to - board.from];
  const wide = boardFor(height, builder.set);
  const good = boardGood(BEARER, wide);
  builder.cut('box', id, good, 'Bearer', length, 2, say`${q(height, 'length')} high`);
  builder.part('box', {
    id,
    what: 'Bearers',
    amount: say`2 of ${q(length, 'length')}, ${q(BEARER, 'lumber')} thick, ${q(wide, 'length')} wide${height < wide - 5e-4 ? say`, sawn along to ${q(height, 'length')}` : say``}`,
    use: 'Carry the pails on both sides of the channel',
    good,
    quantity: 2 * length,
  });
  coverBoards(builder, id, covers);
  builder.tools('box', 'Saw', 'Screwdriver', 'Level');
  builder.warn('box', 'cutting');
  const between = asideOfBearers(builder.planter);
  builder.say(
    'box',
    say`Stand the two bearers on edge where the row will be, ${q(between, 'length')} apart inside, on firm level ground, and lay the channel between them: it carries only its water.`,
    15,
  );
  if (covers.length > 0)
    builder.say(
      'box',
      say`Cut the cover boards to the gaps that the ${spec.count === 1 ? 'pail leaves' : 'pails leave'}, and screw them across both bearers: at the ends${spec.count === 1 ? '' : ' and between the pails'}.`,
      3 * covers.length,
    );
  builder.check('box', {
    id: 'bears',
    must: say`The bearers do not rock, and their tops are level all along.`,
    mend: say`Pack under the low one with slate or tile, not with loose soil.`,
  });
  for (const first of ['measure', 'overflow', 'platform'] as const) builder.after(first, 'box');
  for (const then of ['tube', 'test'] as const) builder.after('box', then);
};

/** The boards that lie across both bearers where no pail stands. */
function coverBoards(builder: BuildSheetBuilder, id: string, covers: readonly Part[]): void {
  const [first] = covers;
  if (first?.foot.form !== 'box') return;
  const widths = covers.map(({ foot }) => (foot.form === 'box' ? 2 * foot.a : 0));
  const across = 2 * first.foot.b;
  const [from, to] = [Math.min(...widths), Math.max(...widths)];
  const good = boardGood(COVER, boardFor(Math.min(to, across), builder.set));
  builder.cut('box', `${id}-covers`, good, 'Cover board', across, covers.length);
  builder.part('box', {
    id: `${id}-covers`,
    what: 'Cover boards',
    amount: say`${q(covers.length, 'count')} of ${q(across, 'length')}, ${to - from < 1e-3 ? q(to, 'length') : say`${q(from, 'length')} to ${q(to, 'length')}`} wide`,
    use: 'Keep light out of the channel, and the bearers upright',
    good,
    quantity: across * covers.length,
  });
  const screws = SCREWS_A_COVER * covers.length;
  builder.part('box', {
    id: `${id}-screws`,
    what: 'Screws',
    amount: say`${q(screws, 'count')}`,
    use: 'Covers to bearers',
    good: SMALL_GOODS.screws,
    quantity: screws,
  });
}

/** From one bearer's inner face to the other's, metres. */
function asideOfBearers({ partGroups }: Planter): number {
  const board = partGroups.find(({ id }) => id === 'bearers-0')?.parts[0];
  return board?.foot.form === 'box' ? 2 * (Math.abs(board.y) - board.foot.b) : 0;
}

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
    say`Stand ${spec.count === 1 ? 'the bag' : say`${q(spec.count, 'count')} bags`} in the tray so that ${spec.count === 1 ? 'it' : 'each'} can be lifted out.`,
    5,
  );
  setIn(builder, 'stand');
};
