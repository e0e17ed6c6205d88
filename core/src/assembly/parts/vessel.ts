import { plural } from '../../units';
import { MATERIAL_DENSITY } from '../../catalog';
import { perimeterOf, shellVolume, type Vessel } from '../../geometry/vessels';
import { intoVessel, liningVessel, onGround } from '../joining';
import { partGroup, singleRequest, type PartDefinition } from '../part';
import { walls } from '../solid';

/** The vessel itself, its liner, and what mends it. */

/** Thickness that the outside boards of a floor would have where a box has one, and of a liner. Metres. */
const LINER = 0.001;
const LINER_DENSITY = 1200;

/** A bed on the ground has no floor of its own; a box on legs has. */
function shellOf(design: { kind: string; legs?: number }, vessel: Vessel): number {
  const whole = shellVolume(vessel);
  if (design.kind !== 'frame' || (design.legs ?? 0) > 0) return whole;
  return whole - vessel.areaAt(0) * vessel.wall;
}

export const vessel: PartDefinition<'vessel'> = {
  asked: (design) => singleRequest<'vessel'>(design.vessel),
  place: (asked, { vessel: shape }) =>
    partGroup('vessel', asked, {
      wanted: 1,
      parts: [
        {
          id: 'vessel-0',
          x: 0,
          y: 0,
          from: -shape.wall,
          to: shape.depth,
          foot: { form: 'none' },
          body: walls(shape, shape.wall, { x: 0, y: 0 }, 0),
          bore: null,
        },
      ],
      height: shape.depth,
      mass: shellOf(asked.spec, shape) * MATERIAL_DENSITY[asked.spec.material],
    }),
  joints: onGround,
  name: ({ kind }) => (kind === 'frame' ? 'box' : 'vessel'),
};

export const liner: PartDefinition<'liner'> = {
  asked: ({ vessel: of }) =>
    singleRequest<'liner'>(of.kind === 'frame' && of.liner !== 'none' ? of : null),
  place: (asked, { vessel: shape }) =>
    partGroup('liner', asked, {
      wanted: 1,
      parts: [
        {
          id: 'liner-0',
          x: 0,
          y: 0,
          from: 0,
          to: shape.depth,
          foot: { form: 'none' },
          body: null,
          bore: null,
        },
      ],
      height: shape.depth,
      mass:
        (shape.areaAt(0) + perimeterOf(shape.outlineAt(0)) * shape.depth) * LINER * LINER_DENSITY,
    }),
  joints: liningVessel,
  name: () => 'liner',
};

export const patch: PartDefinition<'patch'> = {
  asked: ({ vessel: of }) =>
    singleRequest<'patch'>(of.drainHole === 'mended' || of.cracked === 'mended' ? of : null),
  place: (asked) => {
    const many = [asked.spec.drainHole, asked.spec.cracked].filter(
      (one) => one === 'mended',
    ).length;
    return partGroup('patch', asked, {
      wanted: many,
      parts: Array.from({ length: many }, (_, i) => ({
        id: `patch-${i}`,
        x: 0,
        y: 0,
        from: 0,
        to: 0,
        foot: { form: 'none' as const },
        body: null,
        bore: null,
      })),
    });
  },
  joints: intoVessel,
  name: (_spec, count) => plural(count, 'patch', 'patches'),
};
