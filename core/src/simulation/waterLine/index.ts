export { assessLine, type LineAssessment, type LinePlanter } from './assess';
export { lineFindings, spanOf, type LineFinding, type LineRemedy } from './findings';
export { joinedPlanters, suppliedDesign, type DesignsById, type JoinedPlanter } from './joined';
export { daysOfLine, type LineDays } from './outlook';
export { lineShares, shareOf, suppliedBy, type LineShares } from './supplied';
export { floorFor, usualBarrel, usualLine } from './usual';
