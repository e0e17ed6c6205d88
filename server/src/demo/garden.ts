import {
  cupOf,
  applyPatch,
  inInches,
  inspected,
  STARTING_POINTS,
  usualPlanted,
  usualTube,
  vesselFrom,
  type Patch,
  type Planted,
  type PlanterDesign,
  type VesselDesign,
} from '@huerta/core/document';
import type { CropId } from '@huerta/core/catalog';
import type { UnitSystem } from '@huerta/core/units';
import type { Services } from '../services';

/** The garden at Casa Lumbre in Vallesol: a courtyard, a roof, a kitchen step and a north wall. */

const start = (id: string): PlanterDesign => {
  const found = STARTING_POINTS.find((point) => point.id === id);
  if (!found) throw new Error(`No starting point ${id}`);
  return found.design;
};

const set = (path: (string | number)[], value: unknown): Patch[number] => ({ path, value });

/** A dry hill town in August. */
const AUGUST = set(['place', 'etHot'], 0.0085 / 86_400);

const grows = (crop: CropId, count: number, other: Partial<Planted> = {}) =>
  set(['planting', 'crops'], [usualPlanted(crop, count, other)]);

const SHELTERED = [set(['place', 'sun'], 'half'), set(['place', 'wind'], 'calm')];

/** The demo planters, in the order in which they were made. */
export const DEMO_GARDEN: readonly PlanterDesign[] = [
  applyPatch(start('cloth-pail'), [
    set(['name'], 'Peppers on the kitchen step'),
    set(
      ['notes'],
      'Lid of the olive pail, ring from a drain pipe offcut, legs cut from an old sheet.',
    ),
    set(['planting', 'crops', 0, 'foliage'], 0.42),
    set(['place', 'name'], 'Kitchen step'),
    set(['reservoir', 'top'], 0.095),
    set(['overflow', 'centre'], 0.081),
    set(['place', 'daysAway'], 3),
  ]),
  applyPatch(start('cup-pail'), [
    set(['name'], 'Basil by the kitchen door'),
    set(['notes'], 'Four yoghurt tubs, drilled top and bottom. The cup went in wet and tight.'),
    set(['place', 'name'], 'Kitchen step'),
    ...SHELTERED,
    set(['place', 'daysAway'], 5),
  ]),
  applyPatch(start('bottle-pail'), [
    set(['name'], 'Chard along the north wall'),
    set(['place', 'name'], 'North wall'),
    ...SHELTERED,
    set(['place', 'daysAway'], 4),
  ]),
  applyPatch(start('cloth-pail'), [
    set(['name'], 'Aubergine, drilled too high'),
    set(['notes'], 'Marked the overflow at the height of the platform, not under it.'),
    set(['overflow', 'centre'], 0.118),
    set(['overflow', 'diameter'], 0.016),
    grows('aubergine', 1, { foliage: 0.5, spacing: 0.45 }),
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
      form: 'strips',
      holes: 1,
      at: null,
      strip: null,
    }),
    grows('tomato', 1, { foliage: 0.6, spacing: 0.45, support: 'cage' }),
    set(['place', 'name'], 'Roof'),
    set(['place', 'spot'], 'wall'),
    set(['place', 'floorLimit'], 3000),
    set(['vessel', 'colour'], 'dark'),
    AUGUST,
  ]),
  applyPatch(start('cup-pail'), [
    set(['name'], 'Mint in the small pail'),
    set(['vessel'], vesselFrom('pail-10')),
    set(['reservoir', 'top'], 0.06),
    set(['reservoir', 'parts', 0, 'count'], 3),
    set(['reservoir', 'parts', 0, 'vents'], 'foot'),
    set(['reservoir', 'parts', 0, 'diameter'], 0.06),
    set(['wicks', 0], cupOf(0.07)),
    set(['overflow', 'centre'], 0.046),
    set(['fillTube'], { ...usualTube(0.24, 'mm-25'), foot: 'notch', cap: 'sponge' }),
    grows('mint', 1, { foliage: 0.3, spacing: 0.3 }),
    set(['place', 'name'], 'Well, in the shade of the fig'),
    ...SHELTERED,
    set(['place', 'daysAway'], 3),
  ]),
  applyPatch(start('bottle-pail'), [
    set(['name'], 'Lettuces in the round tub'),
    set(['vessel'], vesselFrom('tub-40')),
    set(['reservoir', 'parts', 0, 'count'], 12),
    set(['reservoir', 'parts', 0, 'diameter'], 0.07),
    set(['overflow', 'count'], 3),
    set(['fillTube', 'length'], 0.44),
    set(['soil', 'recipe'], {
      parts: [
        { what: 'coir', parts: 3 },
        { what: 'leaf-mould', parts: 1 },
        { what: 'pumice', parts: 1 },
        { what: 'castings', parts: 0.5 },
      ],
      measured: null,
    }),
    set(['soil', 'settlement'], 0.13),
    grows('lettuce', 5, { foliage: 0.22, spacing: 0.2 }),
    set(['place', 'name'], 'Courtyard, under the pergola'),
    ...SHELTERED,
    set(['place', 'rain'], 'covered'),
    set(['place', 'daysAway'], 7),
    set(['place', 'liftLimit'], 60),
  ]),
  applyPatch(start('trough-pipes'), [
    set(['name'], 'Peppers in the trough'),
    set(['notes'], 'The goat’s old trough. Three wide pipes, capped, slotted with the saw.'),
    set(['place', 'name'], 'By the well'),
  ]),
  applyPatch(start('cut-barrel'), [
    set(['name'], 'Barrel at the stairs'),
    set(['variant'], 'as it stands'),
    set(['place', 'name'], 'Foot of the stairs'),
  ]),
  applyPatch(start('cut-barrel'), [
    set(['name'], 'Barrel at the stairs'),
    set(['variant'], 'deeper water'),
    set(['reservoir', 'top'], 0.23),
    set(['overflow', 'centre'], 0.2125),
    set(['wicks', 0, 'count'], 5),
    set(['place', 'name'], 'Foot of the stairs'),
  ]),
  applyPatch(start('box-legs'), [
    set(['name'], 'Salad box on legs'),
    set(['place', 'name'], 'Courtyard, at the table'),
    set(['vessel', 'fall'], 0.008),
    ...SHELTERED,
    set(
      ['planting', 'crops'],
      [
        usualPlanted('cos-lettuce', 6, { start: 'raised', stays: 60 }),
        usualPlanted('pepper', 3, { from: 45 }),
        usualPlanted('chives', 4),
        usualPlanted('lambs-lettuce', 12, { start: 'seed', from: 175, stays: 75 }),
      ],
    ),
    set(['soil', 'feed'], 'organic'),
    set(['soil', 'feedDose'], 4),
    set(['soil', 'feedNitrogen'], 0.05),
    set(['soil', 'feedLasts'], 42),
  ]),
  applyPatch(start('stone-pot'), [
    set(['name'], 'Strawberries in the glazed pot'),
    set(['notes'], 'Gravel to a third, and no cloth: so it was done at the market garden.'),
    set(['wicks'], []),
    set(['reservoir', 'top'], 0.11),
    set(['overflow', 'centre'], 0.092),
    set(['vessel', 'drainHole'], 'open'),
    set(['place', 'name'], 'Beside the door'),
  ]),
  applyPatch(start('gutter-pails'), [
    set(['name'], 'Tomatoes on the gutter'),
    set(['place', 'name'], 'South wall'),
    set(['place', 'spot'], 'wall'),
    AUGUST,
  ]),
  applyPatch(start('bottle'), [
    set(['name'], 'Basil on the windowsill'),
    set(['place', 'name'], 'Kitchen window'),
  ]),
  applyPatch(start('tank-crates'), [
    set(['name'], 'Cabbages in the half tank'),
    set(['place', 'name'], 'Behind the shed'),
    set(['place', 'daysAway'], 10),
  ]),
  ...['Beans in the first tote', 'Beans in the second tote'].map((name) =>
    applyPatch(start('tote-pipes'), [
      set(['name'], name),
      grows('bean', 6),
      set(['place', 'name'], 'Below the rain barrel'),
    ]),
  ),
  applyPatch(start('pot-tub'), [
    set(['name'], 'Cucumber in the tub'),
    grows('cucumber', 1),
    set(['place', 'name'], 'Below the rain barrel'),
  ]),
];

/** Planters of the demo that hoses join, in the order of the hose, and what they are called together. */
export const DEMO_LINE = {
  name: 'Below the rain barrel',
  planters: ['Beans in the first tote', 'Beans in the second tote', 'Cucumber in the tub'],
} as const;

/** Vessels that somebody at Casa Lumbre measured. */
const DEMO_VESSELS: readonly { name: string; vessel: VesselDesign }[] = [
  {
    name: 'The olive pail',
    vessel: {
      ...inspected(vesselFrom('pail-15')),
      kind: 'poured',
      plan: 'round',
      ratio: 1,
      depth: 0.29,
      readings: [
        { volume: 0.002, height: 0.038 },
        { volume: 0.005, height: 0.092 },
        { volume: 0.01, height: 0.177 },
        { volume: 0.015, height: 0.256 },
      ],
    },
  },
  {
    name: 'Grandmother’s washtub',
    vessel: {
      ...inspected(vesselFrom('trough-90')),
      kind: 'stations',
      plan: 'round',
      stations: [
        { height: 0, length: 0.52, width: 0.52 },
        { height: 0.06, length: 0.58, width: 0.58 },
        { height: 0.28, length: 0.64, width: 0.64 },
      ],
    },
  },
];

/** The demo planters as they are built where one measures so. */
export const demoGarden = (units: UnitSystem): readonly PlanterDesign[] =>
  units === 'us' ? DEMO_GARDEN.map(inInches) : DEMO_GARDEN;

/** Puts the demo planters into a garden that is still empty. */
export async function loadDemoGarden(
  { planters }: Services,
  units: UnitSystem = 'metric',
): Promise<void> {
  if ((await planters.list()).kept.length > 0) return;
  for (const design of demoGarden(units)) {
    await planters.create({ name: design.name, value: design });
  }
}

/** Puts the measured vessels among those of a garden that has none. */
export async function loadDemoVessels({ vessels }: Services): Promise<void> {
  if ((await vessels.list()).kept.length > 0) return;
  for (const { name, vessel } of DEMO_VESSELS) await vessels.create({ name, value: vessel });
}
