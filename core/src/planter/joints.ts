import type { Planter } from './assemble';
import { KIND_FACES, PLACING } from './kinds';
import type { Kind, Lot } from './piece';

/**
 * How the things of a planter hold together. `a` is the one that is put to `b`; `b` is another lot's id,
 * or the ground that all stand on.
 */
export interface Joint {
  kind:
    | 'stands-on'
    | 'rests-on'
    | 'goes-through'
    | 'hangs-in'
    | 'packed-round'
    | 'lies-over'
    | 'lines'
    | 'sealed-into'
    | 'joined-to'
    | 'tied-to'
    | 'cut-from'
    | 'caps';
  a: string;
  b: string;
}

/** The ground, and the floor of the vessel or of its liner. */
export const GROUND = 'ground';
export const FLOOR = 'floor';

/** Kinds that keep the water's room open and bear what lies over it. */
export const BEARERS: readonly Kind[] = PLACING.filter((kind) => KIND_FACES[kind].bears);

type Join<K extends Kind> = (lot: Lot<K>, planter: Planter) => Joint[];

const to =
  (kind: Joint['kind'], b: string) =>
  (a: { id: string }): Joint[] => [{ kind, a: a.id, b }];

/** The sheet that soil stands on: platform, upper vessel, or pails over a channel. */
function deckLot({ lots }: Planter): Lot | undefined {
  return (
    lots.find(({ kind, pieces }) => kind === 'platform' && pieces.length > 0) ??
    lots.find(({ kind }) => kind === 'nested' || kind === 'row')
  );
}

/** What lies or stands directly under the layers and the soil. */
function baseLots(planter: Planter): Lot[] {
  const deck = deckLot(planter);
  if (deck) return [deck];
  const fills = planter.lots.filter(({ kind }) => kind === 'fill');
  const bearers = planter.lots.filter(({ kind }) => BEARERS.includes(kind));
  return fills.length > 0 ? [fills[fills.length - 1] as Lot, ...bearers] : bearers;
}

/** Through the deck, where there is one and it is deep enough. */
function throughDeck(lot: Lot, planter: Planter, kind: Joint['kind'] = 'goes-through'): Joint[] {
  const deck = deckLot(planter);
  const low = lot.pieces.some(({ from }) => from < planter.heights.ceiling - 1e-6);
  return deck && low ? [{ kind, a: lot.id, b: deck.id }] : [];
}

/** Through the layers that lie over the base. */
function throughLayers(lot: Lot, planter: Planter): Joint[] {
  return planter.of('layer').map(({ id }) => ({ kind: 'goes-through', a: lot.id, b: id }));
}

const standing = (lot: Lot): Joint[] =>
  lot.pieces.length > 0 ? [{ kind: 'stands-on', a: lot.id, b: FLOOR }] : [];

const onSupports: Join<'platform' | 'nested'> = (lot, planter) => {
  const bearing = planter.lots.filter(
    ({ kind, pieces }) => BEARERS.includes(kind) && kind !== 'lying' && pieces.length > 0,
  );
  return [
    ...bearing.map((one): Joint => ({ kind: 'rests-on', a: lot.id, b: one.id })),
    ...(bearing.length === 0 ? to('rests-on', 'vessel-0')(lot) : []),
  ];
};

/** A wick stands on the floor, or hangs in the sheet; and goes through what lies over that. */
const wick =
  (hangs: Joint['kind']): Join<'cup' | 'cloth' | 'column'> =>
  (lot, planter) => {
    if (lot.pieces.length === 0) return [];
    const through = throughDeck(lot, planter, hangs);
    const onFloor = lot.spec.foot <= 1e-9 || through.length === 0;
    return [...through, ...(onFloor ? standing(lot) : [])];
  };

const JOINS: { readonly [K in Kind]: Join<K> } = {
  vessel: to('stands-on', GROUND),
  liner: to('lines', 'vessel-0'),
  patch: to('sealed-into', 'vessel-0'),
  lying: standing as Join<'lying'>,
  ring: (lot) => [...standing(lot), ...(lot.spec.cutEnd ? to('cut-from', 'vessel-0')(lot) : [])],
  standing: standing as Join<'standing'>,
  crates: (lot, planter) => [
    ...standing(lot),
    // A crate that is cut out stands round what goes up through it.
    ...(lot.spec.cut
      ? planter.lots
          .filter(({ kind }) => ['tube', 'inspection', 'column', 'cup', 'cloth'].includes(kind))
          .map((one): Joint => ({ kind: 'packed-round', a: lot.id, b: one.id }))
      : []),
  ],
  arch: (lot) => [...standing(lot), ...(lot.spec.own ? to('cut-from', 'vessel-0')(lot) : [])],
  sticks: (lot, planter) => [
    ...standing(lot),
    ...planter.lots
      .filter(({ id, outerBelow }) => id !== lot.id && outerBelow(planter.heights.ceiling) > 0)
      .map((one): Joint => ({ kind: 'packed-round', a: lot.id, b: one.id })),
  ],
  tube: (lot, planter) => {
    const pipe = planter.lots.find(({ kind, pieces }) => kind === 'lying' && pieces.length > 0);
    return [
      ...throughDeck(lot, planter),
      ...throughLayers(lot, planter),
      ...(pipe ? to('joined-to', pipe.id)(lot) : to('stands-on', FLOOR)(lot)),
      ...to('tied-to', 'vessel-0')(lot),
    ];
  },
  inspection: (lot, planter) => {
    const pipe = planter.lots.find(({ kind, pieces }) => kind === 'lying' && pieces.length > 0);
    const low = (lot.pieces[0]?.from ?? 0) < 1e-6;
    return [
      ...throughDeck(lot, planter),
      ...throughLayers(lot, planter),
      ...(low || !pipe ? to('stands-on', FLOOR)(lot) : to('joined-to', pipe.id)(lot)),
    ];
  },
  worm: (lot, planter) => {
    const [under] = baseLots(planter);
    return under ? to('rests-on', under.id)(lot) : to('stands-on', FLOOR)(lot);
  },
  column: wick('goes-through') as Join<'column'>,
  cup: wick('hangs-in') as Join<'cup'>,
  cloth: wick('goes-through') as Join<'cloth'>,
  fill: (lot, planter) => [
    ...planter.lots
      .filter(
        ({ kind, pieces }) =>
          pieces.length > 0 &&
          [...BEARERS, 'tube', 'inspection', 'column', 'cup', 'cloth'].includes(kind),
      )
      .map((one): Joint => ({ kind: 'packed-round', a: lot.id, b: one.id })),
    ...(lot.index > 0
      ? to('lies-over', `fill-${lot.index - 1}`)(lot)
      : to('stands-on', FLOOR)(lot)),
  ],
  platform: onSupports as Join<'platform'>,
  nested: onSupports as Join<'nested'>,
  neck: to('rests-on', 'vessel-0'),
  row: to('rests-on', 'vessel-0'),
  bag: to('stands-on', FLOOR),
  layer: (lot, planter) => {
    if (lot.index > 0) return to('lies-over', `layer-${lot.index - 1}`)(lot);
    const under = baseLots(planter);
    return under.length > 0
      ? under.map((one): Joint => ({ kind: 'lies-over', a: lot.id, b: one.id }))
      : to('stands-on', FLOOR)(lot);
  },
  hole: to('goes-through', 'vessel-0'),
  fitting: (lot, planter) => [
    ...to('sealed-into', 'vessel-0')(lot),
    ...planter.of('liner').flatMap(({ id }) => to('goes-through', id)(lot)),
  ],
  rows: to('goes-through', 'vessel-0'),
  rim: to('goes-through', 'vessel-0'),
  supply: to('joined-to', 'vessel-0'),
  mulch: (lot, planter) => {
    const top = [...planter.lots].reverse().find(({ kind }) => kind === 'layer');
    return to('lies-over', top?.id ?? 'vessel-0')(lot);
  },
};

/** All joints of a planter. */
export function jointsOf(planter: Planter): Joint[] {
  return planter.lots.flatMap((lot) =>
    (JOINS[lot.kind] as unknown as Join<Kind>)(lot as never, planter),
  );
}
