export { assessLine, type LineAssessment, type LinePlanter } from './assess';
export { lineFindings, spanOf, type LineFinding, type LineRemedy } from './findings';
export { joinedPlanters, suppliedDesign, type DesignsById, type JoinedPlanter } from './joined';
export { daysOfLine, type LineDays } from './outlook';
export { lineContextOf, suppliedBy, suppliedDesigns, type LineContext } from './supplied';
export { floorFor, usualBarrel, usualLine } from './usual';
