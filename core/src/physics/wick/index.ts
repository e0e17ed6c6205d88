export { steadyRise, columnFlux } from './column';
export {
  clothDelivery,
  clothFlow,
  clothProperties,
  fromStripTest,
  jurinHeight,
  stripHeight,
  type ClothProperties,
} from './cloth';
export { riser, type Bed as RiserBed, type Curve, type Passage, type Riser } from './series';
export { entryOf, SUCTIONS, tabled } from './suctions';
