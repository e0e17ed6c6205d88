export {
  answersOf,
  nextCheck,
  suspects,
  type TroubleSign,
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
  type TroubleCheck as TroubleCheck,
  type Symptom,
} from './table';
