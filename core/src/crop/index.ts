export { seasonLength, stageOn, type Stage } from './stages';
