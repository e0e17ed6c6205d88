export { hydraulicTableFor, type HydraulicValues, type HydraulicTable } from './hydraulicTable';
export { surfaceGives } from './surfaceFlux';
export {
  fixedHead,
  runColumn,
  solver,
  steady,
  uniform,
  type Cells,
  type End,
  type ColumnStep,
} from './richards';
