import {
  AGGREGATES,
  grainOf,
  LAYERS,
  type LayerId,
  type AggregateId,
  CLOTHS,
  type ClothId,
  INGREDIENTS,
  type IngredientId,
  MIXES,
  type MixId,
  PIPES,
  type PipeId,
  CRATE_KINDS,
  FITTINGS,
  LINERS,
  MATERIALS,
  STANDING,
} from '../catalog';
import { POST } from '../assembly';
import { q, say, type Message } from '../units';

/**
 * What is bought for a planter, in the packs that it is commonly sold in. Prices are typical, in the
 * base currency, no shop's, and there to be replaced by one's own.
 */

/** How a good is counted: pieces, metres, m², m³ or kilograms. */
export type GoodUnit = 'piece' | 'length' | 'area' | 'volume' | 'mass';

/** One size in which a good is sold. */
export interface Pack {
  /** How much is in it, in the good's unit. */
  size: number;
  /** How much is in it where people buy by the foot and the pound, if not the usual size that is nearest. */
  us?: number;
  /** What it costs. */
  price: number;
}

export interface Good {
  /** Stable: prices and what is at hand are kept under it. */
  id: string;
  name: Message;
  unit: GoodUnit;
  packs: readonly Pack[];
  /** Dug or gathered where one lives, and never bought. */
  dug?: true;
  /** Usually lies about or is given away: costs nothing until one puts in a price. */
  scrap?: true;
}

/** What is dug from one's own ground or taken from an old bed. */
const dug = (id: string, name: string): Good => ({
  id,
  name: [name],
  unit: 'volume',
  packs: [],
  dug: true,
});

const good = (id: string, name: string | Message, unit: GoodUnit, ...packs: Pack[]): Good => ({
  id,
  name: typeof name === 'string' ? [name] : name,
  unit,
  packs,
});
const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
const each = (id: string, name: string | Message, price: number): Good =>
  good(id, name, 'piece', { size: 1, price: cents(price) });
const cents = (price: number): number => Math.round(price * 20) / 20;
const MM = 1000;
const LITRES = 1000;

/** What people usually have or are given. */
const scrap = (id: string, name: string | Message, unit: GoodUnit = 'piece', size = 1): Good => ({
  ...good(id, name, unit, { size, price: 0 }),
  scrap: true,
});

/** Typical price of a vessel for each litre that it holds. */
const PER_LITRE: Readonly<Record<keyof typeof MATERIALS, number>> = {
  pe: 0.25,
  pp: 0.25,
  pet: 0.1,
  other: 0.25,
  unknown: 0.2,
  clay: 0.8,
  metal: 0.6,
  wood: 0.4,
  'treated-wood': 0.3,
};

const VESSEL_OF: Readonly<Record<keyof typeof MATERIALS, string>> = {
  pe: 'Polyethylene vessel',
  pp: 'Polypropylene vessel',
  pet: 'PET bottle or vessel',
  other: 'Plastic vessel',
  unknown: 'Plastic vessel',
  clay: 'Clay or stone vessel',
  metal: 'Metal vessel',
  wood: 'Timber vessel',
  'treated-wood': 'Timber vessel',
};

/**
 * A vessel by what it is made of and what it holds to the rim.
 *
 * @param volume m³
 * @param used held something before: such ones are usually given away
 * @param whole what it is sawn from, in words, and a key of that
 */
export function vesselGood(
  material: keyof typeof MATERIALS,
  volume: number,
  used = false,
  whole: { id: string; name: Message } | null = null,
): Good {
  if (used) {
    const { id, name } = vesselGood(material, volume, false, whole);
    return scrap(`${id}:used`, say`${name}, used`);
  }
  if (whole)
    return each(`vessel:${whole.id}`, whole.name, 1 + volume * LITRES * PER_LITRE[material]);
  const litres = volume * LITRES;
  const size = litres < 20 ? Math.round(litres) : Math.round(litres / 5) * 5;
  const holds = Math.max(size, 1);
  return each(
    `vessel:${material}:${holds}`,
    say`${VESSEL_OF[material]} of ${q(holds / LITRES, 'volume')}`,
    1 + size * PER_LITRE[material],
  );
}

/** Metric pipe is sold by 2 m, inch pipe by 10 ft. */
const METRIC_LENGTH = 2;
const INCH_LENGTH = 3.048;
const perMetre = (outside: number): number => 0.6 + 45 * outside;

export function pipeGood(pipe: PipeId): Good {
  const { name, outside, family } = PIPES[pipe];
  const size = family === 'inch' ? INCH_LENGTH : METRIC_LENGTH;
  const price = cents(size * perMetre(outside));
  return good(`pipe:${pipe}`, name, 'length', { size, us: INCH_LENGTH, price });
}

/** The pipe on sale that is this wide outside, if there is one. */
const pipeOf = (outside: number): PipeId | undefined =>
  (Object.keys(PIPES) as PipeId[]).find((id) => Math.abs(PIPES[id].outside - outside) < 5e-4);

/** What fittings for a pipe are asked for by: the pipe's name, or how wide it is. */
export function fittingSize(outside: number): Message {
  const known = pipeOf(outside);
  return known ? say`for ${PIPES[known].name}` : say`of ${q(outside, 'length')}`;
}

/** Plain pipe that is known by its outside diameter only; a pipe by that name where there is one. */
export function plainPipe(outside: number): Good {
  const known = pipeOf(outside);
  if (known) return pipeGood(known);
  const mm = Math.round(outside * MM);
  return good(`pipe:${mm}`, say`Pipe of ${q(outside, 'length')}`, 'length', {
    size: METRIC_LENGTH,
    us: INCH_LENGTH,
    price: cents(METRIC_LENGTH * perMetre(outside)),
  });
}

/** Slotted or drilled drain pipe, sold in lengths of 3 m. */
export function drainPipe(outside: number, sock: boolean): Good {
  const mm = Math.round(outside * MM);
  return good(
    `drain:${mm}${sock ? ':sock' : ''}`,
    say`Perforated pipe of ${q(outside, 'length')}${sock ? ' in a sock' : ''}`,
    'length',
    { size: 3, price: cents(3 * (0.5 + 22 * outside + (sock ? 0.6 : 0))) },
  );
}

/** Lengths in which boards and posts are sold, metres. */
const BOARD_LENGTHS = [2.4, 3, 3.6];
/** Boards by thickness and width. Metres. */
export function boardGood(thickness: number, width: number): Good {
  const name = say`Boards ${q(thickness, 'lumber')} thick, ${q(width, 'length')} wide`;
  return sideGood('board', thickness, width, name);
}

/** Panels by thickness and the height of the side that they make. Metres. */
export function panelGood(thickness: number, height: number): Good {
  const name = say`Panels ${q(thickness, 'length')} thick, to make ${q(height, 'length')} of height`;
  return sideGood('panel', thickness, height, name);
}

function sideGood(kind: string, thickness: number, height: number, name: Message): Good {
  const [t, h] = [Math.round(thickness * MM), Math.round(height * MM)];
  const perMetre = height * (8 + 450 * thickness);
  const packs = BOARD_LENGTHS.map((size) => ({ size, price: cents(size * perMetre) }));
  return good(`${kind}:${t}x${h}`, name, 'length', ...packs);
}

/** Width of a floor board, metres. */
export const FLOOR_BOARD = 0.145;
export const postGood = (): Good =>
  good(
    'post',
    say`Square post of ${q(POST, 'length')} or thicker`,
    'length',
    ...BOARD_LENGTHS.map((size) => ({ size, price: cents(3.75 * size) })),
  );

const STANDING_PRICE: Readonly<Record<keyof typeof STANDING, number>> = {
  tub: 0.3,
  cup: 0.2,
  bottle: 0,
  jug: 0,
  pipe: 0,
  pot: 0.8,
  brick: 0.7,
};

export function standingGood(what: keyof typeof STANDING, diameter: number): Good {
  const mm = Math.round(diameter * MM);
  const name = say`${capital(STANDING[what].one)}, ${q(diameter, 'length')} across`;
  const id = `standing:${what}:${mm}`;
  return STANDING_PRICE[what] === 0 ? scrap(id, name) : each(id, name, STANDING_PRICE[what]);
}

/** @param volume of one, m³ */
export function crateGood(what: keyof typeof CRATE_KINDS, volume: number): Good {
  const litres = Math.max(Math.round(volume * LITRES), 1);
  const name = say`${capital(CRATE_KINDS[what].one)} of ${q(litres / LITRES, 'volume')}`;
  return each(`crate:${what}:${litres}`, name, 0.8 + 0.15 * litres);
}

/** Cloth is bought by the area, rope by its length. */
export const clothGood = (cloth: ClothId): Good =>
  cloth === 'cotton-cloth'
    ? scrap(
        'cloth:cotton-cloth',
        say`${CLOTHS['cotton-cloth'].name}: an old shirt or towel`,
        'area',
      )
    : cloth.endsWith('rope')
      ? good(`cloth:${cloth}`, CLOTHS[cloth].name, 'length', { size: 5, price: 4 })
      : good(
          `cloth:${cloth}`,
          CLOTHS[cloth].name,
          'area',
          { size: 0.25, price: 1.5 },
          { size: 1, price: 5 },
        );

export const fittingGood = (style: keyof typeof FITTINGS, bore: number): Good =>
  each(
    `fitting:${style}:${Math.round(bore * MM)}`,
    say`${FITTINGS[style].name}, ${q(bore, 'length')} bore`,
    2.5 + 60 * bore,
  );

const HOSE_FITTINGS = {
  wall: { name: 'Wall fitting with seal and hose tail', price: 3 },
  tap: { name: 'Tap in a hose', price: 2.5 },
  tee: { name: 'Tee for a hose', price: 1.2 },
} as const;

/** What joins hoses. @param bore of the hose, metres */
export const hoseFittingGood = (what: keyof typeof HOSE_FITTINGS, bore: number): Good =>
  each(
    `hose-${what}:${Math.round(bore * MM)}`,
    say`${HOSE_FITTINGS[what].name}, ${q(bore, 'length')}`,
    HOSE_FITTINGS[what].price + 40 * bore,
  );

/** A sheet, straw, sand or stone between water and roots. */
export const layerGood = (what: LayerId): Good => {
  if (what === 'straw') return SMALL_GOODS.mulch;
  if (grainOf(what)) return aggregateGood(what as AggregateId);
  const price = what === 'carpet' ? 0 : what === 'felt' ? 3 : 1.8;
  return good(`separator:${what}`, LAYERS[what].name, 'area', { size: 1, price });
};

/** A liner is one piece, whatever its size. @param length and width, metres */
export const linerGood = (
  liner: Exclude<keyof typeof LINERS, 'none'>,
  length: number,
  width: number,
): Good =>
  each(
    `liner:${liner}:${Math.ceil(length * 10)}x${Math.ceil(width * 10)}`,
    say`${LINERS[liner].name}, one piece of ${q(length, 'span')} by ${q(width, 'span')}`,
    length * width * (liner === 'pond' ? 6 : 1.2),
  );

/** Stone and sand are sold by weight, chip by volume. */
export function aggregateGood(medium: AggregateId): Good {
  const { name, grain } = AGGREGATES[medium];
  if (grain === 'chip') return good(`fill:${medium}`, name, 'volume', { size: 0.05, price: 6 });
  if (medium === 'rubble') return scrap('fill:rubble', name, 'mass', 25);
  return good(
    `fill:${medium}`,
    name,
    'mass',
    { size: 25, price: grain === 'sand' ? 4.5 : 5.5 },
    { size: 1000, price: grain === 'sand' ? 70 : 90 },
  );
}

/** Prices of 10, 20 and 50 L of a loose good. */
const bags = (id: string, name: string, ...prices: readonly [number, number, number]): Good =>
  good(
    id,
    name,
    'volume',
    ...[0.01, 0.02, 0.05].map((size, i) => ({ size, price: prices[i] as number })),
  );

/** Typical price of a bag of ready mix: so much for the bag, and for each cubic metre in it. */
const A_BAG = 1.6;
const MIX_PRICE = 190;

/** The mix as it is sold ready made, in bags of the size that the design says. @param bag m³ */
export function mixGood(medium: MixId, bag = 0.02): Good {
  const { name } = MIXES[medium];
  return medium === 'ground-soil'
    ? dug('mix:ground-soil', name)
    : good(`mix:${medium}`, name, 'volume', {
        size: bag,
        us: bag,
        price: cents(A_BAG + MIX_PRICE * bag),
      });
}

/** Ingredients that come from one's own ground. */
const DUG_IDS = ['loam', 'sandy-soil', 'old-mix'] as const satisfies readonly IngredientId[];
type DugId = (typeof DUG_IDS)[number];
const isDug = (id: IngredientId): id is DugId => DUG_IDS.some((one) => one === id);

/** Prices of 10, 20 and 50 L of what is bought by the bag to be mixed. */
const BAG_PRICES: Readonly<
  Record<Exclude<IngredientId, 'sand' | DugId>, readonly [number, number, number]>
> = {
  coir: [3, 5, 9.5],
  peat: [3, 4.5, 8.5],
  perlite: [5, 8.5, 18],
  vermiculite: [5.5, 9.5, 20],
  pumice: [4.5, 8, 17],
  compost: [2, 3.5, 6.5],
  castings: [6, 11, 25],
  'leaf-mould': [2.5, 4, 8],
  bark: [3, 5, 9],
  hulls: [2, 3.5, 7],
  'farm-compost': [1, 1.8, 3.5],
};

/** An ingredient of a mix as it is come by: sand by weight, soil and old mix from one's own garden. */
export function ingredientGood(id: IngredientId): Good {
  if (id === 'sand') return aggregateGood('coarse-sand');
  const { name } = INGREDIENTS[id];
  return isDug(id)
    ? dug(`ingredient:${id}`, name)
    : bags(`ingredient:${id}`, name, ...BAG_PRICES[id]);
}

/** Small things by the piece or the kilogram. */
export const SMALL_GOODS = {
  platform: scrap('platform', 'The vessel’s own lid, or a plastic sheet for the platform'),
  wickCup: each('cup', 'Cup or net pot for a packed wick', 0.6),
  cap: each('cap', 'Cap for a tube', 0.8),
  sponge: each('sponge', 'Sponge for a tube', 0.4),
  elbow: each('elbow', 'Elbow for the tube’s foot', 1.5),
  tee: each('tee', 'Tee for the tube’s foot', 2),
  ties: each('ties', 'Cable tie', 0.1),
  sealant: each('sealant', 'Tube of sealant', 5),
  clip: each('clip', 'Clip and two screws to hold the tube', 0.6),
  screen: each('screen', 'Patch of insect mesh, a hand wide', 0.3),
  patch: each('patch', 'Patch and sealant for an old hole', 3),
  dipStick: each('dip-stick', 'Lath or dowel for the dip stick', 1.2),
  supply: each('supply', 'Supply barrel', 25),
  valve: each('valve', 'Float valve with its hose tail', 9),
  barrelTap: each('barrel-tap', 'Barrel tap with its seal', 6),
  hose: good('hose', 'Garden hose', 'length', { size: 5, price: 8 }),
  hoseClip: each('hose-clip', 'Hose clip', 0.6),
  valveBox: each('valve-box', 'Box with a lid for a float valve', 5),
  strainer: each('strainer', 'Strainer for a hose', 4),
  bag: each('bag', 'Fabric bag or pot', 5),
  screws: good('screws', 'Outdoor screws, twice the boards’ thickness', 'piece', {
    size: 50,
    price: 5,
  }),
  plant: each('plant', 'Young plant', 0.8),
  tree: each('plant:tree', 'Young tree', 22),
  organic: good('feed:organic', 'Organic granules', 'mass', { size: 1, price: 4 }),
  synthetic: good('feed:synthetic', 'Synthetic granules', 'mass', { size: 1, price: 6 }),
  compost: good('feed:compost', 'Compost to feed with', 'mass', { size: 20, price: 6 }),
  castings: good('feed:castings', 'Worm castings to feed with', 'mass', { size: 5, price: 8 }),
  stake: each('stake', 'Stake or post', 2.5),
  cage: each('cage', 'Plant cage', 6),
  string: good('string', 'Garden twine', 'length', { size: 50, price: 4 }),
  plantMesh: good('plant-mesh', 'Stiff mesh, hand-wide openings', 'area', { size: 2, price: 12 }),
  wire: good('wire', 'Garden wire', 'length', { size: 20, price: 5 }),
  seed: good('seed', 'Packet of seed', 'piece', { size: 1, price: 2.5 }),
  lime: good('lime', 'Dolomitic lime', 'mass', { size: 2.5, price: 4 }),
  mulch: good('straw', LAYERS.straw.name, 'volume', { size: 0.06, price: 5 }),
  cover: good('cover', 'Cover for the surface', 'area', { size: 1, price: 1.2 }),
} as const;
