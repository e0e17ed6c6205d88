import { perforationOf } from '../../../../assembly';
import { boxCell } from '../../cell';
import { boxPerforations, meshOf } from '../../marks';
import { inSteps, type PartRound } from '../../partRound';

/** Boxes that the soil rests on: the mesh of their sides, or the holes in closed ones. */
export const crates: PartRound<'crates'> = {
  ink: () => 'support',
  cells: (_, { x, y, from, to, foot }) =>
    foot.form === 'box' ? [boxCell(x, y, foot.a, foot.b, from, to)] : [],
  marks: (group, part) =>
    group.spec.what === 'former' ? boxPerforations(part, perforationOf(group)) : meshOf(part),
  tier: 'base',
  comes: inSteps('supports', 'lay'),
};
