import { isOwnEnd } from '../../document';
import { onSupports } from '../joining';
import { singleRequest, partGroup, type PartDefinition } from '../part';
import { slab } from '../solid';
import { DENSITY } from './standings';

/** A rigid sheet cut to the inside at its height, or the vessel's own cut end. */
export const platform: PartDefinition<'platform'> = {
  asked: ({ reservoir, bed }) =>
    singleRequest<'platform'>(reservoir.cover === 'platform' && !bed ? reservoir : null),
  place(asked, { platformOutline, design }) {
    const { top, thickness } = design.reservoir;
    if (!platformOutline) return partGroup('platform', asked);
    const body = slab(platformOutline, top, top + thickness);
    return partGroup('platform', asked, {
      wanted: 1,
      parts: [
        {
          id: 'platform-0',
          x: 0,
          y: 0,
          from: top,
          to: top + thickness,
          foot: { form: 'outline', outline: platformOutline },
          body,
          bore: null,
        },
      ],
      height: top + thickness,
      mass: body.below(top + thickness) * DENSITY.plastic,
    });
  },
  joints: onSupports,
  name: ({ parts }) => (parts.some(isOwnEnd) ? 'cut end' : 'platform'),
};
