import { q, say } from '../../../units';
import type { PartBuilder } from '../../buildSheetBuilder';

export const sticks: PartBuilder<'sticks'> = ({ spec, id, height }, builder) => {
  const layers = Math.max(Math.round(height / spec.diameter), 1);
  builder.part('supports', {
    id,
    what: 'Sticks',
    amount: say`${q(layers, 'count')} crossed layers, ${q(spec.diameter, 'length')} thick, ${q(spec.spacing, 'length')} apart`,
    use: 'Keep the soil up; from the garden',
  });
  builder.tools('supports', 'Secateurs', 'Tape');
  builder.say(
    'supports',
    say`Cut sticks of ${q(spec.diameter, 'length')} to fit, and lay them crosswise, ${q(spec.spacing, 'length')} apart, up to ${q(height, 'length')}. Leave room for the tube and the cups.`,
    25,
  );
};
