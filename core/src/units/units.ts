/** Spellings of units with their worth in SI, and roundings, that several kinds of quantity share. */

export const INCH = 0.0254;
export const US_GALLON = 231 * INCH ** 3;
export const FOOT = 12 * INCH;
export const CUBIC_FOOT = FOOT ** 3;
/** The dry quart that soil is sold by (NIST Handbook 44, Appendix C: 67.2006 in³). */
export const DRY_QUART = 67.2006 * INCH ** 3;
export const POUND = 0.45359237;
export const DAY = 86_400;

export const spelled = (names: string, factor: number): Record<string, number> =>
  Object.fromEntries(names.split(' ').map((name) => [name, factor]));

export const lengths = {
  ...spelled('mm millimetre millimetres millimeter millimeters', 1e-3),
  ...spelled('cm centimetre centimetres centimeter centimeters', 1e-2),
  ...spelled('m metre metres meter meters', 1),
  ...spelled("in inch inches \" ” ″ ''", INCH),
  ...spelled("ft foot feet ' ’ ′", 12 * INCH),
};

export const volumes = {
  ...spelled('l litre litres liter liters', 1e-3),
  ...spelled('ml millilitre millilitres milliliter milliliters', 1e-6),
  ...spelled('m3 m³', 1),
  ...spelled('gal gallon gallons', US_GALLON),
  ...spelled('qt quart quarts', US_GALLON / 4),
  ...spelled('pt pint pints', US_GALLON / 8),
  ...spelled('cup cups', US_GALLON / 16),
  ...spelled('tbsp tablespoon tablespoons', US_GALLON / 256),
  ...spelled('tsp teaspoon teaspoons', US_GALLON / 768),
  ...spelled('ft3 ft³ cuft', (12 * INCH) ** 3),
  ...spelled('yd3 yd³ cuyd', (36 * INCH) ** 3),
  ...spelled('in3 in³ cuin', INCH ** 3),
};

export const trickle = [
  { below: 1, places: 2 },
  { below: Infinity, places: 1 },
];
export const fewDecimals = [
  { below: 10, places: 1 },
  { below: Infinity, places: 0 },
];
export const oneDecimal = [
  { below: 1, places: 2 },
  { below: 100, places: 1 },
  { below: Infinity, places: 0 },
];
export const tenths = [
  { below: 100, places: 1 },
  { below: Infinity, places: 0 },
];
export const whole = [{ below: Infinity, places: 0 }];
export const threeDecimals = [
  { below: 0.1, places: 3 },
  { below: 10, places: 2 },
  { below: Infinity, places: 1 },
];

/** Under half a gallon people measure in cups. */
export const cupsUnder = (per: number, after: string) => ({
  below: US_GALLON / 2 / per,
  per,
  after,
});

export const sixteenths = { unit: 'in', symbol: 'in', decimals: whole, parts: 16 };

/** Softwood as it is named and as it is planed (American Softwood Lumber Standard, PS 20), metres. */
export const LUMBER = [
  { name: '1-by', real: 0.75 * INCH },
  { name: '5/4', real: INCH },
  { name: '2-by', real: 1.5 * INCH },
  { name: '3-by', real: 2.5 * INCH },
  { name: '4-by', real: 3.5 * INCH },
  { name: '6-by', real: 5.5 * INCH },
];
