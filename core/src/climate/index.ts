export { demandOn, exposureOf, type Demand } from './demand';
