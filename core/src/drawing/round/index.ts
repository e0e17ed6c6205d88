export {
  roundPicture,
  stepPicture,
  viewOf,
  type Arrow,
  type RoundPicture,
  type WholeOptions,
} from './picture';
export { sceneOf, type RoundStyle, type Standing } from './scene';
export type { RoundInk } from './partRound';
export { fillsOf, type Fill, type Line } from './view';
export { linesOf } from './lines';
export { partAt, pathsOf, type FillPath, type RoundPage, type RoundPaths } from './paths';
export type { Lettering, PlacedLabel } from './labels';
