import { q, say } from '../../../units';
import { found } from '../../contradiction';
import { packedRound, standing } from '../../joining';
import { requestsWhere, partGroup, type PartDefinition } from '../../part';
import { inside } from '../../solid';
import { DENSITY } from '../standings';

/** Crossed layers of sticks: a share of the space that is left between cups and tubes is wood. */
export const sticks: PartDefinition<'sticks'> = {
  bears: 'sheet',
  asked: ({ reservoir }) => requestsWhere(reservoir.parts, (part) => part.kind === 'sticks'),
  place({ spec, index }, { vessel, top, partGroups }) {
    const share = Math.min(((Math.PI / 4) * spec.diameter) / spec.spacing, 0.95);
    const before = [...partGroups];
    const others = (z: number) => before.reduce((sum, other) => sum + other.outerBelow(z), 0);
    const outerBelow = (z: number) => {
      const low = Math.min(z, top);
      return share * Math.max(vessel.volumeBelow(low) - others(low), 0);
    };
    return partGroup(
      'sticks',
      { spec, index },
      {
        wanted: 1,
        capacity: () => 1,
        height: top,
        levelInside: (z) => Math.min(z, top),
        outerBelow,
        areaAt: (z) =>
          z <= top
            ? share *
              Math.max(
                vessel.areaAt(z) - before.reduce((sum, other) => sum + other.areaAt(z), 0),
                0,
              )
            : 0,
        mass: outerBelow(top) * DENSITY.stick,
        parts: [
          {
            id: `sticks-${index}`,
            x: 0,
            y: 0,
            from: 0,
            to: top,
            foot: { form: 'none' },
            body: inside(vessel, 0, top),
            bore: { solid: inside(vessel, 0, top), share: 1 - share },
          },
        ],
      },
    );
  },
  joints: (group, together) => [
    ...standing(group),
    ...packedRound(group, together, (other) => other.outerBelow(together.heights.ceiling) > 0),
  ],
  name: () => 'sticks',
  contradictions: ({ spec, index }) =>
    spec.spacing < spec.diameter - 1e-9
      ? [
          found(
            ['reservoir', 'parts', index, 'spacing'],
            say`Sticks of ${q(spec.diameter, 'length')} lie at least that far apart. Give their spacing from middle to middle.`,
          ),
        ]
      : [],
};
