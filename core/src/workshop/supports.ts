import { SUPPORTS } from '../catalog';
import { cropIn, type Planted } from '../design';
import { q, say, type Message } from '../quantity';
import { SMALL_GOODS } from './goods';
import { many, type Maker } from './maker';

/** What holds plants up: what is bought or cut for it, and how it is set. */

/** How far a stake or post goes into the soil at most, and the longest that is usual. Metres. */
const IN_SOIL = 0.35;
const LONGEST = 2.4;
/** A string's knots and its end under the root ball, metres. */
const KNOTS = 0.6;
/** Above this a plant that is blown over can hurt, metres. */
const TALL = 1;

interface Held {
  amount: Message;
  quantity: number;
  good: keyof typeof SMALL_GOODS;
  says: Message;
  minutes: number;
}

function heldBy(planted: Planted, stands: number, depth: number, across: number): Held | null {
  const { height } = cropIn(planted);
  const post = Math.min(height + Math.min(IN_SOIL, depth), LONGEST);
  const name = cropIn(planted).name.toLowerCase();
  switch (planted.support) {
    case 'none':
      return null;
    case 'stake':
      return {
        good: 'stake',
        quantity: stands,
        amount: say`${q(stands, 'count')} of ${q(post, 'stock')}`,
        says: say`Push a stake in beside each hole before the ${name} goes in, a hand from the stem, down to the base. Tie the stem in a loose eight as it grows.`,
        minutes: 3 * stands,
      };
    case 'cage':
      return {
        good: 'cage',
        quantity: stands,
        amount: say`${q(stands, 'count')}, ${q(height, 'span')} high`,
        says: say`Set a cage over each plant while it is small, and tie it to a pole or to its neighbour.`,
        minutes: 4 * stands,
      };
    case 'tied':
      return {
        good: 'cage',
        quantity: stands,
        amount: say`${q(stands, 'count')}, ${q(height, 'span')} high`,
        says: say`Set a cage over each plant while it is small, and tie its top to a hook in the wall or to a pole that stands in the ground.`,
        minutes: 8 * stands,
      };
    case 'string':
      return {
        good: 'string',
        quantity: stands * (height + KNOTS),
        amount: say`${q(stands, 'count')} of ${q(height + KNOTS, 'stock')}`,
        says: say`Hang a string from a firm beam over each plant, and lay its lower end under the root ball as you plant. Wind the stem round it as it grows.`,
        minutes: 5 * stands,
      };
    case 'mesh':
      return {
        good: 'plantMesh',
        quantity: across * height,
        amount: say`${q(across, 'stock')} by ${q(height, 'stock')}, on two posts of ${q(post, 'stock')}`,
        says: say`Set a post at each end of the back and stretch stiff mesh between them, with openings wide enough for a hand and a fruit.`,
        minutes: 20,
      };
    case 'wire':
      return {
        good: 'wire',
        quantity: 2 * across,
        amount: say`2 of ${q(across, 'stock')}, between two posts of ${q(post, 'stock')}`,
        says: say`Set a post at each end of the row and stretch a wire at half the height and one at the top.`,
        minutes: 20,
      };
  }
}

/** Adds what holds one planting up to the step in which it is planted. @param stands how many plants found room */
export function support(maker: Maker, planted: Planted, i: number, stands: number): void {
  const { bed, heights } = maker.planter;
  const { a } = bed.inside.outlineAt(bed.inside.depth);
  const held = heldBy(planted, stands, heights.surface - heights.base, 2 * a);
  if (!held || stands === 0) return;
  const name = SUPPORTS[planted.support].name;
  maker.part('plant', {
    id: i === 0 ? 'support' : `support-${i}`,
    what: name,
    amount: held.amount,
    use: `For ${cropIn(planted).name.toLowerCase()}`,
    good: SMALL_GOODS[held.good],
    quantity: held.quantity,
  });
  if (cropIn(planted).height >= TALL) maker.warn('plant', 'topple');
  maker.tools('plant', ...(planted.support === 'string' ? ['Ladder'] : []));
  maker.say('plant', held.says, held.minutes);
  if (planted.support === 'mesh' || planted.support === 'wire') {
    maker.part('plant', {
      id: i === 0 ? 'posts' : `posts-${i}`,
      what: `${many(2, 'Post')}`,
      amount: say`2`,
      use: 'One at each end',
      good: SMALL_GOODS.stake,
      quantity: 2,
    });
  }
}
