import { q, say } from '../../../units';
import { plainPipe } from '../../goods';
import type { PartBuilder } from '../../buildSheetBuilder';
import { bears, level } from '../bearing';

export const ring: PartBuilder<'ring'> = (group, builder) => {
  const { spec, id, height, parts } = group;
  if (parts.length === 0) return;
  if (spec.cutEnd) {
    // The end itself is sawn off, drilled and slid in as the platform.
    builder.after('saw', 'platform');
    builder.after('platform', 'set');
    builder.check('platform', {
      id: 'slides',
      must: say`Slit up one side, the cut end slides in and stays at ${q(height, 'length')}.`,
      mend: say`Widen the slit. If it slips down, put supports of that height under it.`,
    });
    return;
  }
  const good = plainPipe(spec.diameter);
  const split = spec.vents === 'both';
  const note = split
    ? say`split along one side, so that it breathes and can be opened to fit`
    : null;
  const length = builder.cut('supports', id, good, 'Ring', height, 1, note);
  builder.part('supports', {
    id,
    what: 'Ring of pipe',
    amount: say`${q(spec.diameter, 'length')} across, ${q(height, 'length')} high`,
    use: bears(builder.planter),
    good,
    quantity: length,
  });
  builder.tools('supports', 'Saw', 'Tape', 'Marker');
  builder.say(
    'supports',
    split
      ? say`Saw the ring to ${q(height, 'length')} and split it along one side, so that it breathes. Stand it in the middle of the floor.`
      : say`Saw the ring to ${q(height, 'length')} and stand it in the middle of the floor.`,
    12,
  );
  level(builder);
};
