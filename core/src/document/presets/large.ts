import type { VesselDesign } from '../schema';
import { cupOf, USUAL_CLOTH, USUAL_COLUMN, usualOverflow, usualTube } from '../defaults';
import { USUAL_LYING } from '../parts/supports';
import { inVessel } from './inVessel';
import { CLOTH_PAIL } from './pails';
import { FABRIC, filled, MARKER, MIX, planting, vesselFrom } from './parts';

/** Pots, boxes, beds, troughs and tanks. */

export const STONE_POT = inVessel('pot-40', {
  name: 'Decorative pot on gravel',
  vessel: { ...vesselFrom('pot-40'), drainHole: 'mended' },
  reservoir: filled(0.08, [{ medium: 'gravel', upTo: 1 }], []),
  overflow: {
    kind: 'fitting',
    style: 'elbow',
    centre: 0.064,
    diameter: 0.022,
    bore: 0.016,
    rise: 0.008,
    count: 1,
    bearing: 0,
    screened: true,
  },
  wicks: [{ ...USUAL_CLOTH, legs: 4, spread: 0.06 }],
  fillTube: { ...usualTube(0.37, 'mm-25'), run: 0.2 },
  planting: planting('strawberry', 3, 0.24),
  place: { ...CLOTH_PAIL.place, daysAway: 1, liftLimit: 60 },
});

export const BOX_ON_LEGS = inVessel('box-legs', {
  name: 'Timber box on legs',
  layers: [],
  reservoir: filled(
    0.09,
    [
      { medium: 'pea-gravel', upTo: 0.5 },
      { medium: 'mix', upTo: 1 },
    ],
    [
      {
        ...USUAL_LYING,
        lay: 'loop',
        count: 1,
        diameter: 0.05,
        wall: 0.0024,
        sock: false,
        stiff: true,
      },
    ],
  ),
  overflow: {
    kind: 'fitting',
    style: 'liner',
    centre: 0.073,
    diameter: 0.032,
    bore: 0.026,
    rise: 0,
    count: 1,
    bearing: 0,
    screened: true,
  },
  fillTube: { ...usualTube(0.3, 'mm-50'), joint: 'tee' },
  planting: planting('lettuce', 10, 0.22),
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
});

export const FILM_BED = inVessel('bed-small', {
  name: 'Raised bed with a pipe and boxes',
  vessel: { ...vesselFrom('bed-small'), liner: 'film' } as VesselDesign,
  reservoir: filled(
    0.16,
    [{ medium: 'gravel', upTo: 1 }],
    [
      { ...USUAL_LYING, count: 1, diameter: 0.1 },
      {
        kind: 'crates',
        what: 'former',
        count: 4,
        length: 0.34,
        width: 0.22,
        height: 0.15,
        voids: 0.96,
        cut: false,
        at: null,
      },
    ],
  ),
  overflow: {
    kind: 'fitting',
    style: 'liner',
    centre: 0.142,
    diameter: 0.032,
    bore: 0.026,
    rise: 0,
    count: 1,
    bearing: 0,
    screened: true,
  },
  wicks: [{ ...USUAL_COLUMN, medium: 'mix', count: 4, diameter: 0.14 }],
  pipes: [{ use: 'inspection', diameter: 0.075, capped: true, fills: false, at: null }],
  fillTube: usualTube(0.5, 'mm-50'),
  planting: planting('pepper', 6),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

export const ROCK_BED = inVessel('bed-large', {
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
    centre: 0.178,
    diameter: 0.04,
    bore: 0.034,
    rise: 0,
    count: 2,
    bearing: 0,
    screened: true,
  },
  wicks: [{ ...USUAL_COLUMN, count: 8, diameter: 0.2, medium: 'mix' }],
  fillTube: { ...usualTube(0.6, 'mm-75'), run: 0.5 },
  planting: planting('tomato', 8),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.05 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});

export const TROUGH = inVessel('trough-270', {
  name: 'Stock trough over three pipes',
  reservoir: filled(0.165, [MIX], [{ ...USUAL_LYING, count: 3, diameter: 0.16, wall: 0.003 }]),
  overflow: { ...usualOverflow(0.165, 0.025), count: 2 },
  fillTube: { ...usualTube(0.46, 'mm-50'), joint: 'cross' },
  layers: [],
  planting: planting('pepper', 4),
  soil: { ...CLOTH_PAIL.soil, medium: 'compost-mix', settlement: 0.16, bag: 0.04 },
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 60 },
});

export const TANK = inVessel('tank-half', {
  name: 'Half bulk tank on crates',
  reservoir: filled(
    0.13,
    [],
    [
      {
        kind: 'crates',
        what: 'crate',
        count: 9,
        length: 0.36,
        width: 0.3,
        height: 0.13,
        voids: 0.92,
        cut: true,
        at: null,
      },
    ],
  ),
  layers: [FABRIC, { what: 'coarse-sand', thickness: 0.02, up: false }, MARKER],
  overflow: {
    kind: 'fitting',
    style: 'barb',
    centre: 0.112,
    diameter: 0.032,
    bore: 0.025,
    rise: 0,
    count: 2,
    bearing: 0,
    screened: true,
  },
  wicks: [
    { ...USUAL_COLUMN, count: 4, diameter: 0.2 },
    { ...cupOf(0.24), bottom: 0.2 },
  ],
  fillTube: { ...usualTube(0.5, 'mm-50') },
  soil: { ...CLOTH_PAIL.soil, bag: 0.05 },
  planting: planting('cabbage', 5),
  place: { ...CLOTH_PAIL.place, daysAway: 7, liftLimit: 80 },
});
