import {
  BRIDGE,
  drainHoles,
  drilledSheet,
  drilledTo,
  platformOpenings,
  type Planter,
} from '../../../assembly';
import { level, OVER } from '../marks';
import { inSteps, type Mark, type PartRound } from '../partRound';
import { slab } from '../solids';

/** All holes of the sheet, on its upper face and its lower one. */
function holes(planter: Planter, from: number, to: number): Mark[] {
  const through = platformOpenings(planter).map((hole) => ({ ...hole, r: drilledTo(hole) / 2 }));
  const sheet = drilledSheet(planter);
  const taken = through.map(({ x, y, r }) => ({ x, y, r: r + BRIDGE }));
  const drains = sheet ? drainHoles(planter, sheet, taken) : null;
  const r = (drains?.diameter ?? 0) / 2;
  const all = [...through, ...(drains?.spots ?? []).map(({ x, y }) => ({ x, y, r }))];
  return [to + OVER, from - OVER].flatMap((z) => all.map(({ x, y, r }) => level(x, y, z, r)));
}

/** The rigid sheet, with every hole that goes through it. */
export const platform: PartRound<'platform'> = {
  ink: () => 'platform',
  cells: (_, part) => slab(part),
  marks: (_, { from, to }, planter) => (planter.platformOutline ? holes(planter, from, to) : []),
  opened: true,
  tier: 'sheet',
  comes: inSteps('set', 'stand', 'platform'),
};
