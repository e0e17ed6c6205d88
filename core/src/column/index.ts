export { mediumFor } from './medium';
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
