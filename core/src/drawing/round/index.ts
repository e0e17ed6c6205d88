export {
  roundPicture,
  stepPicture,
  viewOf,
  type Arrow,
  type RoundPicture,
  type WholeOptions,
} from './picture';
export { sceneOf, type RoundInk, type RoundStyle, type Standing } from './scene';
export { fillsOf, type Fill, type Line } from './view';
export { linesOf } from './lines';
export { partAt, pathsOf, type FillPath, type RoundPaths } from './paths';
