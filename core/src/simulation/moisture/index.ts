export {
  moistureAt,
  moistureField,
  type Field,
  type FieldQuestion,
  type Fineness,
  type Moisture,
} from './field';
export { columnAt, type Grid } from './grid';
export { carries, readField, sayField, type Carry, type FieldReading } from './advice';
export { picturesOf, pictureTurned, type FieldPicture, type FieldPictures } from './pictures';
export { fieldFinding, withMoisture } from './finding';
