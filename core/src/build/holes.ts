import { bitFor, INCH_BITS, METRIC_BITS, PIPES, STANDING } from '../catalog';
import { lipBelowMark } from '../design';
import type { Planter } from '../planter';
import { q, say, type Message, type UnitSystem } from '../quantity';
import { CUP_WALL } from '../reservoir';

/** Holes of one kind, as they are marked and drilled. */
export interface Hole {
  id: string;
  /** Which part is drilled. */
  part: string;
  count: number;
  /** What the design asks for, and the drill or hole saw of the chosen set that makes it. Metres. */
  diameter: number;
  bit: number;
  /** Where the middle is marked, from where it is measured. */
  where: Message;
  why: Message;
}

/** Holes of a perforated pipe, a support or a platform are about this wide, metres. */
const VENT = 0.008;
const DRAIN = 0.006;
/** One drain hole for so much platform, m². */
const PER_DRAIN = 0.0025;
const PLAY = 0.001;

/** Every hole of a planter, in the order of the work, for a set of metric or inch drills. */
export function holesOf({ design, layout, vessel, heights }: Planter, set: UnitSystem): Hole[] {
  const bits = set === 'us' ? INCH_BITS : METRIC_BITS;
  const { overflow, reservoir, fillTube, bed } = design;
  const list: Hole[] = [];
  const add = (
    id: string,
    part: string,
    count: number,
    diameter: number,
    where: Message,
    why: Message,
  ) => {
    if (count > 0)
      list.push({ id, part, count, diameter, bit: bitFor(diameter, bits), where, why });
  };

  if (overflow && overflow.kind !== 'rim') {
    const bit = bitFor(overflow.diameter, bits);
    const lip = overflow.centre - lipBelowMark(overflow);
    // A hole of another size keeps its lip when its mark moves with it.
    const mark = overflow.kind === 'fitting' ? overflow.centre : lip + bit / 2;
    const rows =
      overflow.kind === 'rows' && overflow.rows > 1
        ? say`, and ${q(overflow.rows - 1, 'count')} rows above it, ${q(overflow.pitch, 'length')} apart and staggered`
        : say``;
    add(
      'overflow',
      'Wall',
      overflow.kind === 'rows' ? overflow.count * overflow.rows : overflow.count,
      overflow.diameter,
      say`middle ${q(mark, 'length')} above the inside floor${rows}`,
      say`overflow: its lip comes to ${q(lip, 'length')}`,
    );
  }
  layout.parts.forEach((part) => {
    const what = part.design;
    if (!('vents' in what) || what.vents !== 'both' || part.placed === 0) return;
    if (what.kind === 'standing' && what.what === 'brick') return;
    if (what.kind === 'ring' && !what.cutEnd) return;
    const name =
      what.kind === 'standing'
        ? `${STANDING[what.what].name}, 4 in each`
        : what.kind === 'arch'
          ? 'Panel'
          : 'Cut end';
    const each = what.kind === 'standing' ? 4 : 8;
    add(
      `vents-${part.index}`,
      name,
      part.placed * each,
      VENT,
      say`half of them close to the foot, half close under the top at ${q(part.height, 'length')}`,
      say`lets water in and air out`,
    );
  });
  const deck = bed?.kind === 'nested' ? 'Floor of the upper vessel' : 'Platform';
  if (reservoir.cover === 'platform' || bed?.kind === 'nested') {
    if (fillTube) {
      add(
        'tube',
        deck,
        1,
        fillTube.hole,
        say`${q(layout.tube?.x ?? 0, 'length')} from its middle`,
        say`for the ${PIPES[fillTube.pipe].name}, ${q(PIPES[fillTube.pipe].outside, 'length')} outside`,
      );
    }
    design.wicks.forEach((wick, i) => {
      if (wick.kind === 'cloth') {
        add(
          `wick-${i}`,
          deck,
          Math.ceil(wick.legs / 2),
          Math.max(wick.width / 2, wick.thickness * 4),
          say`in the middle, side by side`,
          say`two legs of cloth go through each`,
        );
      } else {
        const wall = wick.kind === 'cup' ? CUP_WALL : 0;
        add(
          `wick-${i}`,
          deck,
          wick.count,
          wick.diameter + 2 * wall + PLAY,
          say`as the plan shows`,
          wick.kind === 'cup' ? say`a cup hangs in each` : say`a column goes through each`,
        );
      }
    });
    const area = vessel.areaAt(Math.min(heights.ceiling, vessel.depth));
    add(
      'drain',
      deck,
      Math.max(Math.round(area / PER_DRAIN), 6),
      DRAIN,
      say`all over, a finger’s length apart`,
      say`lets rain and top watering through`,
    );
  }
  const lying = layout.parts.find((part) => part.runs.length > 0);
  if (lying && fillTube) {
    add(
      'joint',
      'Lying pipe',
      1,
      PIPES[fillTube.pipe].outside + PLAY,
      say`in its crown, ${q(layout.tube?.x ?? 0, 'length')} from the middle of the vessel`,
      say`the fill tube goes in here`,
    );
  }
  return list;
}
