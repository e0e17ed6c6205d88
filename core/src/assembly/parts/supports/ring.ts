import { q, say } from '../../../units';
import { cutFromVessel, standing } from '../../joining';
import { requestsWhere, partGroup, type PartDefinition } from '../../part';
import { cylinder } from '../../solid';
import { DENSITY, hollows, RING_SLACK, roundMiddle, wallOnly } from '../standings';
import { partSizes } from '../sizes';

/** A ring of pipe about the middle, or the vessel's own cut end turned over. */
export const ring: PartDefinition<'ring'> = {
  bears: 'sheet',
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'ring'),
  place({ spec, index }, { taken, top, partGroups }) {
    const { diameter, wall, vents } = spec;
    const open = vents === 'both';
    const r = diameter / 2 - (spec.cutEnd ? RING_SLACK : 0);
    const fits = taken.ring(r, wall);
    const whole = cylinder({ x: 0, y: 0, r: diameter / 2 }, 0, top);
    const bore = cylinder({ x: 0, y: 0, r: diameter / 2 - wall }, 0, top);
    const piece = roundMiddle(`ring-${index}`, r, wall, top);
    // Water, wicks and supports go on inside a ring that is open; only its wall is taken out then.
    const n = fits ? 1 : 0;
    const room = hollows(vents, whole, bore, n, top);
    const within = (z: number) =>
      partGroups.reduce((sum, other) => {
        // A ring in a wider one holds no air that the wider one does not hold.
        if (other.kind === 'ring' && other.spec.diameter >= diameter) return sum;
        const mine = other.parts.filter(
          ({ x, y, foot }) =>
            (foot.form === 'disc' || foot.form === 'ring') &&
            Math.hypot(x, y) + foot.r <= diameter / 2,
        ).length;
        return mine > 0 ? sum + (other.outerBelow(z) * mine) / other.parts.length : sum;
      }, 0);
    // A ring that is shut holds its contents already.
    const shut = {
      ...room,
      outerBelow: (z: number) => Math.max(room.outerBelow(z) - n * within(z), 0),
      waterBelow: (z: number) => Math.max(room.waterBelow(z) - n * within(room.levelInside(z)), 0),
      hollowBelow: (z: number) => Math.max(room.hollowBelow(z) - n * within(z), 0),
    };
    return partGroup(
      'ring',
      { spec, index },
      {
        ...(open && fits ? wallOnly(whole, bore, top) : shut),
        wanted: 1,
        parts: fits ? [piece] : [],
        mass: n * (whole.below(top) - bore.below(top)) * DENSITY.plastic,
        capacity: () => n,
      },
    );
  },
  joints: (group) => [...standing(group), ...(group.spec.cutEnd ? cutFromVessel(group) : [])],
  size: ({ diameter }) => ({
    fields: ['diameter'],
    says: say`${q(diameter, 'length')}`,
    sold: ({ ring: sizes }) => sizes.map((size) => ({ diameter: size })),
  }),
  name: ({ cutEnd }) => (cutEnd ? 'cut end' : 'ring'),
  contradictions: (asked, design, shape) =>
    partSizes(asked, design, shape, {
      stands: true,
      across: ['diameter', asked.spec.diameter],
      wall: asked.spec.diameter,
      name: asked.spec.cutEnd ? 'cut end' : 'ring',
    }),
};
