export {
  answersOf,
  nextCheck,
  suspects,
  type TroubleSign,
  type Suspect,
  type TroubleQuestion,
} from './guide';
export { knownOf, type Known, type KnownQuestion } from './known';
export { CAUSES, type Cause, type TroublePlace } from './causes';
export { checksFor, CHECKS as TROUBLE_CHECKS, type TroubleCheck } from './checks';
export { mendOf } from './mend';
export { troublePoint, type TroublePoint } from './place';
export { SYMPTOM_IDS, SYMPTOM_PLACES, SYMPTOMS, symptomsIn, type Symptom } from './symptoms';
