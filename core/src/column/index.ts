export { mediumFor, type Looked, type Medium } from './medium';
export {
  heldAt,
  march,
  solver,
  steady,
  uniform,
  type Cells,
  type End,
  type Step,
} from './richards';
