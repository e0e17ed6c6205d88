import type { Part, PartKind, Planter } from '../../../assembly';
import { OVER, upright } from '../marks';
import { always, inSteps, type Mark, type PartRound } from '../partRound';

/** Where water leaves the vessel, and where it is let in from a barrel. */

/** A shell is drawn a little thicker than its wall is. */
const DRAWN = 0.0025;

/** A hole, on the wall's outer and inner face. */
function through({ x, y, from, to }: Part, { vessel }: Planter): Mark[] {
  const away = Math.hypot(x, y) || 1;
  const way = [x / away, y / away] as const;
  return [vessel.wall + 2 * OVER + DRAWN, -2 * OVER].map((out) =>
    upright([x + way[0] * out, y + way[1] * out, (from + to) / 2], way, (to - from) / 2),
  );
}

const drilled = <K extends PartKind>(): PartRound<K> => ({
  ink: () => 'support',
  cells: () => [],
  marks: (_, part, planter) => through(part, planter),
  tier: 'shell',
  comes: inSteps('overflow', 'pierce'),
  outlet: true,
});
export const hole = drilled<'hole'>();
export const fitting = drilled<'fitting'>();
export const rows = drilled<'rows'>();

const unseen = <K extends PartKind>(): PartRound<K> => ({
  ink: () => 'support',
  cells: () => [],
  tier: 'shell',
  comes: always,
});
export const rim = unseen<'rim'>();
export const supply = unseen<'supply'>();
