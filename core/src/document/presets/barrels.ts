import { cupOf, usualOverflow, usualTube } from '../defaults';
import { USUAL_LYING } from '../parts/supports';
import { inVessel } from './inVessel';
import { CLOTH_PAIL } from './pails';
import { filled, MARKER, MIX, planting, platform, standing } from './parts';

/** Barrels: cut across, whole, and lengthwise. */

export const CUT_BARREL = inVessel(
  'barrel-two-thirds',
  {
    name: 'Barrel with its own end as platform',
    reservoir: platform(0.17, 0.004, [
      { kind: 'ring', cutEnd: true, diameter: 0.565, wall: 0.004, vents: 'both' },
      standing('pipe', 8, 0.075, 0.003),
    ]),
    wicks: [cupOf(0.11, 3)],
    fillTube: { ...usualTube(0.57, 'mm-40') },
    planting: planting('tomato', 2, 0.55),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
    place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
  },
  0.025,
);

export const COIL_BARREL = inVessel('barrel-half', {
  name: 'Half barrel with a coil',
  place: { ...CLOTH_PAIL.place, daysAway: 2, liftLimit: 60 },
  layers: [],
  reservoir: filled(
    0.09,
    [MIX],
    [{ ...USUAL_LYING, lay: 'coil', count: 1, diameter: 0.08, sock: true }],
  ),
  overflow: {
    kind: 'fitting',
    style: 'barb',
    centre: 0.075,
    diameter: 0.026,
    bore: 0.018,
    rise: 0,
    count: 1,
    bearing: 0,
    screened: true,
  },
  fillTube: usualTube(0.43, 'mm-40'),
  planting: planting('courgette', 1, 0.75),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
});

export const AIR_BARREL = inVessel('barrel-half', {
  name: 'Half barrel with rows of air holes',
  reservoir: {
    ...filled(
      0.1,
      [{ medium: 'coarse-sand', upTo: 1 }],
      [{ ...USUAL_LYING, lay: 'coil', count: 1, diameter: 0.08 }],
    ),
  },
  overflow: {
    kind: 'rows',
    centre: 0.098,
    diameter: 0.02,
    count: 10,
    rows: 4,
    pitch: 0.075,
    bearing: 0,
    screened: true,
  },
  layers: [MARKER],
  fillTube: usualTube(0.43, 'mm-40'),
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  planting: planting('kale', 2),
});

export const PANEL_BARREL = inVessel('barrel-200', {
  name: 'Whole barrel with a panel laid in',
  reservoir: filled(
    0.15,
    [MIX],
    [{ kind: 'arch', width: 0.48, wall: 0.004, own: true, vents: 'both' }],
  ),
  overflow: { ...usualOverflow(0.15, 0.02), count: 2 },
  fillTube: { ...usualTube(0.86, 'mm-40') },
  layers: [],
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, freeboard: 0.3, bag: 0.04 },
  planting: planting('cherry-tomato', 2, 0.45),
  place: { ...CLOTH_PAIL.place, daysAway: 5, liftLimit: 80 },
});

export const LYING_BARREL = inVessel('barrel-lying', {
  name: 'Half barrel on its side',
  layers: [],
  reservoir: filled(
    0.1,
    [
      { medium: 'coarse-sand', upTo: 0.9 },
      { medium: 'mix', upTo: 1 },
    ],
    [{ ...USUAL_LYING, count: 1, diameter: 0.08 }],
  ),
  fillTube: { ...usualTube(0.285, 'mm-40'), joint: 'cross' },
  planting: planting('spinach', 12, 0.18),
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
});
