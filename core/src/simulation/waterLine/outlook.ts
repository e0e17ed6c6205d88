import { daysBySupply } from '../../assessment';
import { rootWays } from '../../assembly';
import type { WaterLine } from '../../document';
import { heldBelow, type JoinedPlanter } from './joined';

/** How long the water of a line lasts on days that are all alike. */

const DAY = 86_400;
/** Slices in which the common level falls. */
const SLICES = 120;
/** Halvings in which a share is found: to a hundredth of a litre. */
const HALVINGS = 20;

export interface LineDays {
  /** Until the barrel is empty, days; 0 without one, infinite with the mains. */
  barrel: number;
  /** Until the first of them reads low, days, and which: its place in the line, or null where none takes anything. */
  low: number;
  first: number | null;
}

type Drinking = Pick<JoinedPlanter, 'member' | 'level' | 'planter' | 'kept'>;

/**
 * Lets a line run down. First the barrel keeps the level; then all whose hose is still under water fall together, and
 * one whose hose has come dry goes on alone.
 *
 * @param takes of each planter, m³/s
 */
export function daysOfLine(
  { supply }: Pick<WaterLine, 'supply'>,
  joined: readonly Drinking[],
  takes: readonly number[],
): LineDays {
  if (supply.kind === 'mains') return { barrel: Infinity, low: Infinity, first: null };
  const fed = joined.flatMap((one, i) => {
    const { member, level, kept } = one;
    if (!kept || (takes[i] as number) <= 0) return [];
    const mark = Math.min(kept.figures.usableLevel, level);
    return [
      { i, one, floor: member.floor, port: member.port, level, mark, takes: takes[i] as number },
    ];
  });
  if (fed.length === 0) return { barrel: Infinity, low: Infinity, first: null };
  const all = fed.reduce((sum, one) => sum + one.takes, 0);
  const barrel = supply.kind === 'barrel' ? supply.volume / all : 0;
  const top = Math.max(...fed.map(({ floor, level }) => floor + level));
  const bottom = Math.min(...fed.map(({ floor }) => floor));
  const step = (top - bottom) / SLICES;
  let seconds = barrel;
  let low = { at: Infinity, i: null as number | null };
  const reads = (at: number, i: number): void => {
    if (at < low.at) low = { at, i };
  };
  const below = (one: (typeof fed)[number], z: number): number =>
    heldBelow(one.one, Math.min(Math.max(z - one.floor, one.port), one.level));
  for (let k = 0; k < SLICES && low.i === null; k += 1) {
    const [from, to] = [top - k * step, top - (k + 1) * step];
    const open = fed.filter(({ floor, port }) => from - floor > port);
    if (open.length === 0) break;
    const fell = open.reduce((sum, one) => sum + below(one, from) - below(one, to), 0);
    const span = fell / open.reduce((sum, one) => sum + one.takes, 0);
    for (const one of open) {
      const mark = one.floor + Math.max(one.mark, one.port);
      if (to > mark) continue;
      const at = seconds + (span * (from - mark)) / step;
      // Its hose has come dry above its mark: what is left under it is its own.
      const own = heldBelow(one.one, one.port) - heldBelow(one.one, one.mark);
      reads(one.mark < one.port ? at + own / one.takes : at, one.i);
    }
    seconds += span;
  }
  return { barrel: barrel / DAY, low: low.at / DAY, first: low.i };
}

/**
 * The share of the line's water that comes to each planter besides its own, so that each lasts as long on hot days as
 * the line does: what the others give and the barrel holds. m³
 *
 * @param most of one planter
 */
export function sharesOf(
  line: Pick<WaterLine, 'supply'>,
  joined: readonly JoinedPlanter[],
  most: number,
): number[] {
  const { low } = daysOfLine(
    line,
    joined,
    joined.map(({ takes }) => takes.hot),
  );
  return joined.map(({ kept }) => {
    if (!kept) return 0;
    if (!Number.isFinite(low)) return most;
    const days = daysBySupply(kept.planter, kept.figures.hot, rootWays(kept.planter));
    // Whoever has more of its own keeps it.
    if (days(0) >= low || kept.figures.hot.total <= 0) return 0;
    let [from, to] = [0, most];
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (from + to) / 2;
      if (days(middle) < low) from = middle;
      else to = middle;
    }
    return (from + to) / 2;
  });
}
