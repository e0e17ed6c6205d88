import type { Planter } from '../../../assembly';
import { q, say } from '../../../units';
import type { PartBuilder } from '../../buildSheetBuilder';
import { laid } from '../bearing';

/** What of this planter comes up through the sticks, in words. */
function roomFor({ wicks, design }: Planter): string {
  const through = [
    ...(design.fillTube ? ['the tube'] : []),
    ...(wicks.some(({ kind }) => kind === 'cup') ? ['the cups'] : []),
    ...(wicks.some(({ kind }) => kind === 'column') ? ['the columns'] : []),
  ];
  return through.length === 0 ? '' : ` Leave room for ${through.join(' and ')}.`;
}

export const sticks: PartBuilder<'sticks'> = ({ spec, id, height }, builder) => {
  const layers = Math.max(Math.round(height / spec.diameter), 1);
  builder.part('lay', {
    id,
    what: 'Sticks',
    amount: say`${q(layers, 'count')} crossed layers, ${q(spec.diameter, 'length')} thick, ${q(spec.spacing, 'length')} apart`,
    use: 'Keep the soil up; from the garden',
  });
  laid(builder);
  builder.tools('lay', 'Secateurs', 'Tape');
  builder.say(
    'lay',
    say`Cut sticks of ${q(spec.diameter, 'length')} to fit, and lay them crosswise, ${q(spec.spacing, 'length')} apart, up to ${q(height, 'length')}.${roomFor(builder.planter)}`,
    25,
  );
};
