import { perforationOf, type Part, type PartGroup } from '../../../../assembly';
import type { Cell } from '../../cell';
import { roundPerforations } from '../../marks';
import { inSteps, type PartRound } from '../../partRound';
import { pipe, ringCells, rod } from '../../solids';

/** Half width by height of a bottle or jug, as shares of its radius. */
const NECKED: readonly (readonly [t: number, r: number])[] = [
  [0, 1],
  [0.68, 1],
  [0.86, 0.38],
  [1, 0.34],
];
const POT: typeof NECKED = [
  [0, 1],
  [1, 0.75],
];
const TUB: typeof NECKED = [
  [0, 1],
  [1, 0.94],
];
const STRAIGHT: typeof NECKED = [
  [0, 1],
  [1, 1],
];

/** Its half width by height, as shares of its foot's. */
function profileOf({ spec }: PartGroup<'standing'>): typeof NECKED {
  if (spec.what === 'pipe') return STRAIGHT;
  if (spec.what === 'bottle' || spec.what === 'jug') return NECKED;
  return spec.what === 'pot' ? POT : TUB;
}

const isClear = ({ spec }: PartGroup<'standing'>): boolean =>
  spec.what === 'bottle' || spec.what === 'jug';

/** Its radius at its foot; 0 for what stands otherwise. */
const radiusOf = ({ foot }: Part): number =>
  foot.form === 'disc' || foot.form === 'ring' ? foot.r : 0;

function cells(group: PartGroup<'standing'>, part: Part): Cell[] {
  const { from, to, foot } = part;
  const r = radiusOf(part);
  if (r === 0 || to <= from + 1e-9) return [];
  if (group.spec.what === 'pipe')
    return foot.form === 'ring' ? ringCells(part) : pipe(part, r, group.spec.wall);
  const profile = profileOf(group);
  const at = (u: number): number => from + (to - from) * u;
  return profile.slice(1).flatMap(([t, share], i) => {
    const [t0, share0] = profile[i] as readonly [number, number];
    return rod({ ...part, from: at(t0), to: at(t) }, r * share0, r * share);
  });
}

/** The half width at a height, as a share of the foot's. @param t share of the height */
function shareAt(profile: typeof NECKED, t: number): number {
  const i = Math.max(
    profile.findIndex(([u]) => u >= t),
    1,
  );
  const [t0, share0] = profile[i - 1] as readonly [number, number];
  const [t1, share1] = profile[i] as readonly [number, number];
  return share0 + ((share1 - share0) * (t - t0)) / (t1 - t0);
}

/** Pots, tubs, bottles and pieces of pipe that stand on the floor. */
export const standing: PartRound<'standing'> = {
  ink: (group) => (isClear(group) ? 'clear' : 'support'),
  cells,
  marks(group, part) {
    const r = radiusOf(part);
    if (r === 0) return [];
    const profile = profileOf(group);
    const up = (z: number): number => (z - part.from) / Math.max(part.to - part.from, 1e-6);
    return roundPerforations(part, perforationOf(group), (z) => r * shareAt(profile, up(z)));
  },
  tier: 'base',
  comes: inSteps('supports'),
};
