export {
  absenceAhead,
  CALENDAR_AHEAD,
  calendarOf,
  usualHour,
  type CalendarEvent,
} from './calendar';
export { waterAheadOf, type WaterAhead, type WaterFilling } from './waterAhead';
export { partedAt, WEEK_STARTS, weekOf, weeksOf, type CalendarDay, type WeekStart } from './weeks';
export { dutiesOf, type Duty } from './duties';
export { logYears, sameTime, type LogYear } from './yearly';
export {
  ACTIVITY_IDS,
  ACTIVITIES,
  entryBodySchema,
  FEELS,
  currentEntries,
  logEntrySchema,
  putBack,
  takenOut,
  TILL_IT_RAN,
  type Activity,
  type EntryBody,
  type Feel,
  type LogEntry,
} from './entry';
export {
  canOf,
  linePlanterOf,
  readForm,
  readLine,
  SHORT_FORMS,
  shortFormOf,
  type FormOffer,
  type LinePlanter,
  type LineReading,
  type ReadDeed,
  type ReadLine,
  type ShortFormId,
} from './line';
export {
  WEATHERS,
  type Forecast,
  type Quantiles,
  type UnexplainedReading,
  type WeatherEnsemble,
} from './estimator';
export {
  followedFrom,
  plantedInLog,
  notComingUp,
  stateOf,
  measuredOf,
  weathersThere,
  type TendedQuestion,
  type TendedState,
  type Thirst,
} from './state';
export { cacheKeyOf, tendedQuestionOf, planterStateKey, type JoinedTo } from './cacheKey';
export { describeEntry } from './words';
export {
  gardenAway,
  oneChange,
  type AloneAnswer,
  type AwayChange,
  type AwayCourse,
  type GardenAwayAnswer,
  type GardenAwayQuestion,
  type Visit,
} from './away';
export {
  absenceSchema,
  FIRST_ROUND,
  inOrder,
  MOST_AWAY,
  roundPlanSchema,
  type GardenAbsence,
  type RoundPlan,
} from './plan';
export { rainTankSchema, usualTank, type RainTank } from './rainTank';
export { TANK_AHEAD, tankStands, type TankOutlook } from './tank';
export * from './trouble';
export { exposedOf, weatherAdvice, type WeatherAdvice, type WeatherHazard } from './weatherAdvice';
export { LEAVE_ALONE, pourWords } from './neighbour';
