import { ROUND_VESSELS } from '../catalog';
import { DESIGN_VERSION, type PlanterDesign } from './schema';
import { USUAL_CLOTH, USUAL_CUP, usualOverflow, usualTube } from './usual';

const MM_PER_DAY = 1e-3 / 86_400;
const MM_PER_HOUR = 1e-3 / 3600;
const LITRE_PER_MINUTE = 1e-3 / 60;

/** A design to begin from, and the words to choose it by. */
export interface StartingPoint {
  id: string;
  title: string;
  /** One sentence: what it takes and what it gives. */
  says: string;
  design: PlanterDesign;
}

const { name: _pailName, ...PAIL } = ROUND_VESSELS['pail-20'];

/** A 20 L pail with a platform, no overflow, wick or tube yet: everything still to decide. */
const BLANK: PlanterDesign = {
  format: 'huerta.planter',
  version: DESIGN_VERSION,
  name: 'New planter',
  notes: '',
  vessel: {
    kind: 'round',
    ...PAIL,
    formerContents: 'food',
    plastic: 'pp',
    colour: 'light',
    drainHole: false,
  },
  reservoir: {
    kind: 'platform',
    underside: 0.11,
    thickness: 0.003,
    supports: { kind: 'ring', diameter: 0.16, wall: 0.004, vents: 'both' },
  },
  overflow: null,
  wicks: [],
  fillTube: null,
  separator: 'none',
  soil: {
    medium: 'coir-perlite',
    freeboard: 0.025,
    settlement: 0.12,
    moistened: true,
    mulch: 'none',
    bag: 0.02,
    feed: 'none',
    feedDose: 0,
    limeDose: 0,
  },
  planting: { crop: 'lettuce', count: 3, foliage: 0.22 },
  place: {
    name: '',
    exposure: 'open',
    rain: 'open',
    etMild: 3.5 * MM_PER_DAY,
    etHot: 7 * MM_PER_DAY,
    daysAway: 4,
    liftLimit: 40,
    floorLimit: null,
    slope: 0,
    hose: 10 * LITRE_PER_MINUTE,
    storm: 75 * MM_PER_HOUR,
    children: false,
    frost: false,
  },
};

const CLOTH_PAIL: PlanterDesign = {
  ...BLANK,
  name: 'Pail with a cloth wick',
  reservoir: {
    kind: 'platform',
    underside: 0.1,
    thickness: 0.003,
    supports: { kind: 'ring', diameter: 0.16, wall: 0.0047, vents: 'both' },
  },
  overflow: usualOverflow(0.1),
  wicks: [USUAL_CLOTH],
  fillTube: usualTube(PAIL.depth),
  separator: 'fabric',
  soil: { ...BLANK.soil, mulch: 'straw' },
  planting: { crop: 'pepper', count: 1, foliage: 0.45 },
};

const CUP_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail with a packed cup',
  reservoir: {
    kind: 'platform',
    underside: 0.09,
    thickness: 0.0025,
    supports: { kind: 'tubs', count: 4, diameter: 0.065, wall: 0.0008, vents: 'both' },
  },
  overflow: usualOverflow(0.09),
  wicks: [{ ...USUAL_CUP, diameter: 0.1 }],
  planting: { crop: 'basil', count: 3, foliage: 0.22 },
};

const BOTTLE_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail on drilled bottles',
  reservoir: {
    kind: 'bottles',
    count: 5,
    diameter: 0.065,
    height: 0.12,
    wall: 0.0004,
    vents: 'both',
  },
  overflow: { ...usualOverflow(0.12), count: 3 },
  wicks: [],
  separator: 'none',
  planting: { crop: 'chard', count: 2, foliage: 0.3 },
};

/** What a new planter can begin from. The last one is blank. */
export const STARTING_POINTS: readonly StartingPoint[] = [
  {
    id: 'cloth-pail',
    title: 'A pail, its lid and an old shirt',
    says: 'The lid, cut down, stands on a split ring of pipe. Legs of cotton hang into the water.',
    design: CLOTH_PAIL,
  },
  {
    id: 'cup-pail',
    title: 'A pail, some tubs and a cup',
    says: 'The lid stands on drilled tubs. A drilled cup packed with mix stands in the water.',
    design: CUP_PAIL,
  },
  {
    id: 'bottle-pail',
    title: 'A pail and empty bottles',
    says: 'Drilled bottles stand on the floor. The mix that falls between them lifts the water.',
    design: BOTTLE_PAIL,
  },
  {
    id: 'blank',
    title: 'A pail and nothing decided',
    says: 'Only the pail and a platform. The findings lead through the rest.',
    design: BLANK,
  },
];
