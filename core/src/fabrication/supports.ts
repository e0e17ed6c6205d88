import { SUPPORTS } from '../catalog';
import { cropIn, type Planted } from '../document';
import { plantingPlan, type Planter } from '../assembly';
import { plural, q, say, type Message } from '../units';
import { SMALL_GOODS } from './goods';
import { type BuildSheetBuilder } from './buildSheetBuilder';

/** What holds plants up: what is bought or cut for it, and how it is set. */

/** How far a stake or post goes into the soil at most, how far it stays off the base, and the longest that is usual. */
const IN_SOIL = 0.35;
const OFF_BASE = 0.03;
const LEAST_DEEP = 0.05;
const LONGEST = 3;
/** A string's knots and its end under the root ball, metres. */
const KNOTS = 0.6;
/** Above this a plant that is blown over can hurt, metres. */
const TALL = 1;
/** A mesh carries the row before it and the row behind it. */
const ROWS_A_MESH = 2;

interface Held {
  amount: Message;
  quantity: number;
  good: keyof typeof SMALL_GOODS;
  says: Message;
  minutes: number;
  /** Posts that go with it, two at each stretch. */
  posts?: number;
}

/** Plants of one planting as they stand. Metres. */
interface Stand {
  name: string;
  height: number;
  count: number;
  /** Rows from the back to the front, and how long a stretch along one is. */
  rows: number;
  across: number;
  /** A stake's or post's length, and how much of it goes into the soil. */
  post: number;
  deep: number;
  /** Where posts go where that is not the soil of the plants. */
  into: string;
}

function standOf(
  { design, bed, heights }: Planter,
  i: number,
  places: readonly { y: number }[],
): Stand {
  const planted = design.planting.crops[i] as Planted;
  const { height, name } = cropIn(planted);
  const reach = bed.places.map(({ x }) => x);
  const { a } = bed.inside.outlineAt(bed.inside.depth);
  const several = reach.length > 1;
  const room = Math.max(heights.surface - heights.base - OFF_BASE, LEAST_DEEP);
  const deep = several ? IN_SOIL : Math.min(IN_SOIL, room);
  // Beside a row of pails posts stand in the ground that it stands on.
  const above = height + (several ? heights.surface : 0);
  return {
    name: name.toLowerCase(),
    height,
    count: places.length,
    rows: rowsIn(places, planted.spacing),
    across: Math.max(...reach) - Math.min(...reach) + 2 * a,
    post: Math.min(above + deep, LONGEST),
    deep,
    into: several ? ' into the ground beside the pails' : '',
  };
}

/** Rows from the back to the front: what stands less than half the spacing behind is in the same. */
function rowsIn(places: readonly { y: number }[], spacing: number): number {
  let rows = 0;
  let back = Infinity;
  for (const y of places.map((place) => place.y).sort((m, n) => n - m)) {
    if (y >= back - spacing / 2) continue;
    rows += 1;
    back = y;
  }
  return rows;
}

const along = ({ rows }: Stand): Message =>
  rows === 1
    ? say`Behind the row`
    : rows === ROWS_A_MESH
      ? say`Between the two rows`
      : say`Between every two rows`;

const HELD: { [K in Exclude<Planted['support'], 'none'>]: (stand: Stand) => Held } = {
  stake: ({ name, count, post, deep }) => ({
    good: 'stake',
    quantity: count,
    amount: say`${q(count, 'count')} of ${q(post, 'stock')}`,
    says: say`Push a stake in ${q(deep, 'growth')} deep where each ${name} will stand, a hand’s width aside. Tie the stem to it in a loose eight as it grows.`,
    minutes: 3 * count,
  }),
  cage: ({ count, height }) => ({
    good: 'cage',
    quantity: count,
    amount: say`${q(count, 'count')}, ${q(height, 'stock')} high`,
    says: say`Set a cage over each plant while it is small, and tie it to a pole or to its neighbour.`,
    minutes: 4 * count,
  }),
  tied: ({ count, height }) => ({
    good: 'cage',
    quantity: count,
    amount: say`${q(count, 'count')}, ${q(height, 'stock')} high`,
    says: say`Set a cage over each plant while it is small, and tie its top to a hook in the wall or to a pole that stands in the ground.`,
    minutes: 8 * count,
  }),
  string: ({ count, height }) => ({
    good: 'string',
    quantity: count * (height + KNOTS),
    amount: say`${q(count, 'count')} of ${q(height + KNOTS, 'stock')}`,
    says: say`Hang a string from a firm beam over each place, and lay its lower end under the root ball as you plant. Wind the stem round it as it grows.`,
    minutes: 5 * count,
  }),
  mesh: (stand) => {
    const meshes = Math.ceil(stand.rows / ROWS_A_MESH);
    return {
      good: 'plantMesh',
      quantity: meshes * stand.across * stand.height,
      amount: say`${q(meshes, 'count')} of ${q(stand.across, 'stock')} by ${q(stand.height, 'stock')}`,
      says: say`${along(stand)}, set a post at each end, ${q(stand.deep, 'growth')} deep${stand.into}, and stretch stiff mesh from one to the other, with openings wide enough for a hand and a fruit.`,
      minutes: 20 * meshes,
      posts: 2 * meshes,
    };
  },
  wire: (stand) => ({
    good: 'wire',
    quantity: 2 * stand.rows * stand.across,
    amount: say`${q(2 * stand.rows, 'count')} of ${q(stand.across, 'stock')}`,
    says: say`Set a post at each end of ${stand.rows === 1 ? 'the row' : 'each row'}, ${q(stand.deep, 'growth')} deep${stand.into}, and stretch a wire at half the height and one at the top.`,
    minutes: 20 * stand.rows,
    posts: 2 * stand.rows,
  }),
};

/**
 * What holds one planting up.
 *
 * @returns null where nothing does; `first` where it is set before the plants go in
 */
export function supportFor(
  planter: Planter,
  i: number,
): { first: boolean; add(builder: BuildSheetBuilder): void } | null {
  const planted = planter.design.planting.crops[i] as Planted;
  const { support } = planted;
  const places = plantingPlan(planter).places.filter(({ of }) => of === i);
  if (support === 'none' || places.length === 0) return null;
  const stand = standOf(planter, i, places);
  const held = HELD[support](stand);
  return {
    first: support === 'stake' || support === 'string',
    add(builder) {
      builder.part('plant', {
        id: i === 0 ? 'support' : `support-${i}`,
        what: SUPPORTS[support].name,
        amount: held.amount,
        use: `For ${stand.name}`,
        good: SMALL_GOODS[held.good],
        quantity: held.quantity,
      });
      if (held.posts)
        builder.part('plant', {
          id: i === 0 ? 'posts' : `posts-${i}`,
          what: plural(held.posts, 'Post'),
          amount: say`${q(held.posts, 'count')} of ${q(stand.post, 'stock')}`,
          use: `For ${stand.name}`,
          good: SMALL_GOODS.stake,
          quantity: held.posts,
        });
      if (stand.height >= TALL) builder.warn('plant', 'topple');
      builder.tools('plant', ...(support === 'string' ? ['Ladder'] : []));
      builder.say('plant', held.says, held.minutes);
    },
  };
}
