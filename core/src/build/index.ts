export { planCuts, type Bar, type CutPlan, type Piece, type Stock } from './cuts';
export { holesOf, type Hole } from './holes';
export { piecesOf, type StockCuts } from './pieces';
