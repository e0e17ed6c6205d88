export { steadyRise, columnFlux } from './column';
export { fromStripTest, clothProperties, clothDelivery, jurinHeight } from './cloth';
export { resolveWicks, totalDelivery, BASE_SUCTION, type Wick } from './wicks';
