import { inSteps, type PartRound } from '../../partRound';
import { runCells } from '../../solids';

/** Pipes that lie on the floor, straight or in a turn. */
export const lying: PartRound<'lying'> = {
  ink: () => 'pipe',
  cells: (_, part) => runCells(part),
  tier: 'base',
  comes: inSteps('lay', 'supports'),
};
