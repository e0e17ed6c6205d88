import { FIELDS } from '../../document';
import type { PartGroup, Planter } from '../../assembly';
import { q, say } from '../../units';
import type { BuildSheetBuilder } from '../buildSheetBuilder';
import { measure } from '../step';

/** What supports have in common: how they are made, and set in. */

/** Holes of a support or a panel are about this wide, metres. */
const VENT = 0.008;

/** Supports are made at their own step, and set in where nothing has to be brought up to them first. */
export const bears = ({ design }: Planter): string =>
  design.reservoir.cover === 'platform' ? 'Bears the platform' : 'Keeps the reservoir open';

/** The check that all that bears is level, once. */
export function level(builder: BuildSheetBuilder): void {
  const { top } = builder.planter.design.reservoir;
  builder.check('supports', {
    id: 'height',
    must: say`Everything that bears comes to the same height, and nothing rocks.`,
    mend: say`Trim the tall ones. One support that is short carries nothing.`,
  });
  if (!builder.planter.design.bed)
    builder.measure('supports', measure('top', FIELDS.reservoir.top, top, ['reservoir', 'top']));
}

/** Holes that let water in and air out, so many in each. */
export function vents(
  builder: BuildSheetBuilder,
  group: PartGroup,
  part: string,
  each: number,
  clay = false,
): void {
  builder.hole(
    {
      id: `${group.id}-vents`,
      step: 'supports',
      part,
      count: group.parts.length * each,
      diameter: VENT,
      where: say`half of them close to the foot, half close under the top at ${q(group.height, 'length')}`,
      why: say`lets water in and air out`,
    },
    clay ? 'clay' : null,
  );
}
