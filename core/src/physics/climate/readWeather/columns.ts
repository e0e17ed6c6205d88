import { INCH } from '../../../units';

/** Columns of a weather table by their headings, as stations, models and weather bureaus write them. */

export type Column =
  | 'date'
  | 'year'
  | 'month'
  | 'day'
  | 'time'
  | 'tMin'
  | 'tMax'
  | 'temperature'
  | 'rain'
  | 'et'
  | 'wind'
  | 'humidity'
  | 'sun';

/** Where each column that was found is. */
export type Columns = Partial<Record<Column, number>>;

/** Words of headings in lower case without accents: of each row of `all` one must be there, of `none` none. */
interface Heading {
  all: readonly RegExp[];
  none?: RegExp;
}

const MIN = /^(?:min\w*|tmin|tn|tnk|mn|mnt|low|lowest|tiefst\w*)$/;
const MAX = /^(?:max\w*|tmax|tx|txk|mx|mxt|high|highest|hochst\w*|massim\w*)$/;
const MEAN = /^(?:mean|avg|average|mittel\w*|medi[ao]|moyenne|gemiddeld\w*)$/;
const HEAT =
  /^(?:temp|temps|temperatur\w*|temperature\w*|tavg|tmean|tmk|tg|t|air|lufttemperatur|drybulb)$/;
const NO_AIR =
  /^(?:dew\w*|dewpoint|tau\w*|rocio|rosee|rugiada|feels?|apparent|gefuhlt\w*|sensacion|ressenti\w*|soil|ground|boden\w*|suelo|sol|erdboden|grass|indoor|inside|in|innen|wet|bulb|chill|index|heat|humidex|sea|water)$/;
const RAIN =
  /^(?:rain\w*|precip\w*|prcp|niederschlag\w*|regen\w*|pluie\w*|pluviom\w*|lluvia\w*|piogg\w*|chuva\w*|neerslag\w*|rr|rsk|rrr|prec|pp|rre?)$/;
const NO_RAIN =
  /^(?:rate|probability|chance|intensity|intensitat|hours|duration|dauer|cover|type|form|flag|rskf|days|snow|schnee)$/;
const WIND = /^(?:wind\w*|viento|vent|vento|fm|u2|ff|ws|velocidad|velmedia)$/;
const NO_WIND =
  /^(?:gust\w*|dir|direction|richtung|direccion|direzione|direcao|boe\w*|boen|racha\w*|rafale\w*|raffica|chill|max\w*|fx|windrichtung|windgust\w*|winddir\w*|windboe\w*|run)$/;

/** Tried in this order: what is said in more words first. */
const HEADINGS: readonly (readonly [Column, Heading])[] = [
  ['et', { all: [/^(?:et|et0|eto|etp|etr|evapo\w*|verdunstung|referenceet)$/] }],
  ['tMin', { all: [MIN], none: NO_AIR }],
  ['tMax', { all: [MAX], none: NO_AIR }],
  ['rain', { all: [RAIN], none: NO_RAIN }],
  ['wind', { all: [WIND], none: NO_WIND }],
  [
    'humidity',
    { all: [/^(?:humi\w*|rh|rhmean|feucht\w*|luftfeucht\w*|umid\w*|upm|luchtvochtig\w*)$/] },
  ],
  [
    'sun',
    {
      all: [/^(?:sun\w*|sonne\w*|sdk|insola\w*|soleil|heliofania|soleggiamento|zon\w*)$/],
      none: /^(?:rise|set|sunrise|sunset)$/,
    },
  ],
  ['year', { all: [/^(?:year|yyyy|yr|jahr|ano|annee|anno|jaar)$/] }],
  ['month', { all: [/^(?:month|mo|mm|mon|monat|mes|mois|mese|maand)$/] }],
  ['date', { all: [/^(?:date|datetime|datum|fecha|data|timestamp|messdatum|valid|jour)$/] }],
  ['day', { all: [/^(?:day|dy|dd|tag|dia|giorno|dag)$/] }],
  [
    'time',
    {
      all: [/^(?:time|hour|hr|hh|uhrzeit|zeit|stunde|hora|heure|ora|uur|tijd)$/],
      none: /^(?:zone|duration)$/,
    },
  ],
  ['temperature', { all: [HEAT], none: NO_AIR }],
];
/** Beside a least or a greatest these words say of what it is; another thing's extremes are not the air's. */
const OTHER =
  /^(?:wind\w*|humi\w*|rh|hr|hum|pressure|press\w*|druck|luftdruck|uv|rain\w*|radiation|gust\w*|feucht\w*|presion|pression\w*)$/;

const plain = (title: string): string =>
  title
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();

/** The words of a heading without its unit. */
const wordsOf = (title: string): string[] => {
  const bare = plain(title)
    .replace(/\(.*?\)|\[.*?\]/g, ' ')
    .replace(UNIT_WORDS, ' ')
    // Evapotranspiration is written with its nought apart, too.
    .replace(/\bet[ _]?[0o]\b/g, 'et0')
    .replace(/\bt[ _](?=min|max)/g, '');
  return bare.split(/[^a-z0-9]+/).filter((word) => word !== '');
};

function columnOf(title: string, taken: Columns): Column | null {
  const words = wordsOf(title);
  for (const [column, { all, none }] of HEADINGS) {
    if (taken[column] !== undefined) continue;
    if (!all.every((one) => words.some((word) => one.test(word)))) continue;
    if (none && words.some((word) => none.test(word))) continue;
    const extreme = column === 'tMin' || column === 'tMax';
    if (extreme && words.some((word) => OTHER.test(word) || MEAN.test(word))) continue;
    return column;
  }
  return null;
}

/** The columns of a heading; of several that say the same the first counts. */
export function columnsIn(head: readonly string[]): Columns {
  const found: Columns = {};
  head.forEach((title, i) => {
    const column = columnOf(title, found);
    if (column) found[column] = i;
  });
  return found;
}

/** What is missing of what a season asks for, by the names that a heading may have. */
export function missingIn(at: Columns): string[] {
  const dated =
    at.date !== undefined ||
    at.time !== undefined ||
    (at.year !== undefined && at.month !== undefined && at.day !== undefined);
  const warm = at.temperature !== undefined;
  return [
    ...(dated ? [] : ['date']),
    ...(at.tMin !== undefined || warm ? [] : ['tmin']),
    ...(at.tMax !== undefined || warm ? [] : ['tmax']),
    ...(at.rain !== undefined ? [] : ['rain']),
  ];
}

/** What one of a column's unit is worth in °C steps, mm, mm, m/s and hours, by its heading or by what stands in it. */
export interface Units {
  fahrenheit: boolean;
  inches: boolean;
  rain: number;
  et: number;
  wind: number;
  sun: number;
}

/** A month whose warmest days are beyond this on the whole is in Fahrenheit. */
const SURELY_FAHRENHEIT = 45;
const MM_IN_INCH = 1000 * INCH;
const WINDS: readonly (readonly [RegExp, number])[] = [
  [/mph|miles|mi\/h/, 0.44704],
  [/km|kph/, 1 / 3.6],
  [/kn|kt/, 1852 / 3600],
];
const SUNS: readonly (readonly [RegExp, number])[] = [
  [/\bmin/, 1 / 60],
  [/\b(?:s|sec\w*)\b/, 1 / 3600],
];

/** @param units cells of a row of units under the heading, where there is one */
export function unitsIn(
  head: readonly string[],
  units: readonly string[],
  at: Columns,
  meanHigh: number,
): Units {
  const title = (column: Column): string => {
    const i = at[column];
    return i === undefined ? '' : plain(`${head[i] ?? ''} ${units[i] ?? ''}`);
  };
  const inInches = (column: Column): boolean => /\b(in|inch|inches)\b|["″]/.test(title(column));
  const inCentimetres = (column: Column): boolean => /\bcm\b/.test(title(column));
  const inMillimetres = (column: Column): boolean => /\b(mm|millimet\w*|l\/m)/.test(title(column));
  const says = `${title('tMin')} ${title('tMax')} ${title('temperature')}`;
  // A sign that was lost on the way stands for the degree.
  const fahrenheit = /[°º�]\s*f\b|\bf\b|\bdegf\b|fahrenheit/.test(says)
    ? true
    : !/[°º�]\s*c\b|\bc\b|\bdegc\b|celsius/.test(says) && meanHigh > SURELY_FAHRENHEIT;
  const rain =
    inInches('rain') || (fahrenheit && !inMillimetres('rain') && !inCentimetres('rain'))
      ? MM_IN_INCH
      : inCentimetres('rain')
        ? 10
        : 1;
  const worth = (table: typeof WINDS, column: Column): number =>
    table.find(([unit]) => unit.test(title(column).replace(/wind|sun\w*/g, '')))?.[1] ?? 1;
  return {
    fahrenheit,
    inches: rain === MM_IN_INCH,
    rain,
    // Evapotranspiration is told in millimetres unless its own heading says otherwise.
    et: inInches('et') ? MM_IN_INCH : 1,
    wind: worth(WINDS, 'wind'),
    sun: worth(SUNS, 'sun'),
  };
}

/** Units at the end of a heading. */
const UNIT_WORDS =
  /[\s_,]+(in|inch|inches|mm|cm|mph|km\/?h|kph|m\/s|knots|[°º�]?\s*[cf]|deg[cf]|%|h|hrs)\s*$/;
