import { depthOf } from '../heights';
import { DESIGN_VERSION, type PlanterDesign } from '../schema';
import { cupOf, USUAL_CLOTH, usualOverflow, usualTube } from '../defaults';
import { FABRIC, filled, MIX, planting, platform, ring, standing, vesselFrom } from './parts';

const MM_PER_DAY = 1e-3 / 86_400;
const MM_PER_HOUR = 1e-3 / 3600;
const LITRE_PER_MINUTE = 1e-3 / 60;

/** A 20 L pail with a platform, no overflow, wick or tube yet: everything still to decide. */
export const BLANK: PlanterDesign = {
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
  layers: [],
  soil: {
    medium: 'coir-perlite',
    recipe: null,
    upper: null,
    freeboard: 0.025,
    settlement: 0.12,
    moistened: true,
    mulch: 'none',
    bag: 0.02,
    feed: 'none',
    feedHow: 'strip',
    feedNitrogen: 0,
    feedDose: 0,
    feedLasts: 0,
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
    daysAway: 2,
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

/** The place of a new planter until somebody says otherwise. */
export const USUAL_PLACE: PlanterDesign['place'] = BLANK.place;

const PAIL_DEPTH = depthOf(BLANK.vessel);

export const CLOTH_PAIL: PlanterDesign = {
  ...BLANK,
  name: 'Pail with a cloth wick',
  reservoir: platform(0.1, 0.003, [ring(0.16, 0.0047)]),
  overflow: usualOverflow(0.1),
  wicks: [USUAL_CLOTH],
  fillTube: usualTube(PAIL_DEPTH),
  layers: [FABRIC],
  soil: { ...BLANK.soil, mulch: 'straw' },
  planting: planting('pepper', 1),
};

export const CUP_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail with a packed cup',
  reservoir: platform(0.09, 0.0025, [standing('tub', 4, 0.065, 0.0008)]),
  overflow: usualOverflow(0.09),
  wicks: [cupOf(0.1)],
  planting: planting('basil', 3, 0.22),
};

export const BOTTLE_PAIL: PlanterDesign = {
  ...CLOTH_PAIL,
  name: 'Pail on drilled bottles',
  reservoir: filled(0.12, [MIX], [standing('bottle', 5, 0.065, 0.0004)]),
  overflow: { ...usualOverflow(0.12), count: 3 },
  wicks: [],
  layers: [],
  planting: planting('chard', 2, 0.3),
};
