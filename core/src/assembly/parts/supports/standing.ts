import { STANDING } from '../../../catalog';
import { arrange, fullest } from '../../../geometry/packing';
import type { SupportOf } from '../../../document';
import { clearBetween, holdsCircle, type Outline } from '../../../geometry/vessels';
import { q, say } from '../../../units';
import { standing as onTheFloor } from '../../joining';
import type { Obstacles } from '../../obstacles';
import {
  requestsWhere,
  discPart,
  partGroup,
  type PartDefinition,
  type PartGroup,
  type RequestedPart,
} from '../../part';
import { cylinder } from '../../solid';
import { DENSITY, hollows, insideRing, roundMiddle, wallOnly } from '../standings';
import { partSizes } from '../sizes';

/** Solid things hold no water, whatever their vents are said to be. */
export const isSolid = (what: keyof typeof STANDING): boolean => what === 'brick';

/** Smaller ones that bear as high, by which they are sold as; the others are as one finds them. */
const SIZES: Partial<Record<keyof typeof STANDING, 'tub' | 'pipe' | 'bottle' | null>> = {
  tub: 'tub',
  cup: 'tub',
  bottle: 'bottle',
  pipe: 'pipe',
  // A smaller pot is lower too.
  pot: null,
};

/** Whether one hollow support stands in the middle, round cloth, tube or column that goes down through it. */
function standsRound(
  { what, count, diameter, wall, vents }: SupportOf<'standing'>,
  floor: Outline,
  taken: Obstacles,
): boolean {
  const r = diameter / 2;
  const within = taken.discs.some(({ x, y, r: other }) => Math.hypot(x, y) + other <= r - wall);
  const open = count === 1 && vents === 'both' && !isSolid(what);
  return open && within && holdsCircle(floor, 0, 0, r) && taken.ring(r, wall);
}

/** One in the middle with what goes through it: water is inside as outside, so that its wall alone takes room. */
function oneRound(asked: RequestedPart<'standing'>, top: number): PartGroup<'standing'> {
  const { what, diameter, wall } = asked.spec;
  const middle = { x: 0, y: 0 };
  const outer = cylinder({ ...middle, r: diameter / 2 }, 0, top);
  const bore = cylinder({ ...middle, r: diameter / 2 - wall }, 0, top);
  return partGroup('standing', asked, {
    ...wallOnly(outer, bore, top),
    wanted: 1,
    parts: [roundMiddle(`standing-${asked.index}-0`, diameter / 2, wall, top)],
    mass: (outer.below(top) - bore.below(top)) * DENSITY[what === 'pot' ? 'clay' : 'plastic'],
    capacity: () => 1,
  });
}

/** What goes down through a support that stands round the middle; none where it stands beside it. */
export const goesThrough = (
  { parts, spec }: PartGroup<'standing'>,
  partGroups: readonly PartGroup[],
): PartGroup[] =>
  parts.some(({ foot }) => foot.form === 'ring')
    ? partGroups.filter((other) =>
        other.parts.some(
          ({ x, y, foot }) =>
            foot.form === 'disc' && Math.hypot(x, y) + foot.r <= spec.diameter / 2 - spec.wall,
        ),
      )
    : [];

/** Tubs, cups, bottles, short pipes, pots and blocks that stand on the floor. */
export const standing: PartDefinition<'standing'> = {
  bears: 'sheet',
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'standing'),
  place({ spec, index }, { design, vessel, taken, top }) {
    const r = spec.diameter / 2;
    if (standsRound(spec, vessel.outlineAt(0), taken)) return oneRound({ spec, index }, top);
    const floor = insideRing(clearBetween(vessel, 0, top), design);
    const circles = arrange(floor, r, spec.count, taken, true);
    const n = circles.length;
    const solid = isSolid(spec.what);
    const outer = cylinder({ x: 0, y: 0, r }, 0, top);
    const bore = solid ? null : cylinder({ x: 0, y: 0, r: r - spec.wall }, 0, top);
    const clay = solid || spec.what === 'pot';
    const wall = outer.below(top) - (bore?.below(top) ?? 0);
    return partGroup(
      'standing',
      { spec, index },
      {
        ...hollows(spec.vents, outer, bore, n, top),
        wanted: spec.count,
        parts: circles.map((circle, i) =>
          discPart(
            `standing-${index}-${i}`,
            circle,
            0,
            top,
            cylinder(circle, 0, top),
            solid ? null : { solid: cylinder({ ...circle, r: r - spec.wall }, 0, top), share: 1 },
          ),
        ),
        mass: n * wall * (clay ? DENSITY.clay : DENSITY.plastic),
        capacity: () => Math.max(fullest(floor, r, taken).length, n),
      },
    );
  },
  joints: onTheFloor,
  top: (_one, many) => `the ${many}’ tops`,
  size({ what, diameter }) {
    const sizes = SIZES[what];
    return {
      fields: ['diameter'],
      says: say`${q(diameter, 'length')}`,
      ...(sizes === undefined
        ? {}
        : { sold: (all) => (sizes ? all[sizes] : []).map((size) => ({ diameter: size })) }),
    };
  },
  name: ({ what }, count) => (count === 1 ? STANDING[what].one : `${STANDING[what].one}s`),
  contradictions: (asked, design, shape) =>
    partSizes(asked, design, shape, {
      stands: true,
      across: ['diameter', asked.spec.diameter],
      wall: asked.spec.diameter,
      name: STANDING[asked.spec.what].one,
    }),
};
