import fc from 'fast-check';
import { CROP_IDS, START_IDS, SUPPORT_IDS } from '../catalog';
import { ownFrom, type OwnCrop, type Planted } from '../document';
import { between, oneOf } from './arbitrary';

/** Random plantings for property tests. */

const spot = fc.record({ x: between(-0.4, 0.4), y: between(-0.4, 0.4) });

const anyOwn: fc.Arbitrary<OwnCrop> = fc
  .tuple(oneOf(CROP_IDS), between(0.3, 1.2), between(0.1, 0.5))
  .map(([like, kc, roots]) => ({ ...ownFrom(like, 'One of ours'), kc, roots }));

/** One planting of a list, at any time, in any bed, with places of its own or none. */
export const anyPlanted: fc.Arbitrary<Planted> = fc.record({
  crop: oneOf(CROP_IDS),
  own: fc.option(anyOwn, { freq: 4 }).map((own) => own),
  count: fc.integer({ min: 0, max: 6 }),
  foliage: between(0.1, 1),
  spacing: between(0.1, 0.6),
  start: oneOf(START_IDS),
  from: fc.integer({ min: 0, max: 120 }),
  stays: fc.option(fc.integer({ min: 5, max: 200 })),
  bed: fc.option(fc.integer({ min: 0, max: 6 }), { freq: 1 }),
  places: fc.option(fc.array(spot, { maxLength: 4 }), { freq: 1 }),
  support: oneOf(SUPPORT_IDS),
});
