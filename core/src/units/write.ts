import type { DecimalMark } from './csv';
import { kindOf, type QuantityKind, type UnitStyle, type UnitSystem } from './kinds';

/** A no-break space, so that a number is never parted from its unit, nor a whole from its fraction. */
const NBSP = '\u00a0';

/** A quantity as text in two pieces, so that a screen can set the unit smaller. */
export interface WrittenQuantity {
  number: string;
  symbol: string;
}

/**
 * Writes an SI value in the chosen system, rounded as a person would say it.
 *
 * @param value in SI
 * @param mark between whole numbers and their decimals
 * @param size of its two units where there are two, or null for the one that suits it by itself
 * @returns number and unit apart; infinite values give '∞', non-numbers '–'
 */
export function writeParts(
  value: number,
  kind: QuantityKind,
  system: UnitSystem,
  mark: DecimalMark = 'point',
  size: UnitSize | null = null,
): WrittenQuantity {
  const { units, style } = kindOf(kind);
  const chosen = style[system];
  if (Number.isNaN(value)) return { number: '–', symbol: chosen.symbol };
  if (!Number.isFinite(value)) return { number: value < 0 ? '−∞' : '∞', symbol: chosen.symbol };
  if (chosen.scoops) return writeScoops(value);
  const { small } = chosen;
  if (small && value > 0 && isSmall(value < small.below, size)) {
    const volume = value * small.per;
    if (volume < SPOON / 4) return { number: '0', symbol: chosen.symbol };
    const { number, symbol } = writeScoops(volume);
    return { number, symbol: `${symbol}${small.after}` };
  }
  const { less } = chosen;
  if (less && value > 0 && isSmall(value < less.below, size)) {
    const number = writeDecimal(value / (units[less.unit] ?? 1), less, mark);
    return { number, symbol: less.symbol };
  }
  const inUnit = value / (chosen.unit === '' ? 1 : (units[chosen.unit] ?? 1));
  // A day that is begun is said, and no part of it promised.
  if (chosen.symbol === 'days' && value > 0 && value < HALF_A_DAY)
    return { number: '<\u00a0½', symbol: 'day' };
  const named = chosen.nominal?.find(({ real }) => Math.abs(real - value) < NEAR);
  if (named) {
    const real = writeFraction(inUnit, chosen.parts ?? 16);
    return { number: real, symbol: `${chosen.symbol} (${named.name} lumber)` };
  }
  const number = chosen.parts
    ? writeFraction(inUnit, chosen.parts)
    : writeDecimal(inUnit, chosen, mark);
  const singular = chosen.symbol === 'days' && number === '1';
  return { number, symbol: singular ? 'day' : chosen.symbol };
}

/** Days below which no half is said. */
const HALF_A_DAY = 0.5;

const isSmall = (alone: boolean, size: UnitSize | null): boolean =>
  size === null ? alone : size === 'small';

/** Which of two units an amount is written in: cups or gallons, dry quarts or cubic feet. */
export type UnitSize = 'small' | 'large';

/** Amounts up to so much are told in cups beside smaller ones, m³: a gallon. */
const IN_CUPS = 16 * (kindOf('scoop').units.cup as number);
/** The least that is told in the larger unit: a tenth of it, which is as fine as that is written. */
const TENTH = 0.1;

/** An amount that is told beside others. */
export type Amount = { value: number; kind: QuantityKind };

/** In which two units a kind is told by how much it is: scooped or poured, loose in bags, flowing by minute or hour, or null for one only. */
function pairOf(kind: QuantityKind, system: UnitSystem): 'scooped' | 'loose' | 'flowing' | null {
  const { small, less } = kindOf(kind).style[system];
  if (small) return 'scooped';
  return less ? (kind === 'flow' ? 'flowing' : 'loose') : null;
}

/**
 * The one unit for the amounts of a sentence that would be told in two, so that they can be compared: null
 * where each is told as it would be by itself.
 *
 * @param kind whose unit is asked for
 */
export function commonSize(
  amounts: readonly Amount[],
  kind: QuantityKind,
  system: UnitSystem,
): UnitSize | null {
  const pair = pairOf(kind, system);
  if (pair === null) return null;
  const known = amounts.flatMap((one) => {
    if (pairOf(one.kind, system) !== pair || !(one.value > 0)) return [];
    const { style, units } = kindOf(one.kind);
    const { small, less, unit } = style[system];
    const below = (small ?? less)?.below ?? 0;
    const whole = units[unit] ?? 1;
    return [
      { low: one.value < below, cups: one.value * (small?.per ?? 1), share: one.value / whole },
    ];
  });
  if (known.every(({ low }) => low) || !known.some(({ low }) => low)) return null;
  if (pair === 'scooped' && known.every(({ cups }) => cups <= IN_CUPS + 1e-9)) return 'small';
  return known.every(({ share }) => share >= TENTH) ? 'large' : null;
}

/** A board within so much of a size on sale is that size: less than half a sixteenth. Metres. */
const NEAR = 0.7e-3;

/** Writes an SI value with its unit: `114 mm`, `4 1/2 in`, `11.4 L`. */
export function writeQuantity(
  value: number,
  kind: QuantityKind,
  system: UnitSystem,
  mark: DecimalMark = 'point',
  size: UnitSize | null = null,
): string {
  const { number, symbol } = writeParts(value, kind, system, mark, size);
  if (symbol === '') return number;
  return symbol === '%' ? `${number}%` : `${number}${NBSP}${symbol}`;
}

function writeDecimal(
  value: number,
  style: Pick<UnitStyle, 'decimals' | 'upTo'>,
  mark: DecimalMark,
): string {
  const size = Math.abs(value);
  const next = Math.ceil(value);
  const named = style.upTo !== undefined && next - value < style.upTo;
  const places = style.decimals.find((step) => size < step.below)?.places ?? 0;
  return writeNumber(named ? next : value, places, mark);
}

/** A language whose people write so; thousands stay together, as on a rule or a bag. */
export const LANGUAGE: Readonly<Record<DecimalMark, string>> = { point: 'en', comma: 'de' };
const writers = new Map<string, Intl.NumberFormat>();

/**
 * A bare number, with so many places at the most and no zeros after the last that counts.
 *
 * @returns `1344`, `11.4`, `0,35`, `−2`
 */
export function writeNumber(value: number, places: number, mark: DecimalMark = 'point'): string {
  const key = `${mark}${places}`;
  const writer =
    writers.get(key) ??
    new Intl.NumberFormat(LANGUAGE[mark], {
      maximumFractionDigits: places,
      useGrouping: false,
      signDisplay: 'negative',
    });
  writers.set(key, writer);
  return writer.format(value).replace('-', '−');
}

const CUP = kindOf('scoop').units.cup as number;
const SPOON = kindOf('scoop').units.tbsp as number;
const VULGAR = ['', '1/4', '1/2', '3/4'];

/** Cups to a quarter; below a quarter, tablespoons to a half. */
function writeScoops(value: number): WrittenQuantity {
  const cups = Math.round((value / CUP) * 4);
  const inCups = value >= CUP / 4 && cups > 0;
  const quarters = inCups ? cups : Math.max(Math.round((value / SPOON) * 2), value > 0 ? 1 : 0) * 2;
  const whole = Math.floor(quarters / 4);
  const rest = VULGAR[quarters % 4] ?? '';
  const number = [whole > 0 || rest === '' ? String(whole) : '', rest].filter(Boolean).join(NBSP);
  const one = quarters <= 4;
  return { number, symbol: inCups ? (one ? 'cup' : 'cups') : 'tbsp' };
}

/** To the nearest part of so many, in lowest terms: `4 1/2`, `15/16`, `0`. @param parts a power of two */
function writeFraction(value: number, parts: number): string {
  const count = Math.round(Math.abs(value) * parts);
  const whole = Math.floor(count / parts);
  let top = count % parts;
  let bottom = parts;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  const fraction = top > 0 ? `${top}/${bottom}` : '';
  const text = [whole > 0 || !fraction ? String(whole) : '', fraction].filter(Boolean).join(NBSP);
  return value < 0 && text !== '0' ? `−${text}` : text;
}

/** The unit that a bare number in a field of this kind has. */
export function fieldUnit(kind: QuantityKind, system: UnitSystem): string {
  return kindOf(kind).style[system].symbol;
}

/**
 * The step of one arrow-key press on a grip: 1 mm, or 1/16 in. Metres.
 */
export function nudgeStep(system: UnitSystem): number {
  return system === 'us' ? 0.0254 / 16 : 0.001;
}

/** To two digits, as people say what is only about so much. */
export const roughly = (value: number): number => Number(value.toPrecision(2));
