export { assess, evaluate, type Assessment } from './assess';
export {
  addsNoFault,
  faultsOf,
  checkRemedy,
  settled,
  type RemedyCheck,
  type Settled,
} from './remedyCheck';
export {
  climbUnder,
  figuresOf,
  growingDepthOf,
  mixBelow,
  rootRoom,
  runsOver,
  type Figures,
} from './figures';
export { likePeople, partName } from './words';
export { shimsOf, type Tilt } from './level';
export { broughtAt, cautiousDays, daysBySupply, daysToSay, type DaysOfWater } from './daysOfWater';
export { type Amount, type Weight } from './weight';
export {
  SEVERITIES,
  rank,
  type Finding,
  type Remedy,
  type BenchPanel,
  type Severity,
} from './finding';
export { caution, cautionsFor, type Caution, type CautionId } from './cautions';
export {
  followsPractice,
  practiceOutcome,
  practicesFor,
  type PracticeOutcome,
  type PracticeQuestion,
  type Practice,
} from './practices';
export { propose, tradeCurve, type Proposal, type TradePoint, type Wish } from './trade';
export { AMPLE, reported, reportOf, SHOWN, type ReportId, type ReportRow } from './report';
export { overflowCapacity } from './overflowCapacity';
