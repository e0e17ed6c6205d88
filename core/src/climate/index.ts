export { demandOn, type Demand } from './demand';
