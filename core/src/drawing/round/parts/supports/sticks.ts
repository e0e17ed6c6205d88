import { boxCell } from '../../cell';
import { inSteps, type PartRound } from '../../partRound';
import { rod, runCells } from '../../solids';

/** Sticks and brushwood. */
export const sticks: PartRound<'sticks'> = {
  ink: () => 'wood',
  cells(_, part) {
    const { foot, x, y, from, to } = part;
    if (foot.form === 'box') return [boxCell(x, y, foot.a, foot.b, from, to)];
    return foot.form === 'disc' ? rod(part, foot.r) : runCells(part);
  },
  tier: 'base',
  comes: inSteps('lay', 'supports'),
};
