/**
 * The kinds of quantity that Huerta reads and writes, with the units that people use for each.
 * Inside the core every quantity is SI (metres, cubic metres, kilograms, seconds, pascals);
 * `factor` is what one of the unit is worth in SI.
 */

import {
  INCH,
  US_GALLON,
  POUND,
  DAY,
  spelled,
  lengths,
  volumes,
  fewDecimals,
  trickle,
  oneDecimal,
  tenths,
  whole,
  threeDecimals,
  cupsUnder,
  sixteenths,
  LUMBER,
  CUBIC_FOOT,
  DRY_QUART,
} from './units';

/** The two ways of showing a quantity. The choice never changes a stored value. */
export type UnitSystem = 'metric' | 'us';

/** How a number is rounded and written in one unit. */
export interface UnitStyle {
  /** A key of the kind's `units`. */
  unit: string;
  /** Written after the number, or for `fraction` after the fraction. */
  symbol: string;
  /** Decimals to keep, by the size of the number; the first entry whose `below` exceeds it counts. */
  decimals: readonly { below: number; places: number }[];
  /** Write as whole and fractions instead of decimals: in how many parts. */
  parts?: number;
  /** What lacks no more than this of a whole is called by the whole, as shops do; never what is longer. */
  upTo?: number;
  /** Names of sizes on sale, by their real measure in SI; told with it. */
  nominal?: readonly { name: string; real: number }[];
  /** Write in cups and spoons, to a quarter of a cup or half a spoon. */
  scoops?: boolean;
  /** Amounts under so much, in SI, are written in this unit instead. */
  less?: { below: number; unit: string; symbol: string; decimals: UnitStyle['decimals'] };
  /** Amounts under so much, in SI, are written in cups and spoons: times `per` they are m³. */
  small?: { below: number; per: number; after: string };
}

/** What a grown person weighs, newtons; 80 kg, typical. */
export const PERSON = 80 * 9.80665;

interface Kind {
  /** What a person calls it, for error sentences. */
  noun: string;
  /** Every spelling that is understood, in lower case, and its worth in SI. */
  units: Readonly<Record<string, number>>;
  style: Readonly<Record<UnitSystem, UnitStyle>>;
  /** What to type, for error sentences. */
  example: Readonly<Record<UnitSystem, string>>;
}

export const KINDS = {
  /** Metres. A measure on the bench: millimetres or sixteenths of an inch. */
  length: {
    noun: 'length',
    units: lengths,
    style: { metric: { unit: 'mm', symbol: 'mm', decimals: fewDecimals }, us: sixteenths },
    example: { metric: '114 mm or 11.4 cm', us: '4 1/2 in' },
  },
  /** Radians; degrees in both systems. */
  angle: {
    noun: 'angle',
    units: spelled('° deg degree degrees', Math.PI / 180),
    style: {
      metric: { unit: '°', symbol: '°', decimals: whole },
      us: { unit: '°', symbol: '°', decimals: whole },
    },
    example: { metric: '30°', us: '30°' },
  },
  /** Metres. A depth or width a gardener thinks of in centimetres: roots, foliage. */
  span: {
    noun: 'length',
    units: lengths,
    style: {
      metric: { unit: 'cm', symbol: 'cm', decimals: tenths },
      us: sixteenths,
    },
    example: { metric: '30 cm', us: '12 in' },
  },
  /** Metres. How large a plant grows and how far apart they stand: centimetres, or halves of an inch. */
  growth: {
    noun: 'length',
    units: lengths,
    style: {
      metric: { unit: 'cm', symbol: 'cm', decimals: tenths },
      us: { unit: 'in', symbol: 'in', decimals: whole, parts: 2 },
    },
    example: { metric: '30 cm', us: '12 in' },
  },
  /** Metres. A length of stock that is needed or at hand. */
  stock: {
    noun: 'length',
    units: lengths,
    style: {
      metric: { unit: 'm', symbol: 'm', decimals: [{ below: Infinity, places: 2 }] },
      us: { unit: 'ft', symbol: 'ft', decimals: [{ below: Infinity, places: 1 }] },
    },
    example: { metric: '2 m', us: '10 ft' },
  },
  /** Metres. A length of stock as it is sold: by the whole foot, where what is sold by it is that long or longer. */
  pack: {
    noun: 'length',
    units: lengths,
    style: {
      metric: { unit: 'm', symbol: 'm', decimals: [{ below: Infinity, places: 2 }] },
      us: { unit: 'ft', symbol: 'ft', decimals: [{ below: Infinity, places: 1 }], upTo: 0.2 },
    },
    example: { metric: '2 m', us: '10 ft' },
  },
  /** Metres. The thickness of a board or post: where it is one on sale in inches, by that name, with its real size. */
  lumber: {
    noun: 'thickness',
    units: lengths,
    style: {
      metric: { unit: 'mm', symbol: 'mm', decimals: fewDecimals },
      us: { ...sixteenths, nominal: LUMBER },
    },
    example: { metric: '28 mm', us: '1 1/2 in' },
  },
  /** Square metres of sheet. */
  area: {
    noun: 'area',
    units: {
      ...spelled('m2 m² sqm', 1),
      ...spelled('ft2 ft² sqft', (12 * INCH) ** 2),
    },
    style: {
      metric: { unit: 'm²', symbol: 'm²', decimals: [{ below: Infinity, places: 2 }] },
      us: { unit: 'ft²', symbol: 'ft²', decimals: [{ below: Infinity, places: 1 }] },
    },
    example: { metric: '1 m²', us: '10 ft²' },
  },
  /** Cubic metres. */
  volume: {
    noun: 'volume',
    units: volumes,
    style: {
      metric: { unit: 'l', symbol: 'L', decimals: oneDecimal },
      us: { unit: 'gal', symbol: 'gal', decimals: oneDecimal, small: cupsUnder(1, '') },
    },
    example: { metric: '19 L', us: '5 gal' },
  },
  /** Cubic metres of soil, mix and what else is sold loose in bags: litres, or cubic feet and dry quarts. */
  loose: {
    noun: 'volume',
    units: { ...volumes, ...spelled('qt quart quarts', DRY_QUART) },
    style: {
      metric: { unit: 'l', symbol: 'L', decimals: oneDecimal },
      us: {
        unit: 'ft3',
        symbol: 'ft³',
        decimals: [{ below: 100, places: 1 }, ...whole],
        less: { below: 0.95 * CUBIC_FOOT, unit: 'qt', symbol: 'qt', decimals: fewDecimals },
      },
    },
    example: { metric: '20 L', us: '16 qt or 2 ft³' },
  },
  /** Kilograms. */
  mass: {
    noun: 'weight',
    units: {
      ...spelled('kg kilo kilos kilogram kilograms', 1),
      ...spelled('g gram grams', 1e-3),
      ...spelled('lb lbs pound pounds', POUND),
      ...spelled('oz ounce ounces', POUND / 16),
    },
    style: {
      metric: { unit: 'kg', symbol: 'kg', decimals: fewDecimals },
      us: { unit: 'lb', symbol: 'lb', decimals: fewDecimals },
    },
    example: { metric: '40 kg', us: '90 lb' },
  },
  /** Kilograms of something that is weighed out by the spoon or the handful. */
  dash: {
    noun: 'weight',
    units: {
      ...spelled('g gram grams', 1e-3),
      ...spelled('kg kilo kilos kilogram kilograms', 1),
      ...spelled('oz ounce ounces', POUND / 16),
      ...spelled('lb lbs pound pounds', POUND),
    },
    style: {
      metric: { unit: 'g', symbol: 'g', decimals: whole },
      us: { unit: 'oz', symbol: 'oz', decimals: fewDecimals },
    },
    example: { metric: '75 g', us: '2.5 oz' },
  },
  /** Cubic metres of something that is scooped: cups and spoons. */
  scoop: {
    noun: 'amount',
    units: volumes,
    style: {
      metric: { unit: 'ml', symbol: 'mL', decimals: [{ below: 10, places: 1 }, ...whole] },
      us: { unit: 'cup', symbol: 'cups', decimals: whole, scoops: true },
    },
    example: { metric: '150 mL or 1/2 cup', us: '1/2 cup or 3 tbsp' },
  },
  /** Cubic metres per second, as a hose or an overflow runs. */
  flow: {
    noun: 'flow',
    units: {
      ...spelled('l/min lpm l', 1e-3 / 60),
      ...spelled('l/s', 1e-3),
      ...spelled('l/h', 1e-3 / 3600),
      ...spelled('gal/min gpm', US_GALLON / 60),
      ...spelled('gal/h gph', US_GALLON / 3600),
    },
    style: {
      // What only trickles is told by the hour, so that it does not read as nothing.
      metric: {
        unit: 'l/min',
        symbol: 'L/min',
        decimals: fewDecimals,
        less: { below: 1e-3 / 120, unit: 'l/h', symbol: 'L/h', decimals: trickle },
      },
      us: {
        unit: 'gal/min',
        symbol: 'gal/min',
        decimals: fewDecimals,
        less: { below: US_GALLON / 480, unit: 'gal/h', symbol: 'gal/h', decimals: trickle },
      },
    },
    example: { metric: '10 L/min', us: '2.6 gal/min' },
  },
  /** Cubic metres per second, as plants drink: per day. */
  daily: {
    noun: 'daily water',
    units: {
      ...spelled('l/day l/d l', 1e-3 / DAY),
      ...spelled('ml/day ml/d', 1e-6 / DAY),
      ...spelled('gal/day gal/d', US_GALLON / DAY),
      ...spelled('qt/day qt/d', US_GALLON / 4 / DAY),
      ...spelled('cup/day cups/day cup/d', US_GALLON / 16 / DAY),
      ...spelled('tbsp/day', US_GALLON / 256 / DAY),
    },
    style: {
      metric: { unit: 'l/day', symbol: 'L a day', decimals: oneDecimal },
      us: {
        unit: 'gal/day',
        symbol: 'gal a day',
        decimals: oneDecimal,
        small: cupsUnder(DAY, ' a day'),
      },
    },
    example: { metric: '2 L/day', us: '0.5 gal/day' },
  },
  /** Metres per second of water depth, as evaporation: per day. */
  evaporation: {
    noun: 'evaporation',
    units: {
      ...spelled('mm/day mm/d mm', 1e-3 / DAY),
      ...spelled('in/day in/d in', INCH / DAY),
    },
    style: {
      metric: {
        unit: 'mm/day',
        symbol: 'mm a day',
        decimals: [{ below: Infinity, places: 1 }],
      },
      us: { unit: 'in/day', symbol: 'in a day', decimals: [{ below: Infinity, places: 2 }] },
    },
    example: { metric: '6 mm/day', us: '0.24 in/day' },
  },
  /** Metres per second of water depth, as a storm: per hour. */
  rainfall: {
    noun: 'rain',
    units: {
      ...spelled('mm/h mm/hour mm', 1e-3 / 3600),
      ...spelled('in/h in/hour in', INCH / 3600),
    },
    style: {
      metric: { unit: 'mm/h', symbol: 'mm an hour', decimals: whole },
      us: { unit: 'in/h', symbol: 'in an hour', decimals: oneDecimal },
    },
    example: { metric: '75 mm/h', us: '3 in/h' },
  },
  /** Metres of water that fell in all. */
  rain: {
    noun: 'rain',
    units: { ...spelled('mm', 1e-3), ...spelled('in inch inches', INCH) },
    style: {
      metric: { unit: 'mm', symbol: 'mm', decimals: whole },
      us: { unit: 'in', symbol: 'in', decimals: oneDecimal },
    },
    example: { metric: '20 mm', us: '0.8 in' },
  },
  /** Metres per second, as wind blows. */
  speed: {
    noun: 'speed',
    units: {
      ...spelled('km/h kmh', 1 / 3.6),
      ...spelled('m/s', 1),
      ...spelled('mph', 0.44704),
    },
    style: {
      metric: { unit: 'km/h', symbol: 'km/h', decimals: whole },
      us: { unit: 'mph', symbol: 'mph', decimals: whole },
    },
    example: { metric: '40 km/h', us: '25 mph' },
  },
  /** Pascals over the footprint. */
  pressure: {
    noun: 'load',
    units: {
      ...spelled('kpa', 1e3),
      ...spelled('pa', 1),
      ...spelled('kg/m2 kg/m²', 9.80665),
      ...spelled('psf lb/ft2 lb/ft²', (POUND * 9.80665) / (12 * INCH) ** 2),
    },
    style: {
      metric: { unit: 'kg/m2', symbol: 'kg/m²', decimals: whole },
      us: { unit: 'psf', symbol: 'lb/ft²', decimals: whole },
    },
    example: { metric: '300 kg/m²', us: '60 lb/ft²' },
  },
  /** Pascals, told by as many grown people as would load a floor alike. */
  crowd: {
    noun: 'load',
    units: {
      ...spelled('people/m² people/m2', PERSON),
      ...spelled('people/yd² people/yd2', PERSON / 0.9144 ** 2),
    },
    style: {
      metric: { unit: 'people/m2', symbol: 'people per m²', decimals: whole },
      us: { unit: 'people/yd2', symbol: 'people per yd²', decimals: whole },
    },
    example: { metric: '4 people per m²', us: '3 people per yd²' },
  },
  /** Kilograms per cubic metre, which is also grams per litre. */
  dose: {
    noun: 'dose',
    units: {
      ...spelled('g/l kg/m3 kg/m³', 1),
      ...spelled('oz/gal', POUND / 16 / US_GALLON),
      ...spelled('oz/ft3 oz/ft³', POUND / 16 / 0.3048 ** 3),
    },
    style: {
      metric: { unit: 'g/l', symbol: 'g per L', decimals: fewDecimals },
      us: { unit: 'oz/ft3', symbol: 'oz per ft³', decimals: fewDecimals },
    },
    example: { metric: '4 g/L', us: '4 oz/ft³' },
  },
  /** Metres per metre. */
  slope: {
    noun: 'slope',
    units: {
      ...spelled('mm/m', 1e-3),
      ...spelled('cm/m %', 1e-2),
      ...spelled('in/ft', 1 / 12),
    },
    style: {
      metric: { unit: 'mm/m', symbol: 'mm per m', decimals: fewDecimals },
      us: { unit: 'in/ft', symbol: 'in per ft', decimals: threeDecimals, parts: 32 },
    },
    example: { metric: '5 mm/m', us: '1/16 in/ft' },
  },
  /** Days, as a count. */
  days: {
    noun: 'number of days',
    units: { ...spelled('d day days', 1), ...spelled('week weeks w', 7) },
    style: {
      metric: { unit: 'd', symbol: 'days', decimals: fewDecimals },
      us: { unit: 'd', symbol: 'days', decimals: fewDecimals },
    },
    example: { metric: '5 days', us: '5 days' },
  },
  /** A share from 0 to 1, shown in percent. */
  share: {
    noun: 'share',
    units: { ...spelled('% percent', 0.01) },
    style: {
      metric: { unit: '%', symbol: '%', decimals: whole },
      us: { unit: '%', symbol: '%', decimals: whole },
    },
    example: { metric: '15 %', us: '15 %' },
  },
  /** A whole number of things. */
  count: {
    noun: 'number',
    units: {},
    style: {
      metric: { unit: '', symbol: '', decimals: whole },
      us: { unit: '', symbol: '', decimals: whole },
    },
    example: { metric: '2', us: '2' },
  },
  /** A plain ratio, such as a duty. */
  ratio: {
    noun: 'ratio',
    units: {},
    style: {
      metric: { unit: '', symbol: '', decimals: threeDecimals },
      us: { unit: '', symbol: '', decimals: threeDecimals },
    },
    example: { metric: '1.2', us: '1.2' },
  },
  /** How many times as much. */
  times: {
    noun: 'ratio',
    units: spelled('times x ×', 1),
    style: {
      metric: { unit: 'times', symbol: 'times', decimals: fewDecimals },
      us: { unit: 'times', symbol: 'times', decimals: fewDecimals },
    },
    example: { metric: '1.2 times', us: '1.2 times' },
  },
} as const satisfies Record<string, Kind>;

export type QuantityKind = keyof typeof KINDS;

/** The kind's description with its unit table widened for look-up by any spelling. */
export function kindOf(kind: QuantityKind): Kind {
  return KINDS[kind];
}
