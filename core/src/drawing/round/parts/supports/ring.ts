import { inSteps, type PartRound } from '../../partRound';
import { ringCells } from '../../solids';

/** A cut end that is turned over and set in. */
export const ring: PartRound<'ring'> = {
  ink: () => 'support',
  cells: (_, part) => ringCells(part),
  opened: true,
  tier: 'base',
  comes: inSteps('supports'),
};
