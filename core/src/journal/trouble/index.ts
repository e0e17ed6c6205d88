export {
  answersOf,
  nextCheck,
  suspects,
  type Found,
  type Suspect,
  type TroubleQuestion,
} from './guide';
export { knownOf, type Known, type KnownQuestion } from './known';
export {
  CAUSES,
  CHECKS as TROUBLE_CHECKS,
  SYMPTOM_IDS,
  SYMPTOMS,
  type Cause,
  type Check as TroubleCheck,
  type Symptom,
} from './table';
