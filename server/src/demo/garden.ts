import {
  applyPatch,
  ROUND_VESSELS,
  STARTING_POINTS,
  usualTube,
  type Patch,
  type PlanterDesign,
} from '@huerta/core';
import type { PlanterService } from '../services/planters';

/** The garden at Casa Lumbre in Vallesol: a courtyard, a roof, a kitchen step and a north wall. */

const start = (id: string): PlanterDesign => {
  const found = STARTING_POINTS.find((point) => point.id === id);
  if (!found) throw new Error(`No starting point ${id}`);
  return found.design;
};

const set = (path: (string | number)[], value: unknown): Patch[number] => ({ path, value });

const { name: _small, ...PAIL_10 } = ROUND_VESSELS['pail-10'];
const { name: _large, ...TUB_40 } = ROUND_VESSELS['tub-40'];

/** A dry hill town in August. */
const AUGUST = set(['place', 'etHot'], 0.0085 / 86_400);

/** The demo planters, in the order in which they were made. */
export const DEMO_GARDEN: readonly PlanterDesign[] = [
  applyPatch(start('cloth-pail'), [
    set(['name'], 'Peppers on the kitchen step'),
    set(
      ['notes'],
      'Lid of the olive pail, ring from a drain pipe offcut, legs cut from an old sheet.',
    ),
    set(['planting'], { crop: 'pepper', count: 1, foliage: 0.42 }),
    set(['place', 'name'], 'Kitchen step'),
    set(['reservoir', 'underside'], 0.095),
    set(['overflow', 'centre'], 0.081),
    set(['place', 'daysAway'], 4),
  ]),
  applyPatch(start('cup-pail'), [
    set(['name'], 'Basil by the kitchen door'),
    set(['notes'], 'Four yoghurt tubs, drilled top and bottom. The cup went in wet and tight.'),
    set(['place', 'name'], 'Kitchen step'),
    set(['place', 'exposure'], 'sheltered'),
    set(['place', 'daysAway'], 5),
  ]),
  applyPatch(start('bottle-pail'), [
    set(['name'], 'Chard along the north wall'),
    set(['place', 'name'], 'North wall'),
    set(['place', 'exposure'], 'sheltered'),
    set(['place', 'daysAway'], 4),
  ]),
  applyPatch(start('cloth-pail'), [
    set(['name'], 'Aubergine, drilled too high'),
    set(['notes'], 'Marked the overflow at the height of the platform, not under it.'),
    set(['overflow', 'centre'], 0.118),
    set(['overflow', 'diameter'], 0.016),
    set(['planting'], { crop: 'aubergine', count: 1, foliage: 0.5 }),
    set(['place', 'name'], 'Courtyard'),
  ]),
  applyPatch(start('cloth-pail'), [
    set(['name'], 'Tomato on the roof'),
    set(['notes'], 'One bootlace for a wick. Fine in May.'),
    set(['wicks', 0], {
      kind: 'cloth',
      material: 'synthetic-rope',
      legs: 1,
      width: 0.008,
      thickness: 0.006,
      foot: 0,
      spread: 0.05,
      strip: null,
    }),
    set(['planting'], { crop: 'tomato', count: 1, foliage: 0.6 }),
    set(['place', 'name'], 'Roof'),
    set(['place', 'exposure'], 'hot'),
    set(['place', 'floorLimit'], 3000),
    set(['vessel', 'colour'], 'dark'),
    AUGUST,
  ]),
  applyPatch(start('cup-pail'), [
    set(['name'], 'Mint in the small pail'),
    set(['vessel'], { ...start('cup-pail').vessel, ...PAIL_10 }),
    set(['reservoir', 'underside'], 0.06),
    set(['reservoir', 'supports', 'count'], 3),
    set(['reservoir', 'supports', 'vents'], 'foot'),
    set(['reservoir', 'supports', 'diameter'], 0.06),
    set(['wicks', 0, 'diameter'], 0.07),
    set(['overflow', 'centre'], 0.046),
    set(['fillTube'], { ...usualTube(PAIL_10.depth, 'mm-25'), foot: 'notch', cap: 'sponge' }),
    set(['planting'], { crop: 'mint', count: 1, foliage: 0.3 }),
    set(['place', 'name'], 'Well, in the shade of the fig'),
    set(['place', 'exposure'], 'sheltered'),
    set(['place', 'daysAway'], 3),
  ]),
  applyPatch(start('bottle-pail'), [
    set(['name'], 'Lettuces in the round tub'),
    set(['vessel'], { ...start('bottle-pail').vessel, ...TUB_40 }),
    set(['reservoir', 'count'], 12),
    set(['reservoir', 'diameter'], 0.07),
    set(['overflow', 'count'], 3),
    set(['fillTube', 'length'], 0.44),
    set(['planting'], { crop: 'lettuce', count: 5, foliage: 0.22 }),
    set(['place', 'name'], 'Courtyard, under the pergola'),
    set(['place', 'exposure'], 'sheltered'),
    set(['place', 'rain'], 'covered'),
    set(['place', 'daysAway'], 7),
    set(['place', 'liftLimit'], 60),
  ]),
];

/** Puts the demo planters into a garden that is still empty. */
export async function loadDemoGarden(planters: PlanterService): Promise<void> {
  if ((await planters.list()).length > 0) return;
  for (const design of DEMO_GARDEN) await planters.create(design);
}
