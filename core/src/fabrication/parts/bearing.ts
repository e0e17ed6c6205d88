import { FIELDS } from '../../document';
import { nameOf, perforationOf, type PartGroup, type PartKind, type Planter } from '../../assembly';
import { q, say } from '../../units';
import type { BuildSheetBuilder } from '../buildSheetBuilder';
import { measure, type StepId } from '../step';

/** What supports have in common: how they are made, and set in. */

/** Supports are made at their own step, and set in where nothing has to be brought up to them first. */
export const bears = ({ design }: Planter): string =>
  design.reservoir.cover === 'platform' ? 'Bears the platform' : 'Keeps the reservoir open';

/** What lies on the floor: the wall is drilled before, so that nobody drills into it and no chips fall on it. */
export const LAID: readonly PartKind[] = ['arch', 'lying', 'sticks'];

/** The order of what is laid in: after all that is done to wall and liner, before what is joined to it. */
export function laid(builder: BuildSheetBuilder): void {
  for (const first of ['measure', 'overflow', 'line', 'pierce', 'supports'] as const)
    builder.after(first, 'lay');
  for (const then of ['platform', 'tube', 'test', 'wick', 'base', 'layers', 'fill'] as const)
    builder.after('lay', then);
}

/** The check that all that bears is level, once. */
export function level(builder: BuildSheetBuilder): void {
  const { planter } = builder;
  const { top } = planter.design.reservoir;
  const bearing = planter.partGroups.filter(
    ({ kind, index, parts }) =>
      parts.length > 0 && planter.design.reservoir.parts[index]?.kind === kind,
  );
  const [one] = bearing;
  const alone = bearing.length === 1 && one?.parts.length === 1 ? nameOf(one, 1) : null;
  builder.check('supports', {
    id: 'height',
    must: alone
      ? say`The ${alone} stands upright and does not rock.`
      : say`Everything that bears comes to the same height, and nothing rocks.`,
    mend: alone
      ? say`Trim its edge until it stands level.`
      : say`Trim the tall ones. One support that is short carries nothing.`,
  });
  if (!builder.planter.design.bed)
    builder.measure('supports', measure('top', FIELDS.reservoir.top, top, ['reservoir', 'top']));
}

/**
 * Holes that let water in and air out, where the parts have them.
 *
 * @param part what they are called, one or several
 */
export function vents(
  builder: BuildSheetBuilder,
  group: PartGroup,
  part: string,
  { clay = false, step = 'supports' }: { clay?: boolean; step?: StepId } = {},
): void {
  const made = perforationOf(group);
  if (made?.kind !== 'holes') return;
  builder.hole(
    {
      id: `${group.id}-vents`,
      step,
      part: group.parts.length === 1 ? part : `${part}, ${made.each} in each`,
      count: group.parts.length * made.each,
      diameter: made.diameter,
      where: say`half of them close to the foot, half close under the top at ${q(group.height, 'length')}`,
      why: say`lets water in and air out`,
    },
    clay ? 'clay' : null,
  );
}
