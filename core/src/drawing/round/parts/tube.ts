import { PIPES } from '../../../catalog';
import { PIPE_WALL, type PartKind } from '../../../assembly';
import { inSteps, type PartRound } from '../partRound';
import { pipe, runCells } from '../solids';

/** Tubes and pipes that stand up through the soil. */

export const tube: PartRound<'tube'> = {
  ink: () => 'pipe',
  cells: ({ spec }, part) =>
    part.foot.form === 'disc'
      ? pipe(part, part.foot.r, part.foot.r - PIPES[spec.pipe].inside / 2)
      : runCells(part),
  tier: 'pipe',
  comes: inSteps('tube'),
};

const standingPipe = <K extends PartKind>(...steps: string[]): PartRound<K> => ({
  ink: () => 'pipe',
  cells: (_, part) => (part.foot.form === 'disc' ? pipe(part, part.foot.r, PIPE_WALL) : []),
  tier: 'pipe',
  comes: inSteps(...steps),
});
export const inspection = standingPipe<'inspection'>('tube');
export const worm = standingPipe<'worm'>('tube', 'fill');
