export { steadyRise, columnFlux } from './column';
export { fromStripTest, clothProperties, clothDelivery, clothPath, jurinHeight } from './cloth';
export { riser, type Bed as RiserBed, type Passage, type Riser } from './series';
