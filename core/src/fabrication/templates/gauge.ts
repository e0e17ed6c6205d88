import type { Figures } from '../../assessment';
import type { Planter } from '../../assembly';
import { plural, US_GALLON, writeQuantity, type UnitSystem } from '../../units';
import { framed, line, text, type Template, type TemplateShape } from './template';

/** Marks of a gauge: litres on the left, hot days on the right. */

interface Mark {
  /** Water level above the inside floor, metres. */
  level: number;
  words: string;
}

const LITRE = 1e-3;
const CUP = US_GALLON / 16;
/** Water up to so much is marked in cups, m³. */
const IN_CUPS = 1.5 * US_GALLON;
/** Most marks for litres. */
const MOST = 12;
/** Marks closer than this are left out, metres. */
const CLOSE = 0.0045;
const HALF_WIDTH = 0.016;
const OVER = 0.02;
/** A mark's line at the edge, and the gap to its words, metres. */
const TICK = 0.003;
const TO_WORDS = 0.0006;
/** Sizes of the words of marks and of levels, and where they begin and end above their lines, metres. */
const MARK_SIZE = 0.0022;
const MARK_FOOT = -0.0011;
const MARK_TOP = 0.0013;
const LEVEL_SIZE = 0.0024;
const LEVEL_FOOT = 0.0014;
const LEVEL_TOP = 0.004;

/** Marks at round amounts of water, from the floor to the brim, all in one unit. */
function volumeMarks({ storage, heights }: Planter, set: UnitSystem): Mark[] {
  const whole = storage.volumeBelow(heights.brim);
  const size = whole > IN_CUPS ? 'large' : 'small';
  const unit = set === 'metric' ? LITRE : size === 'large' ? US_GALLON : CUP;
  const step = niceStep(whole / unit / MOST) * unit;
  const marks: Mark[] = [];
  for (let volume = step; volume < whole - 1e-9; volume += step) {
    const words = writeQuantity(volume, 'volume', set, 'point', set === 'us' ? size : null);
    marks.push({ level: storage.heightFor(volume), words });
  }
  return marks;
}

/** The next of 1, 2, 5, 10, 20 … that is at least x. */
function niceStep(x: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(x, 1e-6)));
  const lead = x / power;
  return (lead <= 1 ? 1 : lead <= 2 ? 2 : lead <= 5 ? 5 : 10) * power;
}

const DAY = 86_400;

/** Levels at which water for so many hot days is left above the level where wicks fall behind. */
function dayMarks({ storage, heights }: Planter, figures: Figures): Mark[] {
  const from = storage.volumeBelow(figures.usableLevel);
  const whole = storage.volumeBelow(heights.brim);
  const daily = (figures.hot.total + figures.hot.open) * DAY;
  if (daily <= 0) return [];
  const days = (whole - from) / daily;
  const step = Math.max(niceStep(days / MOST), 1);
  const marks: Mark[] = [];
  for (let day = step; from + day * daily < whole + 1e-9; day += step) {
    marks.push({
      level: storage.heightFor(from + day * daily),
      words: `${day} ${plural(day, 'day')}`,
    });
  }
  return marks;
}

/** Draws marks at places along the stick: one that is close to the last is left out, and none is written over a level. */
function scale(
  planter: Planter,
  figures: Figures,
  set: UnitSystem,
  at: (level: number) => number,
): TemplateShape[] {
  const { heights } = planter;
  const levels: Mark[] = [
    { level: heights.brim, words: `FULL ${writeQuantity(figures.standing, 'volume', set)}` },
  ];
  if (figures.usableLevel > 1e-3 && figures.usableLevel < heights.brim - 0.006) {
    levels.push({ level: figures.usableLevel, words: 'FILL' });
  }
  const written = (y: number): boolean =>
    levels.some(({ level }) => {
      const above = y - at(level);
      return above < LEVEL_TOP - MARK_FOOT && above > LEVEL_FOOT - MARK_TOP;
    });
  const side = (marks: readonly Mark[], left: boolean): TemplateShape[] => {
    const shapes: TemplateShape[] = [];
    const outwards = left ? -1 : 1;
    let last = -Infinity;
    for (const { level, words } of marks) {
      const y = at(level);
      if (Math.abs(y - last) < CLOSE || Math.abs(y - at(heights.brim)) < CLOSE) continue;
      last = y;
      const [edge, end] = [HALF_WIDTH * outwards, (HALF_WIDTH - TICK) * outwards];
      shapes.push(line(Math.min(edge, end), y, Math.max(edge, end), y, 'mark'));
      if (written(y)) continue;
      const from = end - TO_WORDS * outwards;
      shapes.push(text(from, y + MARK_FOOT, words, left ? 'start' : 'end', MARK_SIZE));
    }
    return shapes;
  };
  return [
    ...side(volumeMarks(planter, set), true),
    ...side(dayMarks(planter, figures), false),
    ...levels.flatMap(({ level, words }) => [
      line(-HALF_WIDTH, at(level), HALF_WIDTH, at(level), 'mark'),
      text(0, at(level) + LEVEL_FOOT, words, 'middle', LEVEL_SIZE),
    ]),
  ];
}

const frame = (bottom: number, top: number): TemplateShape[] => [
  {
    kind: 'path',
    closed: true,
    stroke: 'cut',
    points: [
      [-HALF_WIDTH, bottom],
      [HALF_WIDTH, bottom],
      [HALF_WIDTH, top],
      [-HALF_WIDTH, top],
    ],
  },
];

/** A dip stick that stands on the floor: read where it is wet. */
export function dipStick(planter: Planter, figures: Figures, set: UnitSystem): Template {
  const top = planter.heights.brim + OVER;
  return framed({
    id: 'dip-stick',
    title: 'Dip stick',
    says: 'Its foot is the stick’s foot, on the inside floor. Read where the stick comes out wet: water on the left, hot days on the right.',
    shapes: [...frame(0, top), ...scale(planter, figures, set, (level) => level)],
  });
}

/**
 * The scale of a stick on a float, read at the tube's mouth: the lower the water, the farther up the
 * stick the mouth comes.
 *
 * @returns null without a tube
 */
export function floatScale(planter: Planter, figures: Figures, set: UnitSystem): Template | null {
  const { fillTube } = planter.design;
  const mouth = planter.of('tube')[0]?.height;
  if (!fillTube || mouth === undefined) return null;
  const bottom = mouth - planter.heights.brim - OVER;
  const top = mouth + OVER / 2;
  const shift = (level: number) => mouth - level - bottom;
  return framed({
    id: 'float-scale',
    title: 'Float scale',
    says: `Its lower edge goes ${writeQuantity(bottom, 'length', set)} above the float’s water line. Read at the tube’s mouth.`,
    shapes: [...frame(0, top - bottom), ...scale(planter, figures, set, shift)],
  });
}
