import type { Figures } from '../../assessment';
import type { Planter } from '../../assembly';
import { plural, writeQuantity, type UnitSystem } from '../../units';
import { framed, line, text, type Template, type TemplateShape } from './template';

/** Marks of a gauge: litres on the left, hot days on the right. */

interface Mark {
  /** Water level above the inside floor, metres. */
  level: number;
  words: string;
}

const US_GALLON = 231 * 0.0254 ** 3;
const LITRE = 1e-3;
/** Most marks for litres. */
const MOST = 12;
/** Marks closer than this are left out, metres. */
const CLOSE = 0.0045;
const HALF_WIDTH = 0.016;
const OVER = 0.02;

/** Marks at round amounts of water, from the floor to the brim. */
function volumeMarks({ storage, heights }: Planter, set: UnitSystem): Mark[] {
  const whole = storage.volumeBelow(heights.brim);
  const unit = set === 'us' ? US_GALLON : LITRE;
  const step = niceStep(whole / unit / MOST) * unit;
  const marks: Mark[] = [];
  for (let volume = step; volume < whole - 1e-9; volume += step) {
    marks.push({
      level: storage.heightFor(volume),
      words: writeQuantity(volume, 'volume', set),
    });
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

/** Draws marks at places along the stick; every one keeps clear of the last. */
function scale(
  planter: Planter,
  figures: Figures,
  set: UnitSystem,
  at: (level: number) => number,
): TemplateShape[] {
  const { heights } = planter;
  const shapes: TemplateShape[] = [];
  const side = (marks: readonly Mark[], left: boolean) => {
    let last = -Infinity;
    for (const { level, words } of marks) {
      const y = at(level);
      if (Math.abs(y - last) < CLOSE || Math.abs(y - at(heights.brim)) < CLOSE) continue;
      last = y;
      const [x0, x1] = left ? [-HALF_WIDTH, -HALF_WIDTH + 0.005] : [HALF_WIDTH - 0.005, HALF_WIDTH];
      shapes.push(
        line(x0, y, x1, y, 'mark'),
        text(left ? x1 + 0.001 : x0 - 0.001, y - 0.0011, words, left ? 'start' : 'end', 0.0022),
      );
    }
  };
  side(volumeMarks(planter, set), true);
  side(dayMarks(planter, figures), false);
  const level = (z: number, words: string) => {
    shapes.push(
      line(-HALF_WIDTH, at(z), HALF_WIDTH, at(z), 'mark'),
      text(0, at(z) + 0.0014, words, 'middle', 0.0024),
    );
  };
  level(heights.brim, `FULL ${writeQuantity(figures.standing, 'volume', set)}`);
  if (figures.usableLevel > 1e-3 && figures.usableLevel < heights.brim - 0.006) {
    level(figures.usableLevel, 'FILL');
  }
  return shapes;
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
