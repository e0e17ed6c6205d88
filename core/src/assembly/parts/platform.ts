import { isOwnEnd } from '../../document';
import { onSupports } from '../joining';
import { only, lot, type Faces } from '../part';
import { slab } from '../solid';
import { DENSITY } from './standings';

/** A rigid sheet cut to the inside at its height, or the vessel's own cut end. */
export const platform: Faces<'platform'> = {
  asked: ({ reservoir, bed }) =>
    only<'platform'>(reservoir.cover === 'platform' && !bed ? reservoir : null),
  place(asked, { deck, design }) {
    const { top, thickness } = design.reservoir;
    if (!deck) return lot('platform', asked);
    const body = slab(deck, top, top + thickness);
    return lot('platform', asked, {
      wanted: 1,
      pieces: [
        {
          id: 'platform-0',
          x: 0,
          y: 0,
          from: top,
          to: top + thickness,
          foot: { form: 'outline', outline: deck },
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
