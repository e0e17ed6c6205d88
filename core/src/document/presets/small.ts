import type { PlanterDesign } from '../schema';
import { cupOf, USUAL_CLOTH, usualOverflow, usualTube } from '../defaults';
import { inVessel } from './inVessel';
import { CLOTH_PAIL } from './pails';
import { filled, planting, platform, standing, STRAW, vesselFrom } from './parts';

/** Tubs, totes and bottles. */

export const POT_OFFCUTS = inVessel(
  'tub-40',
  {
    name: 'Round tub on small pots',
    reservoir: filled(0.09, [], [standing('pot', 9, 0.09, 0.003)]),
    wicks: [cupOf(0.12)],
    planting: planting('chard', 3, 0.32),
  },
  0.016,
);

export const STICKS_PAIL = inVessel(
  'pail-25',
  {
    name: 'Pail with crossed sticks',
    reservoir: filled(0.1, [], [{ kind: 'sticks', diameter: 0.014, spacing: 0.045 }]),
    overflow: { ...usualOverflow(0.1), count: 3 },
    wicks: [cupOf(0.11)],
    fillTube: usualTube(0.38),
    layers: [STRAW],
    planting: planting('parsley', 4, 0.2),
  },
  0.012,
);

export const BOTTLE: PlanterDesign = {
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
  layers: [],
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

export const TOTE = inVessel(
  'tote-70',
  {
    name: 'Tote with its lid on pipes',
    reservoir: platform(0.09, 0.003, [standing('pipe', 14, 0.05, 0.0024)]),
    wicks: [cupOf(0.11, 2)],
    planting: planting('chilli', 3),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  },
  0.02,
);

export const NESTED = inVessel(
  'tote-50',
  {
    name: 'Two totes, one in the other',
    bed: { kind: 'nested' },
    reservoir: filled(
      0.115,
      [],
      [
        {
          kind: 'crates',
          what: 'crate',
          count: 2,
          length: 0.26,
          width: 0.165,
          height: 0.115,
          voids: 0.9,
          cut: false,
          at: null,
        },
      ],
    ),
    overflow: { ...usualOverflow(0.115, 0.02) },
    wicks: [USUAL_CLOTH],
    fillTube: usualTube(0.31 + 0.117, 'mm-32'),
    pipes: [{ use: 'worm', diameter: 0.09, capped: true, fills: false, at: null }],
    planting: planting('lettuce', 4, 0.24),
    soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  },
  0.02,
);
