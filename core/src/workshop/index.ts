export * from './goods';
export { planCuts, type Bar, type CutPlan, type Piece, type Stock } from './cuts';
export { holesOf, type Drilled, type Hole, type WallMark } from './holes';
export { deckOf, type Deck, type Spot } from './deck';
export { piecesOf, type CutPiece, type StockCuts } from './pieces';
export { sheetsOf, type SheetPiece } from './sheets';
export { partsOf, type Part } from './parts';
export { feedingOf, ingredientsOf, mixPrice, type Feeding, type Ingredient } from './amounts';
export { amountOf, boughtOf, KIND_OF_UNIT, packsFor, writeMoney, type Bought } from './buying';
export { NEW_BOOK, packsIn, priceBookSchema, type PriceBook } from './priceBook';
export { shoppingFor, type Shopper, type ShoppingLine, type ShoppingList } from './shopping';
export { buildSheet, type BuildSheet } from './sheet';
export { STEP_IDS, testPour, type Check, type Measure, type Step, type StepId } from './steps';
export {
  PAPER_IDS,
  PAPERS,
  RULE,
  tilesOf,
  type PaperId,
  type Stroke,
  type Template,
  type TemplateShape,
  type Tile,
} from './templates';
export {
  AS_BUILT,
  asBuilt,
  deviations,
  heldUpAt,
  merged,
  minutesLeft,
  progressEntrySchema,
  progressOf,
  type Deviation,
  type Progress,
  type ProgressEntry,
} from './progress';
