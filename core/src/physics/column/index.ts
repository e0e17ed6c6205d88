export { mediumFor, type Looked, type Medium } from './hydraulicTable';
export { surfaceGives } from './surface';
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
