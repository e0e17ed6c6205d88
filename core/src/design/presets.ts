import { catalogVessel, cropOf, type CropId, type VesselGroup, type VesselId } from '../catalog';
import { DESIGN_VERSION, type PartOf, type PlanterDesign, type VesselDesign } from './schema';
import {
  USUAL_CLOTH,
  USUAL_COLUMN,
  USUAL_CUP,
  USUAL_LYING,
  usualOverflow,
  usualTube,
} from './usual';
import { depthOf } from './heights';

const MM_PER_DAY = 1e-3 / 86_400;
const MM_PER_HOUR = 1e-3 / 3600;
const LITRE_PER_MINUTE = 1e-3 / 60;

/** A design to begin from, and the words to choose it by. */
export interface StartingPoint {
  id: string;
  /** What the person has at hand. */
  group: VesselGroup;
  title: string;
  /** One sentence: what it takes and what it gives. */
  says: string;
  design: PlanterDesign;
}

/** A vessel of the catalogue as a sound, food-safe one stands in a design. */
export function vesselFrom(id: VesselId): VesselDesign {
  const { shape, wall, material } = catalogVessel(id);
  return {
    ...shape,
    wall,
    formerContents: material === 'clay' || material === 'wood' ? 'new' : 'food',
    material,
    colour: material === 'pet' ? 'clear' : 'light',
    rigid: true,
    cracked: false,
    drainHole: false,
  } as VesselDesign;
}

const planting = (crop: CropId, count: number, foliage = cropOf(crop).foliage) => ({
  crop,
  count,
  foliage,
  spacing: cropOf(crop).spacing,
});

const ring = (diameter: number, wall: number): PartOf<'ring'> => ({
  kind: 'ring',
  cutEnd: false,
  diameter,
  wall,
  vents: 'both',
});

const standing = (
  what: PartOf<'standing'>['what'],
  count: number,
  diameter: number,
  wall: number,
): PartOf<'standing'> => ({ kind: 'standing', what, count, diameter, wall, vents: 'both' });

const platform = (top: number, thickness: number, parts: PlanterDesign['reservoir']['parts']) => ({
  top,
  cover: 'platform' as const,
  thickness,
  fill: [],
  parts,
  blanket: null,
  supply: null,
});

const filled = (
  top: number,
  fill: PlanterDesign['reservoir']['fill'],
  parts: PlanterDesign['reservoir']['parts'],
) => ({ ...platform(top, 0.003, parts), cover: 'none' as const, fill });

const MIX = { medium: 'mix', upTo: 1 } as const;

/** A 20 L pail with a platform, no overflow, wick or tube yet: everything still to decide. */
const BLANK: PlanterDesign = {
  format: 'huerta.planter',
  version: DESIGN_VERSION,
  name: 'New planter',
  variant: '',
  notes: '',
  vessel: vesselFrom('pail-20'),
  bed: null,
  reservoir: platform(0.11, 0.003, [ring(0.16, 0.004)]),
  overflow: null,
  wicks: [],
  fillTube: null,
  pipes: [],
  separator: 'none',
  soil: {
    medium: 'coir-perlite',
    freeboard: 0.025,
    settlement: 0.12,
    moistened: true,
    marker: false,
    mulch: 'none',
    bag: 0.02,
    feed: 'none',
    feedDose: 0,
    limeDose: 0,
  },
  planting: planting('lettuce', 3, 0.22),
  place: {
    name: '',
    sun: 'full',
    wind: 'breezy',
    spot: 'ground',
    rain: 'open',
    etMild: 3.5 * MM_PER_DAY,
    etHot: 7 * MM_PER_DAY,
    daysAway: 4,
    liftLimit: 40,
    floorLimit: null,
    slopeAcross: 0,
    slopeAlong: 0,
    falls: 'away',
    hose: 10 * LITRE_PER_MINUTE,
    storm: 75 * MM_PER_HOUR,
    children: false,
    frost: false,
  },
};

const PAIL_DEPTH = depthOf(BLANK.vessel);

const CLOTH_PAIL: PlanterDesign = {
  ...BLANK,
  name: 'Pail with a cloth wick',
  reservoir: platform(0.1, 0.003, [ring(0.16, 0.0047)]),
  overflow: usualOverflow(0.1),
  wicks: [USUAL_CLOTH],
  fillTube: usualTube(PAIL_DEPTH),
  separator: 'fabric',
  soil: { ...BLANK.soil, mulch: 'straw' },
  planting: planting('pepper', 1),
};

const CUP_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail with a packed cup',
  reservoir: platform(0.09, 0.0025, [standing('tub', 4, 0.065, 0.0008)]),
  overflow: usualOverflow(0.09),
  wicks: [{ ...USUAL_CUP, diameter: 0.1 }],
  planting: planting('basil', 3, 0.22),
};

const BOTTLE_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail on drilled bottles',
  reservoir: filled(0.12, [MIX], [standing('bottle', 5, 0.065, 0.0004)]),
  overflow: { ...usualOverflow(0.12), count: 3 },
  wicks: [],
  separator: 'none',
  planting: planting('chard', 2, 0.3),
};

/** A design in another vessel, with its tube and overflow cut for it. */
function inVessel(
  id: VesselId,
  rest: Partial<PlanterDesign> & Pick<PlanterDesign, 'name' | 'reservoir'>,
  overflowDiameter = 0.02,
): PlanterDesign {
  const vessel = vesselFrom(id);
  return {
    ...CLOTH_PAIL,
    vessel,
    overflow: usualOverflow(rest.reservoir.top, overflowDiameter),
    wicks: [],
    fillTube: usualTube(depthOf(vessel), 'mm-40'),
    place: { ...CLOTH_PAIL.place, daysAway: 5, liftLimit: 60 },
    ...rest,
  };
}

const POT_OFFCUTS = inVessel(
  'tub-40',
  {
    name: 'Round tub on small pots',
    reservoir: filled(0.09, [], [standing('pot', 7, 0.09, 0.003)]),
    wicks: [{ ...USUAL_CUP, diameter: 0.12 }],
    planting: planting('chard', 3, 0.32),
  },
  0.016,
);

const STICKS_PAIL = inVessel(
  'pail-25',
  {
    name: 'Pail with crossed sticks',
    reservoir: filled(0.1, [], [{ kind: 'sticks', diameter: 0.014, spacing: 0.045 }]),
    overflow: { ...usualOverflow(0.1), count: 3 },
    wicks: [{ ...USUAL_CUP, diameter: 0.11 }],
    fillTube: usualTube(0.38),
    separator: 'straw',
    planting: planting('parsley', 4, 0.2),
  },
  0.012,
);

const BOTTLE: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Bottle on the windowsill',
  vessel: vesselFrom('bottle-2'),
  bed: { kind: 'neck', neckDiameter: 0.03, shoulder: 0.06, depth: 0.18 },
  reservoir: filled(0.045, [], []),
  overflow: null,
  wicks: [
    {
      ...USUAL_CLOTH,
      material: 'cotton-rope',
      legs: 3,
      width: 0.008,
      thickness: 0.006,
      spread: 0.04,
    },
  ],
  fillTube: null,
  separator: 'none',
  soil: { ...CLOTH_PAIL.soil, freeboard: 0.015, mulch: 'none', bag: 0.005 },
  planting: planting('basil', 1, 0.15),
  place: {
    ...CLOTH_PAIL.place,
    sun: 'half',
    wind: 'calm',
    rain: 'indoors',
    daysAway: 3,
    liftLimit: 20,
  },
};

const TOTE = inVessel(
  'tote-70',
  {
    name: 'Tote with its lid on pipes',
    reservoir: platform(0.09, 0.003, [standing('pipe', 14, 0.05, 0.0024)]),
    wicks: [{ ...USUAL_CUP, count: 2, diameter: 0.11 }],
    planting: planting('chilli', 3),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  },
  0.02,
);

const NESTED = inVessel(
  'tote-50',
  {
    name: 'Two totes, one in the other',
    bed: { kind: 'nested' },
    reservoir: filled(
      0.14,
      [],
      [{ kind: 'crates', what: 'crate', count: 2, length: 0.28, width: 0.19, voids: 0.9 }],
    ),
    overflow: { ...usualOverflow(0.14, 0.02) },
    wicks: [{ ...USUAL_CLOTH, legs: 6 }],
    fillTube: usualTube(0.31 + 0.142, 'mm-32'),
    pipes: [{ use: 'worm', diameter: 0.09, capped: true }],
    planting: planting('lettuce', 4, 0.24),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  },
  0.02,
);

const CUT_BARREL = inVessel(
  'barrel-two-thirds',
  {
    name: 'Barrel with its own end as platform',
    reservoir: platform(0.17, 0.004, [
      { kind: 'ring', cutEnd: true, diameter: 0.565, wall: 0.004, vents: 'both' },
      standing('pipe', 5, 0.075, 0.003),
    ]),
    wicks: [{ ...USUAL_CUP, count: 3, diameter: 0.11 }],
    fillTube: { ...usualTube(0.57, 'mm-40') },
    planting: planting('tomato', 2, 0.55),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
    place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
  },
  0.025,
);

const COIL_BARREL = inVessel('barrel-half', {
  name: 'Half barrel with a coil',
  reservoir: filled(
    0.11,
    [MIX],
    [{ ...USUAL_LYING, lay: 'coil', count: 2, diameter: 0.1, sock: true }],
  ),
  overflow: {
    kind: 'fitting',
    style: 'barb',
    centre: 0.099,
    diameter: 0.026,
    bore: 0.018,
    rise: 0,
    count: 1,
    screened: true,
  },
  fillTube: { ...usualTube(0.36, 'mm-50') },
  planting: planting('courgette', 1, 0.75),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
});

const AIR_BARREL = inVessel('barrel-half', {
  name: 'Half barrel with rows of air holes',
  reservoir: {
    ...filled(
      0.1,
      [{ medium: 'coarse-sand', upTo: 1 }],
      [{ ...USUAL_LYING, lay: 'coil', count: 2, diameter: 0.08 }],
    ),
  },
  overflow: {
    kind: 'rows',
    centre: 0.098,
    diameter: 0.02,
    count: 10,
    rows: 4,
    pitch: 0.075,
    screened: true,
  },
  separator: 'straw',
  fillTube: { ...usualTube(0.36, 'mm-50') },
  soil: { ...CLOTH_PAIL.soil, marker: true, bag: 0.04 },
  planting: planting('kale', 2),
});

const PANEL_BARREL = inVessel('barrel-200', {
  name: 'Whole barrel with a panel laid in',
  reservoir: filled(0.16, [MIX], [{ kind: 'arch', width: 0.44, wall: 0.004, vents: 'both' }]),
  overflow: { ...usualOverflow(0.16, 0.02), count: 2 },
  fillTube: { ...usualTube(0.86, 'mm-40') },
  separator: 'fabric',
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, freeboard: 0.3, bag: 0.04 },
  planting: planting('cherry-tomato', 2, 0.45),
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

const LYING_BARREL = inVessel('barrel-lying', {
  name: 'Half barrel on its side',
  reservoir: filled(
    0.1,
    [
      { medium: 'coarse-sand', upTo: 0.9 },
      { medium: 'mix', upTo: 1 },
    ],
    [{ ...USUAL_LYING, count: 1, diameter: 0.08 }],
  ),
  fillTube: { ...usualTube(0.205, 'mm-40') },
  planting: planting('spinach', 12, 0.18),
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
});

const STONE_POT = inVessel('pot-40', {
  name: 'Decorative pot on gravel',
  vessel: { ...vesselFrom('pot-40'), drainHole: false },
  reservoir: filled(0.08, [{ medium: 'gravel', upTo: 1 }], []),
  overflow: {
    kind: 'fitting',
    style: 'elbow',
    centre: 0.064,
    diameter: 0.022,
    bore: 0.016,
    rise: 0.008,
    count: 1,
    screened: true,
  },
  wicks: [{ ...USUAL_CLOTH, legs: 4, spread: 0.06 }],
  fillTube: { ...usualTube(0.37, 'mm-25'), run: 0.2 },
  planting: planting('strawberry', 3, 0.24),
});

const BOX_ON_LEGS = inVessel('box-legs', {
  name: 'Timber box on legs',
  reservoir: filled(
    0.09,
    [
      { medium: 'pea-gravel', upTo: 0.5 },
      { medium: 'mix', upTo: 1 },
    ],
    [{ ...USUAL_LYING, lay: 'loop', count: 1, diameter: 0.06, wall: 0.0015 }],
  ),
  overflow: {
    kind: 'fitting',
    style: 'liner',
    centre: 0.078,
    diameter: 0.032,
    bore: 0.026,
    rise: 0,
    count: 1,
    screened: true,
  },
  fillTube: { ...usualTube(0.29, 'mm-50') },
  planting: planting('lettuce', 10, 0.22),
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
});

const FILM_BED = inVessel('bed-small', {
  name: 'Raised bed with a pipe and boxes',
  vessel: { ...vesselFrom('bed-small'), liner: 'film' } as VesselDesign,
  reservoir: filled(
    0.16,
    [{ medium: 'gravel', upTo: 1 }],
    [
      { ...USUAL_LYING, count: 1, diameter: 0.1 },
      { kind: 'crates', what: 'former', count: 4, length: 0.34, width: 0.22, voids: 0.96 },
    ],
  ),
  overflow: {
    kind: 'fitting',
    style: 'liner',
    centre: 0.158,
    diameter: 0.05,
    bore: 0.042,
    rise: 0,
    count: 1,
    screened: true,
  },
  wicks: [{ ...USUAL_COLUMN, medium: 'mix', count: 4, diameter: 0.14 }],
  pipes: [{ use: 'inspection', diameter: 0.075, capped: true }],
  fillTube: { ...usualTube(0.4, 'mm-50') },
  planting: planting('pepper', 6),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

const ROCK_BED = inVessel('bed-large', {
  name: 'Large bed on rounded rock',
  reservoir: filled(
    0.2,
    [
      { medium: 'rounded-rock', upTo: 0.8 },
      { medium: 'coarse-sand', upTo: 1 },
    ],
    [],
  ),
  overflow: {
    kind: 'fitting',
    style: 'liner',
    centre: 0.19,
    diameter: 0.063,
    bore: 0.05,
    rise: 0,
    count: 2,
    screened: true,
  },
  wicks: [{ ...USUAL_COLUMN, count: 8, diameter: 0.2, medium: 'mix' }],
  fillTube: { ...usualTube(0.6, 'mm-75'), run: 0.5 },
  planting: planting('tomato', 8),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.05 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

const TROUGH = inVessel('trough-270', {
  name: 'Stock trough over three pipes',
  reservoir: filled(0.165, [MIX], [{ ...USUAL_LYING, count: 3, diameter: 0.16, wall: 0.003 }]),
  overflow: { ...usualOverflow(0.165, 0.025), count: 2 },
  fillTube: { ...usualTube(0.3, 'mm-50') },
  separator: 'fabric',
  planting: planting('pepper', 4),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 60 },
});

const TANK = inVessel('tank-half', {
  name: 'Half bulk tank on crates',
  reservoir: {
    ...filled(
      0.13,
      [],
      [{ kind: 'crates', what: 'crate', count: 6, length: 0.36, width: 0.3, voids: 0.92 }],
    ),
    blanket: { medium: 'coarse-sand', thickness: 0.02 },
  },
  overflow: {
    kind: 'fitting',
    style: 'barb',
    centre: 0.112,
    diameter: 0.032,
    bore: 0.025,
    rise: 0,
    count: 2,
    screened: true,
  },
  wicks: [
    { ...USUAL_COLUMN, count: 4, diameter: 0.2 },
    { ...USUAL_CUP, count: 1, diameter: 0.24 },
  ],
  fillTube: { ...usualTube(0.5, 'mm-50') },
  soil: { ...CLOTH_PAIL.soil, marker: true, bag: 0.05 },
  planting: planting('cabbage', 5),
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

const GUTTER: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pails on a gutter',
  vessel: { ...vesselFrom('gutter-box') },
  bed: {
    kind: 'row',
    count: 5,
    topDiameter: 0.295,
    bottomDiameter: 0.262,
    depth: 0.368,
    wall: 0.002,
  },
  reservoir: { ...filled(0.11, [], []), supply: { level: 0.06, volume: 0.2 } },
  overflow: {
    kind: 'fitting',
    style: 'end',
    centre: 0.085,
    diameter: 0.032,
    bore: 0.026,
    rise: 0,
    count: 1,
    screened: true,
  },
  wicks: [{ ...USUAL_CUP, count: 5, diameter: 0.1 }],
  fillTube: null,
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  planting: planting('tomato', 5, 0.5),
  place: { ...CLOTH_PAIL.place, daysAway: 10, liftLimit: 60 },
};

const BAGS: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Grow bags in a tray',
  vessel: vesselFrom('tray-60'),
  bed: {
    kind: 'bag',
    count: 2,
    topDiameter: 0.26,
    bottomDiameter: 0.26,
    depth: 0.28,
    wall: 0.003,
  },
  reservoir: filled(0.06, [], []),
  overflow: { kind: 'rim' },
  wicks: [],
  fillTube: null,
  separator: 'none',
  planting: planting('chilli', 2, 0.35),
  place: { ...CLOTH_PAIL.place, daysAway: 1 },
};

/** What a new planter can begin from, by what is at hand. The last is blank. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'cloth-pail',
    group: 'pail',
    title: 'A pail, its lid and an old shirt',
    says: 'The lid, cut down, stands on a split ring of pipe. Legs of cotton hang into the water.',
    design: CLOTH_PAIL,
  },
  {
    id: 'cup-pail',
    group: 'pail',
    title: 'A pail, some tubs and a cup',
    says: 'The lid stands on drilled tubs. A drilled cup packed with mix stands in the water.',
    design: CUP_PAIL,
  },
  {
    id: 'bottle-pail',
    group: 'pail',
    title: 'A pail and empty bottles',
    says: 'Drilled bottles stand on the floor. The mix that falls between them lifts the water.',
    design: BOTTLE_PAIL,
  },
  {
    id: 'pot-tub',
    group: 'pail',
    title: 'A round tub and small pots',
    says: 'Fabric spans from pot to pot, without a platform. A drilled pot packed with mix is the wick.',
    design: POT_OFFCUTS,
  },
  {
    id: 'stick-pail',
    group: 'pail',
    title: 'A pail, sticks and straw',
    says: 'Layers of crossed sticks keep the soil up; straw or moss lies over them.',
    design: STICKS_PAIL,
  },
  {
    id: 'tote-pipes',
    group: 'tote',
    title: 'A tote, its lid and pipe offcuts',
    says: 'The lid, cut to go inside, stands on short pipes. Two drilled cups are the wicks.',
    design: TOTE,
  },
  {
    id: 'nested-totes',
    group: 'tote',
    title: 'Two equal totes',
    says: 'One stands in the other on crates. Rags hang through its floor; a worm tube feeds the soil.',
    design: NESTED,
  },
  {
    id: 'bottle',
    group: 'bottle',
    title: 'A bottle and twine',
    says: 'Its upper part, turned over, holds the soil. Twine goes down through the cap. Days, not weeks.',
    design: BOTTLE,
  },
  {
    id: 'cut-barrel',
    group: 'barrel',
    title: 'A barrel, cut at a third',
    says: 'The cut end slides in as the platform. Cups packed with soil stand in the water.',
    design: CUT_BARREL,
  },
  {
    id: 'coil-barrel',
    group: 'barrel',
    title: 'Half a barrel and drain pipe',
    says: 'A coil of socked drain pipe lies on the floor with the mix around it.',
    design: COIL_BARREL,
  },
  {
    id: 'air-barrel',
    group: 'barrel',
    title: 'Half a barrel with air holes',
    says: 'Rows of side holes prune the roots; the lowest row is the overflow. A coil lies in sand.',
    design: AIR_BARREL,
  },
  {
    id: 'panel-barrel',
    group: 'barrel',
    title: 'A whole barrel, standing',
    says: 'A curved panel cut from a side lies in the base. Soil goes down along its edges.',
    design: PANEL_BARREL,
  },
  {
    id: 'lying-barrel',
    group: 'barrel',
    title: 'Half a barrel, cut lengthwise',
    says: 'A drain pipe lies along its lowest line, in sand. Long, low and wide for leaves.',
    design: LYING_BARREL,
  },
  {
    id: 'stone-pot',
    group: 'pot',
    title: 'A decorative pot and gravel',
    says: 'Its drain hole is patched. Gravel holds the water, a cloth goes to the floor.',
    design: STONE_POT,
  },
  {
    id: 'trough-pipes',
    group: 'trough',
    title: 'A stock trough and three wide pipes',
    says: 'Pipes lie side by side on the floor. Soil goes down between and beside them.',
    design: TROUGH,
  },
  {
    id: 'box-legs',
    group: 'bed',
    title: 'A timber box on legs',
    says: 'Pond liner, a loop of pipe drilled on its underside, gravel to half its height.',
    design: BOX_ON_LEGS,
  },
  {
    id: 'film-bed',
    group: 'bed',
    title: 'A raised bed with pipe and boxes',
    says: 'Film, gravel, a slotted pipe and void boxes; columns of mix bring the water up.',
    design: FILM_BED,
  },
  {
    id: 'rock-bed',
    group: 'bed',
    title: 'A large bed on rounded rock',
    says: 'Rock throughout under sand. Heavy; columns of mix go to the floor, or the water stays there.',
    design: ROCK_BED,
  },
  {
    id: 'tank-crates',
    group: 'tank',
    title: 'Half a bulk tank and crates',
    says: 'Crates as a false floor, sand columns in the corners, a sand blanket over all.',
    design: TANK,
  },
  {
    id: 'gutter-pails',
    group: 'gutter',
    title: 'A gutter, pails and a barrel',
    says: 'A float valve keeps the channel full from a barrel. A net cup hangs from each pail.',
    design: GUTTER,
  },
  {
    id: 'bag-tray',
    group: 'tray',
    title: 'Grow bags in a tray',
    says: 'The bag’s own base is the wick. Lift them out of the tray in a long wet spell.',
    design: BAGS,
  },
  {
    id: 'blank',
    group: 'pail',
    title: 'A pail and nothing decided',
    says: 'Only the pail and a platform. The findings lead through the rest.',
    design: BLANK,
  },
];
