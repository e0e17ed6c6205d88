export * from './currencies';
export * from './goods';
export { planCuts, type Bar, type CutPlan, type Cut, type Stock } from './cuts';
export { platformSheetOf, type PlatformSheet, type Spot } from './platform';
export { feedingOf, ingredientsOf, mixPrice, type Feeding, type Ingredient } from './amounts';
export { amountOf, boughtOf, KIND_OF_UNIT, packKind, packsFor, type Bought } from './buying';
export { MOST_WATER_PRICE, NEW_BOOK, packsIn, priceBookSchema, type PriceBook } from './priceBook';
export { billOf, sourcingOf, type BillLine } from './bill';
export {
  asShopper,
  shoppingFor,
  type Shopper,
  type ShoppingLine,
  type ShoppingList,
} from './shopping';
export { goodsOf, shopperOf, type GoodInUse } from './goodsOfDesign';
export { GOOD_SHELVES, shelfOf, type GoodShelf } from './goodShelves';
export {
  hoseHole,
  waterLineSheet,
  type LinePart,
  type LineStep,
  type WaterLineSheet,
} from './waterLineSheet';
export { buildSheet, type BuildSheet } from './sheet';
export { STEP_IDS, type BuildCheck, type Measure, type Step, type StepId } from './step';
export {
  type CutPiece,
  type Hole,
  type PartLine,
  type SheetPiece,
  type StockCuts,
  type WallMark,
} from './buildSheetBuilder';
export { type TestPour } from './pourTest';
export {
  PAPER_IDS,
  PAPERS,
  RULE,
  shapesOn,
  tilesOf,
  type PaperId,
  type Stroke,
  type Template,
  type TemplateShape,
  type Tile,
  markedWith,
} from './templates';
export {
  AS_BUILT,
  asBuilt,
  deviations,
  heldUpAt,
  merged,
  buildTimeText,
  durationText,
  stepTimeText,
  timeLeft,
  progressEntrySchema,
  progressOf,
  type Deviation,
  type Progress,
  type ProgressEntry,
} from './progress';
