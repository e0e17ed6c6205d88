export { dutiesOf, type Duty } from './duties';
export {
  DEED_IDS,
  DEEDS,
  didSchema,
  FEELS,
  holding,
  logEntrySchema,
  putBack,
  takenOut,
  TILL_IT_RAN,
  type Deed,
  type Did,
  type Feel,
  type LogEntry,
} from './entry';
export { readLine, type LineReading, type ReadLine } from './readLine';
export { quantilesOf, type Quantiles } from './belief';
export { forecastOf, type Forecast } from './forecast';
export { runThirsty, thirstOf, type Surprise, type Tended, type Thirst } from './thirst';
export { followedFrom, stateOf, type TendedQuestion, type TendedState } from './state';
export { sayDid } from './words';
