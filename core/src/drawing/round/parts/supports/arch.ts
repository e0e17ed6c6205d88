import { perforationOf, type PartGroup, type Part } from '../../../../assembly';
import type { Cell } from '../../cell';
import { inSteps, type PartRound } from '../../partRound';
import { LEAST_WALL, prismAlongY } from '../../solids';
import { OVER, upright } from '../../marks';

/** Segments of the vault. */
const STEPS = 10;

/** A point of the vault's outer line in the section, or further in. */
const profile = (
  { spec }: PartGroup<'arch'>,
  { x, to }: Part,
  t: number,
  share: number,
): [number, number] => [x + (share * spec.width * Math.cos(t)) / 2, share * to * Math.sin(t)];

function cells(group: PartGroup<'arch'>, part: Part): Cell[] {
  const { foot, y } = part;
  if (foot.form !== 'box') return [];
  const thin = 1 - Math.max(group.spec.wall, LEAST_WALL) / Math.max(group.spec.width / 2, 0.01);
  return Array.from({ length: STEPS }, (_, i) => {
    const [t0, t1] = [(Math.PI * i) / STEPS, (Math.PI * (i + 1)) / STEPS];
    const corners = [
      profile(group, part, t0, 1),
      profile(group, part, t1, 1),
      profile(group, part, t1, thin),
      profile(group, part, t0, thin),
    ];
    return prismAlongY(corners, y - foot.b, y + foot.b);
  });
}

/** A panel bent to a vault, with its holes along both feet. */
export const arch: PartRound<'arch'> = {
  ink: () => 'support',
  cells,
  marks(group, part) {
    const made = perforationOf(group);
    if (made?.kind !== 'holes' || part.foot.form !== 'box') return [];
    const { b } = part.foot;
    const aSide = Math.max(Math.round(made.each / 2), 1);
    return [0.22, Math.PI - 0.22].flatMap((t) =>
      Array.from({ length: aSide }, (_, i) => {
        const [x, z] = profile(group, part, t, 1);
        const out = Math.sign(x - part.x) || 1;
        const y = part.y + ((2 * (i + 0.5)) / aSide - 1) * b;
        return upright([x + out * 6 * OVER, y, z], [out, 0], made.diameter / 2);
      }),
    );
  },
  tier: 'base',
  comes: inSteps('lay', 'supports'),
};
