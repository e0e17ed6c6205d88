import type { Good } from './goods';

/** Where goods stand in the price book: on the shelf on which one looks for them in a shop. */

/** The shelves in their order, with the kinds of good on each: what its id begins with. */
export const GOOD_SHELVES = {
  vessels: {
    name: 'Vessels, tubs and crates',
    kinds: ['vessel', 'crate', 'standing', 'cup', 'bag', 'supply', 'platform'],
  },
  pipes: {
    name: 'Pipe and fittings',
    kinds: [
      ...['pipe', 'drain', 'fitting', 'elbow', 'tee', 'cap', 'clip', 'sponge', 'valve'],
      ...['barrel-tap', 'hose', 'hose-wall', 'hose-tap', 'hose-tee', 'hose-clip', 'valve-box'],
      ...['strainer', 'dip-stick', 'sealant', 'patch', 'ties'],
    ],
  },
  cloth: {
    name: 'Cloth, mesh and film',
    kinds: ['cloth', 'separator', 'liner', 'screen', 'cover', 'plant-mesh'],
  },
  mix: {
    name: 'Mix, stone and straw',
    kinds: ['mix', 'ingredient', 'fill', 'straw', 'lime', 'feed'],
  },
  boards: { name: 'Boards and screws', kinds: ['board', 'panel', 'post', 'screws'] },
  plants: {
    name: 'Plants, and what holds them',
    kinds: ['plant', 'seed', 'stake', 'cage', 'string', 'wire'],
  },
} as const;
export type GoodShelf = keyof typeof GOOD_SHELVES;

const SHELVES = Object.keys(GOOD_SHELVES) as GoodShelf[];

/** The shelf that a good stands on. */
export function shelfOf({ id }: Pick<Good, 'id'>): GoodShelf {
  const [kind] = id.split(':') as [string];
  const shelf = SHELVES.find((one) =>
    (GOOD_SHELVES[one].kinds as readonly string[]).includes(kind),
  );
  return shelf ?? 'vessels';
}
