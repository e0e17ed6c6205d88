import { PIPES, VESSEL_IDS, VESSELS, type VesselGroup, type VesselId } from '../../catalog';
import { vesselFrom } from '../../document';
import { shapeOf } from '../../geometry/vessels';
import { CUBIC_FOOT, FOOT, INCH, POUND, US_GALLON } from '../../units';
import { STONE_DENSITY } from './supplies';
import type { MeansId, PlanWish } from './wish';

/** What somebody has, read from a line as people say it: "2 totes 60 L, 3 m of 100 mm pipe, old shirts". */

export interface MeansRead {
  vessels: PlanWish['vessels'];
  means: PlanWish['means'];
  /** Parts of the line that were not understood. */
  unread: string[];
}

type Dimension = 'length' | 'volume' | 'mass' | 'area';
interface Size {
  value: number;
  of: Dimension;
}

/** Units as they are written, the longer before the shorter. */
const UNITS: readonly (readonly [RegExp, number, Dimension])[] = [
  [/^(mm|millimet\w*)$/, 0.001, 'length'],
  [/^(cm|centimet\w*)$/, 0.01, 'length'],
  [/^(m|met(er|re)s?)$/, 1, 'length'],
  [/^(in|inch|inches|")$/, INCH, 'length'],
  [/^(ft|foot|feet|')$/, FOOT, 'length'],
  [/^(m2|m²|sqm)$/, 1, 'area'],
  [/^(l|lit(er|re)s?)$/, 0.001, 'volume'],
  [/^(gal|gallons?)$/, US_GALLON, 'volume'],
  [/^(ft3|ft³|cuft)$/, CUBIC_FOOT, 'volume'],
  [/^(kg|kilos?|kilograms?)$/, 1, 'mass'],
  [/^(lb|lbs|pounds?)$/, POUND, 'mass'],
];
const NUMBERS: Readonly<Record<string, number>> = {
  ...{ a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8 },
  ...{ nine: 9, ten: 10, twelve: 12, dozen: 12, some: 3, few: 3, several: 4, pair: 2 },
};
const SIZE =
  /(\d+(?:[.,]\d+)?(?:\s+\d+\/\d+)?|\d+\/\d+)\s*-?\s*(millimet\w*|centimet\w*|met(?:er|re)s?|inches|inch|feet|foot|lit(?:er|re)s?|gallons?|kilograms?|kilos?|pounds?|sqm|cuft|m2|m²|ft3|ft³|mm|cm|in|ft|gal|lbs?|kg|m|l|["'])(?![\w²³])/gi;

function numberIn(text: string): number {
  const [whole = '', part] = text.trim().replace(',', '.').split(/\s+/);
  const one = (word: string): number => {
    const [top = NaN, bottom = 1] = word.split('/').map(Number);
    return top / bottom;
  };
  return one(whole) + (part ? one(part) : 0);
}

const sizeOf = (number: string, unit: string): Size | null => {
  const known = UNITS.find(([is]) => is.test(unit.toLowerCase()));
  return known ? { value: numberIn(number) * known[1], of: known[2] } : null;
};

/** Vessels by what they are called, with the group and the size where none is said. */
const CALLED: readonly (readonly [RegExp, VesselGroup, VesselId])[] = [
  [/\b(window ?box\w*|planter box\w*)\b/, 'pot', 'window-box'],
  [/\b(pails?|buckets?|round tubs?)\b/, 'pail', 'pail-20'],
  [/\b(totes?|storage box\w*|plastic box\w*|bins?)\b/, 'tote', 'tote-70'],
  [/\b(half barrels?)\b/, 'barrel', 'barrel-half'],
  [/\b(barrels?|drums?)\b/, 'barrel', 'barrel-200'],
  [/\b(troughs?)\b/, 'trough', 'trough-270'],
  [/\b(bulk tanks?)\b/, 'tank', 'tank-half'],
  [/\b(trays?)\b/, 'tray', 'tray-60'],
  [/\b(raised beds?|beds?)\b/, 'bed', 'bed-small'],
];

interface MeansWord {
  is: RegExp;
  what: MeansId;
  /** How much one of it is, in the thing's own unit. */
  each: number;
  sized?: true;
}

/** Things by what they are called; the first that fits counts. */
const THINGS: readonly MeansWord[] = [
  {
    is: /\b(drain ?pipes?|drainage pipes?|perforated pipes?|slotted pipes?)\b/,
    what: 'drain-pipe',
    each: 1,
    sized: true,
  },
  { is: /\b(pipes?|tubes?)\b/, what: 'pipe', each: 1, sized: true },
  { is: /\b(bottles?|jugs?)\b/, what: 'bottles', each: 1 },
  { is: /\b(small pots?|flower ?pots?|plant pots?)\b/, what: 'pots', each: 1 },
  { is: /\b(tubs?|cups?|beakers?)\b/, what: 'tubs', each: 1 },
  { is: /\b(crates?)\b/, what: 'crates', each: 1 },
  { is: /\b(lids?|plastic sheets?)\b/, what: 'lid', each: 1 },
  { is: /\b(boards?|planks?)\b/, what: 'boards', each: 2.4 },
  { is: /\b(t-?shirts?|shirts?|rags?|cotton)\b/, what: 'cloth', each: 0.5 },
  { is: /\b(towels?|sheets?)\b/, what: 'cloth', each: 0.7 },
  { is: /\b(fabric|weed cloth|felt|shade cloth)\b/, what: 'fabric', each: 1 },
  { is: /\b(liners?|pond foil)\b/, what: 'liner', each: 1 },
  { is: /\b(stones?|gravel|rubble|pebbles?|rocks?)\b/, what: 'stone', each: 0.02 },
  { is: /\bsand\b/, what: 'sand', each: 0.02 },
  { is: /\b(potting (mix|soil)|mix|soil|compost)\b/, what: 'mix', each: 0.04 },
  { is: /\bstraw\b/, what: 'straw', each: 0.02 },
  { is: /\bhoses?\b/, what: 'hose', each: 5 },
];

/** What a vessel holds by its name, or else by its measures, m³. */
function volumeOf(id: VesselId): number {
  const litres = /(\d+) L\b/.exec(VESSELS[id].name)?.[1];
  if (litres) return Number(litres) / 1000;
  const shape = shapeOf(vesselFrom(id));
  return shape.volumeBelow(shape.depth);
}

/** The usual vessel of a group that is nearest to a size. */
function nearest(group: VesselGroup, volume: number): VesselId | null {
  const of = VESSEL_IDS.filter((id) => VESSELS[id].group === group);
  const off = (id: VesselId): number => Math.abs(Math.log(volumeOf(id) / volume));
  return [...of].sort((a, b) => off(a) - off(b))[0] ?? null;
}

/** Outside of the pipe on sale that is called by a width, metres. */
function pipeOf(width: number): number {
  const outsides = Object.values(PIPES).map(({ outside }) => outside);
  // A pipe is called by its outside or its inside, so it is no narrower than its name.
  const off = (outside: number): number => Math.abs(Math.log(outside / (width * 1.03)));
  return [...outsides].sort((a, b) => off(a) - off(b))[0] ?? width;
}

interface Part {
  words: string;
  count: number;
  sizes: Size[];
}

/** A part of the line taken apart: how many, how large, and the words that are left. */
function apart(text: string): Part {
  const sizes: Size[] = [];
  let words = text.toLowerCase().replace(SIZE, (_all, number: string, unit: string) => {
    const size = sizeOf(number, unit);
    if (size) sizes.push(size);
    return ' ';
  });
  let count = 1;
  words = words.replace(/\b(\d+)\s*(?:x|×)?\b/, (_all, number: string) => {
    count = Number(number);
    return ' ';
  });
  const spelled = words.split(/\s+/).find((word) => word in NUMBERS);
  if (spelled) count *= NUMBERS[spelled] as number;
  return { words: words.replace(/\s+/g, ' ').trim(), count, sizes };
}

const of = (sizes: readonly Size[], dimension: Dimension): number | null =>
  sizes.find((size) => size.of === dimension)?.value ?? null;

function vesselIn({ words, count, sizes }: Part): PlanWish['vessels'][number] | null {
  const called = CALLED.find(([is]) => is.test(words));
  if (!called) return null;
  const [, group, usual] = called;
  const volume = of(sizes, 'volume');
  const id = volume === null ? usual : nearest(group, volume);
  return id && count >= 1 ? { vessel: id, count: Math.min(count, 12) } : null;
}

function meansIn({ words, count, sizes }: Part): PlanWish['means'][number] | null {
  const thing = THINGS.find(({ is }) => is.test(words));
  if (!thing) return null;
  const { what, each, sized } = thing;
  const lengths = sizes.filter((size) => size.of === 'length').map(({ value }) => value);
  const volume = of(sizes, 'volume');
  const mass = of(sizes, 'mass');
  const across = sized ? (lengths.find((length) => length < 0.4) ?? null) : null;
  const long = lengths.find((length) => length !== across && length >= 0.05);
  const amount =
    of(sizes, 'area') ?? volume ?? (mass === null ? null : mass / STONE_DENSITY) ?? long ?? each;
  return {
    what,
    amount: Math.min(Math.max(amount * count, 0.001), 1000),
    across: across === null ? null : what === 'pipe' ? pipeOf(across) : across,
  };
}

/** Reads a line of what there is. */
export function readMeans(line: string): MeansRead {
  const read: MeansRead = { vessels: [], means: [], unread: [] };
  for (const text of line.split(/[,;\n]|\band\b|\+/i)) {
    if (text.trim() === '') continue;
    const part = apart(text);
    const vessel = vesselIn(part);
    const means = vessel ? null : meansIn(part);
    if (vessel) read.vessels.push(vessel);
    else if (means) read.means.push(means);
    else read.unread.push(text.trim());
  }
  return read;
}
