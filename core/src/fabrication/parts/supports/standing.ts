import { STANDING, type STANDING_IDS } from '../../../catalog';
import {
  drilledTo,
  goesThrough,
  perforationOf,
  nameOf,
  platformOpenings,
  type PartGroup,
} from '../../../assembly';
import { plural, q, say } from '../../../units';
import { plainPipe, standingGood } from '../../goods';
import type { BuildSheetBuilder, PartBuilder } from '../../buildSheetBuilder';
import { level, vents } from '../bearing';

/** Minutes for the slots at both ends of a pipe. */
const SLOT_MINUTES = 1.5;

export const standing: PartBuilder<'standing'> = (group, builder) => {
  const { spec, id, height, parts } = group;
  const n = parts.length;
  if (n === 0) return;
  const pipe = spec.what === 'pipe';
  const good = pipe ? plainPipe(spec.diameter) : standingGood(spec.what, spec.diameter);
  const length = pipe ? builder.cut('supports', id, good, 'Support', height, n) : 0;
  builder.part('supports', {
    id,
    what: STANDING[spec.what].name,
    amount: say`${q(n, 'count')}, ${q(spec.diameter, 'length')} across, ${q(height, 'length')} high`,
    use:
      builder.planter.design.reservoir.cover === 'platform'
        ? 'Bear the platform'
        : 'Keep the reservoir open',
    good,
    quantity: pipe ? length : n,
  });
  const name = nameOf(group);
  const made = perforationOf(group);
  if (pipe) {
    builder.say(
      'supports',
      say`Saw ${q(n, 'count')} ${plural(n, 'piece')} of ${q(height, 'length')}, and deburr them.`,
    );
  }
  if (made?.kind === 'slots') {
    builder.say(
      'supports',
      say`Saw a slot ${q(made.depth, 'length')} deep across both ends of ${n === 1 ? 'it' : 'each'}: water comes in at the foot, and air goes out at the top.`,
      SLOT_MINUTES * n,
    );
  } else if (made) {
    vents(builder, group, STANDING[spec.what].name, { clay: spec.what === 'pot' });
    builder.say(
      'supports',
      say`Drill ${n === 1 ? `the ${name}` : `each ${nameOf(group, 1)}`} near the foot and near the top, so that ${n === 1 ? 'it fills and does' : 'they fill and do'} not float${HOLED[spec.what] ?? ''}.`,
    );
  }
  const through = goesThrough(group, builder.planter.partGroups);
  if (!pipe) passages(builder, group, through);
  builder.tools('supports', 'Tape', 'Marker', ...(pipe ? ['Saw'] : []));
  builder.say(
    'supports',
    say`Stand ${n === 1 ? `the ${name}` : say`the ${q(n, 'count')} ${name}`} on the floor ${through.length > 0 ? 'in the middle' : 'as the plan shows'}.`,
    5 + 2 * Math.min(n, 20),
  );
  level(builder);
};

/** What is drilled, as a line of the list of holes says it. */
const ENDED: Partial<Record<(typeof STANDING_IDS)[number], string>> = {
  tub: 'Tub’s floor',
  cup: 'Cup’s floor',
  pot: 'Pot’s floor',
  bottle: 'Bottle’s floor',
  jug: 'Jug’s floor',
};

/** Holes in the end of a closed thing that stands in the middle, for all that goes down through it. */
function passages(
  builder: BuildSheetBuilder,
  { id, spec }: PartGroup<'standing'>,
  through: readonly PartGroup[],
): void {
  const holes = platformOpenings(builder.planter).filter(({ group }) => through.includes(group));
  holes.forEach((hole, i) => {
    const what = nameOf(hole.group, 1);
    builder.hole(
      {
        id: `${id}-passage-${i}`,
        step: 'supports',
        part: ENDED[spec.what] ?? STANDING[spec.what].one,
        count: 1,
        diameter: drilledTo(hole, builder.bits),
        where: say`in the end that comes up, right under the ${what}’s hole`,
        why: say`the ${what} goes down through it`,
      },
      spec.what === 'pot' ? 'clay' : null,
    );
  });
  if (holes.length > 0)
    builder.say(
      'supports',
      say`Turn it with its closed end up, and make ${holes.length === 1 ? 'the hole' : 'the holes'} in that for what goes down through it.`,
      2,
    );
}

/** What is said of things that are closed by themselves. */
const HOLED: Partial<Record<(typeof STANDING_IDS)[number], string>> = {
  bottle: '; screw their caps on, so that no mix gets in',
  jug: '; close their caps, so that no mix gets in',
};
