import { sideOpenings, type SupportOf, type PlanterDesign } from '../../../document';
import { q, say } from '../../../units';
import { clearBetween, reachAt, segmentArea, type Vessel } from '../../../geometry/vessels';
import { waterUnderTrappedAir } from '../../../physics/overflow';
import type { Rectangle } from '../../../geometry/packing';
import { found } from '../../contradiction';
import { cutFromVessel, standing } from '../../joining';
import { requestsWhere, boxPart, partGroup, type PartDefinition } from '../../part';
import { vault } from '../../solid';
import { DENSITY } from '../standings';
import { partSizes, spaceFor } from '../sizes';

/**
 * Rise of a panel that was cut from a round wall of inside radius R and lies on its edges: it keeps its
 * curve, so the rise follows from the chord. Metres.
 */
export function riseOf(R: number, width: number): number {
  const half = Math.min(width / 2, R);
  return R - Math.sqrt(R * R - half * half);
}

/** How high a panel stands: as its own curve has it, or bent to the top of the base. */
function panelRise(spec: SupportOf<'arch'>, vessel: Vessel, top: number): number {
  if (!spec.own) return top;
  const { a, b } = vessel.outlineAt(vessel.depth / 2);
  return Math.min(riseOf(Math.min(a, b), spec.width), top);
}

/** A curved panel standing on both its edges: the space under it is a circular segment. */
/** How long a panel can be that comes out of the openings in the vessel's own sides. Metres. */
const longestPanel = ({ own }: SupportOf<'arch'>, design: PlanterDesign): number =>
  own && design.vessel.sawing === 'windows' ? sideOpenings(design).height : Infinity;

export const arch: PartDefinition<'arch'> = {
  bears: 'sheet',
  least: (spec, vessel) => (spec.own ? panelRise(spec, vessel, Infinity) : 0),
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'arch'),
  place({ spec, index }, { design, vessel, taken, top }) {
    const floor = clearBetween(vessel, 0, top);
    const height = panelRise(spec, vessel, top);
    const half = Math.min(spec.width, 2 * floor.a) / 2;
    const box: Rectangle = {
      x: 0,
      y: 0,
      a: half,
      b: Math.min(reachAt(floor, half * 0.999), longestPanel(spec, design) / 2),
    };
    const fits = box.b > 0 && taken.box(box);
    const long = fits ? 2 * box.b : 0;
    const profile = archProfile(half, height);
    const inner = archProfile(Math.max(half - spec.wall, 1e-4), Math.max(height - spec.wall, 1e-4));
    const levelInside = (z: number): number => {
      const level = Math.min(z, height);
      if (spec.vents === 'both') return level;
      return spec.vents === 'foot' ? waterUnderTrappedAir(height, level) : 0;
    };
    return partGroup(
      'arch',
      { spec, index },
      {
        wanted: 1,
        parts: fits
          ? [
              boxPart(`arch-${index}`, box, 0, height, vault(box, profile, height), {
                solid: vault(box, inner, Math.max(height - spec.wall, 1e-4)),
                share: 1,
              }),
            ]
          : [],
        capacity: () => (fits ? 1 : 0),
        height,
        levelInside,
        outerBelow: (z) => long * profile.below(Math.min(z, height)),
        waterBelow: (z) => long * inner.below(levelInside(z)),
        hollowBelow: (z) => long * inner.below(Math.min(z, height)),
        areaAt: (z) => (z <= height ? long * 2 * profile.halfAt(z) : 0),
        mass: long * (profile.below(height) - inner.below(height)) * DENSITY.plastic,
      },
    );
  },
  joints: (group) => [...standing(group), ...(group.spec.own ? cutFromVessel(group) : [])],
  top: () => 'the top of the panel',
  size: ({ width }) => ({ fields: ['width'], says: say`${q(width, 'length')}` }),
  name: () => 'panel',
  contradictions({ spec, index }, design, shape) {
    const sizes = partSizes({ spec, index }, design, shape, {
      stands: true,
      across: ['width', spec.width],
      name: 'panel',
    });
    if (!spec.own || !shape.flat) return sizes;
    const { top } = spaceFor(design, shape);
    const { a, b } = shape.outlineAt(shape.depth / 2);
    const rise = riseOf(Math.min(a, b), spec.width);
    if (rise <= top + 1e-9) return sizes;
    const R = Math.min(a, b);
    const most = 2 * Math.sqrt(Math.max(2 * R * top - top * top, 0));
    return [
      ...sizes,
      found(
        ['reservoir', 'parts', index, 'width'],
        say`A panel ${q(spec.width, 'length')} wide, curved as this wall is, stands ${q(rise, 'length')} high, above a base of ${q(top, 'length')}. Cut it ${q(most, 'length')} wide or less, or raise the base.`,
      ),
    ];
  },
};

/**
 * The segment under an arch of half width w and rise h: half width and area below by height. A rise
 * above the half width stands on straight sides.
 */
export function archProfile(w: number, h: number) {
  const straight = Math.max(h - w, 0);
  const rise = h - straight;
  const R = (w * w + rise * rise) / (2 * rise);
  const whole = segmentArea(R, rise);
  return {
    halfAt(z: number): number {
      if (z <= straight) return w;
      const up = Math.min(z - straight, rise);
      return Math.sqrt(Math.max(R * R - (up - rise + R) ** 2, 0));
    },
    below(z: number): number {
      const up = Math.min(Math.max(z - straight, 0), rise);
      return 2 * w * Math.min(Math.max(z, 0), straight) + whole - segmentArea(R, rise - up);
    },
  };
}

/** Length of the arc that such a panel is cut from, metres. */
export function archLength(half: number, height: number): number {
  const straight = Math.max(height - half, 0);
  const rise = height - straight;
  const R = (half * half + rise * rise) / (2 * rise);
  const angle = rise >= half ? Math.PI / 2 : Math.asin(Math.min(half / R, 1));
  return 2 * straight + 2 * R * angle;
}
