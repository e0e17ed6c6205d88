import type { Joint, Join, Kind, Lot, Together } from './part';

/** How the kinds say what they are put to: what the joints of several kinds have in common. */

/** The ground, and the floor of the vessel or of its liner. */
export const GROUND = 'ground';
export const FLOOR = 'floor';
const VESSEL = 'vessel-0';

const to =
  (kind: Joint['kind'], b: string) =>
  (a: { id: string }): Joint[] => [{ kind, a: a.id, b }];
const toEach = (kind: Joint['kind'], a: Lot, others: readonly Lot[]): Joint[] =>
  others.map(({ id }) => ({ kind, a: a.id, b: id }));

export const onGround = to('stands-on', GROUND);
export const onFloor = to('stands-on', FLOOR);
export const onVessel = to('rests-on', VESSEL);
export const throughVessel = to('goes-through', VESSEL);
export const intoVessel = to('sealed-into', VESSEL);
export const liningVessel = to('lines', VESSEL);
export const cutFromVessel = to('cut-from', VESSEL);
export const tiedToVessel = to('tied-to', VESSEL);
export const joinedToVessel = to('joined-to', VESSEL);

const UPRIGHT: readonly Kind[] = ['tube', 'inspection', 'column', 'cup', 'cloth'];
/** What stands up through the base to the soil. */
export const upright = (lot: Lot): boolean => UPRIGHT.includes(lot.kind);

/** On the floor, as far as any of it stands at all. */
export const standing = (lot: Lot): Joint[] => (lot.pieces.length > 0 ? onFloor(lot) : []);

/** Round each of those that `is` says. */
export const packedRound = (lot: Lot, { lots }: Together, is: (other: Lot) => boolean): Joint[] =>
  toEach(
    'packed-round',
    lot,
    lots.filter((other) => other.id !== lot.id && is(other)),
  );

/** Over what lies before it in its own list, or else over those. */
export const over = (lot: Lot, first: () => Joint[]): Joint[] =>
  lot.index > 0 ? to('lies-over', `${lot.kind}-${lot.index - 1}`)(lot) : first();

/** The sheet that soil stands on: platform, upper vessel, or pails over a channel. */
function deckLot({ lots }: Together): Lot | undefined {
  return (
    lots.find(({ kind, pieces }) => kind === 'platform' && pieces.length > 0) ??
    lots.find(({ kind }) => kind === 'nested' || kind === 'row')
  );
}

/** What lies or stands directly under the layers and the soil. */
export function baseLots(planter: Together): Lot[] {
  const deck = deckLot(planter);
  if (deck) return [deck];
  const fills = planter.lots.filter(({ kind }) => kind === 'fill');
  const bearers = planter.lots.filter(planter.bears);
  return fills.length > 0 ? [fills[fills.length - 1] as Lot, ...bearers] : bearers;
}

/** On the first of those, or on the floor where there is none. */
export function restsOnFirst(lot: Lot, [under]: readonly Lot[]): Joint[] {
  return under ? to('rests-on', under.id)(lot) : onFloor(lot);
}

export function overBase(lot: Lot, planter: Together): Joint[] {
  const under = baseLots(planter);
  return under.length > 0 ? toEach('lies-over', lot, under) : onFloor(lot);
}

/** On top of the soil's own layers. */
export function overLayers(lot: Lot, { lots }: Together): Joint[] {
  const top = [...lots].reverse().find(({ kind }) => kind === 'layer');
  return to('lies-over', top?.id ?? VESSEL)(lot);
}

/** Through the deck, where there is one and it is deep enough. */
export function throughDeck(
  lot: Lot,
  planter: Together,
  kind: Joint['kind'] = 'goes-through',
): Joint[] {
  const deck = deckLot(planter);
  const low = lot.pieces.some(({ from }) => from < planter.heights.ceiling - 1e-6);
  return deck && low ? [{ kind, a: lot.id, b: deck.id }] : [];
}

/** Through the layers that lie over the base. */
export const throughLayers = (lot: Lot, { lots }: Together): Joint[] =>
  toEach(
    'goes-through',
    lot,
    lots.filter(({ kind }) => kind === 'layer'),
  );

export const throughLiner = (lot: Lot, { lots }: Together): Joint[] =>
  toEach(
    'goes-through',
    lot,
    lots.filter(({ kind }) => kind === 'liner'),
  );

/** Joined to the first pipe that lies on the floor, or else on the floor itself. */
export function onPipeOrFloor(lot: Lot, { lots }: Together): Joint[] {
  const pipe = lots.find(({ kind, pieces }) => kind === 'lying' && pieces.length > 0);
  return pipe ? to('joined-to', pipe.id)(lot) : onFloor(lot);
}

/** On all that bears it; a lying pipe bears soil, but no sheet. */
export function onSupports(lot: Lot, planter: Together): Joint[] {
  const bearing = planter.lots.filter(
    (one) => planter.bears(one) === 'sheet' && one.pieces.length > 0,
  );
  return bearing.length > 0 ? toEach('rests-on', lot, bearing) : onVessel(lot);
}

/** A wick stands on the floor, or hangs in the sheet; and goes through what lies over that. */
export const wickJoints =
  <K extends 'cup' | 'cloth' | 'column'>(hangs: Joint['kind']): Join<K> =>
  (lot, together) => {
    if (lot.pieces.length === 0) return [];
    const wick = lot as Lot<'cup' | 'cloth' | 'column'>;
    const through = throughDeck(wick, together, hangs);
    const low = wick.spec.foot <= 1e-9 || through.length === 0;
    return [...through, ...(low ? standing(wick) : [])];
  };
