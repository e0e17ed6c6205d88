import type { VesselGroup } from '../../catalog';
import { cropIn } from '../plantingSchema';
import type { PlanterDesign } from '../schema';
import { AIR_BARREL, COIL_BARREL, CUT_BARREL, LYING_BARREL, PANEL_BARREL } from './barrels';
import { BAGS, GUTTER } from './beds';
import { BOX_ON_LEGS, FILM_BED, ROCK_BED, STONE_POT, TANK, TROUGH } from './large';
import { BLANK, BOTTLE_PAIL, CLOTH_PAIL, CUP_PAIL } from './pails';
import { BOTTLE, NESTED, POT_OFFCUTS, STICKS_PAIL, TOTE } from './small';

export { inInches, vesselIn } from './inches';
export { USUAL_PLACE } from './pails';
export { vesselFrom } from './parts';

/** A design to begin from, and the words to choose it by. */
export interface StartingPoint {
  id: string;
  /** What the person has at hand. */
  group: VesselGroup;
  /** What one calls the vessel, behind the name of what grows in it. */
  noun: string;
  title: string;
  /** One sentence: what it takes and what it gives. */
  says: string;
  design: PlanterDesign;
}

/** What a new planter can begin from, by what is at hand. The last is blank. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'cloth-pail',
    group: 'pail',
    noun: 'pail',
    title: 'A pail, its lid and an old shirt',
    says: 'The lid, cut down, stands on a split ring of pipe. Legs of cotton hang into the water.',
    design: CLOTH_PAIL,
  },
  {
    id: 'cup-pail',
    group: 'pail',
    noun: 'pail',
    title: 'A pail, some tubs and a cup',
    says: 'The lid stands on drilled tubs. A drilled cup packed with mix stands in the water.',
    design: CUP_PAIL,
  },
  {
    id: 'bottle-pail',
    group: 'pail',
    noun: 'pail',
    title: 'A pail and empty bottles',
    says: 'Drilled bottles stand on the floor. The mix that falls between them lifts the water.',
    design: BOTTLE_PAIL,
  },
  {
    id: 'pot-tub',
    group: 'pail',
    noun: 'tub',
    title: 'A round tub and small pots',
    says: 'Fabric spans from pot to pot, without a platform. A drilled pot packed with mix is the wick.',
    design: POT_OFFCUTS,
  },
  {
    id: 'stick-pail',
    group: 'pail',
    noun: 'pail',
    title: 'A pail, sticks and straw',
    says: 'Layers of crossed sticks keep the soil up; straw or moss lies over them.',
    design: STICKS_PAIL,
  },
  {
    id: 'tote-pipes',
    group: 'tote',
    noun: 'tote',
    title: 'A tote, its lid and pipe offcuts',
    says: 'The lid, cut to go inside, stands on short pipes. Two drilled cups are the wicks.',
    design: TOTE,
  },
  {
    id: 'nested-totes',
    group: 'tote',
    noun: 'tote',
    title: 'Two equal totes',
    says: 'One stands in the other on crates. Rags hang through its floor; a worm tube feeds the soil.',
    design: NESTED,
  },
  {
    id: 'bottle',
    group: 'bottle',
    noun: 'bottle',
    title: 'A bottle and twine',
    says: 'Its upper part, turned over, holds the soil. Twine goes down through the cap. Days, not weeks.',
    design: BOTTLE,
  },
  {
    id: 'cut-barrel',
    group: 'barrel',
    noun: 'barrel',
    title: 'A barrel, cut at a third',
    says: 'The cut end slides in as the platform. Cups packed with soil stand in the water.',
    design: CUT_BARREL,
  },
  {
    id: 'coil-barrel',
    group: 'barrel',
    noun: 'half barrel',
    title: 'Half a barrel and drain pipe',
    says: 'A coil of socked drain pipe lies on the floor with the mix around it.',
    design: COIL_BARREL,
  },
  {
    id: 'air-barrel',
    group: 'barrel',
    noun: 'half barrel',
    title: 'Half a barrel with air holes',
    says: 'Rows of side holes prune the roots; the lowest row is the overflow. A coil lies in sand.',
    design: AIR_BARREL,
  },
  {
    id: 'panel-barrel',
    group: 'barrel',
    noun: 'barrel',
    title: 'A whole barrel, standing',
    says: 'A curved panel cut from a side lies in the base. Soil goes down along its edges.',
    design: PANEL_BARREL,
  },
  {
    id: 'lying-barrel',
    group: 'barrel',
    noun: 'half barrel',
    title: 'Half a barrel, cut lengthwise',
    says: 'A drain pipe lies along its lowest line, in sand. Long, low and wide for leaves.',
    design: LYING_BARREL,
  },
  {
    id: 'stone-pot',
    group: 'pot',
    noun: 'pot',
    title: 'A decorative pot and gravel',
    says: 'Its drain hole is patched. Gravel holds the water, a cloth goes to the floor.',
    design: STONE_POT,
  },
  {
    id: 'trough-pipes',
    group: 'trough',
    noun: 'trough',
    title: 'A stock trough and three wide pipes',
    says: 'Pipes lie side by side on the floor. Soil goes down between and beside them.',
    design: TROUGH,
  },
  {
    id: 'box-legs',
    group: 'bed',
    noun: 'box',
    title: 'A timber box on legs',
    says: 'Pond liner, a loop of pipe drilled on its underside, gravel to half its height.',
    design: BOX_ON_LEGS,
  },
  {
    id: 'film-bed',
    group: 'bed',
    noun: 'bed',
    title: 'A raised bed with pipe and boxes',
    says: 'Film, gravel, a slotted pipe and void boxes; columns of mix bring the water up.',
    design: FILM_BED,
  },
  {
    id: 'rock-bed',
    group: 'bed',
    noun: 'bed',
    title: 'A large bed on rounded rock',
    says: 'Rock throughout under sand. Heavy; columns of mix go to the floor, or the water stays there.',
    design: ROCK_BED,
  },
  {
    id: 'tank-crates',
    group: 'tank',
    noun: 'half tank',
    title: 'Half a bulk tank and crates',
    says: 'Crates as a false floor, sand columns in the corners, a sand blanket over all.',
    design: TANK,
  },
  {
    id: 'gutter-pails',
    group: 'gutter',
    noun: 'gutter',
    title: 'A gutter, pails and a barrel',
    says: 'A float valve keeps the channel full from a barrel. A net cup hangs from each pail.',
    design: GUTTER,
  },
  {
    id: 'bag-tray',
    group: 'tray',
    noun: 'tray',
    title: 'Grow bags in a tray',
    says: 'The bag’s own base is the wick. Lift them out of the tray in a long wet spell.',
    design: BAGS,
  },
  {
    id: 'blank',
    group: 'pail',
    noun: 'pail',
    title: 'A pail and nothing decided',
    says: 'Only the pail and a platform. The findings lead through the rest.',
    design: BLANK,
  },
];

/** Crops that one calls salad. */
const SALAD: ReadonlySet<string> = new Set([
  'lettuce',
  'cos-lettuce',
  'cut-lettuce',
  'rocket',
  'lambs-lettuce',
]);

/**
 * What a planter that begins from here is called: by its crop and its vessel, as 'Salad tote', with a number where
 * that name is taken.
 *
 * @param taken names of the garden's planters
 * @param say writes a crop's name as the person spells it
 */
export function nameFor(
  { design, noun, id }: Pick<StartingPoint, 'design' | 'noun' | 'id'>,
  taken: readonly string[],
  say: (name: string) => string = (name) => name,
): string {
  const [first] = design.planting.crops;
  const crop = !first ? '' : SALAD.has(first.crop) ? 'Salad' : say(cropIn(first).name);
  const name = id === 'blank' || crop === '' ? design.name : `${crop} ${noun}`;
  for (let number = 2, now = name; ; number += 1) {
    if (!taken.includes(now)) return now;
    now = `${name} ${number}`;
  }
}
