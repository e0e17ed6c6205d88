export { arrange, spread } from './arrange';
export { clear, fullestBoxes, holdsRectangle, pack } from './boxes';
export { apart, beside, EMPTY, within, type Circle, type Free, type Rectangle } from './free';
export { filled, fullest } from './packing';
