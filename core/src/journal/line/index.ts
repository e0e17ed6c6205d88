export { canOf } from './amounts';
export type { LinePlanter } from './deeds';
export { linePlanterOf } from './planter';
export {
  readLine,
  type LineContext,
  type LineReading,
  type ReadDeed,
  type ReadLine,
} from './readLine';
export { readForm, SHORT_FORMS, shortFormOf, type FormOffer, type ShortFormId } from './shortForms';
