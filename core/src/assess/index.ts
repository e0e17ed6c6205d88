export { assess, evaluate, type Assessment } from './assess';
export { type Figures } from './figures';
export { cautiousDays, type Autonomy } from './autonomy';
export { type Weight } from './weight';
export { SEVERITIES, rank, type Finding, type Remedy, type Room, type Severity } from './finding';
export { cautionsFor, type Caution } from './cautions';
