import { CRATE_KINDS } from '../../../catalog';
import { boxesOf, nameOf } from '../../../assembly';
import { q, say } from '../../../units';
import { crateGood } from '../../goods';
import type { PartBuilder } from '../../buildSheetBuilder';
import { level, vents } from '../bearing';

export const crates: PartBuilder<'crates'> = (group, builder) => {
  const { spec, id, height } = group;
  const n = group.parts.length;
  if (n === 0) return;
  const one = spec.length * spec.width * spec.height;
  builder.part('supports', {
    id,
    what: CRATE_KINDS[spec.what].name,
    amount: say`${q(n, 'count')}, ${q(spec.length, 'length')} by ${q(spec.width, 'length')} by ${q(spec.height, 'length')}`,
    use: n === 1 ? 'Bears the soil over the water' : 'Bear the soil over the water',
    good: crateGood(spec.what, one),
    quantity: n,
  });
  const name = nameOf(group);
  const low = spec.height - height > 0.002;
  const round = boxesOf(group).some(({ x, y, a, b }) =>
    builder.planter.partGroups.some(
      ({ kind, parts }) =>
        ['tube', 'inspection', 'column', 'cup', 'cloth'].includes(kind) &&
        parts.some((piece) => Math.abs(piece.x - x) < a && Math.abs(piece.y - y) < b),
    ),
  );
  builder.tools('supports', 'Tape', ...(low || round ? ['Saw'] : []));
  if (low || round) {
    builder.warn('supports', 'cutting');
    builder.say(
      'supports',
      low
        ? say`Saw the ${name} down to ${q(height, 'length')}${round ? ', and cut openings in them for what stands up through them' : ''}.`
        : say`Cut openings in the ${name} for what stands up through them.`,
      5 * n,
    );
  }
  if (spec.what === 'former') {
    vents(builder, group, n === 1 ? 'Void box' : 'Void boxes');
    builder.say(
      'supports',
      say`Drill ${n === 1 ? 'the box' : 'each box'} near the foot and near the top, all round, so that ${n === 1 ? 'it fills and does' : 'they fill and do'} not float.`,
    );
  }
  builder.say(
    'supports',
    say`Set ${n === 1 ? say`the ${nameOf(group, 1)}` : say`${q(n, 'count')} ${name}`} on the floor as the plan shows, open side down.`,
    3 * n,
  );
  level(builder);
};
