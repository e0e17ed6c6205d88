export * from './pipes';
export * from './media';
export * from './aggregates';
export * from './cloths';
export * from './crops';
export * from './drills';
export * from './words';
export * from './vessels';
