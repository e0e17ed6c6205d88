import { lengthOf, runsOf, tightest } from '../../../assembly';
import { q, say } from '../../../units';
import { drainPipe, fittingSize, SMALL_GOODS } from '../../goods';
import type { PartBuilder } from '../../buildSheetBuilder';
import { laid } from '../bearing';

export const lying: PartBuilder<'lying'> = (group, builder) => {
  const { spec, id } = group;
  const runs = runsOf(group);
  if (runs.length === 0) return;
  const good = drainPipe(spec.diameter, spec.sock);
  const turning = spec.lay !== 'runs';
  runs.forEach((run, k) => {
    if (run.kind === 'turn' && spec.stiff) {
      const { a, b } = run.line;
      const elbow = spec.diameter;
      builder.cut('lay', id, good, 'Long side', Math.max(2 * a - elbow, 0.02), 2);
      builder.cut('lay', id, good, 'Short side', Math.max(2 * b - elbow, 0.02), 2);
      return;
    }
    const bent = turning
      ? say`laid round, bent no tighter than ${q(tightest(spec), 'length')} at its middle`
      : null;
    builder.cut(
      'lay',
      id,
      good,
      turning ? `Turn ${k + 1}` : `Run ${k + 1}`,
      lengthOf(run),
      1,
      bent,
    );
  });
  const total = builder.lengthOf(id);
  builder.part('lay', {
    id,
    what: 'Perforated pipe',
    amount: say`${q(total, 'span')} of ${q(spec.diameter, 'length')}`,
    use: 'Keeps the reservoir open',
    good,
    quantity: total,
  });
  const elbows = spec.stiff && turning ? 4 * runs.length : 0;
  if (elbows > 0) {
    builder.part('lay', {
      id: `${id}-elbows`,
      what: 'Elbows for the pipe',
      amount: say`${q(elbows, 'count')} ${fittingSize(spec.diameter)}`,
      use: 'Turn the loop’s corners',
      good: SMALL_GOODS.elbow,
      quantity: elbows,
    });
  }
  laid(builder);
  builder.tools('lay', 'Saw', 'Tape', 'Marker');
  const n = runs.length;
  const sock = spec.sock ? (n === 1 ? ' in its sock' : ' in their socks') : '';
  builder.say(
    'lay',
    turning
      ? spec.stiff
        ? say`Join ${q(4 * n, 'count')} straight pieces with ${q(elbows, 'count')} elbows to a loop, and lay it on the floor a finger from the wall, holes downward.`
        : say`Lay ${n === 1 ? 'one turn' : say`${q(n, 'count')} turns`} of ${q(spec.diameter, 'length')} pipe${sock} on the floor; close the far end with mesh${spec.sock ? ' or tie the sock' : ''}.`
      : say`Lay ${n === 1 ? 'the pipe' : say`${q(n, 'count')} pipes`} of ${q(spec.diameter, 'length')}${sock} on the floor as the plan shows; close the ends with mesh, so that no soil gets in.`,
    10 + 5 * n,
  );
};
