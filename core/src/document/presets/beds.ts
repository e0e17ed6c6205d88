import type { PlanterDesign } from '../schema';
import { cupOf } from '../defaults';
import { CLOTH_PAIL } from './pails';
import { filled, planting, vesselFrom } from './parts';

/** Planters whose soil stands in pails or bags of its own. */

export const GUTTER: PlanterDesign = {
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
  reservoir: { ...filled(0.11, [], []), supply: { level: 0.06, volume: 0.2, diameter: 0.58 } },
  overflow: {
    kind: 'fitting',
    style: 'end',
    centre: 0.085,
    diameter: 0.032,
    bore: 0.026,
    rise: 0,
    count: 1,
    bearing: 0,
    screened: true,
  },
  wicks: [{ ...cupOf(0.1, 5), net: true }],
  fillTube: null,
  soil: { ...CLOTH_PAIL.soil, bag: 0.04 },
  planting: planting('tomato', 5, 0.5),
  place: { ...CLOTH_PAIL.place, daysAway: 10, liftLimit: 60 },
};

export const BAGS: PlanterDesign = {
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
  layers: [],
  planting: planting('chilli', 2, 0.35),
  place: { ...CLOTH_PAIL.place, daysAway: 1 },
};
