import { grainOf } from '../../catalog';
import { platformHeight, layerTop, soilBaseHeight } from '../../document';
import { q, say } from '../../units';
import { found } from '../contradiction';
import { onFloor, over, overBase, overLayers, packedRound, upright } from '../joining';
import { requestsWhere, partGroup, singleRequest, type PartDefinition } from '../part';
import { inside } from '../solid';

/** What is filled in around the parts, laid between base and roots, and laid on the soil. */

export const fill: PartDefinition<'fill'> = {
  asked: ({ reservoir }) => requestsWhere(reservoir.fill, () => true),
  place(asked, { design, vessel, top }) {
    const below = design.reservoir.fill[asked.index - 1];
    const from = below ? Math.min(layerTop(design, below), top) : 0;
    const to = Math.max(Math.min(asked.spec.upTo * top, top), from);
    return partGroup('fill', asked, {
      wanted: 1,
      parts: [
        {
          id: `fill-${asked.index}`,
          x: 0,
          y: 0,
          from,
          to,
          foot: { form: 'none' },
          body: inside(vessel, from, to),
          bore: null,
        },
      ],
      height: to,
    });
  },
  joints: (group, together) => [
    ...packedRound(
      group,
      together,
      (other) => other.parts.length > 0 && (together.bears(other) !== undefined || upright(other)),
    ),
    ...over(group, () => onFloor(group)),
  ],
  name: () => 'fill',
  contradictions({ spec, index }, { reservoir }) {
    const below = reservoir.fill[index - 1];
    return below && spec.upTo <= below.upTo + 1e-6
      ? [
          found(
            ['reservoir', 'fill', index, 'upTo'],
            say`This layer lies on one that reaches ${q(below.upTo, 'share')} of the base. Give more than that.`,
          ),
        ]
      : [];
  },
};

export const layer: PartDefinition<'layer'> = {
  asked: ({ layers }) => requestsWhere(layers, () => true),
  place(asked, { design, vessel }) {
    const grains = (upTo: number) =>
      design.layers
        .slice(0, upTo)
        .reduce((sum, one) => sum + (grainOf(one.what) && !design.bed ? one.thickness : 0), 0);
    const floor = design.bed ? soilBaseHeight(design) : platformHeight(design.reservoir);
    const from = floor + grains(asked.index);
    const to = floor + grains(asked.index + 1);
    return partGroup('layer', asked, {
      wanted: 1,
      parts: [
        {
          id: `layer-${asked.index}`,
          x: 0,
          y: 0,
          from,
          to,
          foot: { form: 'none' },
          body: to > from ? inside(vessel, from, to) : null,
          bore: null,
        },
      ],
      height: to,
    });
  },
  joints: (group, together) => over(group, () => overBase(group, together)),
  name: () => 'layer',
};

export const mulch: PartDefinition<'mulch'> = {
  asked: ({ soil }) => singleRequest<'mulch'>(soil.mulch === 'none' ? null : soil),
  place: (asked, { bed }) =>
    partGroup('mulch', asked, {
      wanted: bed.places.length,
      parts: bed.places.map((at, i) => ({
        id: `mulch-${i}`,
        ...at,
        from: 0,
        to: 0,
        foot: { form: 'none' },
        body: null,
        bore: null,
      })),
    }),
  joints: overLayers,
  name: ({ mulch: what }) => (what === 'cover' ? 'cover' : 'mulch'),
};
