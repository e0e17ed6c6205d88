export { assess, evaluate, type Assessment } from './assess';
export {
  bringsNoFault,
  faultsOf,
  judge,
  settled,
  type Judgement,
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
export { partName } from './words';
export { shimsOf, type Tilt } from './level';
export { broughtAt, cautiousDays, daysToSay, type Autonomy } from './daysOfWater';
export { type Amount, type Weight } from './weight';
export { SEVERITIES, rank, type Finding, type Remedy, type Room, type Severity } from './finding';
export { caution, cautionsFor, type Caution, type CautionId } from './cautions';
export {
  follows,
  outcomeOf,
  schoolsFor,
  type Outcome,
  type Question,
  type School,
} from './practices';
export { propose, tradeCurve, type Proposal, type TradePoint, type Wish } from './trade';
export { AMPLE, reported, reportOf, SHOWN, type ReportId, type ReportRow } from './report';
export { overflowCarries } from './overflowCapacity';
